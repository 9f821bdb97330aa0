using MathNet.Numerics.Statistics;

namespace BudClock.Core.Measuring;

/// <summary>A line through a series that one wild point does not move, with a range for its slope.</summary>
/// <remarks>
/// The slope is the median of the slopes between all pairs of points (Theil 1950); its range comes from
/// the ranks of those slopes (Sen 1968), widened for ties in the values.
/// </remarks>
/// <param name="Slope">Rise per unit of x.</param>
/// <param name="Low">Lower end of the slope's range.</param>
/// <param name="High">Upper end of the slope's range.</param>
/// <param name="Intercept">Value at x = 0: the median of y minus slope times the median of x.</param>
public sealed record RobustLine(double Slope, double Low, double High, double Intercept)
{
    const double Z80 = 1.2815515655446004; // standard normal, 80 % between −z and z

    /// <summary>The line's value at a place.</summary>
    public double At(double x) => Intercept + (Slope * x);

    /// <summary>Fits the line with an 80 % range; null under three points or when all share one x.</summary>
    public static RobustLine? Fit(IReadOnlyList<(double X, double Y)> points)
    {
        if (points.Count < 3)
            return null;
        var slopes = PairSlopes(points);
        if (slopes.Length == 0)
            return null;

        var slope = slopes.Median();
        var spread = Z80 * Math.Sqrt(RankVariance(points));
        var high = Math.Min((int)Math.Round((slopes.Length + spread) / 2), slopes.Length - 1);
        var low = Math.Max((int)Math.Round((slopes.Length - spread) / 2) - 1, 0);
        var intercept = points.Select(p => p.Y).Median() - (slope * points.Select(p => p.X).Median());
        return new(slope, slopes[low], slopes[high], intercept);
    }

    static double[] PairSlopes(IReadOnlyList<(double X, double Y)> points)
    {
        var slopes =
            from i in Enumerable.Range(0, points.Count)
            from j in Enumerable.Range(0, i)
            where points[i].X != points[j].X
            select (points[i].Y - points[j].Y) / (points[i].X - points[j].X);
        return [.. slopes.Order()];
    }

    /// <summary>Variance of Kendall's score, with the usual correction for tied values on either axis.</summary>
    static double RankVariance(IReadOnlyList<(double X, double Y)> points)
    {
        static double Term(int n) => n * (n - 1.0) * ((2 * n) + 5);
        var ties = points.GroupBy(p => p.X).Sum(g => Term(g.Count())) + points.GroupBy(p => p.Y).Sum(g => Term(g.Count()));
        return Math.Max(0, (Term(points.Count) - ties) / 18);
    }
}
