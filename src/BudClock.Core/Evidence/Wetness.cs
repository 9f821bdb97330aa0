using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Evidence;

/// <summary>How wet the medium is, by a finger, or by a scale that knows the pot.</summary>
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
    /// <summary>What it rests on, as a clause: "the medium was dry", "410 g, as light as when it was thirsty".</summary>
    public string Words { get; init; } = "";

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
        var said = felt?.Text switch
        {
            "dry" => Wet.Dry,
            "damp" => Wet.Damp,
            "wet" => Wet.Soaked,
            _ => Wet.Unknown,
        };
        var words = $"the medium was {felt?.Text}";
        // A finger of the same day says more than a scale.
        if (
            journal.Last(EntryKinds.Weight) is { Amount.InBase: var grams } weighed
            && !(felt?.On >= weighed.On)
            && PotWeight.Read(journal, today) is { } pot
            && pot.Says(grams) is not Wet.Unknown and var light
        )
            (felt, said, words) = (weighed, light, pot.Words(grams));
        var holds = said switch
        {
            Wet.Dry => felt!.On >= today.AddDays(-ages.Dry) && (water is null || !PlantJournal.IsAfter(water, felt)),
            Wet.Unknown => false,
            _ => felt!.On >= today.AddDays(-ages.Wet),
        };
        return holds ? new(said, felt, water) { Words = words } : new(Wet.Unknown, null, water);
    }
}
