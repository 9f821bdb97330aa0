namespace BudClock.Core.Measuring;

/// <summary>When a measured length is likely to reach the one needed, as an 80 % range.</summary>
/// <param name="CmPerDay">The robust rate.</param>
/// <param name="From">Early end of the range; null when <paramref name="Likely"/> is.</param>
/// <param name="Likely">The middle; null when the series does not rise.</param>
/// <param name="To">Late end; null when the rate may as well be nothing.</param>
public sealed record Projection(double CmPerDay, double LowCmPerDay, double HighCmPerDay, DateOnly? From, DateOnly? Likely, DateOnly? To)
{
    /// <summary>How far a reading may be off, by default (rule K3).</summary>
    public const double ReadingErrorCm = 0.3;

    const int Horizon = 365; // a date beyond a year says nothing

    /// <summary>
    /// Projects a series to <paramref name="needCm"/>. Nothing is said below three measurements on different days,
    /// nor once the length is reached. No end of the range lies before the last measurement.
    /// </summary>
    public static Projection? Reach(double needCm, IReadOnlyList<Measurement> series, double readingErrorCm = ReadingErrorCm)
    {
        if (series.Count < 3 || series[^1].Cm >= needCm)
            return null;
        var start = series[0].On.DayNumber;
        var line = RobustLine.Fit([.. series.Select(m => ((double)(m.On.DayNumber - start), m.Cm))]);
        if (line is null)
            return null;

        var last = series[^1];
        var now = Math.Min(line.At(last.On.DayNumber - start), needCm);
        return new(
            line.Slope,
            line.Low,
            line.High,
            Reached(line.High, now + readingErrorCm),
            Reached(line.Slope, now),
            Reached(line.Low, now - readingErrorCm)
        );

        DateOnly? Reached(double rate, double fromCm)
        {
            var days = Math.Max(0, (needCm - fromCm) / rate);
            return rate <= 0 || line.Slope <= 0 || days > Horizon ? null : last.On.AddDays((int)Math.Ceiling(days - 1e-9));
        }
    }

    /// <summary>"about 27 May (25–30 May)".</summary>
    public string? InWords() =>
        (Likely, From, To) switch
        {
            ({ } likely, { } from, { } to) when from != to => $"about {Dates.Short(likely)} ({Dates.Range(from, to)})",
            ({ } likely, _, null) => $"about {Dates.Short(likely)}, or much later",
            ({ } likely, _, _) => $"about {Dates.Short(likely)}",
            _ => null,
        };
}
