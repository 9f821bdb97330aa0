using MathNet.Numerics.Distributions;

namespace BudClock.Core.Measuring;

/// <summary>How many days one more of a kind is likely to take: the middle, and the range that eight in ten lie in.</summary>
/// <param name="Middle">The mean, days.</param>
/// <param name="Deviation">The standard deviation of one more, days.</param>
/// <param name="Gone">Days that it has taken already without coming to its end.</param>
public sealed record Spread(double Middle, double Deviation, double Gone = 0)
{
    /// <summary>
    /// What is believed of the spread before anything is known: an eighth of the length where nothing else is given, and two days at
    /// the least, worth eight observations. No plant is as punctual as one or two earlier organs look.
    /// </summary>
    const double UsualShare = 0.12;
    const double LeastDays = 2;
    const double Worth = 8;

    /// <summary>From the middle to an end of the range that eight in ten lie in, in standard deviations.</summary>
    public static readonly double Tail = Normal.InvCDF(0, 1, 0.9);

    /// <summary>Beyond this share of all that ever end, nothing but "it takes longer" can be said.</summary>
    const double NearlyAll = 0.999;

    /// <summary>The early end, days from the beginning.</summary>
    public double From => At(0.1);

    /// <summary>The middle, days from the beginning.</summary>
    public double Likely => At(0.5);

    /// <summary>The late end, days from the beginning.</summary>
    public double To => At(0.9);

    /// <summary>It has taken longer already than nine in ten do.</summary>
    public bool Late => Past > 0.9;

    /// <summary>The prediction for one more, from at least one that is known.</summary>
    /// <remarks>
    /// The usual interval for a further observation, mean ± t·s·√(1 + 1/n), with Student's t by its first correction of the normal
    /// (Abramowitz and Stegun 26.7.5).
    /// </remarks>
    /// <param name="share">What is believed of the spread, as a share of the length.</param>
    public static Spread Of(IReadOnlyList<int> days, double share = UsualShare)
    {
        var mean = days.Average();
        var usual = Math.Max(LeastDays, share * mean);
        var free = Worth + days.Count - 1;
        var variance = ((Worth * usual * usual) + days.Sum(day => (day - mean) * (day - mean))) / free;
        var student = 1 + (((Tail * Tail) + 1) / (4 * free));
        return new(mean, student * Math.Sqrt(variance * (1 + (1.0 / days.Count))));
    }

    /// <summary>What eight in ten lie in, so far either side of a middle; a day at the least.</summary>
    public static Spread Around(double middle, double half) => new(middle, Math.Max(1, half) / Tail);

    /// <summary>Days of waiting for what usually comes between two days: many soon, a few very late (log-normal).</summary>
    public static Spread Waiting(double usual, double latest)
    {
        var (from, to) = (Math.Log(Math.Max(1, usual)), Math.Log(Math.Max(2, latest)));
        return new((from + to) / 2, Math.Max(0.1, to - from) / (2 * Tail)) { Skewed = true };
    }

    /// <summary>Middle and deviation are those of the logarithm.</summary>
    bool Skewed { get; init; }

    /// <summary>The same, for one that has not come to its end after so many days: it will come later than those.</summary>
    public Spread After(double days) => this with { Gone = Math.Max(0, days) };

    double Past => Gone <= 0 ? 0 : Math.Min(NearlyAll, Normal.CDF(Middle, Deviation, Skewed ? Math.Log(Gone) : Gone));

    double At(double share)
    {
        var at = Normal.InvCDF(Middle, Deviation, Past + (share * (1 - Past)));
        return Math.Max(Gone, Skewed ? Math.Exp(at) : at);
    }
}
