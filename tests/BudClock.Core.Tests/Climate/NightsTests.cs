using BudClock.Core.Advising;
using BudClock.Core.Climate;

namespace BudClock.Core.Tests.Climate;

public class NightsTests
{
    static readonly DateOnly Today = new(2031, 5, 24);
    static readonly Garden Estuary = new("Glass", 51.5, 0.7, "Europe/London");

    [Fact]
    public void The_coolest_reading_between_sunset_and_sunrise_counts() =>
        Assert.Equal(
            new Seen<double>(11.5, new(2031, 5, 23)),
            Coolest(("2031-05-23T02:00Z", 11.5), ("2031-05-22T23:00Z", 13), ("2031-05-23T13:00Z", 3))
        );

    [Fact]
    public void A_reading_older_than_a_week_says_nothing_of_the_nights_now() => Assert.Null(Coolest(("2031-05-17T02:00Z", 9)));

    [Fact]
    public void A_night_to_come_is_not_counted() => Assert.Null(Coolest(("2031-05-25T02:00Z", 9)));

    [Fact]
    public void Another_place_does_not_count() =>
        Assert.Null(Nights.Coolest("sill", Today, Estuary, [new("south", DateTimeOffset.Parse("2031-05-23T02:00Z", null), 9, null)]));

    [Fact]
    public void Without_a_position_night_is_seven_to_seven_by_the_clock() =>
        Assert.Equal(
            9,
            Nights.Coolest("south", Today, new("Glass"), [new("south", DateTimeOffset.Parse("2031-05-23T06:00Z", null), 9, null)])?.Value
        );

    static Seen<double>? Coolest(params (string At, double C)[] readings) =>
        Nights.Coolest(
            "south",
            Today,
            Estuary,
            readings.Select(r => new ClimateReading("south", DateTimeOffset.Parse(r.At, null), r.C, null))
        );
}
