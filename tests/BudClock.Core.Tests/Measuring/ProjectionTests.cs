using BudClock.Core.Advising;
using BudClock.Core.Measuring;

namespace BudClock.Core.Tests.Measuring;

public class ProjectionTests
{
    static readonly DateOnly Start = new(2031, 4, 26);

    [Fact]
    public void A_steady_root_arrives_when_arithmetic_says()
    {
        // 0.5 cm a day from 0: 10 cm after 20 days.
        var projection = Projection.Reach(10, Series((0, 0), (4, 2), (8, 4), (12, 6)))!;
        Assert.Equal(Start.AddDays(20), projection.Likely);
        Assert.True(projection.From <= projection.Likely && projection.Likely <= projection.To);
    }

    [Fact]
    public void Nothing_is_said_below_three_measurements() => Assert.Null(Projection.Reach(10, Series((0, 2), (7, 5))));

    [Fact]
    public void A_length_that_is_reached_needs_no_projection() => Assert.Null(Projection.Reach(10, Series((0, 2), (7, 5), (14, 10))));

    [Fact]
    public void A_series_that_does_not_rise_has_no_date() => Assert.Null(Projection.Reach(10, Series((0, 5), (7, 5), (14, 4.9)))!.Likely);

    [Fact]
    public void A_slow_end_that_may_never_come_is_left_open() =>
        Assert.Null(Projection.Reach(10, Series((0, 5), (5, 5.4), (10, 5.1), (15, 5.6)))!.To);

    [Fact]
    public void The_range_holds_the_true_day_about_four_times_in_five()
    {
        // Simulated roots: 0.35 cm a day, read with an error of ±0.3 cm eight times in ten.
        var random = new Random(20310524);
        var trials = 2000;
        var held = 0;
        for (var trial = 0; trial < trials; trial++)
        {
            var series = Enumerable.Range(0, 6).Select(i => (Day: i * 4, Cm: (0.35 * i * 4) + 0.5 + (0.234 * Normal(random))));
            var projection = Projection.Reach(15, Series([.. series.Select(s => (s.Day, Math.Max(0.1, s.Cm)))]))!;
            var truth = Start.AddDays((int)Math.Ceiling((15 - 0.5) / 0.35));
            if (projection.From <= truth && (projection.To is null || truth <= projection.To))
                held++;
        }
        Assert.InRange((double)held / trials, 0.75, 0.97);
    }

    static double Normal(Random random) => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());

    static List<Measurement> Series(params (int Day, double Cm)[] points) =>
        [.. points.Select(p => new Measurement(Start.AddDays(p.Day), p.Cm))];
}
