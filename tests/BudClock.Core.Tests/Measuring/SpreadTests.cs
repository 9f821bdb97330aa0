using BudClock.Core.Measuring;

namespace BudClock.Core.Tests.Measuring;

/// <summary>The interval for one more observation, against what is known of it.</summary>
public class SpreadTests
{
    [Fact]
    public void Of_many_it_is_the_interval_of_the_normal_distribution()
    {
        // 1.2816 standard deviations either way hold eight in ten (tables of the normal distribution).
        var random = new Random(5);
        var days = Enumerable.Range(0, 4000).Select(_ => (int)Math.Round(100 + (10 * Normal(random)))).ToList();
        var spread = Spread.Of(days, 0.1);
        Assert.Equal(100, spread.Likely, 0.6);
        Assert.Equal(12.8, (spread.To - spread.From) / 2, 0.5);
    }

    [Fact]
    public void Of_few_it_still_holds_eight_in_ten_of_what_comes_next()
    {
        // Organs of which each differs from the next by an eighth of its days, as is believed of them.
        var (random, within, tries) = (new Random(6), 0, 4000);
        for (var i = 0; i < tries; i++)
        {
            var known = Enumerable.Range(0, 1 + (i % 4)).Select(_ => Days(random)).ToList();
            var spread = Spread.Of(known, 0.125);
            within += Days(random) is var next && next >= spread.From && next <= spread.To ? 1 : 0;
        }
        Assert.InRange(within / (double)tries, 0.77, 0.86);
    }

    static int Days(Random random) => (int)Math.Round(80 * (1 + (0.125 * Normal(random))));

    /// <summary>A normal chance (Box and Muller 1958).</summary>
    static double Normal(Random random) => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());

    [Fact]
    public void Of_those_that_are_not_done_yet_eight_in_ten_end_within_what_is_left_of_the_range()
    {
        var (random, said) = (new Random(7), Spread.Around(60, 15));
        foreach (var gone in (int[])[0, 40, 60, 75])
        {
            var left = said.After(gone);
            var open = Enumerable.Range(0, 20000).Select(_ => 60 + (15 / Spread.Tail * Normal(random))).Where(day => day > gone).ToList();
            Assert.InRange(open.Count(day => day >= left.From && day <= left.To) / (double)open.Count, 0.78, 0.82);
        }
        Assert.Equal((45, 60, 75), (Math.Round(said.From), Math.Round(said.Likely), Math.Round(said.To)));
    }

    [Fact]
    public void A_waiting_ends_between_its_two_days_and_sooner_more_often_than_late()
    {
        var wait = Spread.Waiting(3, 42);
        Assert.Equal((3, 42), (Math.Round(wait.From), Math.Round(wait.To)));
        Assert.Equal(Math.Sqrt(3 * 42), wait.Likely, 1e-6); // the middle of a log-normal is the geometric one
        Assert.True(wait.After(30).Likely > 30);
        Assert.True(wait.After(200).Late && wait.After(200).From >= 200);
    }

    [Fact]
    public void It_never_begins_before_nothing() => Assert.True(Spread.Of([1, 2], 3).From >= 0);
}
