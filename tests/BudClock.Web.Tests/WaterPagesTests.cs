using BudClock.Core.Advising;

namespace BudClock.Web.Tests;

/// <summary>Store, trays, sheets, the sitter's sheet, and what they do when something is wrong.</summary>
public class WaterPagesTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task The_store_shows_what_rests_and_when_it_is_felt_next()
    {
        var site = await Site.ReadAsync();
        var row = (await site.PageAsync("/store")).QuerySelectorAll(".store-row").Single(r => r.Words().Contains("CLD-01"));
        Assert.Contains("WhereDry store, paper bag, in the dark", row.Words());
        Assert.Contains("Last feltfirm, 1 May", row.Words());
    }

    [Fact]
    public async Task A_check_that_is_past_due_is_a_look_and_never_an_order()
    {
        await using var site = await Site.DemoAsync(new(2031, 6, 10));
        var row = (await site.PageAsync("/store")).QuerySelectorAll(".store-row").Single(r => r.Words().Contains("CLD-01"));
        Assert.Contains("Look", row.QuerySelector(".verdict").Words());
        Assert.Contains(
            "Its time to wake and warm enough: feel it",
            (await site.PageAsync("/plants/CLD-01")).QuerySelector(".advice").Words()
        );
    }

    [Fact]
    public async Task One_tap_logs_water_for_all_plants_of_a_place_that_want_the_same()
    {
        await using var site = await Site.DemoAsync();
        var text = (await site.PageAsync("/")).QuerySelector(".place-head input[name=text]")!.GetAttribute("value")!;
        Assert.Equal("HOY-02, STR-07: watered", text);
        await site.PostAsync("/notes", ("text", text));
        foreach (var tag in (string[])["HOY-02", "STR-07"])
            Assert.Contains(
                "Watered today; it is likely to ask again about",
                (await site.PageAsync($"/plants/{tag}")).QuerySelector(".advice").Words()
            );
    }

    [Fact]
    public async Task A_tray_is_made_filled_and_says_what_to_take_out()
    {
        await using var site = await Site.DemoAsync();
        Assert.Contains(
            "3 plants in Sill tray: the tray was down to 0.4 cm yesterday: refill to 2.5 cm",
            (await site.PageAsync("/")).QuerySelector(".row-tray").Words()
        );
        await site.PostAsync("/notes", ("text", "dro-01 tray 2.5cm"));
        Assert.Null((await site.PageAsync("/")).QuerySelector(".row-tray"));
        await site.PostAsync("/notes", ("text", "pin-02 winter rosette"));
        Assert.Contains(
            "Take out PIN-02 (Butterwort, violet): its winter rosette since 24 May",
            (await site.PageAsync("/")).QuerySelector(".row-tray").Words()
        );

        var page = await site.PostAsync("/trays", ("Name", "Bench tray"), ("Kind", "tray"), ("Place", "south"), ("Tags", "VAN-01"));
        Assert.Contains("take it out: its roots are not made to stand in water", page.QuerySelector("main").Words());
        Assert.Contains(
            "It needs a name",
            (await site.PostAsync("/trays", ("Name", ""), ("Kind", "tray"))).QuerySelector("[role=alert]").Words()
        );
    }

    [Fact]
    public async Task A_number_is_tried_before_it_is_saved_and_goes_back()
    {
        await using var site = await Site.DemoAsync();
        var tried = await site.PostAsync("/sheets/clivia?handler=Try", ("Name", "W3.every-from"), ("Value", "3"), ("Plant", ""));
        Assert.Contains("W3 every from: 3 days for the sheet, instead of 10 days.", tried.QuerySelector("main").Words());
        Assert.Empty((await site.PageAsync("/sheets/clivia")).QuerySelectorAll(".own")); // not saved yet
        await site.PostAsync("/sheets/clivia?handler=Save", ("Name", "W3.every-from"), ("Value", "3"), ("Plant", "cli-01"));
        Assert.Contains("3 days for CLI-01", (await site.PageAsync("/sheets/clivia")).QuerySelector(".own").Words());
        Assert.Contains("\"value\": 3", (await site.Http.GetStringAsync("/api/garden", Stop))[^400..]);
        await site.PostAsync("/sheets/clivia?handler=Back", ("Name", "W3.every-from"), ("Plant", "CLI-01"));
        Assert.Empty((await site.PageAsync("/sheets/clivia")).QuerySelectorAll(".own"));
    }

    [Fact]
    public async Task A_sheet_shows_what_differs_and_the_rest_when_it_is_asked_for()
    {
        await using var site = await Site.DemoAsync();
        var own = (await site.PageAsync("/sheets/clivia")).QuerySelector("main").Words();
        var all = (await site.PageAsync("/sheets/clivia?all=true")).QuerySelector("main").Words();
        Assert.Contains("W3 drying out between waterings The shortest usual interval in growth: 10 days", own);
        Assert.DoesNotContain("W13", own);
        Assert.Contains("W13 how pot, medium and warmth change the days between waterings In clay: 0.8 times Clay dries faster", all);
        var sign = (await site.PageAsync("/sheets/clivia")).QuerySelector("form:has([value='W3.leaf-sign']) select");
        Assert.Equal(["yes", "no"], sign!.QuerySelectorAll("option").Select(option => option.Words()));
        var general = (await site.PageAsync("/sheets/general")).QuerySelector("main").Words();
        Assert.Contains("A medium felt wet or damp: 2 days", general);
    }

    [Fact]
    public async Task What_a_change_makes_of_today_is_shown_plant_by_plant()
    {
        await using var site = await Site.DemoAsync();
        var tried = await site.PostAsync(
            "/sheets/leafless-pseudobulb?handler=Try",
            ("Name", "W1.root-length-small"),
            ("Value", "8"),
            ("Plant", "")
        );
        Assert.Contains(
            "Calanthe, winter-deciduous CAL-02: Hold → Do.",
            tried.QuerySelector("[aria-label='What it changes today']").Words()
        );
    }

    [Theory]
    [InlineData("W3.every-from", "many", "", "\"many\" is no number.")]
    [InlineData("W99.nothing", "3", "", "W99.nothing is no number on the sheet clivia.")]
    [InlineData("W3.every-from", "3", "XXX-1", "No plant here is tagged \"XXX-1\".")]
    public async Task A_change_that_cannot_be_is_refused(string name, string value, string plant, string sentence)
    {
        await using var site = await Site.DemoAsync();
        Assert.Contains(
            sentence,
            (await site.PostAsync("/sheets/clivia?handler=Try", ("Name", name), ("Value", value), ("Plant", plant)))
                .QuerySelector("[role=alert]")
                .Words()
        );
    }

    [Fact]
    public async Task Every_advice_links_to_the_rule_that_explains_it()
    {
        var site = await Site.ReadAsync();
        var rules = await site.PageAsync("/rules");
        foreach (var adviser in Advisers.All)
            Assert.True(rules.GetElementById(adviser.Rule) is not null, $"{adviser.Rule} is not in docs/rules.md");
        Assert.Equal("/rules#W3", (await site.PageAsync("/plants/HOY-02")).QuerySelector(".advice a.rule")!.GetAttribute("href"));
    }

    [Fact]
    public async Task The_sitter_s_sheet_is_for_as_many_days_as_asked()
    {
        var site = await Site.ReadAsync();
        var page = await site.PageAsync("/sitter?days=14");
        Assert.Contains("24 May – 6 Jun", page.QuerySelector("main").Words());
        Assert.Contains("Leave alone:", page.QuerySelector("main").Words());
        Assert.Contains("Sill tray: look, and fill it with rain water to its mark: Sat 24 May", page.QuerySelector("main").Words());
        Assert.Contains("Slipper orchid, spotted (PAP-04): ill, no water", page.QuerySelector("main").Words());
        var later = await site.PageAsync("/sitter?days=3&from=2031-06-02&telephone=0100+555&words=The+key+is+under+the+lamp");
        Assert.Contains("2–4 Jun", later.QuerySelector("main").Words());
        Assert.Contains("Questions: 0100 555 The key is under the lamp", later.QuerySelector("main").Words());
        Assert.DoesNotContain("DRO-01", page.QuerySelector("main").Words()); // it drinks from the tray: not left alone, not watered twice
        Assert.DoesNotContain(page.QuerySelectorAll(".grid td"), td => td.Words().Contains("CTM-07")); // a first soak stays with the grower
        Assert.Contains("24 May", (await site.PageAsync("/sitter?days=999")).QuerySelector("main").Words());
    }
}
