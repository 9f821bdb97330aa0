using BudClock.Core.Years;

namespace BudClock.Web.Drawing;

/// <summary>The bloom ribbon: a column a week, as tall as plants are in bloom, with what is forecast above the line of today.</summary>
public sealed record RibbonDrawing(IReadOnlyList<RibbonColumn> Columns, IReadOnlyList<(double X, string Text)> Months, int Most)
{
    public const double Width = 860;
    public const double Height = 190;
    public const double Ground = 150;

    /// <summary>The week in which most bloom is drawn so tall.</summary>
    public const double Tallest = 130;

    const double Left = 4;

    /// <summary>How wide a week is drawn.</summary>
    public const double Step = (Width - (2 * Left)) / 52;

    public static RibbonDrawing Of(BloomRibbon ribbon, int chosen)
    {
        var most = Math.Max(1, ribbon.Weeks.Max(week => All(week).Count));
        return new(
            [.. ribbon.Weeks.Select(week => Column(week, most, week.Number == chosen))],
            [
                .. Enumerable
                    .Range(0, 12)
                    .Select(ribbon.Year.From.AddMonths)
                    .Select(month => (Left + ((month.DayNumber - ribbon.Year.From.DayNumber) / 7.0 * Step), $"{month:MMM}")),
            ],
            most
        );
    }

    static RibbonColumn Column(BloomWeek week, int most, bool chosen)
    {
        var (open, all) = (Tallest * week.InBloom.Count / most, Tallest * All(week).Count / most);
        return new(week, Left + ((week.Number - 1) * Step), open, all - open, Words(week), chosen);
    }

    /// <summary>What is in bloom and what is likely to be, each once.</summary>
    static List<string> All(BloomWeek week) => [.. week.InBloom.Concat(week.Likely).Select(plant => plant.Plant.Tag).Distinct()];

    static string Words(BloomWeek week) =>
        $"Week of {Dates.Short(week.From)}: "
        + (
            week.InBloom.Count > 0 ? $"{week.InBloom.Count} in bloom, {string.Join(", ", week.InBloom.Select(plant => plant.Plant.Tag))}"
            : week.Ahead && week.Likely.Count > 0 ? $"likely {string.Join(", ", week.Likely.Select(plant => plant.Plant.Tag))}"
            : week.Ahead ? "nothing forecast"
            : week.Unknown ? "before the log"
            : "nothing in bloom"
        );
}

/// <summary>A week as it is drawn.</summary>
/// <param name="Open">How tall what was open is.</param>
/// <param name="Likely">How tall what is forecast stands above it.</param>
public sealed record RibbonColumn(BloomWeek Week, double X, double Open, double Likely, string Words, bool Chosen);
