using System.Globalization;
using BudClock.Core.Climate;
using BudClock.Core.Planning;

namespace BudClock.Web.Drawing;

/// <summary>A stretch of a lane, drawn.</summary>
/// <param name="Late">How far its late end reaches beyond it.</param>
/// <param name="Label">Its words, where they fit.</param>
public sealed record TriggerBar(double X, double Width, double Late, string Class, string Name, string? Label);

/// <summary>A lane, drawn: its bars, and the handle by which its start is moved.</summary>
public sealed record TriggerRow(TriggerLane Lane, double Y, IReadOnlyList<TriggerBar> Bars, double? HandleX);

/// <summary>
/// Lanes over the coming months, above them day length and nights, and today's line. Numbers only, so that a test can read them.
/// </summary>
public sealed record TriggerChart(
    DateOnly From,
    DateOnly To,
    double Today,
    double Step,
    string DayLength,
    IReadOnlyList<string> Nights,
    string? NightsAhead,
    IReadOnlyList<(double Y, string Words)> Degrees,
    IReadOnlyList<(double X, string Words)> Months,
    IReadOnlyList<TriggerRow> Rows,
    IReadOnlyList<Stretch> Away,
    string Summary
)
{
    /// <summary>Width of the drawing.</summary>
    public const double Width = 1100;

    /// <summary>Where the lanes begin, from the left.</summary>
    public const double Left = 190;

    /// <summary>Where the lanes begin, from the top.</summary>
    public const double Top = 118;

    /// <summary>Height of a lane: a finger's width.</summary>
    public const double LaneHeight = 44;

    /// <summary>Height of a bar in it.</summary>
    public const double BarHeight = 26;

    const double RibbonTop = 28;
    const double RibbonBottom = 104;
    const int DaysBack = 45;
    const int DaysAhead = 200;
    const double LetterWidth = 6.6;

    /// <summary>Height of the whole drawing.</summary>
    public double Height => Top + (Math.Max(1, Rows.Count) * LaneHeight) + 8;

    /// <summary>The chart of a board.</summary>
    /// <param name="record">The place whose nights are drawn.</param>
    public static TriggerChart Of(
        TriggerBoard board,
        GardenDays calendar,
        PlaceRecord record,
        PlaceAhead ahead,
        IReadOnlyList<Away> away,
        DateOnly today
    )
    {
        var (from, to) = (today.AddDays(-DaysBack), today.AddDays(DaysAhead));
        var step = (Width - Left) / (to.DayNumber - from.DayNumber);
        var degrees = Scale(record, ahead, from, today);
        return new(
            from,
            to,
            X(today),
            step,
            Points(Days(from, to).Select(day => (X(day), Between(calendar.Of(day).LightHours / 24)))),
            [.. Runs(record, from, today).Select(run => Points(run.Select(night => (X(night.Ends), Y(night.CoolestC)))))],
            ahead.Days14.Count(day => day.MinC is not null) > 1
                ? Points(ahead.Days14.Where(day => day.MinC is not null).Select(day => (X(day.On), Y(day.MinC!.Value))))
                : null,
            [.. degrees.Marks.Select(celsius => (Y(celsius), string.Create(CultureInfo.InvariantCulture, $"{celsius:0} °C")))],
            [.. Days(from, to).Where(day => day.Day == 1).Select(day => (X(day), day.ToString("MMM", CultureInfo.InvariantCulture)))],
            [.. board.Lanes.Select((lane, index) => Row(lane, index))],
            [
                .. away.Where(gone => gone.To >= from && gone.From <= to)
                    .Select(gone => new Stretch(X(gone.From), (gone.To.DayNumber - gone.From.DayNumber + 1) * step)),
            ],
            $"{board.Lanes.Count} lanes from {Dates.Long(from)} to {Dates.Long(to)}; the same stands in the table below."
        );

        double X(DateOnly day) => Round(Left + (Math.Clamp(day.DayNumber - from.DayNumber, 0, to.DayNumber - from.DayNumber) * step));

        double Y(double celsius) => Between((celsius - degrees.Low) / (degrees.High - degrees.Low));

        TriggerRow Row(TriggerLane lane, int index) =>
            new(
                lane,
                Top + (index * LaneHeight),
                [.. lane.Spans.Where(span => span.To >= from && span.From <= to).Select(Bar)],
                lane.Start is { } start ? X(start) : null
            );

        TriggerBar Bar(TriggerSpan span)
        {
            var (left, right) = (X(span.From), X(span.To));
            var width = Math.Max(3, Round(right - left));
            return new(
                left,
                width,
                Math.Max(0, Round(X(span.Latest) - right)),
                span.Bloom ? "bloom"
                    : span.Expected && span.From > today ? "ahead"
                    : "now",
                $"{span.Name}, "
                    + $"{Dates.Range(span.From, span.To)}{(span.Latest > span.To ? $", {Dates.Short(span.Latest)} at the latest" : "")}",
                width > (span.Name.Length * LetterWidth) + 8 ? span.Name : null
            );
        }
    }

    static double Between(double share) => Round(RibbonBottom - (Math.Clamp(share, 0, 1) * (RibbonBottom - RibbonTop)));

    static (double Low, double High, IReadOnlyList<double> Marks) Scale(PlaceRecord record, PlaceAhead ahead, DateOnly from, DateOnly today)
    {
        var values = record
            .Nights.Where(night => night.Ends >= from && night.Ends <= today)
            .Select(night => night.CoolestC)
            .Concat(ahead.Days14.Select(day => day.MinC).OfType<double>())
            .ToList();
        var (low, high) = values.Count == 0 ? (0, 20) : (Math.Floor((values.Min() - 1) / 5) * 5, Math.Ceiling((values.Max() + 1) / 5) * 5);
        return (low, high, [.. Enumerable.Range(0, (int)((high - low) / 5) + 1).Select(n => low + (n * 5))]);
    }

    static IEnumerable<DateOnly> Days(DateOnly from, DateOnly to)
    {
        for (var day = from; day <= to; day = day.AddDays(1))
            yield return day;
    }

    /// <summary>Nights one after the other; a gap parts the line.</summary>
    static IEnumerable<List<NightOfPlace>> Runs(PlaceRecord record, DateOnly from, DateOnly today)
    {
        var run = new List<NightOfPlace>();
        foreach (var night in record.Nights.Where(night => night.Ends >= from && night.Ends <= today))
        {
            if (run.Count > 0 && night.Ends > run[^1].Ends.AddDays(2))
            {
                yield return run;
                run = [];
            }
            run.Add(night);
        }
        if (run.Count > 0)
            yield return run;
    }

    static string Points(IEnumerable<(double X, double Y)> points) =>
        string.Join(' ', points.Select(point => string.Create(CultureInfo.InvariantCulture, $"{point.X:0.#},{point.Y:0.#}")));

    static double Round(double value) => Math.Round(value, 1);
}
