namespace BudClock.Core.Measuring;

/// <summary>The next of a kind by how many days those before took: the middle, and the range that eight in ten lie in.</summary>
/// <param name="From">The early end, days.</param>
/// <param name="Likely">The middle, days.</param>
/// <param name="To">The late end, days.</param>
public sealed record Spread(double From, double Likely, double To)
{
    /// <summary>
    /// What is believed of the spread before anything is known: an eighth of the length where nothing else is given, and two days at
    /// the least, worth eight
    /// observations. No plant is as punctual as one or two earlier organs look.
    /// </summary>
    const double UsualShare = 0.12;
    const double LeastDays = 2;
    const double Worth = 8;

    /// <summary>Student's t for nine tenths, by degrees of freedom from 1 (Student 1908; tabulated values, from memory).</summary>
    static readonly double[] T = [3.078, 1.886, 1.638, 1.533, 1.476, 1.440, 1.415, 1.397, 1.383, 1.372, 1.363, 1.356, 1.350, 1.345, 1.341];

    const double TOfMany = 1.31;

    /// <summary>The prediction for one more, from at least one that is known.</summary>
    /// <remarks>The usual interval for a further observation: mean ± t·s·√(1 + 1/n).</remarks>
    /// <param name="share">What is believed of the spread, as a share of the length.</param>
    public static Spread Of(IReadOnlyList<int> days, double share = UsualShare)
    {
        var mean = days.Average();
        var usual = Math.Max(LeastDays, share * mean);
        var free = Worth + days.Count - 1;
        var variance = ((Worth * usual * usual) + days.Sum(day => (day - mean) * (day - mean))) / free;
        var half = Quantile((int)free) * Math.Sqrt(variance * (1 + (1.0 / days.Count)));
        return new(Math.Max(0, mean - half), mean, mean + half);
    }

    static double Quantile(int free) => free <= T.Length ? T[free - 1] : TOfMany;
}
