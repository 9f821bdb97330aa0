using System.Text.Json;
using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Data;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests;

/// <summary>Setting up, plants, places, and the garden file on its page.</summary>
public class GardenPagesTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_plant_form_comes_back_as_typed_with_each_fault_beside_its_field()
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync(
            "/plants/new",
            ("Form.Tag", "cal-02"),
            ("Form.Taxon", ""),
            ("Form.Name", "Mine"),
            ("Form.PotDiameter", "wide"),
            ("Form.Acquired", "2032-01-01")
        );
        var main = page.QuerySelector("main").Words();
        Assert.Contains("cal-02 is taken. A tag stays with its plant for good.", main);
        Assert.Contains("Write at least the genus", main);
        Assert.Contains("\"wide\" is no pot size", main);
        Assert.Contains("1 Jan 2032 is still to come.", main);
        Assert.Equal(("cal-02", "Mine", "wide"), (Typed("Tag"), Typed("Name"), Typed("PotDiameter")));

        string? Typed(string field) => page.QuerySelector($"#Form_{field}")!.GetAttribute("value");
    }

    [Fact]
    public async Task A_new_plant_finds_its_sheet_and_stands_on_the_round()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync(
            "/plants/new",
            ("Form.Tag", "LYC-09"),
            ("Form.Taxon", "Lycaste tricolor"),
            ("Form.Place", "south"),
            ("Form.PotDiameter", "4 1/2 in"),
            ("Form.Schools[first-water]", "sip")
        );
        await site.PostAsync("/notes", ("text", "lyc-09 new growth 2 may, roots 7 cm"));
        var row = (await site.PageAsync("/")).QuerySelector("#row-LYC-09 .row-words").Words();
        Assert.Equal("Hold LYC-09 LYC-09 Roots 7 of 15 cm.", row.Replace("Lycaste tricolor", "LYC-09")); // 11.43 cm is a large pot
        var edit = await site.PageAsync("/plants/LYC-09/edit");
        Assert.Equal("11.43", edit.QuerySelector("#Form_PotDiameter")!.GetAttribute("value"));
        Assert.True(edit.QuerySelector("#school-sip")!.HasAttribute("checked"));
    }

    [Fact]
    public async Task A_common_name_leads_to_a_sheet_which_is_shown_and_can_be_changed()
    {
        await using var site = await Site.DemoAsync();
        var meant = await Site.ParseAsync(await site.SendAsync("/plants/new?handler=Sheet", true, ("Form.Taxon", "african violet")));
        Assert.Contains("Rosette gesneriads", meant.QuerySelector("#sheet-words").Words());
        var slip = await Site.ParseAsync(await site.SendAsync("/plants/new?handler=Sheet", true, ("Form.Taxon", "Phalenopsis")));
        Assert.Contains("No sheet covers this name yet", slip.QuerySelector("#sheet-words").Words());
        Assert.Equal("Phalaenopsis near to what was typed", slip.QuerySelector(".meant button").Words());

        await site.PostAsync(
            "/plants/new",
            ("Form.Tag", "X-1"),
            ("Form.Taxon", "Unknownia mystica"),
            ("Form.Sheet", "cyclamen"),
            ("Form.Doing", "resting")
        );
        Assert.Equal(
            "cyclamen",
            (await site.PageAsync("/plants/X-1/edit")).QuerySelector("#Form_Sheet option[selected]")!.GetAttribute("value")
        );
        var page = await site.PageAsync("/plants/X-1");
        Assert.Contains("Leaves gone when it was added", page.QuerySelector(".log").Words());
        Assert.Contains("resting since", page.QuerySelector(".advice").Words(), StringComparison.OrdinalIgnoreCase);

        var refused = await site.PostAsync(
            "/plants/new",
            ("Form.Tag", "X-2"),
            ("Form.Taxon", "Lycaste"),
            ("Form.Sheet", "cactus"),
            ("Form.Doing", "flying"),
            ("Form.Schools[first-water]", "flood")
        );
        Assert.Equal(
            [
                "There is no culture sheet \"cactus\".",
                "\"flood\" is no answer to first-water; expected sip or soak",
                "Choose one of the answers.",
            ],
            refused.QuerySelectorAll("span.fault").Select(fault => fault.Words()).Where(words => words.Length > 0)
        );
    }

    [Fact, Long]
    public async Task Sheets_at_the_ends_of_their_ranges_fail_no_page()
    {
        foreach (var least in (bool[])[true, false])
        {
            await using var site = await Site.DemoAsync();
            var changes = CultureSheets.Shipped.All.SelectMany(sheet =>
                sheet.Rules.All.SelectMany(rule =>
                    rule.Value.Thresholds.Select(number => new
                    {
                        sheet = sheet.Name,
                        name = $"{rule.Key}.{number.Key}",
                        value = least ? number.Value.Limit.Least : number.Value.Limit.Most,
                    })
                )
            );
            await ImportAsync(
                site,
                JsonSerializer.Serialize(
                    new
                    {
                        format = "bud-clock-garden",
                        version = 1,
                        plants = Array.Empty<int>(),
                        sheetChanges = changes,
                    }
                )
            );
            var tags = (await site.PageAsync("/bench"))
                .QuerySelectorAll("a[href^='/plants/']")
                .Select(a => a.GetAttribute("href")!)
                .Where(href => href.Count(c => c == '/') == 2)
                .Distinct()
                .ToList();
            Assert.True(tags.Count > 30);
            foreach (
                var path in (string[])
                    [
                        "/",
                        "/store",
                        "/trays",
                        "/sitter",
                        "/sheets",
                        "/sheets/clivia",
                        "/mixing/today",
                        "/mixing/salts",
                        "/rules",
                        .. tags.Where((_, index) => index % 4 == 0),
                    ]
            )
            {
                var page = await site.PageAsync(path); // fails on a page that failed
                Assert.NotNull(page.QuerySelector("main h1"));
                Assert.DoesNotContain("cannot judge this plant", page.QuerySelector("main").Words());
            }
        }
    }

    [Fact]
    public async Task Editing_keeps_the_tag_and_the_log()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync(
            "/plants/CAL-02/edit",
            await site.VersionAsync("CAL-02"),
            ("Form.Taxon", "Calanthe vestita"),
            ("Form.Name", "Renamed"),
            ("Form.Place", "sill"),
            ("Form.Doubtful", "true")
        );
        var page = await site.PageAsync("/plants/CAL-02");
        Assert.Equal("Renamed", page.QuerySelector("h1").Words());
        Assert.Contains("The identity is doubtful.", page.QuerySelector(".plant-head").Words());
        Assert.NotEmpty(page.QuerySelectorAll(".log li"));
    }

    [Fact]
    public async Task A_garden_with_us_units_speaks_them_on_every_page_and_programs_stay_metric()
    {
        await using var site = await Site.DemoAsync();
        await site.SpeakUsUnitsAsync();
        foreach (
            var path in (string[])
                [
                    "/",
                    "/?selected=CAL-02",
                    "/plants/CAL-02",
                    "/plants/ONC-02",
                    "/bench",
                    "/store",
                    "/trays",
                    "/places",
                    "/places/south",
                    "/places/fit?plant=MIL-01",
                    "/places/forecast",
                    "/sitter",
                    "/mixing",
                ]
        )
        {
            var words = (await site.PageAsync(path)).QuerySelector("main").Words();
            Assert.DoesNotMatch(@"\d (cm|°C)\b|\d\d\d mL\b", words);
        }
        Assert.Contains("Roots 3.3 of 3.9 in", (await site.PageAsync("/plants/CAL-02")).QuerySelector("main").Words());
        var advice = await site.Http.GetStringAsync("/api/plants/CAL-02/advice", Stop);
        Assert.Contains("8.5", advice);
        Assert.Contains("\"unit\": \"cm\"", advice);
    }

    [Fact]
    public async Task A_night_written_down_opens_the_gate_for_that_place()
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        await StartAsync(site, "51.5 N 0.7 E", "Europe/London");
        await site.PostAsync("/plants/new", ("Form.Tag", "LYC-01"), ("Form.Taxon", "Lycaste"), ("Form.Place", "bench"));
        await site.PostAsync("/notes", ("text", "lyc-01 new growth 10 april"));
        await site.PostAsync("/notes", ("text", "lyc-01 roots 11 cm"));
        Assert.StartsWith("Look", (await site.PageAsync("/")).QuerySelector("#row-LYC-01 .row-words").Words());
        await site.PostAsync("/places?handler=Nights", ("Nights[bench]", "13,5"));
        Assert.StartsWith("Do", (await site.PageAsync("/")).QuerySelector("#row-LYC-01 .row-words").Words());
        Assert.Contains(
            "\"warm\" is no temperature of a night",
            (await site.PostAsync("/places?handler=Nights", ("Nights[bench]", "warm"))).QuerySelector("[role=alert]").Words()
        );
    }

    [Fact]
    public async Task Places_are_added_renamed_and_walked_in_the_order_chosen()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/places", ("Name", "Lamp room"), ("Setting", "indoors"));
        await site.PostAsync("/places?handler=Move", ("Code", "lamp-room"), ("step", "-1"));
        await site.PostAsync("/places/sill", ("Form.Name", "Sill"), ("Form.Setting", "indoors"));
        var walk = (await site.PageAsync("/")).QuerySelectorAll(".walk li a").Select(a => a.FirstChild!.TextContent.Trim());
        Assert.Equal(["South bench", "Sill", "Cold frame", "Lamp room", "Dry store"], walk.Skip(1));
        Assert.Contains(
            "There is a place called Sill already.",
            (await site.PostAsync("/places", ("Name", "sill"))).QuerySelector("[role=alert]").Words()
        );
    }

    [Fact]
    public async Task In_the_south_december_is_on_top_of_the_dial()
    {
        await using var site = await Site.EmptyAsync(new(2031, 11, 24));
        await StartAsync(site, "33.9 S 18.4 E", "Africa/Johannesburg");
        await site.PostAsync("/plants/new", ("Form.Tag", "LYC-01"), ("Form.Taxon", "Lycaste"));
        var months = (await site.PageAsync("/plants/LYC-01")).QuerySelectorAll(".dial .month");
        Assert.Equal("Dec", months.MinBy(m => double.Parse(m.GetAttribute("y")!)).Words());
        Assert.Equal("Jun", months.MaxBy(m => double.Parse(m.GetAttribute("y")!)).Words());
    }

    [Theory]
    [InlineData("91, 0", "\"91, 0\" is no position")]
    [InlineData("north", "\"north\" is no position")]
    [InlineData("40.7 N 74 W", "There the sun is about 5 hours behind Greenwich, and that zone is not.")]
    public async Task A_garden_that_is_nowhere_on_earth_is_asked_again(string where, string sentence)
    {
        await using var site = await Site.EmptyAsync();
        var page = await StartAsync(site, where, "Europe/London");
        Assert.Contains(sentence, page.QuerySelector("main").Words());
        Assert.Equal(where, page.QuerySelector("#where")!.GetAttribute("value"));
    }

    [Fact]
    public async Task A_broken_garden_file_is_refused_whole_with_every_fault()
    {
        await using var site = await Site.DemoAsync();
        var before = await site.Http.GetStringAsync("/api/garden", Stop);
        var broken = before
            .Replace("\"kind\": \"soaked\"", "\"kind\": \"drowned\"")
            .Replace("\"latitude\": 51.5", "\"latitude\": \"north\"");
        var page = await ImportAsync(site, broken);
        Assert.True(page.QuerySelectorAll(".faults li").Length > 2);
        Assert.Contains("garden.latitude: expected a number, got \"north\"", page.QuerySelector(".faults").Words());
        Assert.Equal(before, await site.Http.GetStringAsync("/api/garden", Stop));
        Assert.Contains("line 1, column", (await ImportAsync(site, "{ broken")).QuerySelector(".faults").Words());
    }

    [Fact]
    public async Task The_same_file_taken_in_twice_adds_nothing()
    {
        await using var site = await Site.DemoAsync();
        var before = await site.Http.GetStringAsync("/api/garden", Stop);
        Assert.Contains("0 new plants, 0 new entries, 0 new readings", (await ImportAsync(site, before)).QuerySelector(".done").Words());
        Assert.Equal(before, await site.Http.GetStringAsync("/api/garden", Stop));
    }

    [Fact]
    public async Task A_file_without_a_garden_of_its_own_leaves_this_one_as_it_is()
    {
        await using var site = await Site.DemoAsync();
        await ImportAsync(
            site,
            """{ "format": "bud-clock-garden", "version": 1, "plants": [ { "tag": "NEW-01", "taxon": "Lycaste" } ] }"""
        );
        var garden = await site.PageAsync("/garden");
        Assert.Equal(
            ("Lighthouse glass", "51.5° N, 0.7° E"),
            (garden.QuerySelector("#garden-name")!.GetAttribute("value"), garden.QuerySelector("#where")!.GetAttribute("value"))
        );
        Assert.NotNull((await site.PageAsync("/bench?q=new-01")).QuerySelector(".tile"));
    }

    [Fact]
    public async Task The_database_writes_through_to_the_disk()
    {
        await using var site = await Site.DemoAsync();
        await using var services = new ServiceCollection().AddGarden(site.Folder).BuildServiceProvider();
        await using var db = await services.GetRequiredService<IDbContextFactory<GardenDb>>().CreateDbContextAsync(Stop);
        Assert.Equal("wal", await Pragma("SELECT journal_mode AS Value FROM pragma_journal_mode"));
        Assert.Equal("2", await Pragma("SELECT CAST(synchronous AS TEXT) AS Value FROM pragma_synchronous")); // 2 is FULL
        Assert.Equal("1", await Pragma("SELECT CAST(foreign_keys AS TEXT) AS Value FROM pragma_foreign_keys"));
        Assert.Empty(await db.Database.GetPendingMigrationsAsync(Stop));
        Assert.False(db.Database.HasPendingModelChanges());

        Task<string> Pragma(string sql) => db.Database.SqlQueryRaw<string>(sql).SingleAsync(Stop);
    }

    static Task<AngleSharp.Dom.IDocument> StartAsync(Site site, string where, string zone) =>
        site.PostAsync("/start?handler=Position", ("Form.Name", "Mine"), ("Form.Where", where), ("Form.TimeZone", zone));

    static Task<AngleSharp.Dom.IDocument> ImportAsync(Site site, string json) =>
        site.ImportAsync("garden.json", System.Text.Encoding.UTF8.GetBytes(json));
}
