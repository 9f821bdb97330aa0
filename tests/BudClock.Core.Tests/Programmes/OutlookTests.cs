using BudClock.Core.Advising.Blooming;
using BudClock.Core.Climate;
using BudClock.Core.Programmes;
using CsCheck;

namespace BudClock.Core.Tests.Programmes;

/// <summary>What is ahead of a programme, and which place does it first.</summary>
public class OutlookTests
{
    static readonly Garden Glass = new("Glass", 51.5, 0.7, "Europe/London");
    static readonly GardenDays Calendar = new(Glass);
    static readonly DateOnly Today = new(2031, 10, 20);
    static readonly Programme Cool = ProgrammeBook.Shipped.Named("cool-nights")!;

    /// <summary>A place whose nights of last year and of these weeks follow a course, °C by days from today.</summary>
    static PlaceRecord Record(string code, Func<int, double> nightC, int from = -380, int to = 0) =>
        PlaceRecord.Of(
            Calendar,
            Enumerable
                .Range(from, to - from + 1)
                .Select(day => new ClimateReading(code, new(Today.AddDays(day), new(3, 0), TimeSpan.Zero), nightC(day), 70))
        );

    static ProgrammeRun Planned(DateOnly start) =>
        new(Cool, new ProgrammeOrder(Specimens.At(start, EntryKinds.ProgrammeStarted, text: "cool nights")), RunState.Planned, []);

    static ProgrammeAround Around(params (string Code, PlaceRecord Record, DayAhead[] Ahead)[] places) =>
        new(
            Calendar,
            code => places.FirstOrDefault(place => place.Code == code).Record ?? PlaceRecord.Empty,
            code => new Place(code ?? "", code ?? "", "glasshouse")
        )
        {
            AheadOf = code => places.FirstOrDefault(place => place.Code == code).Ahead ?? [],
        };

    [Fact]
    public void Where_every_night_was_cool_thirty_nights_take_thirty_days()
    {
        var ahead = new ProgrammeOutlook(Around(("cold", Record("cold", _ => 5), [])), "cold", Today).Of(Planned(Today));
        Assert.InRange(ahead[0].Likely!.Value.DayNumber - Today.DayNumber, 30, 33);
        Assert.Equal(28, ahead[1].Likely!.Value.DayNumber - ahead[0].Likely!.Value.DayNumber);
        Assert.True(ahead[2].Latest > ahead[2].Likely && ahead[2].Earliest <= ahead[2].Likely);
    }

    [Fact]
    public void Where_no_night_is_cool_it_is_not_said_to_come()
    {
        var ahead = new ProgrammeOutlook(Around(("warm", Record("warm", _ => 18), [])), "warm", Today).Of(Planned(Today));
        Assert.Null(ahead[0].Likely);
        Assert.Null(ahead[0].InWords());
        Assert.Null(new ProgrammeOutlook(Around(), "nowhere", Today).Of(Planned(Today))[0].Likely);
    }

    [Fact]
    public void The_forecast_goes_before_last_year()
    {
        var warmLastYear = Record("here", day => day < -200 ? 16 : 9);
        DayAhead[] cold = [.. Enumerable.Range(1, 14).Select(day => new DayAhead(Today.AddDays(day), 4, 10) { MinLowC = 3, MinHighC = 5 })];
        var with = new ProgrammeOutlook(Around(("here", warmLastYear, cold)), "here", Today).Of(Planned(Today))[0];
        var without = new ProgrammeOutlook(Around(("here", warmLastYear, [])), "here", Today).Of(Planned(Today))[0];
        Assert.True(with.Earliest < (without.Earliest ?? DateOnly.MaxValue) || without.Likely is null);
    }

    [Fact]
    public void Ranges_are_in_order_whatever_the_weather_was() =>
        Gen.Select(Gen.Double[-2, 18], Gen.Double[0, 8], Gen.Int[0, 1000])
            .Sample(
                (mean, swing, seed) =>
                {
                    var random = new Random(seed);
                    var around = Around(("here", Record("here", _ => mean + (swing * (random.NextDouble() - 0.5)), -60), []));
                    foreach (var step in new ProgrammeOutlook(around, "here", Today).Of(Planned(Today)))
                    {
                        Assert.True(step.Likely is null || step.Earliest <= step.Likely);
                        Assert.True(step.Latest is null || step.Likely <= step.Latest);
                    }
                },
                iter: 60
            );

    [Fact]
    public void The_place_that_does_it_first_leads_and_the_one_that_freezes_is_last()
    {
        var around = Around(
            ("bench", Record("bench", day => day > -60 ? 9 : 12), []),
            ("sill", Record("sill", _ => 17), []),
            ("frame", Record("frame", _ => 4), [new DayAhead(Today.AddDays(2), -4, 6) { MinLowC = -6, MinHighC = -2 }])
        );
        Place[] places = [new("sill", "Sill", "indoors"), new("frame", "Frame", "cold-frame"), new("bench", "Bench", "glasshouse")];
        var order = CoolPlaces.Of(places, around, Cool, dangerC: 3, Today);
        Assert.Equal(["bench", "sill", "frame"], order.Select(place => place.Place.Code));
        Assert.Equal((14, 0), (order[0].Lately, order[1].Lately));
        Assert.Equal(-6, order[2].ColdestC);
    }

    [Theory]
    [InlineData(51.5, 17, 6, 0)] // a lamp from five in the evening
    [InlineData(51.5, 9, 6, 1)] // a lamp by day
    public void Long_nights_are_told_by_sun_and_lamp(double latitude, int from, double hours, int counts)
    {
        var garden = Glass with { Latitude = latitude };
        var place = new Place("sill", "Sill", "indoors") { LampHours = hours, LampsFrom = new TimeOnly(from, 0) };
        var around = new ProgrammeAround(new(garden), _ => PlaceRecord.Empty, _ => place);
        var nights = ProgrammeBook.Shipped.Named("long-nights")!;
        var ahead = new ProgrammeOutlook(around, "sill", Today).Of(Planned(Today) with { Programme = nights })[0];
        Assert.Equal(counts == 1, ahead.Likely is not null);
    }
}
