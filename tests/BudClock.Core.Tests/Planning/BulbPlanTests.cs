using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;
using BudClock.Core.Planning;

namespace BudClock.Core.Tests.Planning;

/// <summary>
/// Rules B2 and D10 against common practice: 28 days from planting, five to six weeks on a cool sill, held back at 4 to 10 °C.
/// </summary>
public class BulbPlanTests
{
    static readonly CultureSheet Sheet = CultureSheets.Shipped.Find("tender-narcissus")!;
    static readonly BulbVessel Bowl = new(20, Pebbles: true);

    static BulbPlan Plan(
        DateOnly wanted,
        int? every = null,
        bool southern = false,
        double? meanC = null,
        IReadOnlyList<int>? took = null,
        DateOnly? today = null
    ) => BulbPlan.Of(Sheet, [new(wanted, 24)], every, Bowl, Interval(meanC, [.. took ?? []]), today ?? wanted.AddDays(-90), southern);

    /// <summary>From lots of a year ago that took so many days.</summary>
    static BulbInterval Interval(double? meanC, params int[] took) =>
        BulbInterval.Of(Sheet, took.Select(days => new Took(Day("2030-12-01"), days)), meanC, Day("2031-11-01"));

    [Theory]
    [InlineData("2031-12-24", "2031-11-26")] // 28 days: common practice
    [InlineData("2032-03-10", "2032-02-11")] // across 29 February
    [InlineData("2031-03-10", "2031-02-10")] // the same in a year without it
    public void Planted_28_days_before(string wanted, string planted)
    {
        var lot = Plan(Day(wanted)).Lots.Single();
        Assert.Equal(Day(planted), lot.Plant);
        Assert.Equal(lot.Plant.AddDays(7), lot.DarkUntil);
        Assert.Equal(lot.Plant.AddDays(-21), lot.OrderBy);
    }

    [Fact]
    public void Five_to_six_weeks_on_a_cool_sill()
    {
        // Common practice; a cool sill is taken as 11 to 13 °C.
        foreach (var celsius in (double[])[11, 12, 13])
            Assert.InRange(Interval(celsius).Likely, 34, 44);
        Assert.Equal(28, Interval(16).Likely, 0.01);
    }

    [Fact]
    public void What_it_took_here_before_moves_the_day_and_narrows_the_range()
    {
        var usual = Interval(null);
        var own = Interval(null, 33, 34, 32, 33, 35, 33);
        Assert.Equal(33.3, own.Likely, 0.1);
        Assert.True(own.To - own.From < (usual.To - usual.From) * 1.2);
        Assert.Equal(Day("2031-11-21"), Plan(Day("2031-12-24"), took: [33, 34, 32, 33, 35, 33]).Lots[0].Plant);
    }

    [Fact]
    public void A_succession_ends_in_early_spring_of_each_hemisphere()
    {
        var north = Plan(Day("2031-12-24"), every: 28).Lots;
        Assert.All(north, lot => Assert.True(lot.Plant <= Day("2032-03-15")));
        Assert.Equal(4, north.Count); // 24 Dec, 21 Jan, 18 Feb, 17 Mar: the next would be planted on 17 March
        var south = Plan(Day("2031-06-24"), every: 28, southern: true).Lots;
        Assert.Equal(5, south.Count); // the last is planted on 16 September
        Assert.All(south, lot => Assert.True(lot.Plant <= Day("2031-09-16")));
        Assert.Empty(south[0].Warnings);
        Assert.NotEmpty(Plan(Day("2031-06-24"), southern: false).Lots[0].Warnings);
    }

    [Fact]
    public void Numbers_and_space_are_told()
    {
        var plan = Plan(Day("2031-12-24"), every: 14);
        Assert.Equal(15, Bowl.Holds(4.5)); // circles in a circle: 0.8 × (20 / 4.5)²
        Assert.All(plan.Lots, lot => Assert.Equal(2, lot.Vessels));
        var busiest = plan.Weeks.MaxBy(week => week.Total)!;
        // A lot that goes from the dark into the light in a week wants room in both.
        var here = plan.Lots.Count(lot => lot.Plant <= busiest.Monday.AddDays(6) && lot.Wanted.AddDays(14) >= busiest.Monday) * 2;
        Assert.InRange(busiest.Total, here, here + 4);
        Assert.Equal(2, plan.Weeks[0].Dark);
    }

    [Fact]
    public void Too_late_is_said_with_the_day_that_is_left()
    {
        var lot = Plan(Day("2031-12-24"), today: Day("2031-12-10")).Lots[0];
        Assert.Contains("7 Jan", Assert.Single(lot.Warnings), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(7, true, "Sound by the store's thermometer")]
    [InlineData(14, false, "above 10 °C")]
    [InlineData(2, true, "below 4 °C")]
    [InlineData(-3, false, "froze")]
    public void The_store_s_thermometer_answers(double celsius, bool sound, string says)
    {
        var since = new DateOnly(2031, 10, 1);
        var calendar = new GardenDays(new("Glass", 51.5, 0.7, "Europe/London"));
        var record = PlaceRecord.Of(
            calendar,
            Enumerable
                .Range(0, 20)
                .Select(day => new ClimateReading("store", new(since.AddDays(day), new(12, 0), TimeSpan.Zero), celsius, 60))
        );
        var told = StoreSound.Of(Sheet, record, since, since.AddDays(19));
        Assert.Equal(sound, told.Sound);
        Assert.Contains(says, told.Words, StringComparison.Ordinal);
        Assert.Null(StoreSound.Of(Sheet, PlaceRecord.Empty, since, since.AddDays(19)).Sound);
    }

    static DateOnly Day(string day) => DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture);
}
