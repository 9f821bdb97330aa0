using BudClock.Core.Advising;
using BudClock.Core.Measuring;

namespace BudClock.Core.Years;

/// <summary>Where what came lay against what was said.</summary>
public enum Fell
{
    /// <summary>Before the range.</summary>
    Early,

    /// <summary>In it, up to the likely day.</summary>
    FirstHalf,

    /// <summary>In it, after the likely day.</summary>
    SecondHalf,

    /// <summary>After the range.</summary>
    Late,
}

/// <summary>A forecast that was told, with what came of it.</summary>
public sealed record ForecastKept(Assessment Plant, Forecast Told, DateOnly Came)
{
    /// <summary>Where it lay.</summary>
    public Fell Fell =>
        Came < Told.From ? Fell.Early
        : Came > Told.To ? Fell.Late
        : Came <= Told.Likely ? Fell.FirstHalf
        : Fell.SecondHalf;

    /// <summary>Days after the likely day; negative for before it.</summary>
    public int DaysLate => Came.DayNumber - Told.Likely.DayNumber;
}

/// <summary>How good Bud Clock's own forecasts were, by what was kept of them on the day they were made.</summary>
public sealed record ForecastsKept(string Of, IReadOnlyList<ForecastKept> All)
{
    /// <summary>Of ten, eight should fall in the range, four in either half (how the ranges are meant).</summary>
    public const double Meant = 0.8;

    /// <summary>How many fell so.</summary>
    public int Count(Fell fell) => All.Count(one => one.Fell == fell);

    /// <summary>How many fell in the range.</summary>
    public int Within => Count(Fell.FirstHalf) + Count(Fell.SecondHalf);

    /// <summary>
    /// The first forecast told of each organ's turn, where the turn came. An organ that was lost or is under way is not counted, and
    /// neither is what was told on the day it came.
    /// </summary>
    public static IReadOnlyList<ForecastsKept> Read(IEnumerable<Assessment> plants) =>
        [
            .. plants
                .SelectMany(plant =>
                    plant
                        .Plant.Forecasts.OrderBy(told => told.Made)
                        .Select(told => (Told: told, Forecasts.Outcome(told, plant.Recorded, plant.Situation.Journal)?.Happened))
                        .Where(one => one.Happened > one.Told.Made)
                        .DistinctBy(one => (one.Told.Of, one.Told.Organ, one.Happened))
                        .Select(one => new ForecastKept(plant, one.Told, one.Happened!.Value))
                )
                .GroupBy(kept => kept.Told.Of)
                .OrderBy(group => group.Key, StringComparer.Ordinal)
                .Select(group => new ForecastsKept(group.Key, [.. group])),
        ];
}
