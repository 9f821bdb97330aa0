using System.Text;
using BudClock.Core.Advising;

namespace BudClock.Web.Tests;

/// <summary>A garden with more plants than anybody reads in one list.</summary>
public class NurseryTests
{
    const int Plants = 150;

    [Fact]
    public async Task The_round_shows_a_fair_share_and_a_place_shows_all_of_it()
    {
        await using var site = await NurseryAsync();
        var round = await site.PageAsync("/");
        Assert.Equal(40, round.QuerySelectorAll(".round > .rows .row-plant").Length);
        Assert.Equal($"{Plants - 40} more at Bench", round.QuerySelector(".round > .empty a").Words());
        Assert.Equal($"{Plants} to do · 0 to look at · 0 held", round.QuerySelector(".round-head p").Words());
        Assert.Equal(Plants, (await site.PageAsync("/?place=bench")).QuerySelectorAll(".row-plant").Length);
    }

    [Fact]
    public async Task The_bench_has_pages_and_a_page_beyond_the_last_is_the_last()
    {
        await using var site = await NurseryAsync();
        var first = await site.PageAsync("/bench");
        Assert.Equal(60, first.QuerySelectorAll(".tile").Length);
        Assert.Equal("150 plants, page 1 of 3", first.QuerySelector("#bench-list p").Words());
        Assert.Equal("P-121", (await site.PageAsync("/bench?p=3")).QuerySelector(".tile .num").Words());
        Assert.Equal("150 plants, page 3 of 3", (await site.PageAsync("/bench?p=99")).QuerySelector("#bench-list p").Words());
    }

    [Fact]
    public async Task One_note_on_a_place_is_one_act_for_all_of_it()
    {
        await using var site = await NurseryAsync();
        using var logged = await site.SendAsync("/notes", htmx: true, ("text", "bench: soaked"));
        Assert.Contains(
            $"Logged on {Plants} plants: Soaked.",
            await logged.Content.ReadAsStringAsync(TestContext.Current.CancellationToken)
        );
        Assert.Empty((await site.PageAsync("/")).QuerySelectorAll(".round > .rows .row-plant"));
        await site.PostAsync("/notes?handler=Undo");
        Assert.Contains($"{Plants} to do", (await site.PageAsync("/")).QuerySelector(".round-head p").Words());
    }

    /// <summary>All at one place, all with roots at the bottom of the pot and warm nights: all ask.</summary>
    static async Task<Site> NurseryAsync()
    {
        var site = await Site.EmptyAsync(new(2031, 5, 24));
        await site.PostAsync(
            "/start?handler=Position",
            ("Form.Name", "Nursery"),
            ("Form.Where", "51.5 N 0.7 E"),
            ("Form.TimeZone", "Europe/London")
        );
        var plants = Enumerable
            .Range(1, Plants)
            .Select(n =>
                $$"""
                    { "tag": "P-{{n:000}}", "taxon": "Lycaste aromatica", "place": "bench", "entries": [
                      { "on": "2031-04-10", "kind": "growth-started" }, { "on": "2031-05-20", "kind": "roots-at-base" } ] }
                    """
            );
        var file = $$"""
            { "format": "bud-clock-garden", "version": 1, "garden": { "name": "Nursery", "latitude": 51.5, "longitude": 0.7 },
              "places": [ { "code": "bench", "name": "Bench" } ], "plants": [ {{string.Join(',', plants)}} ],
              "readings": [ { "place": "bench", "at": "2031-05-23T02:00:00Z", "temperatureC": 14 } ] }
            """;
        await site.ImportAsync("nursery.json", Encoding.UTF8.GetBytes(file));
        return site;
    }
}
