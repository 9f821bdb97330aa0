using System.Globalization;
using BudClock.Core.Measuring;

namespace BudClock.Web.Drawing;

/// <summary>An organ's lengths by its age in days, against the year before at the same age.</summary>
public sealed record SeriesChart(
    string Title,
    IReadOnlyList<ChartPoint> Points,
    IReadOnlyList<ChartPoint> YearBefore,
    IReadOnlyList<ChartLine> Grid,
    IReadOnlyList<ChartLabel> Ages,
    Pace? Pace,
    string Summary
)
{
    const double Left = 36;
    const double Right = 405;
    const double Top = 12;
    const double Bottom = 142;

    /// <param name="unit">The unit of the lines across, cm where none is given.</param>
    public static SeriesChart Of(OrganSeries series, OrganSeries? before, Unit? unit = null)
    {
        var days = Math.Max(7, Age(series, series.Last));
        var earlier = (before?.Points ?? []).Where(p => Age(before!, p) <= days * 1.5).ToList();
        var longest = Math.Max(days, earlier.Count == 0 ? 0 : Age(before!, earlier[^1]));
        var top = series.Points.Concat(earlier).Max(p => p.Cm) * 1.15;
        var pace = Pace.Read(series, before);
        var last = string.Create(CultureInfo.InvariantCulture, $"{series.Label}: {series.Last.Cm:0.#} cm on {Dates.Short(series.Last.On)}");
        return new(
            series.Label,
            Points(series, series.Points),
            before is null ? [] : Points(before, earlier),
            [.. Lines(top, unit ?? Unit.Cm)],
            [new(Left, "day 0", "start", false), new(Right, $"day {longest}", "end", false)],
            pace,
            pace is null ? last : $"{last}, {pace.Words}"
        );

        IReadOnlyList<ChartPoint> Points(OrganSeries own, IReadOnlyList<Measurement> points) =>
            [
                .. points.Select(p => new ChartPoint(
                    Left + ((Right - Left) * Age(own, p) / longest),
                    Bottom - ((Bottom - Top) * p.Cm / top),
                    string.Create(CultureInfo.InvariantCulture, $"{Dates.Short(p.On)}: {p.Cm:0.#} cm")
                )),
            ];
    }

    static int Age(OrganSeries series, Measurement point) => point.On.DayNumber - series.Start.DayNumber;

    /// <summary>Three or four lines at round lengths.</summary>
    static IEnumerable<ChartLine> Lines(double topCm, Unit unit)
    {
        var top = topCm / unit.Factor;
        double[] steps = [0.5, 1, 2, 5, 10, 20, 50, 100];
        var step = steps.First(s => top / s <= 5 || s == steps[^1]);
        for (var at = 0.0; at <= top; at += step)
        {
            var y = Bottom - ((Bottom - Top) * at / top);
            yield return new(Left, y, Right, y, at.ToString("0.#", CultureInfo.InvariantCulture));
        }
    }
}
