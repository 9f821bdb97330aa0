namespace BudClock.Web.Tests;

/// <summary>The form for an entry, the line of the Bench, the first pages of a garden.</summary>
public class LogFormTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    static Task<string> GardenAsync(Site site) => site.Http.GetStringAsync("/api/garden", Stop);

    [Fact]
    public async Task The_log_form_offers_what_is_likely_and_what_the_plant_can_have()
    {
        var site = await Site.ReadAsync();
        var lycaste = await site.PageAsync("/plants/LYC-01/log");
        Assert.Contains("Soaked", lycaste.QuerySelectorAll("nav[aria-label='Likely now'] a").Select(a => a.Words()));
        Assert.InRange(lycaste.QuerySelectorAll("nav[aria-label='Likely now'] a").Length, 3, 12);
        var offered = await KindsAsync(site, "PHA-01");
        Assert.Contains("Watered", offered);
        Assert.DoesNotContain("Tuber", offered);
        Assert.DoesNotContain("Winter rosette", offered);
        Assert.Contains("Tuber", await KindsAsync(site, "CLD-01"));
    }

    static async Task<List<string>> KindsAsync(Site site, string tag) =>
        [.. (await site.PageAsync($"/plants/{tag}/log")).QuerySelectorAll("datalist#kinds option").Select(o => o.GetAttribute("value")!)];

    [Theory]
    [InlineData("Bulbs", "Bulbs")]
    [InlineData("bulbs", "Bulbs")]
    [InlineData("spike-length", "Spike")]
    [InlineData("New roots showing", "New roots showing")]
    public async Task A_kind_is_chosen_by_its_words_or_its_name(string kind, string heading)
    {
        var site = await Site.ReadAsync();
        var page = await site.PageAsync($"/plants/LYC-01/log?kind={Uri.EscapeDataString(kind)}");
        Assert.Equal(heading, page.QuerySelector("#entry-fields h2").Words());
    }

    [Fact]
    public async Task The_log_form_says_what_it_logged_and_offers_to_take_it_back()
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/plants/LYC-01/log", ("Form.Kind", "bulbs"), ("Form.Words", "plump"));
        Assert.Contains("Logged on LYC-01: Bulbs plump.", page.QuerySelector("#said").Words());
        Assert.Equal("Undo", page.QuerySelector("#said button").Words());
    }

    [Fact]
    public async Task The_line_of_the_bench_is_read_for_the_ticked_alone()
    {
        await using var site = await Site.DemoAsync();
        var none = await Site.ParseAsync(await site.SendAsync("/bench?handler=Read", true, ("text", "soaked 400 ml")));
        Assert.Contains("Tick at least one plant first.", none.Body.Words());
        var read = await Site.ParseAsync(
            await site.SendAsync("/bench?handler=Read", true, ("text", "soaked 400 ml yday"), ("tags", "LYC-01"), ("tags", "CAL-02"))
        );
        Assert.Contains("2 plants Soaked 400 mL 23 May", read.Body.Words());
        // A plant that the line names by itself is no plant that was ticked.
        var named = await site.PostAsync("/bench", ("text", "soaked cat-01"), ("tags", "LYC-01"));
        Assert.DoesNotContain("Logged", named.QuerySelector("#said").Words());
    }

    [Fact]
    public async Task More_plants_than_a_line_has_room_for_are_logged_from_the_bench()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync(
            "/plants/list?handler=Take",
            [
                .. Enumerable
                    .Range(0, 400)
                    .SelectMany(i => new[] { ($"Rows[{i}].Tag", $"NURSERY-{i:0000}"), ($"Rows[{i}].Taxon", "Hoya carnosa") }),
            ]
        );
        var ticks = Enumerable.Range(0, 400).Select(i => ("tags", $"NURSERY-{i:0000}"));
        var page = await site.PostAsync("/bench", [("text", "watered 200 ml"), .. ticks]);
        Assert.Contains("Logged on 400 plants: Watered 200 mL.", page.QuerySelector("#said").Words());
    }

    [Fact]
    public async Task A_plant_without_a_tag_gets_the_next_of_its_genus()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/plants/new", ("Form.Taxon", "Lycaste cruenta"), ("Form.Doing", "growing"));
        Assert.Contains("\"LYC-02\"", await GardenAsync(site));
        var typed = await Site.ParseAsync(await site.SendAsync("/plants/new?handler=Sheet", true, ("Form.Taxon", "Hoya")));
        Assert.Contains("Its tag, unless you write another below: HOY-01", typed.Body.Words());
    }

    [Theory]
    [InlineData("Form.Where", "nowhere", "\"nowhere\" is no position and no larger town; write it like 51.5 N 0.7 E, or tap the map.")]
    [InlineData("Form.Name", "", "The garden needs a name of at most 60 characters.")]
    [InlineData("Form.TimeZone", "Moon/Base", "Choose a time zone.")]
    public async Task The_first_page_comes_back_as_typed(string field, string value, string words)
    {
        await using var site = await Site.EmptyAsync();
        var fields = new Dictionary<string, string>
        {
            ["Form.Name"] = "Mine",
            ["Form.Where"] = "51.5 N 0.7 E",
            ["Form.TimeZone"] = "Europe/London",
            [field] = value,
        };
        var page = await site.PostAsync("/start?handler=Position", [.. fields.Select(pair => (pair.Key, pair.Value))]);
        Assert.Contains(words, page.QuerySelector("main").Words());
        if (field != "Form.Name")
            Assert.Equal("Mine", page.QuerySelector("#garden-name")!.GetAttribute("value"));
    }

    [Fact]
    public async Task A_zone_that_the_sun_contradicts_is_taken_when_it_is_said_to_be_right()
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        (string, string)[] fields = [("Form.Name", "Mine"), ("Form.Where", "40.7 N 74 W"), ("Form.TimeZone", "Europe/London")];
        var asked = await site.PostAsync("/start?handler=Position", fields);
        Assert.NotNull(asked.QuerySelector("#zone-right"));
        await site.PostAsync("/start?handler=Position", [.. fields, ("Form.ZoneIsRight", "true")]);
        Assert.Contains("\"timeZone\": \"Europe/London\"", await GardenAsync(site));
    }

    [Theory]
    [InlineData("garden.json", "{ broken", "line 1")]
    [InlineData("photo.zip", "PK nonsense", "zip")]
    public async Task A_file_that_is_none_begins_nothing_and_says_why(string name, string content, string words)
    {
        await using var site = await Site.EmptyAsync();
        var page = await site.UploadAsync("/start?handler=File", "file", (name, System.Text.Encoding.UTF8.GetBytes(content)));
        Assert.Contains(words, page.QuerySelector("[role=alert]").Words());
        Assert.Contains("A new garden", (await site.PageAsync("/")).QuerySelector("h1").Words());
    }

    [Fact]
    public async Task The_demo_has_no_practice_and_a_young_garden_has()
    {
        await using var demo = await Site.DemoAsync();
        Assert.Null((await demo.PageAsync("/")).QuerySelector(".practice"));
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        await site.PostAsync(
            "/start?handler=Position",
            ("Form.Name", "Mine"),
            ("Form.Where", "51.5 N 0.7 E"),
            ("Form.TimeZone", "Europe/London")
        );
        Assert.Null((await site.PageAsync("/")).QuerySelector(".practice")); // nothing to write about yet
        await site.PostAsync("/plants/new", ("Form.Taxon", "Clivia miniata"), ("Form.Place", "bench"));
        var lines = (await site.PageAsync("/")).QuerySelectorAll(".practice .take").Select(b => b.GetAttribute("data-line")!).ToList();
        Assert.Equal(5, lines.Count);
        foreach (var line in lines)
        {
            var first = await site.PostAsync("/notes", ("text", line));
            if (first.QuerySelector("input[name=keep]") is { } keep)
                await site.PostAsync("/notes", ("text", line), ("keep", keep.GetAttribute("value")!), ("kept", line));
        }
        Assert.Null((await site.PageAsync("/")).QuerySelector(".practice")); // all done
    }
}
