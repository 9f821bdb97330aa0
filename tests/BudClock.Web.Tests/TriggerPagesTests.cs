namespace BudClock.Web.Tests;

/// <summary>Pages of triggers, programmes and bulbs: what is wrong is said with its place, and nothing typed is lost.</summary>
public class TriggerPagesTests
{
    [Theory]
    [InlineData("/triggers/bulbs?Dates=soon", "\"soon\" is no day")]
    [InlineData("/triggers/bulbs?Dates=2020-01-01", "does not lie within")]
    [InlineData("/triggers/bulbs?Dates=2031-12-24&Bulbs=0", "1 to 500")]
    [InlineData("/triggers/bulbs?Dates=2031-12-24&Every=1", "7 to 120")]
    [InlineData("/triggers/bulbs?Dates=2031-12-24&Diameter=900", "5 to 80")]
    public async Task A_wish_that_cannot_be_is_said(string path, string says)
    {
        var site = await Site.ReadAsync();
        var page = await site.PageAsync(path);
        Assert.Contains(says, page.QuerySelector(".fault")!.TextContent, StringComparison.Ordinal);
        Assert.Equal(path.Split("Dates=")[1].Split('&')[0], page.QuerySelector("input[name=Dates]")!.GetAttribute("value"));
    }

    [Fact]
    public async Task A_plan_is_worked_out_kept_as_lots_and_spoken_for_on_the_board()
    {
        await using var site = await Site.DemoAsync();
        var plan = await site.PageAsync("/triggers/bulbs?Dates=2031-12-24&Bulbs=24&Every=28&Store=store");
        Assert.Equal(5, plan.QuerySelectorAll(".plan-lots tbody tr th").Length);
        Assert.Contains("above 10 °C", plan.QuerySelector("main")!.TextContent, StringComparison.Ordinal); // the dry store is too warm
        var board = await site.PostAsync(
            "/triggers/bulbs",
            ("Dates", "2031-12-24"),
            ("Bulbs", "24"),
            ("Every", "28"),
            ("Store", "store"),
            ("Diameter", "20")
        );
        Assert.NotNull(board.QuerySelector("#lane-NAR-04"));
        Assert.NotNull(board.QuerySelector("#lane-NAR-08"));
        Assert.Contains("Bulbs for 24 Dec", await site.TextAsync("/plants/NAR-04"), StringComparison.Ordinal);
        Assert.Contains("Wanted in bloom on 24 Dec", await site.TextAsync("/plants/NAR-04"), StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_programme_is_copied_changed_refused_with_its_lines_and_kept()
    {
        await using var site = await Site.DemoAsync();
        var text = (await site.PageAsync("/triggers/programmes/cool-nights/edit")).QuerySelector("textarea")!.TextContent;
        Assert.Contains("name: my-cool-nights", text, StringComparison.Ordinal);
        var faulty = text.Replace("need: 30", "need: many", StringComparison.Ordinal);
        var page = await site.PostAsync("/triggers/programmes/cool-nights/edit", ("Yaml", faulty));
        Assert.Contains("Line ", page.QuerySelector(".fault")!.TextContent, StringComparison.Ordinal);
        Assert.Contains("need: many", page.QuerySelector("textarea")!.TextContent, StringComparison.Ordinal);
        var kept = await site.PostAsync(
            "/triggers/programmes/cool-nights/edit",
            ("Yaml", text.Replace("need: 30", "need: 21", StringComparison.Ordinal))
        );
        Assert.Contains("21 nights at or below 10 °C", kept.QuerySelector("main")!.TextContent, StringComparison.Ordinal);
        await site.PostAsync("/triggers/programmes/my-cool-nights", ("Tags", "CLI-01"), ("From", "2031-05-24"));
        Assert.Contains("of 21", (await site.PageAsync("/triggers")).QuerySelector("#lane-CLI-01")!.TextContent, StringComparison.Ordinal);
        // It travels with the garden.
        var file = await site.TextAsync("/api/garden");
        Assert.Contains("my-cool-nights", file, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_running_programme_is_paused_resumed_and_given_up()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/triggers/programmes/cool-nights", ("Tags", "CLI-01"), ("From", "2031-05-20"));
        await Say("pause");
        Assert.Contains("paused", await Lane(), StringComparison.Ordinal);
        await Say("resume");
        Assert.DoesNotContain("paused", await Lane(), StringComparison.Ordinal);
        await Say("end");
        Assert.Null((await site.PageAsync("/triggers")).QuerySelector("#lane-CLI-01"));

        Task Say(string what) => site.PostAsync("/triggers?handler=Say", ("tag", "CLI-01"), ("what", what));
        async Task<string> Lane() => (await site.PageAsync("/triggers")).QuerySelector("#lane-CLI-01")!.TextContent;
    }

    [Fact]
    public async Task Days_away_are_kept_named_where_they_meet_a_turn_and_taken_back()
    {
        await using var site = await Site.DemoAsync();
        var fault = await site.PostAsync("/triggers?handler=Away", ("from", "2031-10-20"), ("to", "2031-10-10"));
        Assert.Contains("first and the last day", fault.QuerySelector(".fault")!.TextContent, StringComparison.Ordinal);
        var page = await site.PostAsync("/triggers?handler=Away", ("from", "2031-10-15"), ("to", "2031-10-20"));
        Assert.Contains(
            "NAR-02: dark week begins on 18 Oct, and you are away",
            page.QuerySelector(".conflicts")!.TextContent,
            StringComparison.Ordinal
        );
        page = await site.PostAsync("/triggers?handler=Back", ("from", "2031-10-15"));
        Assert.DoesNotContain("you are away", page.QuerySelector(".conflicts")!.TextContent, StringComparison.Ordinal);
    }
}
