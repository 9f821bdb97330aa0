using System.Text.Json.Nodes;
using AngleSharp.Dom;
using BudClock.Web.Drawing;

namespace BudClock.Web.Tests;

/// <summary>Potting, young plants and labels over HTTP: what is kept, what follows, and what is said when it cannot be.</summary>
public class PottingPagesTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    static async Task<JsonNode> GardenAsync(Site site) => JsonNode.Parse(await site.Http.GetStringAsync("/api/garden", Stop))!;

    static JsonNode Plant(JsonNode garden, string tag) => garden["plants"]!.AsArray().Single(plant => (string)plant!["tag"]! == tag)!;

    static string Alerts(IDocument page) => MixingPageTests.Alerts(page);

    [Fact]
    public async Task Windows_say_what_is_open_what_waits_and_for_what()
    {
        var site = await Site.ReadAsync();
        var page = await site.PageAsync("/potting");
        Assert.Contains("at once Rot", page.QuerySelector("#window-PAP-04").Words());
        Assert.Contains("held", page.QuerySelector("#window-PHA-01 .window-word").Words());
        Assert.Contains("plain water once a month", page.QuerySelector("#window-PHA-01 .tide").Words());
        Assert.Equal("PAP-04", page.QuerySelector("input[name=tags][checked]")!.GetAttribute("value"));
        Assert.Contains("Cold: Cold frame", page.QuerySelector(".windows").Words());
    }

    [Fact]
    public async Task A_size_that_is_too_large_is_warned_of_and_one_that_is_none_is_refused()
    {
        var site = await Site.ReadAsync();
        Assert.Contains("spare wet medium rots roots", (await site.PageAsync("/plants/CAT-01/repot?Pot=24")).QuerySelector("main").Words());
        var page = await site.PageAsync("/plants/CAT-01/repot?Pot=0");
        Assert.Contains("1 to 200 cm; \"0\" is none", Alerts(page));
        Assert.Null(page.QuerySelector(".section"));
        Assert.NotNull((await site.PageAsync("/plants/CAT-01/repot?Pot=6+in&Mix=airy")).QuerySelector(".section"));
    }

    [Fact]
    public async Task A_mix_is_worked_out_for_pots_and_a_pot_of_nothing_is_no_pot()
    {
        var site = await Site.ReadAsync();
        var page = await site.PageAsync("/potting/mix?Mix=bulbs&Pots=12&Pot=14&High=12");
        // By hand: 14 cm, 10.5 below, 2 cm of pebbles, 2 cm free: 0.946 L each, 11.35 for twelve, 13.35 with 15 % to settle by.
        Assert.Contains("13.35 L", page.QuerySelector("#bill").Words());
        Assert.Contains("1 block, soaked in 3.5 L", page.QuerySelector(".bill").Words());
        Assert.Contains("wear a mask", page.QuerySelector(".bill .caution").Words());
        Assert.Contains("\"0\" is none", Alerts(await site.PageAsync("/potting/mix?Pot=0")));
    }

    [Fact]
    public async Task Pots_and_mixes_are_kept_counted_anew_and_taken_away_and_faults_come_back_as_typed()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/potting/pots?handler=Pot", ("Wide", "12"), ("High", ""), ("Kind", "clay"), ("Count", "2"));
        Assert.Equal(
            2,
            (int)(await GardenAsync(site))["potting"]!["pots"]!.AsArray().Single(p => (string)p!["code"]! == "clay-12")!["count"]!
        );
        var refused = await site.PostAsync("/potting/pots?handler=Pot", ("Wide", "0"), ("Kind", ""), ("Count", "-1"));
        Assert.Contains("\"0\" is none", Alerts(refused));
        Assert.Contains("made of", Alerts(refused));
        Assert.Equal("-1", refused.QuerySelector("input[name=Count]")!.GetAttribute("value"));
        var nothing = await site.PostAsync("/potting/pots?handler=Mix", ("Name", "Nothing"), ("Parts", "0 bark, 0 perlite"));
        Assert.Contains("at least one part above 0", Alerts(nothing));
        await site.PostAsync("/potting/pots?handler=Mix", ("Name", "Sill mix"), ("Parts", "3 bark, 1 pumice"), ("Settles", "8"));
        Assert.Contains("Sill mix (your own)", (await site.PageAsync("/potting/mix")).QuerySelector("main").Words());
        await site.PostAsync("/potting/pots?handler=WithoutMix", ("code", "sill-mix"));
        await site.PostAsync("/potting/pots?handler=WithoutPot", ("code", "net-13"));
        var shed = (await GardenAsync(site))["potting"]!.ToJsonString();
        Assert.DoesNotContain("Sill mix", shed);
        Assert.DoesNotContain("net-13", shed);
        await site.PostAsync("/notes?handler=Undo");
        Assert.Contains("net-13", (await GardenAsync(site))["potting"]!.ToJsonString());
    }

    [Fact]
    public async Task A_repot_sets_pot_and_medium_takes_the_pot_off_the_shelf_and_is_one_act()
    {
        await using var site = await Site.DemoAsync();
        (string, string)[] typed =
        [
            ("Plants[0].Tag", "CAT-01"),
            ("Plants[0].Pot", "14"),
            ("Plants[0].High", "12"),
            ("Plants[0].Kind", "plastic"),
            ("Plants[0].Mix", "open-bark"),
            ("Plants[0].Sound", "true"),
            ("Plants[0].Note", "one bulb came off"),
        ];
        Assert.Contains("Tick the plants", Alerts(await site.PostAsync("/potting/day", typed)));
        await site.PostAsync("/potting/day", [.. typed, ("Plants[0].Done", "true")]);
        var garden = await GardenAsync(site);
        var plant = Plant(garden, "CAT-01");
        Assert.Equal(
            (14, 12, "plastic"),
            ((double)plant["pot"]!["diameterCm"]!, (double)plant["pot"]!["heightCm"]!, (string)plant["pot"]!["kind"]!)
        );
        Assert.Equal("bark and perlite and charcoal", (string)plant["medium"]!);
        Assert.Equal(2, (int)garden["potting"]!["pots"]!.AsArray().Single(pot => (string)pot!["code"]! == "plastic-14")!["count"]!);
        var log = (await site.PageAsync("/plants/CAT-01")).QuerySelector(".log").Words();
        Assert.Contains("into 14 cm plastic, bark and perlite and charcoal, sound roots, one bulb came off", log);
        await site.PostAsync("/notes?handler=Undo");
        var back = await GardenAsync(site);
        Assert.Equal("bark", (string)Plant(back, "CAT-01")["medium"]!);
        Assert.Equal(3, (int)back["potting"]!["pots"]!.AsArray().Single(pot => (string)pot!["code"]! == "plastic-14")!["count"]!);
    }

    [Fact]
    public async Task What_was_noted_for_the_next_repot_is_tucked_in()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "CAT-01: note cut the dead spike off at the next repot"));
        Assert.Contains(
            "cut the dead spike off",
            (await site.PageAsync("/potting/day?tags=CAT-01")).QuerySelector(".stand .ticks").Words()
        );
    }

    [Fact]
    public async Task A_division_makes_plants_with_parentage_in_two_media()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/plants/CAT-01/divide", ("Parts", "3"), ("Wide", "10"), ("Media", "bark"), ("Media", "moss"), ("Note", ""));
        var garden = await GardenAsync(site);
        foreach (var tag in new[] { "CAT-02", "CAT-03" })
        {
            var part = Plant(garden, tag);
            Assert.Equal(("CAT-01", "division", "moss"), ((string)part["parent"]!, (string)part["origin"]!, (string)part["medium"]!));
            // Its roots were torn today: nobody feeds it.
            Assert.DoesNotContain("Do", (await site.PageAsync($"/plants/{tag}")).QuerySelectorAll(".verdict").Select(v => v.Words()));
        }
        Assert.Contains("into 3: CAT-01, CAT-02, CAT-03", (await site.PageAsync("/plants/CAT-01")).QuerySelector(".log").Words());
        Assert.Contains("\"1\" is none", Alerts(await site.PostAsync("/plants/CAT-01/divide", ("Parts", "1"))));
        await site.PostAsync("/notes?handler=Undo");
        Assert.DoesNotContain((await GardenAsync(site))["plants"]!.AsArray(), plant => (string)plant!["tag"]! == "CAT-02");
    }

    [Fact]
    public async Task A_batch_with_more_rooted_than_started_is_refused_and_stays_as_typed()
    {
        await using var site = await Site.DemoAsync();
        var refused = await site.PostAsync("/young/C1?handler=Count", ("HowMany", "7"), ("What", "rooted"));
        Assert.Contains("10 rooted, but only 9 were started", Alerts(refused));
        Assert.Equal("7", refused.QuerySelector("input[name=HowMany]")!.GetAttribute("value"));
        var wrong = await site.PostAsync("/young/new", ("Parent", "NOPE-1"), ("HowMany", "none"), ("Started", "2099-01-01"));
        Assert.Contains("No plant here is tagged \"NOPE-1\"", Alerts(wrong));
        Assert.Contains("still to come", Alerts(wrong));
        Assert.Contains("Choose how", Alerts(wrong));
        Assert.Contains(
            "are more than there are",
            Alerts(await site.PostAsync("/young/C1?handler=Count", ("HowMany", "5"), ("What", "given")))
        );
        Assert.Contains("9 started, 3 rooted, 1 lost", (await site.PageAsync("/young/C1")).QuerySelector("main").Words());
    }

    [Fact]
    public async Task A_succulent_s_cut_dries_first_and_its_mother_remembers()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/young/new", ("method", "cutting"), ("Parent", "eup-01"), ("HowMany", "2"));
        var page = await site.PageAsync("/young/C3");
        Assert.Contains("The cut dries until 31 May", page.QuerySelector("main").Words());
        Assert.Contains("2 × cutting taken for batch C3", (await site.PageAsync("/plants/EUP-01")).QuerySelector(".log").Words());
        Assert.Contains("glasses", (await site.PageAsync("/young/new?parent=EUP-01")).QuerySelector(".caution").Words());
    }

    [Fact]
    public async Task A_plant_cannot_be_its_own_parent_nor_its_child_s_child()
    {
        await using var site = await Site.DemoAsync();
        var (name, version) = await site.VersionAsync("SAI-04");
        var page = await site.PostAsync(
            "/plants/SAI-04/edit",
            ("Form.Taxon", "Saintpaulia ionantha"),
            ("Form.Parent", "SAI-04"),
            (name, version)
        );
        Assert.Contains("No other plant here is tagged", page.QuerySelector("main").Words());
        (name, version) = await site.VersionAsync("SAI-03");
        page = await site.PostAsync(
            "/plants/SAI-03/edit",
            ("Form.Taxon", "Saintpaulia ionantha"),
            ("Form.Parent", "SAI-04"),
            (name, version)
        );
        Assert.Contains("SAI-04 was made from SAI-03", page.QuerySelector("main").Words());
    }

    [Fact]
    public async Task A_rescue_is_by_kind()
    {
        var site = await Site.ReadAsync();
        async Task<string> Of(string tag) => (await site.PageAsync($"/plants/{tag}/rescue")).QuerySelector("main").Words();
        Assert.Contains("Standing in pure water as ever", await Of("DRO-01"));
        Assert.Contains("the cut dries first", await Of("EUP-01"));
        Assert.Contains("corms beside it", await Of("ALO-05"));
        Assert.Contains("Today is better than tomorrow", await Of("PAP-04"));
    }

    /// <summary>Words that are too long are cut with an ellipsis, and the tag never is.</summary>
    [Fact]
    public void A_label_holds_the_longest_tag_and_cuts_the_name()
    {
        foreach (var sheet in LabelSheet.All)
        {
            var label = PlantLabel.Of(
                sheet,
                new(new string('W', 20), new string('m', 90), "Saintpaulia", "http://127.0.0.1:5080/plants/X")
            );
            Assert.Equal(new string('W', 20), label.Texts[0].Words);
            Assert.EndsWith("…", label.Texts[1].Words);
            Assert.All(label.Texts, text =>
                Assert.True(
                    text.X + (text.Bold ? LabelFonts.Bold : LabelFonts.Plain).Width(text.Words, text.Size) <= sheet.Width - label.Qr,
                    $"{sheet.Name}: {text.Words}"
                )
            );
            Assert.True(label.Texts[^1].Y < sheet.Height);
        }
    }
}
