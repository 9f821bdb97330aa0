using System.Globalization;
using BudClock.Web.Stepping;
using Microsoft.Extensions.DependencyInjection;
using OpenQA.Selenium;

namespace BudClock.Web.Tests.Browser;

/// <summary>
/// Bloom triggers in a real browser: dates that move, a clock that is stepped, practices lost and won, a calendar that follows.
/// </summary>
public class TriggersTests
{
    static CancellationToken Cancel => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_wanted_date_moves_and_the_planting_day_follows_by_mouse_and_by_keys()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/triggers");
        var planting = Day(browser);
        browser.Sees("#lane-NAR-02", "16 Nov");
        // By mouse: some days to the right.
        var step = double.Parse(browser.Find(Handle).GetAttribute("data-step")!, CultureInfo.InvariantCulture);
        var scale = Convert.ToDouble(
            browser.Run("return document.querySelector('.trigger-chart').getScreenCTM().a"),
            CultureInfo.InvariantCulture
        );
        browser.DragBy(browser.Find(Handle), (int)Math.Round(7 * step * scale));
        browser.Until(() => Day(browser) == planting.AddDays(7));
        browser.Sees("#lane-NAR-02", "23 Nov");
        // By keys: back a week at once, then a day more; the focus stays on the handle.
        browser.Run("document.querySelector(arguments[0]).focus()", Handle);
        browser.Press(Keys.Shift + Keys.ArrowLeft + Keys.Null + Keys.ArrowLeft);
        browser.Until(() => Day(browser) == planting.AddDays(-1));
        browser.Sees("#lane-NAR-02", "15 Nov");
        browser.Until(() => (string?)browser.Run("return document.activeElement.dataset.tag") == "NAR-02");
        // The table says and does the same, and the log keeps what was there before.
        browser.Run("document.querySelector('#lane-NAR-02 input[type=date]').value = arguments[0]", "2031-10-25");
        browser.ClickThrough("#lane-NAR-02 form:first-of-type button");
        browser.Sees("#lane-NAR-02", "23 Nov");
        browser.Open("/plants/NAR-02");
        browser.Sees("main", "in bloom for 2031-11-23, 24 bulbs");
        browser.Press(Keys.Control + "z" + Keys.Null);
        browser.Sees("#said", "Taken back");
        Assert.Empty(browser.ConsoleErrors);
    }

    const string Handle = ".handle[data-tag='NAR-02']";

    static DateOnly Day(Chromium browser) => DateOnly.Parse(browser.Find(Handle).GetAttribute("data-day")!, CultureInfo.InvariantCulture);

    [Fact]
    public async Task From_24_May_the_clock_is_stepped_to_the_first_bloom_of_a_plant()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/");
        browser.Sees(".pretend", "24 May 2031");
        for (
            var presses = 0;
            presses < 12 && !browser.Words("main").Contains("First flower open", StringComparison.OrdinalIgnoreCase);
            presses++
        )
        {
            browser.Open("/").ClickThrough("button[name=step][value=turn]");
            browser.Open("/practice/end");
            if (browser.Words("main").Contains("What bloomed", StringComparison.Ordinal))
                break;
        }
        browser.Sees("main", "What bloomed");
        var tag = browser.All(".told .tag").Select(one => one.Text).First(text => text.Length > 0);
        Assert.NotEmpty(tag);
        browser.Open("/triggers");
        Assert.DoesNotContain("24 May", browser.Words(".pretend"), StringComparison.Ordinal);
        Assert.Empty(browser.ConsoleErrors);
    }

    [Fact, Long]
    public async Task A_programme_runs_from_its_start_to_buds_over_a_stepped_winter()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/practice");
        browser.ClickThrough("button[aria-label='Practise it: A cool month for a Clivia']");
        browser.Sees(".pretend", "25 October 2031");
        browser.Open("/triggers/programmes/cool-nights");
        browser.Sees("main", "South bench");
        browser.Click("input[value='CLI-01']");
        browser.ClickThrough("form.fields .btn-ink");
        browser.Sees("#lane-CLI-01", "0 of 30");
        Note(browser, "cli-01 moved to south bench");
        var told = new HashSet<string>();
        for (var week = 0; week < 24 && browser.Path != "/practice/end"; week++)
        {
            browser.Open("/plants/CLI-01");
            told.UnionWith(
                new[] { "of 30", "of 28", "regular" }.Where(words =>
                    browser.Words("main").Contains(words, StringComparison.OrdinalIgnoreCase)
                )
            );
            // What the Round orders is done; in the dry weeks it orders no water.
            if (
                browser.Words(".advice").Contains("two finger joints", StringComparison.Ordinal)
                || browser.Words(".advice").Contains("water until it runs", StringComparison.Ordinal)
            )
                Note(browser, "cli-01 watered 250 ml");
            browser.ClickThrough("button[name=step][value=week]");
        }
        browser.Sees("main", "It went well");
        browser.Sees("main", "A stalk rises");
        Assert.Contains("of 30", told);
        Assert.Contains("of 28", told);
    }

    static void Note(Chromium browser, string line)
    {
        browser.Find("#note-text").SendKeys(line + Keys.Enter);
        browser.Sees("#said", "Logged on");
    }

    [Fact, Long]
    public async Task A_practice_is_lost_by_an_early_soak_and_won_by_waiting()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address);
        Begin();
        for (var week = 0; week < 20 && browser.Path != "/practice/end"; week++)
        {
            Note(browser, "ctm-01 soaked 300 ml");
            Step("day");
            if (browser.Path == "/practice/end")
                break;
            Step("day");
        }
        browser.Sees("main", "It did not go well");
        browser.Sees("main", "before its new roots could drink");
        browser.Sees("main", "against the advice");
        browser.ClickThrough("main form .btn-ink"); // once more
        for (var day = 0; day < 120 && browser.Path != "/practice/end"; day++)
        {
            browser.Open("/plants/CTM-01");
            if (browser.Words(".advice").Contains("first soak today", StringComparison.OrdinalIgnoreCase))
                Note(browser, "ctm-01 soaked 300 ml");
            Step("week");
        }
        browser.Sees("main", "It went well");
        browser.Sees("main", "Its bulbs filled");

        void Begin()
        {
            browser.Open("/practice").ClickThrough("button[aria-label='Practise it: The first soak']");
            browser.Sees("#main", "Catasetum, practice");
        }

        void Step(string how) => browser.ClickThrough($"button[name=step][value={how}]");
    }

    [Fact]
    public async Task The_calendar_is_subscribed_to_and_a_moved_day_is_updated_and_not_doubled()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/triggers/calendar");
        browser.ClickThrough("form[action*=Link] .btn");
        var link = browser.Find("#calendar-link").GetAttribute("href")!;
        var first = Read(browser, await site.Http.GetStringAsync(link, Cancel));
        Assert.True(first.Count > 5);
        Assert.Equal("2031-10-18", first.Single(one => one.Summary.StartsWith("NAR-02: Plant", StringComparison.Ordinal)).On);
        browser.Open("/triggers");
        browser.Run("document.querySelector('#lane-NAR-02 input[type=date]').value = arguments[0]", "2031-10-28");
        browser.ClickThrough("#lane-NAR-02 form:first-of-type button");
        browser.Sees("#lane-NAR-02", "26 Nov");
        var second = Read(browser, await site.Http.GetStringAsync(link, Cancel));
        Assert.Equal(first.Select(one => one.Uid).Order(), second.Select(one => one.Uid).Order());
        Assert.Equal(second.Count, second.DistinctBy(one => one.Uid).Count());
        Assert.Equal("2031-10-28", second.Single(one => one.Summary.StartsWith("NAR-02: Plant", StringComparison.Ordinal)).On);
        // Taken back, the link leads nowhere.
        browser.Open("/triggers/calendar").ClickThrough("form[action*=Revoke] .btn");
        Assert.Equal(System.Net.HttpStatusCode.NotFound, (await site.Http.GetAsync(link, Cancel)).StatusCode);
    }

    /// <summary>Read by ical.js, which is not the library that wrote it (RFC 5545).</summary>
    static List<(string Uid, string On, string Summary)> Read(Chromium browser, string calendar)
    {
        browser.Run(
            File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "lib", "ical.min.js")) + "; window.ICAL = window.ICAL || ICAL;"
        );
        var rows =
            (IEnumerable<object>)
                browser.Run(
                    """
                    const read = new ICAL.Component(ICAL.parse(arguments[0]));
                    const all = read.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
                    return all.map((one) => one.uid + '\t' + one.startDate.toString() + '\t' + one.summary);
                    """,
                    calendar
                )!;
        return [.. rows.Select(row => ((string)row).Split('\t')).Select(row => (row[0], row[1], row[2]))];
    }

    [Fact]
    public async Task A_garden_of_one_s_own_is_never_stepped()
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        await site.PostAsync(
            "/start?handler=Position",
            ("Form.Name", "Mine"),
            ("Form.Where", "51.5 N 0.7 E"),
            ("Form.TimeZone", "Europe/London")
        );
        Assert.False(site.Services.GetRequiredService<SteppingDesk>().CanStep);
        Assert.DoesNotContain("Step a day", await site.TextAsync("/practice"), StringComparison.Ordinal);
        Assert.Equal(System.Net.HttpStatusCode.NotFound, (await site.SendAsync("/practice/step", false, ("step", "day"))).StatusCode);
        Assert.Equal(System.Net.HttpStatusCode.NotFound, (await site.SendAsync("/practice", false, ("name", "first-soak"))).StatusCode);
    }
}
