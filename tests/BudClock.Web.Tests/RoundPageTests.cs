using BudClock.Core.Advising;

namespace BudClock.Web.Tests;

public class RoundPageTests
{
    [Fact]
    public async Task The_demo_shows_what_asks_and_what_is_held()
    {
        var site = await Site.ReadAsync();
        var page = await site.PageAsync("/");
        Assert.Equal("Saturday round", page.QuerySelector("h1").Words());
        Assert.Contains("Pretend day: Saturday 24 May 2031", page.QuerySelector(".pretend").Words());
        Assert.Equal("Hold Calanthe, winter-deciduous CAL-02 Roots 8.5 of 10 cm; on the trend about 27 May (26–28 May).", Row("CAL-02"));
        Assert.StartsWith(
            "Do Lycaste, yellow LYC-01 Roots 11 cm, bulbs wrinkled, nights 14 °C: first soak today, with the first light feed in it.",
            Row("LYC-01")
        );
        Assert.StartsWith("Do Goblin orchid MOR-01 Bulbs are shrivelled", Row("MOR-01"));
        Assert.StartsWith("Look Calanthe, white CAL-06 Soaked 4 days ago: have the bulbs filled?", Row("CAL-06"));
        Assert.StartsWith("Do Slipper orchid, spotted PAP-04 Rot (newest fan brown at the base) yesterday: act today.", Row("PAP-04"));
        Assert.Contains("PAP-04", page.QuerySelector(".place-head.first + ul").Words());
        Assert.StartsWith(
            "Look Wax vine, thin HOY-03 Leaves limp today although the medium was wet today: tip it out and look at the roots.",
            Row("HOY-03")
        );
        Assert.StartsWith("Look Lycaste, rose LYC-04 Nights are down to", Row("LYC-04"));
        Assert.True(page.QuerySelectorAll(".row-plant").Length >= 14);

        string Row(string tag) => page.QuerySelector($"#row-{tag} .row-words").Words();
    }

    [Fact]
    public async Task Why_shows_the_conditions_with_the_day_each_was_seen_and_the_other_school()
    {
        var site = await Site.ReadAsync();
        var why = (await site.PageAsync("/?selected=lyc-01")).QuerySelector(".chosen .why");
        Assert.Contains("met: Root length 11 / 10 cm 20 May", why.Words());
        Assert.Contains("The other school, sip: Give a little along the rim", why.Words());
        Assert.Contains("It risks: a small drink can dry out", why.Words());
    }

    [Fact]
    public async Task Before_and_now_stand_beside_a_second_look_with_their_numbers()
    {
        var site = await Site.ReadAsync();
        var advice = (await site.PageAsync("/plants/CAL-02")).QuerySelector("[aria-label='Second look']").Words();
        Assert.Matches(@"Roots 2031 before [\d.]+ cm 10 May", advice);
        Assert.Contains("Roots 2031 now 8.5 cm 22 May", advice);
    }

    [Fact]
    public async Task Why_says_which_bottle_how_strong_and_what_the_other_school_would_do()
    {
        var site = await Site.ReadAsync();
        var feed = (await site.PageAsync("/?selected=hoy-02")).QuerySelector(".why [aria-label=Feed]");
        Assert.Contains(
            "It grows, and no feed is on record: bloom bottle, 50 % of the label; Bloom mix has 25 %, 58 ppm N (in spike with a growth "
                + "moving too).",
            feed.Words()
        );
        Assert.Contains(
            "The other school, growth: It stays on the growth bottle until the growth is done. It risks: the spike gets no extra "
                + "phosphorus",
            feed.Words()
        );
        Assert.Equal("/plants/HOY-02/recipe", feed!.QuerySelector("p a")!.GetAttribute("href"));
    }

    [Fact]
    public async Task A_place_narrows_the_round()
    {
        var site = await Site.ReadAsync();
        var page = await site.PageAsync("/?place=frame");
        Assert.Equal(
            ["LYC-04", "MIL-01", "NER-03", "ZAN-01"],
            page.QuerySelectorAll(".row-plant").Select(row => row.GetAttribute("data-tag")!).Order()
        );
    }

    [Fact]
    public async Task A_plant_put_off_is_asked_about_tomorrow()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes?handler=Entry", ("tag", "LYC-01"), ("kind", "put-off"));
        Assert.NotNull((await site.PageAsync("/")).QuerySelector("#later #row-LYC-01"));
    }

    [Fact]
    public async Task What_is_due_by_habit_is_wished_away_with_one_tap()
    {
        await using var site = await Site.DemoAsync();
        var measured = (await site.PageAsync("/"))
            .QuerySelectorAll(".row-plant .reason")
            .First(r => r.Words().EndsWith("ago: measure again."));
        var row = measured.Closest(".row-plant")!;
        var (tag, chosen) = (row.GetAttribute("data-tag")!, row.QuerySelector("a.choose")!.GetAttribute("href")!);
        var wish = (await site.PageAsync(chosen)).QuerySelector("input[value=not-asked]")!.Closest("form")!;
        Assert.Equal("Not with this one", wish.QuerySelector("button").Words());
        await site.PostAsync(
            "/notes?handler=Entry",
            [
                .. wish.QuerySelectorAll("input[type=hidden]")
                    .Select(i => (i.GetAttribute("name")!, i.GetAttribute("value")!))
                    .Where(i => i.Item1[0] != '_'),
            ]
        );
        Assert.DoesNotContain("last measured", (await site.PageAsync(chosen)).QuerySelector($"#row-{tag} .reason").Words());
        Assert.Contains("it is not asked any more", (await site.PageAsync($"/plants/{tag}")).QuerySelector(".waiting").Words());
    }

    [Fact]
    public async Task Another_day_can_be_asked_about()
    {
        await using var site = await Site.DemoAsync(new(2031, 5, 30));
        var page = await site.PageAsync("/");
        Assert.Equal("Friday round", page.QuerySelector("h1").Words());
        Assert.Contains("on the trend they are long enough by now. Measure.", page.QuerySelector("#row-CAL-02").Words());
    }

    [Fact]
    public async Task Nothing_on_a_page_needs_a_script_or_style_that_is_not_a_file()
    {
        var site = await Site.ReadAsync();
        foreach (var path in (string[])["/", "/plants/CAL-02", "/plants/new", "/places", "/garden"])
        {
            var response = await site.Http.GetAsync(path, TestContext.Current.CancellationToken);
            Assert.Contains("default-src 'self'", string.Join(' ', response.Headers.GetValues("Content-Security-Policy")));
            var page = await site.PageAsync(path);
            Assert.Empty(page.QuerySelectorAll("script:not([src]), style, [style], [onclick]"));
            Assert.All(page.QuerySelectorAll("script, link[rel=stylesheet]"), e =>
                Assert.StartsWith("/", e.GetAttribute("src") ?? e.GetAttribute("href"))
            );
            Assert.All(page.QuerySelectorAll("script, link[rel=stylesheet]"), e =>
            {
                var file = (e.GetAttribute("src") ?? e.GetAttribute("href"))!.Split("?v=");
                Assert.True(File.Exists(Path.Combine(AppContext.BaseDirectory, "wwwroot" + file[0])), file[0]);
                Assert.NotEmpty(file[1]);
            });
        }
    }
}
