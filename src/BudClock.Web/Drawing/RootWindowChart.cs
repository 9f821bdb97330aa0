using BudClock.Core.Advising.Repotting;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Web.Drawing;

/// <summary>The root window: how long new roots are and will be, when it opens and closes, the cold, and today.</summary>
public sealed record RootWindowChart(
    IReadOnlyList<ChartPoint> Points,
    string Line,
    string Fan,
    double OpenY,
    double LateY,
    IReadOnlyList<ChartLine> Grid,
    double TodayX,
    ChartBand? Cold,
    IReadOnlyList<ChartLabel> Days,
    string Summary
)
{
    public const double Width = 420;
    public const double Height = 220;
    const double Left = 36;
    public const double Right = 412;
    const double Top = 22;
    public const double Bottom = 186;

    /// <summary>Null where no new roots show.</summary>
    public static RootWindowChart? Of(Situation now, RepotWindow window)
    {
        if (window.Roots is not { } roots || now.Sheet.Find<RepotWindowLimits>() is not { } limits)
            return null;
        var measured = now.Series.FirstOrDefault(series => series.Kind == EntryKinds.RootLength && series.Moves)?.Points ?? [roots.Last];
        var closes = roots.Reach(limits.Late);
        var (from, to) = (measured[0].On, new[] { closes.AddDays(10), now.Today.AddDays(10) }.Max());
        var most = Math.Max(limits.Late * 1.25, measured.Max(point => point.Cm) * 1.1);
        double X(DateOnly day) => Left + ((Right - Left) * (day.DayNumber - from.DayNumber) / Math.Max(1, to.DayNumber - from.DayNumber));
        double Y(double cm) => Bottom - ((Bottom - Top) * Math.Clamp(cm, 0, most) / most);
        var end = roots.Between(to);
        var points = measured
            .Select(point => new ChartPoint(X(point.On), Y(point.Cm), $"{Dates.Short(point.On)}: {point.Cm:0.#} cm"))
            .ToList();
        return new(
            points,
            $"M{string.Join(" L", points.Select(p => $"{Svg.N(p.X)} {Svg.N(p.Y)}"))}",
            $"M{P(X(roots.Last.On), Y(roots.Last.Cm))} L{P(X(to), Y(end.From))} L{P(X(to), Y(end.To))} Z",
            Y(limits.Open),
            Y(limits.Late),
            [.. Lines(most, Y)],
            X(now.Today),
            now.Temper is { CoolAhead.On: var first, LastCool.On: var last }
                ? new(X(first), Top, Math.Max(4, X(last) - X(first)), Bottom - Top)
                : null,
            [
                new(Left, Dates.Short(from), "start", false),
                new(Math.Clamp(X(closes), Left + 150, Right - 60), $"closes {Dates.Short(closes)}", "middle", true),
            ],
            $"New roots of {roots.Last.Cm:0.#} cm on {Dates.Short(roots.Last.On)}; about {roots.At(now.Today):0.#} cm today; "
                + $"{limits.Late:0.#} cm, too long, about {Dates.Short(closes)}."
        );
    }

    static string P(double x, double y) => $"{Svg.N(x)} {Svg.N(y)}";

    static IEnumerable<ChartLine> Lines(double most, Func<double, double> y)
    {
        for (var cm = 0.0; cm <= most; cm += 2)
            yield return new(Left, y(cm), Right, y(cm), cm.ToString("0", System.Globalization.CultureInfo.InvariantCulture));
    }
}
