using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Web.Drawing;

/// <summary>The measured roots of this season against the length they need, with the projected range of days.</summary>
public sealed record RootChart(
    IReadOnlyList<ChartPoint> Points,
    IReadOnlyList<ChartLine> Grid,
    ChartLine Need,
    string NeedLabel,
    ChartBand? Expected,
    ChartLine? Trend,
    IReadOnlyList<ChartLabel> Days,
    string Summary,
    string Rate
)
{
    public const double Width = 420;
    public const double Height = 200;
    const double Left = 36;
    const double Right = 412;
    const double Top = 24;
    const double Bottom = 170;

    /// <summary>Null when no root has been measured since the plant woke.</summary>
    /// <param name="unit">The unit of the lines across, cm where none is given.</param>
    public static RootChart? Of(Situation? now, Unit? unit = null)
    {
        if (now is null || now.NewRoots.Series.Count == 0 || !now.Sheet.Is(Traits.DryRest))
            return null;
        var (series, need) = (now.NewRoots.Series, now.NeededRootCm);
        var projection = now.DryRest.Waking ? Projection.Reach(need, series) : null;
        var last = series[^1].On;
        var end = new[] { projection?.To ?? projection?.Likely ?? last, now.Today, last }.Max().AddDays(3);
        var scale = new Scale(series[0].On, end, Math.Max(need, series.Max(m => m.Cm)) * 1.15);
        var points = series.Select(m => new ChartPoint(scale.X(m.On), scale.Y(m.Cm), $"{Dates.Short(m.On)}: {Cm(m.Cm)}")).ToList();
        return new(
            points,
            [.. scale.Lines(unit ?? Unit.Cm)],
            new(Left, scale.Y(need), Right, scale.Y(need), Cm(need)),
            $"needs {Cm(need)}",
            Band(projection, scale),
            TrendLine(projection, points[^1], scale, need),
            [.. Labels(scale, series, projection)],
            Say(series, need, projection),
            RateOf(series, need, projection)
        );
    }

    static ChartBand? Band(Projection? projection, Scale scale) =>
        projection is { From: { } from, To: { } to }
            ? new(scale.X(from), Top, Math.Max(3, scale.X(to) - scale.X(from)), Bottom - Top)
            : null;

    static ChartLine? TrendLine(Projection? projection, ChartPoint last, Scale scale, double need) =>
        projection?.Likely is { } likely ? new(last.X, last.Y, scale.X(likely), scale.Y(need), "trend") : null;

    static IEnumerable<ChartLabel> Labels(Scale scale, IReadOnlyList<Measurement> series, Projection? projection)
    {
        yield return new(scale.X(series[0].On), Dates.Short(series[0].On), "start", false);
        var far = projection is { Likely: { } likely } ? scale.X(likely) : Right;
        var lastX = scale.X(series[^1].On);
        if (series.Count > 1 && lastX - Left > 70 && far - lastX > 90)
            yield return new(lastX, Dates.Short(series[^1].On), "middle", false);
        if (projection is { From: { } from, Likely: { } middle, To: { } to })
            yield return new(Math.Min(scale.X(middle), Right - 42), Dates.Range(from, to), "middle", true);
    }

    static string Say(IReadOnlyList<Measurement> series, double need, Projection? projection)
    {
        var last = $"{Cm(series[^1].Cm)} on {Dates.Short(series[^1].On)}, {Cm(need)} needed.";
        return projection?.InWords() is { } when ? $"{last} On the trend {when}." : last;
    }

    static string RateOf(IReadOnlyList<Measurement> series, double need, Projection? projection)
    {
        if (projection is not null)
            return string.Create(
                CultureInfo.InvariantCulture,
                $"{projection.CmPerDay:0.##} cm a day ({projection.LowCmPerDay:0.##} to {projection.HighCmPerDay:0.##}). Shaded: the days "
                    + $"on which four in five such trends arrive."
            );
        return series.Count < 3 && series[^1].Cm < need ? "A trend needs three measurements." : "";
    }

    static string Cm(double value) => string.Create(CultureInfo.InvariantCulture, $"{value:0.#} cm");

    /// <summary>Days along, centimetres up.</summary>
    sealed record Scale(DateOnly From, DateOnly To, double TopCm)
    {
        public double X(DateOnly day) =>
            Left + ((Right - Left) * (day.DayNumber - From.DayNumber) / Math.Max(1, To.DayNumber - From.DayNumber));

        public double Y(double cm) => Bottom - ((Bottom - Top) * cm / TopCm);

        public IEnumerable<ChartLine> Lines(Unit unit)
        {
            var top = TopCm / unit.Factor;
            var step =
                top > 12 ? 5.0
                : top > 5 ? 2.0
                : 1.0;
            for (var at = 0.0; at <= top; at += step)
                yield return new(Left, Y(at * unit.Factor), Right, Y(at * unit.Factor), at.ToString("0", CultureInfo.InvariantCulture));
        }
    }
}

public sealed record ChartPoint(double X, double Y, string Title);

public sealed record ChartLine(double X1, double Y1, double X2, double Y2, string Label);

public sealed record ChartBand(double X, double Y, double Width, double Height);

public sealed record ChartLabel(double X, string Text, string Anchor, bool Strong);
