using BudClock.Core.Advising;

namespace BudClock.Web.Tests;

public class BenchPageTests
{
    [Fact]
    public async Task Every_plant_is_there_and_a_word_narrows_it()
    {
        var site = await Site.ReadAsync();
        Assert.Equal(39, (await site.PageAsync("/bench")).QuerySelectorAll(".tile").Length);
        var found = await site.PageAsync("/bench?q=calanthe&only=roots+moving");
        Assert.Equal(["Calanthe, winter-deciduous", "Calanthe, white"], found.QuerySelectorAll(".tile .choose").Select(e => e.Words()));
        Assert.Contains("No plant fits.", (await site.PageAsync("/bench?q=nothing+such")).QuerySelector(".bench").Words());
    }

    [Theory]
    [InlineData("soaked 400 ml", "", "Tick at least one plant first.")]
    [InlineData("", "CAL-02", "Write what you did")]
    public async Task What_is_missing_is_said(string text, string tag, string sentence)
    {
        await using var site = await Site.DemoAsync();
        using var response = await site.SendAsync("/bench", htmx: true, ("text", text), ("tags", tag));
        Assert.Contains(sentence, await response.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
    }

    [Fact]
    public async Task A_place_and_several_plants_can_be_named_in_one_note()
    {
        await using var site = await Site.DemoAsync();
        using var reading = await site.SendAsync("/notes?handler=Read", htmx: true, ("text", "south bench: watered"));
        Assert.Contains("13 plants", await reading.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
        await site.PostAsync("/notes", ("text", "hoy-02, str-07: watered 150 ml"));
        foreach (var tag in (string[])["HOY-02", "STR-07"])
            Assert.Contains("Watered 150 mL", (await site.PageAsync($"/plants/{tag}")).QuerySelector(".log li").Words());
    }

    [Fact]
    public async Task A_flag_is_set_asked_on_its_day_and_answered()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "cer-01 look again in 10 days: has it filled in?, on 14 may"));
        Assert.Contains(
            "Look String of hearts CER-01 Flagged 10 days ago: has it filled in?",
            (await site.PageAsync("/")).QuerySelector("#row-CER-01 .row-words").Words()
        );
        var page = await site.PageAsync("/plants/CER-01");
        Assert.Contains("Leaves now firm", page.QuerySelector(".advice").Words());
        await site.PostAsync("/notes?handler=Entry", ("tag", "CER-01"), ("kind", "looked"), ("words", "better"));
        Assert.DoesNotContain("Flagged 10 days ago", (await site.PageAsync("/")).QuerySelector("#row-CER-01").Words());
    }

    [Fact]
    public async Task The_plant_page_tells_how_an_organ_moves()
    {
        await using var site = await Site.DemoAsync();
        foreach (var note in (string[])["hoy-02 growth 19.2 cm 17 may", "hoy-02 growth 19.3 cm"])
            await site.PostAsync("/notes", ("text", note));
        var page = await site.PageAsync("/plants/HOY-02");
        Assert.Contains(
            "Stalled: 19 to 19.3 cm in 14 days, within the error of a reading; the rate before (0.5 cm a day) meant 7 cm more.",
            page.QuerySelector(".drawings").Words()
        );
    }
}
