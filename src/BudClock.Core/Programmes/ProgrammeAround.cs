using BudClock.Core.Climate;

namespace BudClock.Core.Programmes;

/// <summary>What a programme is counted by: the garden's days and nights, and what its places have been.</summary>
/// <param name="RecordOf">The record of a place; empty for none and for a place that nobody measured.</param>
/// <param name="PlaceOf">A place by its code; null for none.</param>
public sealed record ProgrammeAround(GardenDays Days, Func<string?, PlaceRecord> RecordOf, Func<string?, Place?> PlaceOf)
{
    /// <summary>What is ahead for a place, from today on.</summary>
    public Func<string?, IReadOnlyList<DayAhead>> AheadOf { get; init; } = _ => [];
}

/// <summary>Where a plant stood on each day, from its dated moves.</summary>
public sealed class Whereabouts(Plant plant)
{
    readonly Dictionary<DateOnly, string?> known = [];
    readonly bool moved = plant.Entries.Any(entry => !entry.Struck && entry.Sets.Any(set => set.What == Facts.Place));

    /// <summary>The code of its place at the end of a day; null for unplaced.</summary>
    public string? On(DateOnly day)
    {
        if (!moved)
            return plant.Place;
        if (!known.TryGetValue(day, out var place))
            known[day] = place = plant.On(day).Place;
        return place;
    }
}
