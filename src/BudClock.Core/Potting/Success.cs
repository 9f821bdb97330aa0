using System.Globalization;

namespace BudClock.Core.Potting;

/// <summary>How many took of how many, with what small numbers leave open (rule P5).</summary>
/// <param name="Took">How many took, 0 to <paramref name="Of"/>.</param>
/// <param name="Of">Of how many it is known.</param>
public sealed record Success(int Took, int Of)
{
    /// <summary>19 in 20 such intervals hold the true share: the normal distribution's 97.5 % point.</summary>
    const double Z = 1.959964;

    /// <summary>
    /// The share that such a method may really have, 0 to 1: Wilson's score interval without continuity correction (E. B. Wilson 1927,
    /// Journal of the American Statistical Association 22). All of it where nothing is known.
    /// </summary>
    public (double From, double To) Interval
    {
        get
        {
            if (Of == 0)
                return (0, 1);
            double n = Of;
            var (p, z2) = (Took / n, Z * Z);
            var middle = (p + (z2 / (2 * n))) / (1 + (z2 / n));
            var half = Z / (1 + (z2 / n)) * Math.Sqrt((p * (1 - p) / n) + (z2 / (4 * n * n)));
            return (Math.Max(0, middle - half), Math.Min(1, middle + half));
        }
    }

    /// <summary>"4 of 14: 29 %, and anything from 12 to 55 % may be true".</summary>
    public string Words
    {
        get
        {
            if (Of == 0)
                return "nothing is known yet";
            var (from, to) = Interval;
            return string.Create(
                CultureInfo.InvariantCulture,
                $"{Took} of {Of}: {100.0 * Took / Of:0} %, and anything from {from * 100:0} to {to * 100:0} % may be true"
            );
        }
    }

    /// <summary>What took of batches, where it is decided.</summary>
    public static Success In(IEnumerable<YoungBatch> batches) =>
        batches.Aggregate(new Success(0, 0), (sum, batch) =>
            new(sum.Took + Math.Min(batch.Of(BatchCount.Rooted), batch.Decided), sum.Of + batch.Decided)
        );
}
