using OpenQA.Selenium;

namespace BudClock.Web.Tests.Browser;

/// <summary>The note line under the hand, and the first days of a garden.</summary>
public class FirstDaysTests
{
    [Fact]
    public async Task Forty_plants_are_pasted_three_mended_taken_in_and_taken_back()
    {
        await using var site = await Site.DemoAsync();
        var before = await Garden(site);
        using var browser = new Chromium(site.Address).Open("/plants/list");
        string[] names = ["Phalenopsis", "Lycaste aromatica", "African violet", "Hoya carnosa", "Clivia miniata"];
        var lines = Enumerable.Range(0, 40).Select(i => i == 39 ? "Frobnicatrix" : names[i == 0 ? 0 : 1 + (i % 4)]);
        browser.Run("document.getElementById('list-text').value = arguments[0]", string.Join("\n", lines));
        browser.ClickThrough(".taking form .btn-ink");
        browser.Sees(".taking [role=status]", "40 plants, 2 lines to look at. Nothing is written yet.");

        browser.ClickThrough("button[name=meant]"); // Phalaenopsis was meant
        browser.Sees(".taking [role=status]", "40 plants, 1 line to look at.");
        browser.Run("document.querySelector('[name=\"Rows[1].Tag\"]').value = 'GRAN-1'");
        browser.Run("document.querySelector('[name=\"Rows[1].Place\"]').value = 'Porch'");
        browser.Run("document.querySelector('[name=\"Rows[39].Taxon\"]').value = 'Masdevallia'");
        browser.ClickThrough(".sticky-taps .btn-line");
        browser.Sees(".taking [role=status]", "40 plants. New places: Porch. Nothing is written yet.");
        browser.ClickThrough(".sticky-taps .btn-ink");
        browser.Sees("#said", "40 plants are taken in.");
        Assert.Contains("GRAN-1", await Garden(site));

        browser.Click("#said form button");
        browser.Sees("#said", "Taken back: 40 plants taken in.");
        Assert.Equal(before, await Garden(site));
        Assert.Empty(browser.ConsoleErrors);
    }

    static Task<string> Garden(Site site) => site.Http.GetStringAsync("/api/garden", TestContext.Current.CancellationToken);

