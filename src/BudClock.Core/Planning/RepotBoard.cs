using BudClock.Core.Advising;
using BudClock.Core.Advising.Repotting;

namespace BudClock.Core.Planning;

/// <summary>All repot windows of a garden on a day, with the cold of each place beneath (rules R1 to R3 and R7).</summary>
/// <param name="Wanted">Plants that want a repot, the most urgent window first.</param>
/// <param name="Others">Plants that want none, by the same order.</param>
/// <param name="Cold">The nights below what plants there grow in, place by place.</param>
public sealed record RepotBoard(IReadOnlyList<RepotRow> Wanted, IReadOnlyList<RepotRow> Others, IReadOnlyList<PlaceCold> Cold)
{
    /// <summary>Reads the windows of every plant that is here.</summary>
    public static RepotBoard Of(IEnumerable<Assessment> plants, DateOnly today)
    {
        var rows = plants
            .Where(plant => !plant.Gone && plant.Fault is null)
            .Select(plant => new RepotRow(plant, RepotWindow.Read(plant)))
            .OrderBy(row => row.Window.State)
            .ThenBy(row => row.Window.To ?? DateOnly.MaxValue)
            .ThenBy(row => row.Plant.Plant.Tag, StringComparer.OrdinalIgnoreCase)
            .ToList();
        return new(
            [.. rows.Where(row => row.Window.Wanted is not null)],
            [.. rows.Where(row => row.Window.Wanted is null)],
            [
                .. rows.Where(row => row.Plant.Plant.Place is not null)
                    .GroupBy(row => row.Plant.Plant.Place!)
                    .Select(place => new PlaceCold(place.Key, Nights(place, today)))
                    .Where(place => place.Nights.Count > 0),
            ]
        );
    }

    /// <summary>Those that can be done on a day that is chosen now, in the order of their urgency.</summary>
    public IEnumerable<RepotRow> ForADay => Wanted.Where(row => row.CanBeDone);

    /// <summary>Only nights that count: in a heated room the forecast outside is nobody's.</summary>
    static List<DateOnly> Nights(IEnumerable<RepotRow> rows, DateOnly today) =>
        [
            .. rows.Select(row => row.Plant.Situation)
                .Where(now => now.Temper.CoolAhead is not null)
                .SelectMany(now => now.Around.Weather.Ahead.Where(day => day.MinC < now.Temper.FeedC).Select(day => day.On))
                .Where(day => day >= today)
                .Distinct()
                .Order(),
        ];
}

/// <summary>A plant and its window.</summary>
public sealed record RepotRow(Assessment Plant, RepotWindow Window)
{
    /// <summary>It can be done today.</summary>
    public bool CanBeDone => Window.State is WindowState.AtOnce or WindowState.Closing or WindowState.Open;
}

/// <summary>Forecast nights at a place that are below what plants there grow in.</summary>
/// <param name="Place">Its code.</param>
/// <param name="Nights">In their order.</param>
public sealed record PlaceCold(string Place, IReadOnlyList<DateOnly> Nights);
