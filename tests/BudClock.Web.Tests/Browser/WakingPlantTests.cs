using BudClock.Core.Advising;
using OpenQA.Selenium;

namespace BudClock.Web.Tests.Browser;

/// <summary>The main job in a real browser: from a typed note to a changed verdict, and back.</summary>
public class WakingPlantTests
{
    const string Row = "#row-CAL-02 .row-words";

    [Fact]
    public async Task A_typed_note_turns_hold_into_do_and_the_soak_into_a_second_look()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/");
        browser.Click("#held summary");
        browser.Sees(Row, "Hold Calanthe, winter-deciduous CAL-02 Roots 8.5 of 10 cm");
        browser.Run("window.stillHere = true");

        browser.Press("/");
        browser.Press("cal-02 roots 10.5cm");
        browser.Sees("#said", "CAL-02 Roots 10.5 cm 24 May");
        browser.Press(Keys.Enter);
        browser.Sees("#said", "Logged on CAL-02: Roots 10.5 cm.");
        browser.Sees(
            Row,
            "Do Calanthe, winter-deciduous CAL-02 Roots 10.5 cm, bulbs wrinkled, nights 14 °C: first soak today, with the first light "
                + "feed in it."
        );
        Assert.Equal("", browser.Find("#note-text").GetAttribute("value"));

        browser.Click("#row-CAL-02 .row-act button");
        browser.Sees(Row, "Hold Calanthe, winter-deciduous CAL-02 Soaked today: look again 27–29 May, the bulbs should fill.");

