using System.Text.Json;
using BudClock.Core.Advising;
using BudClock.Web.Hosting;

namespace BudClock.Web.Tests;

/// <summary>The plant's pages: every kind of entry by form, second looks, older names, two windows, the gone, and entries as CSV.</summary>
public class PlantPagesTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task Every_page_of_the_demo_is_filled_and_every_habit_is_there()
    {
        var site = await Site.ReadAsync();
        var tags = (await site.PageAsync("/bench?only=gone"))
            .QuerySelectorAll(".tile .num")
            .Concat((await site.PageAsync("/bench")).QuerySelectorAll(".tile .num"))
            .Select(e => e.Words())
            .ToList();
        Assert.Equal(40, tags.Count);
        foreach (var tag in tags)
        {
            var page = await site.PageAsync($"/plants/{tag}");
            Assert.DoesNotContain("No culture sheet", page.QuerySelector(".plant-main").Words());
            Assert.True(page.QuerySelectorAll(".log li").Length >= 8, tag);
            Assert.NotEmpty(page.QuerySelectorAll(".dial path.growth, .dial path.rest, .dial path.spike, .dial path.bloom"));
        }
    }

    [Theory]
    [InlineData("spike-length", "12", "", "s31b", "Spike 12 cm")]
    [InlineData("leaves", "", "firm", "", "Leaves firm")]
    [InlineData("treated", "", "alcohol on the folds", "", "Treated alcohol on the folds")]
    [InlineData("flagged", "5", "did it open?", "", "Look again in days 5 did it open?")]
    public async Task Any_kind_can_be_logged_from_the_form(string kind, string amount, string words, string organ, string line)
    {
        await using var site = await Site.DemoAsync();
        Assert.NotNull((await site.PageAsync($"/plants/ONC-02/log?kind={kind}")).QuerySelector("#entry-fields h2"));
        var page = await site.PostAsync(
            "/plants/ONC-02/log",
            ("Form.Kind", kind),
            ("Form.Amount", amount),
            ("Form.Words", words),
            ("Form.Organ", organ),
            ("Form.On", "2031-05-23")
        );
        Assert.Contains(page.QuerySelectorAll(".log li"), li =>
            li.Words().Contains(line) && li.Words().StartsWith("23 May", StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData("spike-length", "12", "", "This could mean several parts: spike 2031")]
    [InlineData("spike-length", "long", "s31", "\"long\" is not a number with a unit")]
    [InlineData("spike-length", "12", "s99", "\"s99\" is no part of ONC-02.")]
    [InlineData("leaves", "", "", "Leaves needs a word")]
    public async Task A_form_that_cannot_be_logged_comes_back_as_typed(string kind, string amount, string organ, string sentence)
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/plants/ONC-02/log", ("Form.Kind", kind), ("Form.Amount", amount), ("Form.Organ", organ));
        Assert.Contains(sentence, page.QuerySelector("[role=alert]").Words());
        if (amount.Length > 0)
            Assert.Equal(amount, page.QuerySelector("#entry-amount")!.GetAttribute("value"));
    }

    [Fact]
    public async Task The_caution_stands_in_the_form_and_under_the_note()
    {
        await using var site = await Site.DemoAsync();
        Assert.Contains("deadly if eaten", (await site.PageAsync("/plants/GLO-01/log?kind=lifted")).QuerySelector(".caution").Words());
        using var reading = await site.SendAsync("/notes?handler=Read", htmx: true, ("text", "eup-01 repotted"));
        Assert.Contains("dangerous in the eyes", await reading.Content.ReadAsStringAsync(Stop));
    }

    [Fact]
    public async Task A_note_that_could_mean_two_spikes_asks_and_logs_the_answer()
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/notes", ("text", "onc-02 spike 33 cm"));
        var answers = page.QuerySelectorAll("main .question input[name=text]").Select(e => e.GetAttribute("value")!).ToList();
        Assert.Equal(["onc-02 spike 33 cm #s31", "onc-02 spike 33 cm #s31b"], answers.Order());
        await site.PostAsync("/notes", ("text", "onc-02 spike 33 cm #s31b"));
        Assert.Contains("Spike 33 cm spike 2031 b", (await site.PageAsync("/plants/ONC-02")).QuerySelector(".log li").Words());
    }

    [Fact]
    public async Task A_new_growth_becomes_a_part_with_its_parent()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "cat-01 another growth"));
        Assert.Contains(
            "Growth 2031 b #g31b growth since 24 May · from growth 2030",
            (await site.PageAsync("/plants/CAT-01")).QuerySelector(".parts").Words()
        );
    }

    [Fact]
    public async Task Two_windows_that_change_one_plant_do_not_overwrite_each_other_unseen()
    {
        await using var site = await Site.DemoAsync();
        var version = await site.VersionAsync("CAL-02");
        await site.PostAsync(
            "/plants/CAL-02/edit",
            version,
            ("Form.Taxon", "Calanthe vestita"),
            ("Form.Name", "From the first window"),
            ("Form.Place", "south")
        );
        var second = await site.PostAsync(
            "/plants/CAL-02/edit",
            version,
            ("Form.Taxon", "Calanthe vestita"),
            ("Form.Name", "From the second"),
            ("Form.Place", "south"),
            ("Form.Medium", "moss")
        );
        Assert.Contains("There, the name is From the first window; here, From the second.", second.QuerySelector("[role=alert]").Words());
        Assert.Equal(
            ("From the second", "moss"),
            (second.QuerySelector("#Form_Name")!.GetAttribute("value"), second.QuerySelector("#Form_Medium")!.GetAttribute("value"))
        );
        Assert.Equal("From the first window", (await site.PageAsync("/plants/CAL-02")).QuerySelector("h1").Words());
        await site.PostAsync(
            "/plants/CAL-02/edit",
            ("Form.Version", second.QuerySelector("#Form_Version")!.GetAttribute("value")!),
            ("Form.Taxon", "Calanthe vestita"),
            ("Form.Name", "From the second"),
            ("Form.Place", "south")
        );
        Assert.Equal("From the second", (await site.PageAsync("/plants/CAL-02")).QuerySelector("h1").Words());
    }

    [Fact]
    public async Task An_older_name_keeps_finding_a_plant_and_the_change_stands_in_the_log()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync(
            "/plants/VAN-01/edit",
            await site.VersionAsync("VAN-01"),
            ("Form.Taxon", "Vanda coerulea"),
            ("Form.Name", "The tall one"),
            ("Form.Place", "sill")
        );
        Assert.Equal("The tall one", (await site.PageAsync("/bench?q=blue+orchid")).QuerySelector(".tile .choose").Words());
        var log = (await site.PageAsync("/plants/VAN-01")).QuerySelector(".log").Words();
        Assert.Contains("Renamed from Blue orchid to The tall one", log);
        Assert.Contains("Moved from South bench to Potting-room sill", log);
    }

    [Fact]
    public async Task A_move_in_a_note_moves_the_plant_and_undo_moves_it_back()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "eup-01 moved to the cold frame"));
        Assert.Contains("Cold frame", (await site.PageAsync("/plants/EUP-01")).QuerySelector(".plant-head").Words());
        await site.PostAsync("/notes?handler=Undo");
        Assert.Contains("Potting-room sill", (await site.PageAsync("/plants/EUP-01")).QuerySelector(".plant-head").Words());
    }

    [Fact]
    public async Task A_dead_plant_has_a_page_with_what_the_log_suggests_and_leaves_the_round()
    {
        var site = await Site.ReadAsync();
        var page = await site.PageAsync("/plants/MAS-01");
        Assert.Contains("roots lost: its roots were lost on", page.QuerySelector(".farewell").Words());
        Assert.Null((await site.PageAsync("/")).QuerySelector("#row-MAS-01"));
    }

    [Fact]
    public async Task A_newcomer_and_a_family_stand_on_the_page()
    {
        var site = await Site.ReadAsync();
        Assert.Contains("Newcomer, day 14 of 28", (await site.PageAsync("/plants/PAP-02")).QuerySelector(".newcomer").Words());
        foreach (var tag in new[] { "SAI-03", "SAI-04" })
            Assert.Equal(
                "SAI-03, SAI-04 (leaf) from SAI-03",
                (await site.PageAsync($"/plants/{tag}")).QuerySelector(".tree")!.GetAttribute("aria-label")
            );
    }

    [Fact]
    public async Task A_forecast_is_kept_when_it_is_made_and_tells_its_error_later()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "mil-01 buds 5"));
        var kept = JsonDocument
            .Parse(await site.Http.GetStringAsync("/api/garden", Stop))
            .RootElement.GetProperty("plants")
            .EnumerateArray()
            .Single(plant => plant.GetProperty("tag").GetString() == "MIL-01")
            .GetProperty("forecasts")
            .EnumerateArray()
            .Select(f => f.GetProperty("of").GetString());
        Assert.Contains("first-flower", kept);
        await using var later = await site.AgainAsync(new(2031, 6, 20));
        await later.PostAsync("/notes", ("text", "mil-01 first flower"));
        Assert.Contains("First flower: said", (await later.PageAsync("/plants/MIL-01")).QuerySelector(".drawings").Words());
    }

    [Fact]
    public async Task Entries_go_out_as_csv_and_the_same_file_adds_nothing()
    {
        await using var site = await Site.DemoAsync();
        var csv = await site.Http.GetStringAsync("/api/entries.csv", Stop);
        var page = await site.PostAsync("/garden/csv?handler=Write", ("Text", csv));
        Assert.Contains("0 entries taken in", page.QuerySelector(".done").Words());
    }

    [Fact]
    public async Task A_csv_is_shown_before_it_is_written_and_taken_in_whole_or_not_at_all()
    {
        await using var site = await Site.DemoAsync();
        var lines = string.Join('\n', Enumerable.Range(1, 20).Select(day => $"HOY-02;2031-05-{day:00};watered;250;mL"));
        var before = await site.Http.GetStringAsync("/api/garden", Stop);
        var broken = await site.PostAsync(
            "/garden/csv?handler=Write",
            ("Text", $"tag;on;kind;value;unit\n{lines}\nHOY-02;someday;watered;;")
        );
        Assert.Contains("line 22: \"someday\" is no date", broken.QuerySelector(".faults").Words());
        Assert.Equal(before, await site.Http.GetStringAsync("/api/garden", Stop));

        var read = await site.PostAsync(
            "/garden/csv?handler=Read",
            ("Text", $"plant;on;kind;value;unit\n{lines}"),
            ("Columns[tag]", "plant"),
            ("Columns[on]", "on"),
            ("Columns[kind]", "kind"),
            ("Columns[value]", "value"),
            ("Columns[unit]", "unit")
        );
        Assert.Contains("20 entries understood", read.QuerySelector("main").Words());
        Assert.Equal(before, await site.Http.GetStringAsync("/api/garden", Stop));
        await site.PostAsync("/garden/csv?handler=Write", ("Text", $"tag;on;kind;value;unit\n{lines}"));
        Assert.Contains("20 May Watered 250 mL", (await site.PageAsync("/plants/HOY-02?all=true")).QuerySelector(".log").Words());
    }

    [Fact]
    public async Task A_garden_of_the_first_version_is_brought_up_to_date()
    {
        // The schema as it was before plants had older names: the first migration alone, with one plant in it.
        var folder = Directory.CreateTempSubdirectory("bud-clock-");
        await OldGarden.WriteAsync(folder.FullName, "LYC-01");
        await using (
            var app = await Server.BuildAsync(
                new()
                {
                    Port = 0,
                    DataFolder = folder.FullName,
                    Day = new(2031, 5, 24),
                }
            )
        )
        {
            await app.StartAsync(Stop);
            using var http = new HttpClient { BaseAddress = new(app.Urls.Single()) };
            Assert.Contains("LYC-01", await http.GetStringAsync("/plants/lyc-01", Stop));
        }
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        folder.Delete(recursive: true);
    }
}
