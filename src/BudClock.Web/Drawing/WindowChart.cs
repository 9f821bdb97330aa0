using BudClock.Core.Advising.Repotting;
using BudClock.Core.Planning;

namespace BudClock.Web.Drawing;

/// <summary>Repot windows over the coming months, a line for each plant, and the cold nights of each place beneath.</summary>
public sealed record WindowChart(
    IReadOnlyList<WindowBar> Bars,
    IReadOnlyList<ColdStrip> Cold,
    IReadOnlyList<ChartLabel> Months,
    double TodayX,
    double Height,
    string Summary
)
{
    public const double Width = 920;
    public const double Left = 190;
    const double Right = 900;
    public const double Top = 34;
    public const double Row = 30;
    const int Back = 14;
    const int Ahead = 182;

    /// <summary>More plants than this are read in the table.</summary>
    const int Most = 25;

    /// <summary>Null where no window has a day to draw.</summary>
    public static WindowChart? Of(RepotBoard board, GardenDay today)
    {
        var rows = board
            .Wanted.Concat(board.Others.Where(row => row.Window.Roots is not null || row.Window.State is WindowState.Shut))
            .Where(row => row.Window.From is not null && row.Window.From < today.Day.AddDays(Ahead))
            .Take(Most)
            .ToList();
        if (rows.Count == 0)
            return null;
        var bars = rows.Select((row, index) => Bar(row, Top + (Row * index), today.Day)).ToList();
        var below = Top + (Row * rows.Count) + 8;
        var cold = board
            .Cold.Select(
                (place, index) =>
                    new ColdStrip(
                        today.PlaceAt(place.Place)?.Name ?? place.Place,
                        below + (Row * index),
                        [.. place.Nights.Select(night => X(night, today.Day))]
                    )
            )
            .ToList();
        return new(
            bars,
            cold,
            [.. MonthNames(today.Day)],
            X(today.Day, today.Day),
            below + (Row * cold.Count) + 6,
            string.Join(" ", rows.Select(row => $"{row.Plant.Plant.Tag}: {row.Window.Words}"))
        );
    }

    static WindowBar Bar(RepotRow row, double y, DateOnly today)
    {
        var window = row.Window;
        var from = X(window.From!.Value, today);
        // What does not close by roots fades out at the end of what is drawn.
        var to = Math.Max(from + 6, X(window.To ?? (window.State is WindowState.AtOnce ? today.AddDays(7) : today.AddDays(60)), today));
        return new(
            row.Plant.Plant.Tag,
            row.Plant.Plant.Called,
            from,
            y,
            to - from,
            window.State.ToString().ToLowerInvariant(),
            window.AfterCold is { } after ? X(after, today) : null
        );
    }

    static IEnumerable<ChartLabel> MonthNames(DateOnly today)
    {
        for (
            var month = new DateOnly(today.Year, today.Month, 1).AddMonths(1);
            month < today.AddDays(Ahead - 10);
            month = month.AddMonths(1)
        )
            yield return new(X(month, today), month.ToString("MMM", System.Globalization.CultureInfo.InvariantCulture), "start", false);
    }

    static double X(DateOnly day, DateOnly today) =>
        Left + ((Right - Left) * Math.Clamp((day.DayNumber - today.DayNumber + Back) / (double)(Back + Ahead), 0, 1));

    /// <summary>How wide one night is drawn.</summary>
    public static double Night => (Right - Left) / (Back + Ahead);
}

/// <param name="Look">The state of the window, in lower case.</param>
/// <param name="DayX">The day to do it after the cold; null for none.</param>
public sealed record WindowBar(string Tag, string Called, double X, double Y, double Width, string Look, double? DayX);

/// <summary>Cold nights at a place.</summary>
public sealed record ColdStrip(string Place, double Y, IReadOnlyList<double> Nights);
