using BudClock.Core.Advising;
using Microsoft.Extensions.Time.Testing;

namespace BudClock.Web.Tests;

public class ClockTests
{
    static readonly Garden Auckland = new("South", -36.8, 174.8, "Pacific/Auckland");

    [Fact]
    public void Today_is_the_garden_s_own()
    {
        var clock = new Clock(new FakeTimeProvider(new(2031, 5, 23, 20, 0, 0, TimeSpan.Zero)), null);
        Assert.Equal((new DateOnly(2031, 5, 23), new DateOnly(2031, 5, 24)), (clock.Today(null), clock.Today(Auckland)));
        Assert.False(clock.Pretends);
    }

    [Fact]
    public void A_pretend_day_is_that_day_everywhere_and_runs_on()
    {
        var time = new FakeTimeProvider(new(2026, 11, 24, 23, 30, 0, TimeSpan.Zero));
        var clock = new Clock(time, new(2031, 5, 24));
        Assert.Equal(new DateOnly(2031, 5, 24), clock.Today(Auckland));
        Assert.Equal(new DateTimeOffset(2031, 5, 24, 23, 30, 0, TimeSpan.Zero), clock.GetUtcNow());
        time.Advance(TimeSpan.FromDays(1));
        Assert.Equal(new DateOnly(2031, 5, 25), clock.Today(Auckland));
    }

    [Fact]
    public async Task The_round_follows_the_day_while_the_application_runs()
    {
        var time = new FakeTimeProvider(new(2031, 5, 24, 9, 0, 0, TimeSpan.Zero));
        await using var site = await Site.AtAsync(time);
        await site.PostAsync(
            "/start?handler=Position",
            ("Form.Name", "Mine"),
            ("Form.Where", "51.5 N 0.7 E"),
            ("Form.TimeZone", "Europe/London")
        );
        await site.PostAsync("/plants/new", ("Form.Tag", "LYC-01"), ("Form.Taxon", "Lycaste"));
        await site.PostAsync("/notes", ("text", "lyc-01 roots 4 cm, new growth"));
        Assert.NotNull((await site.PageAsync("/")).QuerySelector("#held #row-LYC-01"));
        time.Advance(TimeSpan.FromDays(7));
        var page = await site.PageAsync("/");
        Assert.Equal("Saturday round", page.QuerySelector("h1").Words());
        Assert.Contains("Roots last measured 7 days ago", page.QuerySelector("#row-LYC-01 .reason").Words());
    }

    [Fact]
    public async Task An_act_of_the_day_before_yesterday_is_named_when_it_is_undone()
    {
        var time = new FakeTimeProvider(new(2031, 5, 24, 9, 0, 0, TimeSpan.Zero));
        await using var site = await Site.AtAsync(time);
        await site.PostAsync(
            "/start?handler=Position",
            ("Form.Name", "Mine"),
            ("Form.Where", "51.5 N 0.7 E"),
            ("Form.TimeZone", "Europe/London")
        );
        await site.PostAsync("/plants/new", ("Form.Tag", "LYC-01"), ("Form.Taxon", "Lycaste"));
        await site.PostAsync("/notes", ("text", "lyc-01 new growth"));
        time.Advance(TimeSpan.FromDays(2));
        Assert.Contains("Taken back: New growth on LYC-01", (await site.PostAsync("/notes?handler=Undo")).QuerySelector("#said").Words());
    }
}
