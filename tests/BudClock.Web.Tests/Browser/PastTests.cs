using System.Text;
using OpenQA.Selenium;

namespace BudClock.Web.Tests.Browser;

/// <summary>Corrections, a move written down late, a file taken in and taken back, and two windows on one plant, in the browser.</summary>
public class PastTests
{
    [Fact]
    public async Task Yesterdays_number_is_corrected_and_both_are_seen()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "cal-02 roots 8.9 cm yesterday"));
        using var browser = new Chromium(site.Address).Open("/plants/CAL-02");
        browser.ClickThrough(".log a[aria-label^='Correct Roots 8.9 cm']");
        browser.Sees("h1", "Correct an entry");
        var amount = browser.Find("#entry-amount");
        Assert.Equal("8.9 cm", amount.GetAttribute("value"));
        amount.Clear();
        amount.SendKeys("9.2 cm");
        browser.ClickThrough("#entry-fields .btn-ink");
        browser.Sees(".log", "Roots 9.2 cm corrected; before: Roots 8.9 cm");
        browser.Sees(".advice", "9.2");
        browser.Press(Keys.Control + "z" + Keys.Null);
        browser.Sees("#said", "Taken back: Roots 8.9 cm of CAL-02 corrected to Roots 9.2 cm");
        browser.Open("/plants/CAL-02").Sees(".log", "Roots 8.9 cm");
        Assert.DoesNotContain(browser.All(".log li:not(.struck)"), line => line.Text.Contains("9.2 cm"));
    }

    [Fact, Long]
    public async Task A_move_written_down_late_leaves_todays_place_and_shows_in_the_past()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "hoy-02 moved to the cold frame 20 May"));
        using var browser = new Chromium(site.Address).Open("/plants/HOY-02/edit");
        browser.Find("#Form_Place option[value=south]").Click();
        browser.Run("document.querySelector('#Form_Holds').value = '2031-05-10'");
        browser.ClickThrough("main form .btn-ink");
        browser.Sees(".plant-head", "Cold frame");
        var old = await site.Http.GetStringAsync("/api/garden", TestContext.Current.CancellationToken);
        Assert.Contains("to South bench", old);
    }

    [Fact]
    public async Task A_file_is_shown_taken_in_and_taken_back_whole()
    {
        await using var site = await Site.DemoAsync();
        var file = Path.Combine(Directory.CreateTempSubdirectory("bud-clock-").FullName, "more.json");
        await File.WriteAllTextAsync(
            file,
            """
            { "format": "bud-clock-garden", "version": 1, "garden": { "name": "Elsewhere" }, "plants": [
              { "tag": "NEW-01", "taxon": "Lycaste aromatica", "entries": [ { "on": "2031-05-01", "kind": "watered" } ] },
              { "tag": "HOY-02", "taxon": "Hoya carnosa", "medium": "stones" } ] }
            """,
            Encoding.UTF8,
            TestContext.Current.CancellationToken
        );
        var before = await site.Http.GetStringAsync("/api/garden", TestContext.Current.CancellationToken);
        using var browser = new Chromium(site.Address).Open("/garden");
        browser.Find("input[type=file]").SendKeys(file);
        browser.ClickThrough("form[action*='Import'] button");
        browser.Sees("#import", "New: NEW-01");
        browser.Sees("#import", "this garden keeps its own");
        browser.ClickThrough("#import .btn-ink");
        browser.Sees(".done", "Taken in: 1 new plants, 1 new entries");
        browser.Open("/bench?q=new-01").Sees("#bench-list", "NEW-01");
        browser.Press(Keys.Control + "z" + Keys.Null);
        browser.Sees("#said", "Taken back: A garden file taken in");
        Assert.Equal(before, await site.Http.GetStringAsync("/api/garden", TestContext.Current.CancellationToken));
        browser.Click("#said button");
        browser.Sees("#said", "It stands again");
        browser.Open("/bench?q=new-01").Sees("#bench-list", "NEW-01");
    }

    [Fact]
    public async Task Two_windows_on_one_plant_lose_nothing()
    {
        await using var site = await Site.DemoAsync();
        using var one = new Chromium(site.Address).Open("/plants/HOY-02/edit");
        using var two = new Chromium(site.Address).Open("/plants/HOY-02/edit");
        Type(one, "#Form_Medium", "moss");
        one.ClickThrough("main form .btn-ink");
        one.Sees(".plant-head", "moss");
        Type(two, "#Form_Name", "Wax flower, window two");
        two.ClickThrough("main form .btn-ink");
        two.Sees("[role=alert]", "There, the medium is moss");
        Assert.Equal("Wax flower, window two", two.Find("#Form_Name").GetAttribute("value"));
        two.ClickThrough("main form .btn-ink");
        two.Sees("h1", "Wax flower, window two");
    }

    static void Type(Chromium browser, string css, string text)
    {
        var field = browser.Find(css);
        field.Clear();
        field.SendKeys(text);
    }
}
