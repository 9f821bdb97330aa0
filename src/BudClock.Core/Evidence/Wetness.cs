using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Evidence;

/// <summary>How wet the medium is, by a finger.</summary>
public enum Wet
{
    /// <summary>Nobody felt it lately.</summary>
    Unknown,

    /// <summary>Felt dry, and not watered since.</summary>
    Dry,

    /// <summary>Felt damp within the last days.</summary>
    Damp,

    /// <summary>Felt wet within the last days.</summary>
    Soaked,
}

/// <summary>Rules V1 and V7: what was last felt of the medium, and when water was last given.</summary>
/// <param name="Felt">The entry the state rests on; null where nothing holds any more.</param>
/// <param name="LastWater">The last entry that put water into the pot.</param>
public sealed record Wetness(Wet State, Entry? Felt, Entry? LastWater)
{
    /// <summary>Felt wet or damp, which no thirst outweighs.</summary>
    public bool IsWet => State is Wet.Damp or Wet.Soaked;

    /// <summary>Felt dry since the last water.</summary>
    public bool IsDry => State is Wet.Dry;

    /// <summary>Days since water was given; null where none is on record.</summary>
    public int? DaysSince(DateOnly today) => LastWater is null ? null : today.DayNumber - LastWater.On.DayNumber;

    /// <summary>Reads the newest touch: wet or damp holds for some days, dry until water is given, or for some weeks.</summary>
    public static Wetness Read(PlantJournal journal, DateOnly today, Ages ages)
    {
        var (felt, water) = (journal.Last(EntryKinds.Medium), journal.Waterings.LastOrDefault());
        var state = felt?.Text switch
        {
            "dry" when felt.On >= today.AddDays(-ages.Dry) && (water is null || !PlantJournal.IsAfter(water, felt)) => Wet.Dry,
            "damp" when felt.On >= today.AddDays(-ages.Wet) => Wet.Damp,
            "wet" when felt.On >= today.AddDays(-ages.Wet) => Wet.Soaked,
            _ => Wet.Unknown,
        };
        return new(state, state is Wet.Unknown ? null : felt, water);
    }
}
