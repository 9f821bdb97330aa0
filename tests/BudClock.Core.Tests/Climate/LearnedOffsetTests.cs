using BudClock.Core.Climate;

namespace BudClock.Core.Tests.Climate;

/// <summary>What a place makes of the weather outside, learned from forecasts and what came.</summary>
public class LearnedOffsetTests
{
    static readonly DateOnly First = new(2030, 5, 24);

    /// <summary>A year of made-up outcomes: seasons, spells, a forecast that errs, a place that answers, a thermometer that errs.</summary>
    static List<ForecastOutcome> Year(Func<double, double> place, int seed, double noise = 0.6)
    {
        var random = new Random(seed);
        double Normal() => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var (spell, outcomes) = (0d, new List<ForecastOutcome>());
        for (var n = 0; n < 365; n++)
        {
            spell = (0.7 * spell) + (1.6 * Normal());
            var outside = 7 + (6 * Math.Cos(2 * Math.PI * (n - 57) / 365)) + spell;
            outcomes.Add(new(First.AddDays(n), 1, outside + (1.3 * Normal()), place(outside) + (noise * Normal())));
        }
        return outcomes;
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(5)]
    [InlineData(6)]
    public void On_a_sill_six_degrees_warmer_the_range_of_80_percent_holds_75_to_85_percent_of_nights(int seed)
    {
        var learned = LearnedOffset.Learn(Year(outside => outside + 6, seed))!;
        Assert.True(learned.Follows);
        Assert.Equal(14, learned.At(8, 1).Likely, 0.8);
        Assert.InRange(learned.Score!.InRange, 0.75, 0.85);
        Assert.True(learned.Score.Nights > 330 && learned.Score.MeanErrorC < 2 && learned.Score.OutsideErrorC > 5);
    }

    [Theory]
    [InlineData(0.35)]
    [InlineData(0.6)]
    public void It_holds_where_a_house_softens_the_weather_through_the_seasons_too(double share)
    {
        var learned = LearnedOffset.Learn(Year(outside => 11 + (share * outside), 7))!;
        Assert.True(learned.Share is > 0 and < 1, $"{learned.Share}");
        Assert.InRange(learned.Score!.InRange, 0.75, 0.85);
    }

    [Fact]
    public void A_heated_room_is_told_apart_from_one_that_follows_the_weather()
    {
        var heated = LearnedOffset.Learn(Year(_ => 18, 3, noise: 0.5))!;
        Assert.False(heated.Follows);
        Assert.Equal(18, heated.At(-10, 1).Likely, 0.5);
        Assert.Equal(heated.At(-10, 1), heated.At(25, 1));
    }

    [Fact]
    public void Too_few_outcomes_teach_nothing_and_a_lead_nobody_scored_is_wider()
    {
        var year = Year(outside => outside + 6, 1);
        Assert.Null(LearnedOffset.Learn(year.Take(LearnedOffset.Least - 1)));
        Assert.Null(LearnedOffset.Learn([]));
        var learned = LearnedOffset.Learn(year.Take(60))!;
        Assert.True(Width(learned.At(8, 12)) > Width(learned.At(8, 1)) * 1.5);

        static double Width((double Likely, double Low, double High) at) => at.High - at.Low;
    }

    [Fact]
    public void A_forecast_further_ahead_has_the_spread_that_such_forecasts_had()
    {
        var near = Year(outside => outside + 6, 1);
        var random = new Random(9);
        var far = near.Select(outcome => outcome with { Lead = 9, ForecastC = outcome.ForecastC + (10 * (random.NextDouble() - 0.5)) });
        var learned = LearnedOffset.Learn([.. near, .. far])!;
        Assert.True(learned.At(8, 9).High - learned.At(8, 9).Low > learned.At(8, 1).High - learned.At(8, 1).Low + 2);
    }

    static ForecastDay Outside(int ahead, double min, int made = 0) =>
        new(null, First.AddDays(ahead), min, min + 8) { Made = First.AddDays(made) };

    [Fact]
    public void The_newest_word_counts_and_what_is_said_for_the_place_stands_over_the_weather_outside()
    {
        var ahead = PlaceAhead.Read(
            "south",
            First,
            PlaceRecord.Empty,
            [
                Outside(1, 3, made: -1),
                Outside(1, 5),
                Outside(2, 4),
                new("south", First.AddDays(2), 9, 17),
                new("frame", First.AddDays(1), -4, 0),
                Outside(20, 1),
                Outside(1, -9, made: 3),
            ]
        );
        Assert.Equal(
            [(1, 5d, AheadFrom.Outside), (2, 9d, AheadFrom.Place)],
            ahead.Days14.Select(day => (day.On.DayNumber - First.DayNumber, day.MinC!.Value, day.From))
        );
        Assert.Null(ahead.Nights);
    }
}