    [Fact]
    public async Task Five_looks_are_answered_with_one_key_each()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/");
        for (var answered = 0; answered < 5; answered++)
        {
            // On to the next that only asks to be looked at, and that a tap answers.
            for (var steps = 0; steps < 40 && !Asks(browser); steps++)
            {
                var was = browser.Words(".row-plant.chosen");
                browser.Press(Keys.ArrowDown);
                browser.Until(() => browser.Words(".row-plant.chosen") != was);
            }
            var row = browser.Words(".row-plant.chosen");
            browser.Press("1");
            browser.Until(() =>
                browser.Words("#said").StartsWith("Logged on ", StringComparison.Ordinal) && browser.Words(".row-plant.chosen") != row
            );
            browser.Run("document.getElementById('said').textContent = ''");
        }
        Assert.Empty(browser.ConsoleErrors);
    }

    static bool Asks(Chromium browser) =>
        (bool)
            browser.Run(
                "const row = document.querySelector('.row-plant.chosen'); const tap = document.querySelector('.why .likely > form');"
                    + "return !!row?.textContent.includes('Look') && !!tap && !tap.querySelector('input[name=amount]:not([type=hidden])')"
            )!;

    [Fact]
    public async Task A_slip_is_put_right_by_the_tab_key_and_what_is_read_is_said()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/");
        browser.Find("#note-text").SendKeys("lyc-01 rotos 12 cm");
        browser.Sees("#said .taken", "read “rotos” as roots");
        browser.Find("#note-text").Clear();
        browser.Find("#note-text").SendKeys("lyc-01 wrinkeld");
        browser.Sees("#said .take", "wrinkled");
        browser.Press(Keys.Tab);
        browser.Until(() => browser.Find("#note-text").GetAttribute("value") == "lyc-01 wrinkled ");
        browser.Press(Keys.Enter);
        browser.Sees("#said", "Logged on LYC-01: Bulbs wrinkled.");
        Assert.Empty(browser.ConsoleErrors);
    }

    [Fact]
    public async Task A_thumb_writes_a_line_and_a_sentence_is_kept_by_a_second_enter()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address, 390, 844).Open("/");
        browser.Find("#note-text").SendKeys("cat-01 the bees found it" + Keys.Enter);
        browser.Sees("#said .keep", "Keep it as a note?");
        Assert.DoesNotContain("the bees found it", await Garden(site));
        browser.Press(Keys.Enter);
        browser.Sees("#said", "Logged on CAT-01: Note the bees found it.");
        browser.Find("#note-text").SendKeys("lick one roots twelve centimetres");
        browser.Sees("#said .understood", "LYC-01 Roots 12 cm");
        browser.Click(".note-log");
        browser.Sees("#said", "Logged on LYC-01: Roots 12 cm.");
        Assert.Equal(0L, browser.Run("return Math.max(0, document.documentElement.scrollWidth - innerWidth)"));
    }

    [Fact]
    public async Task On_the_bench_ticks_outlive_a_filter_and_the_line_is_read_as_it_is_typed()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/bench?q=hoya");
        browser.Click("[data-tick-all]");
        browser.Sees("#ticks", "2 ticked");
        browser.Find("input[type=search]").Clear();
        browser.Find("input[type=search]").SendKeys("clivia");
        browser.Until(() => browser.All(".tile").Count == 1);
        browser.Click(".tile input[type=checkbox]");
        browser.Sees("#ticks", "3 ticked");
        browser.Find("#many [name=text]").SendKeys("watered 200 ml");
        browser.Sees("#said .understood", "3 plants Watered 200 mL");
        browser.Press(Keys.Enter);
        browser.Sees("#said", "Logged on 3 plants: Watered 200 mL.");
        browser.Open("/bench?q=ctm-07");
        browser.Click(".tile-act button");
        browser.Sees("#said", "Logged on CTM-07: Soaked.");
        Assert.Empty(browser.ConsoleErrors);
    }

    [Fact]
    public async Task A_garden_in_the_states_stays_as_it_was_through_three_saves()
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        using var browser = new Chromium(site.Address).Open("/start");
        browser.Find("#garden-name").SendKeys("Back porch");
        browser.Find("#where").SendKeys("40.7 N 74 W");
        browser.Run("document.getElementById('time-zone').value = 'America/New_York'");
        browser.Click("#us-units");
        browser.ClickThrough(".fields .btn-ink");
        browser.Find("#Form_Taxon").SendKeys("Lycaste aromatica");
        browser.Sees("#sheet-found", "LYC-01");
        browser.Find("#Form_PotDiameter").SendKeys("4 1/4");
        browser.Find("#Form_PotHeight").SendKeys("4");
        browser.ClickThrough(".fields .btn-ink");
        var before = await Pot(site);
        Assert.Contains("\"diameterCm\": 10.8", before); // 4 1/4 in is 10.795 cm
        for (var saves = 0; saves < 3; saves++)
        {
            browser.Open("/plants/LYC-01/edit");
            Assert.Equal("4.25", browser.Find("#Form_PotDiameter").GetAttribute("value"));
            browser.ClickThrough(".fields .btn-ink");
            Assert.Equal(before, await Pot(site));
        }
        Assert.Empty(browser.ConsoleErrors);
    }

    /// <summary>The garden's file but for the count of saves.</summary>
    static async Task<string> Pot(Site site) => System.Text.RegularExpressions.Regex.Replace(await Garden(site), "\"version\": \\d+", "");

    [Fact]
    public async Task A_tap_on_the_map_says_where_and_a_garden_file_begins_a_garden()
    {
        await using var site = await Site.DemoAsync();
        var file = Path.Combine(Directory.CreateTempSubdirectory("bud-clock-file-").FullName, "garden.json");
        await File.WriteAllTextAsync(file, await Garden(site), TestContext.Current.CancellationToken);
        await using var empty = await Site.EmptyAsync(new(2031, 5, 24));
        using var browser = new Chromium(empty.Address).Open("/");
        browser.Click("#world");
        browser.Until(() => browser.Find("#where").GetAttribute("value")!.Length > 0);
        Assert.Matches(@"^[\d.]+ [NS] [\d.]+ [EW]$", browser.Find("#where").GetAttribute("value"));
        browser.Find("input[type=file]").SendKeys(file);
        browser.ClickThrough("form[enctype] .btn");
        browser.Sees("h1", "Saturday round");
        Assert.Equal(await Garden(site), await Garden(empty));
    }

    [Fact]
    public async Task Five_lines_are_practised_and_wished_away_for_good()
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        await site.PostAsync(
            "/start?handler=Position",
            ("Form.Name", "Mine"),
            ("Form.Where", "51.5 N 0.7 E"),
            ("Form.TimeZone", "Europe/London")
        );
        await site.PostAsync("/plants/new", ("Form.Taxon", "Lycaste"), ("Form.Place", "bench"));
        using var browser = new Chromium(site.Address).Open("/");
        Assert.Equal(5, browser.All(".practice li").Count);
        browser.Click(".practice .take");
        browser.Press(Keys.Enter);
        browser.Sees("#said", "Logged on LYC-01: Growth 6 cm.");
        browser.Sees(".practice .done-step", "Measure something: done");
        browser.Find("#note-text").SendKeys("bench: night 14 C" + Keys.Enter);
        browser.Sees("#said", "Logged at Bench: Night 14 °C.");
        browser.Open("/");
        Assert.Equal(2, browser.All(".practice .done-step").Count);
        browser.ClickThrough(".practice form button");
        Assert.Empty(browser.All(".practice"));
        browser.Open("/");
        Assert.Empty(browser.All(".practice"));
    }

    [Fact]
    public async Task A_picture_is_kept_from_the_round_in_two_taps()
    {
        await using var site = await Site.DemoAsync();
        var file = Path.Combine(Directory.CreateTempSubdirectory("bud-clock-picture-").FullName, "spike.jpg");
        await File.WriteAllBytesAsync(file, Photographs.Jpeg(), TestContext.Current.CancellationToken);
        using var browser = new Chromium(site.Address).Open("/?selected=CYC-01");
        browser.Find(".picture-tap input").SendKeys(file); // the tap, and the choice
        browser.Sees("#said", "Picture of CYC-01 kept.");
        Assert.Contains("\"kind\": \"photo\"", await Garden(site));
        browser.Sees(".why h2", "Swan orchid");
    }
}
