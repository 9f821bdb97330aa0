using System.Globalization;

namespace BudClock.Core.Measuring;

/// <summary>How an organ goes on against what it did before.</summary>
public enum PaceKind
{
    /// <summary>Within the error of a reading, for a week or more.</summary>
    Stalled,

    /// <summary>Less than half as fast, and not at its end.</summary>
    Slow,

    /// <summary>As before.</summary>
    AsBefore,

    /// <summary>Faster than before.</summary>
    Faster,
}

/// <summary>Rule K3: how an organ moves now against how it moved before, or against last year's at the same age.</summary>
/// <param name="NowCmPerDay">The rate of the newest measurements.</param>
/// <param name="BeforeCmPerDay">The rate it is compared with.</param>
/// <param name="Against">What that rate is from: "before" or "last year".</param>
/// <param name="Why">The numbers that led to it, as a sentence.</param>
public sealed record Pace(PaceKind Kind, double NowCmPerDay, double BeforeCmPerDay, string Against, string Why)
{
    /// <summary>A rate needs at least this many days to stand above the error of a reading.</summary>
    public const int ShortestDays = 7;

    /// <summary>Half the earlier rate and less is slow; half as much again and more is faster.</summary>
    const double SlowShare = 0.5;
    const double FastShare = 1.5;

    /// <summary>From this share of its likely length on every growth slows as it matures.</summary>
    const double NearlyDone = 0.8;

    /// <summary>"slow", "as before".</summary>
    public string Words =>
        Kind switch
        {
            PaceKind.AsBefore => "as before",
            _ => Kind.ToString().ToLowerInvariant(),
        };

    /// <summary>
    /// Reads the pace; null below three measurements, and where neither an earlier rate nor last year's is known.
    /// Stalled: at least two measurements, seven days apart in all, with no rise beyond the reading error where the earlier
    /// rate predicted one. Slow: still rising, at less than half that rate.
    /// </summary>
    /// <param name="finishCm">How long it is likely to get; as it nears that, slower is normal. Null where it is not known.</param>
    public static Pace? Read(
        OrganSeries series,
        OrganSeries? lastYear = null,
        double? finishCm = null,
        double readingErrorCm = Projection.ReadingErrorCm
    )
    {
        if (series.Points.Count < 3)
            return null;
        readingErrorCm += 1e-9; // 19.3 − 19.0 is a hair above 0.3 in binary
        var from = NewestFrom(series.Points, readingErrorCm);
        var tail = series.Points.Skip(from).ToList();
        var days = Days(tail);
        if (days < ShortestDays)
            return null;
        var (before, against) = Before(series.Points.Take(from + 1).ToList(), series, lastYear, from);
        var finishing = series.Last.Cm >= NearlyDone * finishCm;
        if (before is not { } rate || rate <= 0)
            return null;

        var rise = tail[^1].Cm - tail[0].Cm;
        var now = Rate(tail)!.Value;
        var predicted = rate * days;
        if (rise <= readingErrorCm && predicted > readingErrorCm && !finishing)
            return new(
                PaceKind.Stalled,
                now,
                rate,
                against,
                $"{tail[0].Cm:0.#} to {tail[^1].Cm:0.#} cm in {days} days, within the error of a reading; the rate {against} "
                    + $"({rate:0.##} cm a day) meant {predicted:0.#} cm more."
            );
        var kind =
            now < SlowShare * rate && !finishing ? PaceKind.Slow
            : now >= FastShare * rate ? PaceKind.Faster
            : PaceKind.AsBefore;
        return new(
            kind,
            now,
            rate,
            against,
            Numbers($"{rise:0.#} cm in {days} days, {now:0.##} cm a day; {against} it was {rate:0.##} cm a day.")
        );
    }

    /// <summary>Where the newest stretch begins: the flat end of the series if it has one, else the last week.</summary>
    static int NewestFrom(IReadOnlyList<Measurement> points, double error)
    {
        var flat = points.Count - 1;
        while (flat > 0 && Math.Abs(points[^1].Cm - points[flat - 1].Cm) <= error)
            flat--;
        if (points[^1].On.DayNumber - points[flat].On.DayNumber >= ShortestDays)
            return flat;
        var week = points.Count - 1;
        while (week > 0 && points[^1].On.DayNumber - points[week].On.DayNumber < ShortestDays)
            week--;
        return week;
    }

    static (double? Rate, string Against) Before(List<Measurement> earlier, OrganSeries series, OrganSeries? lastYear, int from)
    {
        if (earlier.Count >= 2 && Days(earlier) > 0)
            return (Rate(earlier), "before");
        if (lastYear is null)
            return (null, "");
        var (start, end) = (Age(series.Points[from]), Age(series.Points[^1]));
        return (lastYear.AtAge(end) - lastYear.AtAge(start) is { } rise && end > start ? rise / (end - start) : null, "last year");

        int Age(Measurement point) => point.On.DayNumber - series.Start.DayNumber;
    }

    static double? Rate(IReadOnlyList<Measurement> points) =>
        points.Count >= 3 ? RobustLine.Fit([.. points.Select(p => ((double)p.On.DayNumber, p.Cm))])?.Slope
        : points.Count == 2 ? (points[1].Cm - points[0].Cm) / Math.Max(1, Days(points))
        : null;

    static int Days(IReadOnlyList<Measurement> points) => points[^1].On.DayNumber - points[0].On.DayNumber;

    static string Numbers(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}