        browser.Press(Keys.Escape);
        browser.Press(Keys.Control + "z" + Keys.Null);
        browser.Sees(Row, "first soak today");
        browser.Press(Keys.Control + "z" + Keys.Null);
        browser.Sees(Row, "Roots 8.5 of 10 cm");
        Assert.Equal(true, browser.Run("return window.stillHere === true")); // no page was loaded in between
        Assert.Empty(browser.ConsoleErrors);
    }

    [Fact]
    public async Task A_line_that_is_not_understood_stays_with_what_is_wrong_underlined()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/");
        browser.Find("#note-text").SendKeys("lyc-01 frobs 9 cm ");
        browser.Sees("#said .unread u", "frobs");
        browser.Press(Keys.Enter);
        browser.Sees("#said", "Nothing was logged yet.");
        Assert.Equal("lyc-01 frobs 9 cm ", browser.Find("#note-text").GetAttribute("value"));
    }

    [Fact]
    public async Task The_keys_walk_act_and_open()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/");
        browser.Sees(".chosen .choose", "Slipper orchid, spotted"); // its base is soft: before anything else
        browser.Press(Keys.ArrowDown);
        browser.Sees(".chosen .choose", "Catasetum, red lip");
        browser.Press(Keys.ArrowDown);
        browser.Sees(".chosen .choose", "Flame lily");
        browser.Press(Keys.ArrowUp);
        browser.Sees(".chosen .choose", "Catasetum, red lip");
        browser.Press(Keys.Enter);
        browser.Sees("#row-CTM-07 .reason", "Soaked today: look again");
        browser.Sees(".chosen .choose", "Flame lily");
        browser.Press("a");
        browser.Sees("#later", "Flame lily");
        browser.Sees(".chosen .choose", "Lycaste, yellow");
        browser.Press("?");
        browser.Sees("#keys[open]", "what is due for the chosen plant");
        browser.Press(Keys.Escape);
        // The acts of the bench begin a line about the chosen plant, which is read before it is logged.
        foreach (var (key, line) in new[] { ("w", "watered"), ("f", "fed"), ("t", "turned"), ("r", "roots "), ("n", "note ") })
        {
            browser.Press(key);
            browser.Until(() => browser.Find("#note-text").GetAttribute("value") == $"LYC-01 {line}");
            browser.Find("#note-text").Clear();
            browser.Press(Keys.Escape);
        }
        browser.Press("l");
        Assert.True((bool)browser.Run("return document.activeElement.closest('.likely') !== null")!);
        browser.Press(Keys.Escape);
        browser.Press("p");
        browser.Sees("h1", "Lycaste, yellow");
        Assert.Equal("/plants/LYC-01", browser.Path);
    }

    [Fact]
    public async Task Measuring_on_a_phone_takes_two_taps_and_a_number()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address, 390, 844).Open("/");
        browser.Click("#row-CYC-01 .row-act a");
        browser.Sees(".chosen .choose", "Swan orchid");
        browser.Press("7,4" + Keys.Enter);
        browser.Sees("#said", "Logged on CYC-01: Roots 7.4 cm.");
        browser.Sees("#row-CYC-01 .row-words", "Do Swan orchid");
    }

    [Fact]
    public async Task One_soak_is_logged_for_nine_plants_and_undone_in_one_act()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/bench?sort=tag");
        browser.Find("#bench-list");
        browser.Run("[...document.querySelectorAll('.tile input[type=checkbox]')].slice(0, 9).forEach((box) => box.click())");
        browser.Find("#many input[name=text]").SendKeys("soaked 400 ml" + Keys.Enter);
        browser.Sees("#said", "Logged on 9 plants: Soaked 400 mL.");
        Assert.Equal(9, Soaks(await site.Http.GetStringAsync("/api/garden", TestContext.Current.CancellationToken)));
        browser.Click("#said button");
        browser.Sees("#said", "Taken back: Soaked 400 mL on 9 plants");
        Assert.Equal(0, Soaks(await site.Http.GetStringAsync("/api/garden", TestContext.Current.CancellationToken)));

        static int Soaks(string garden) =>
            System
                .Text.Json.JsonDocument.Parse(garden)
                .RootElement.GetProperty("plants")
                .EnumerateArray()
                .SelectMany(plant => plant.GetProperty("entries").EnumerateArray())
                .Count(e =>
                    e.GetProperty("kind").GetString() == "soaked"
                    && e.GetProperty("on").GetString() == "2031-05-24"
                    && !e.TryGetProperty("struck", out _)
                );
    }

    [Fact]
    public async Task Typing_a_word_on_the_bench_narrows_it_without_a_page_load()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/bench");
        browser.Run("window.stillHere = true");
        browser.Find(".bench-find input").SendKeys("hoya");
        browser.Sees("#bench-list", "2 plants");
        browser.Sees(".tile", "Wax vine");
        Assert.Equal(true, browser.Run("return window.stillHere === true"));
    }

    [Fact]
    public async Task A_line_is_struck_and_restored_on_the_plant_s_page()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/plants/CAL-02");
        browser.Sees(".advice", "Roots 8.5 of 10 cm");
        browser.Click(".log button[aria-label^='Strike Roots 8.5 cm']");
        browser.Sees(".advice", "Roots 6.6 of 10 cm");
        browser.Sees(".log .struck s", "Roots 8.5 cm");
        browser.Click(".log button[aria-label^='Restore Roots 8.5 cm']");
        browser.Sees(".advice", "Roots 8.5 of 10 cm");
    }

    [Fact]
    public async Task A_newcomer_starts_in_three_steps_and_sees_advice()
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        using var browser = new Chromium(site.Address).Open("/");
        browser.Find("#garden-name").SendKeys("My sill");
        browser.Run("const z = document.getElementById('time-zone'); z.value = 'Europe/London'");
        browser.Find("#where").SendKeys("51°30' N 0°42' E" + Keys.Enter);
        browser.Find("#Form_Taxon").SendKeys("Lycaste aromatica");
        browser.Sees("#sheet-found", "Leafless pseudobulbs, dry rest");
        browser.Sees("#sheet-found", "LYC-01");
        browser.Press(Keys.Enter);
        browser.Find("#note-text").SendKeys("lyc-01 new growth 20 april" + Keys.Enter);
        browser.Sees(".advice", "No new roots yet: water would only sour the base.");
        Assert.Empty(browser.ConsoleErrors);
    }

    [Fact]
    public async Task When_the_server_is_gone_the_text_stays_and_the_page_says_so()
    {
        var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/");
        await site.DisposeAsync();
        browser.Find("#note-text").SendKeys("cal-02 roots 10.5cm" + Keys.Enter);
        browser.Sees("#said", "send it again, it is written once");
        Assert.Equal("cal-02 roots 10.5cm", browser.Find("#note-text").GetAttribute("value"));
    }
}
