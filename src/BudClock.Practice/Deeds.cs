using BudClock.SimulatedPlants;

namespace BudClock.Practice;

/// <summary>What an entry of a log does to a plant, and what a log says of what is seen: the two ways between garden and model.</summary>
public static class Deeds
{
    const double LittleMl = 60;

    /// <summary>What was done to the plant by what its log says; nothing for what was only seen.</summary>
    public static IEnumerable<Deed> Of(Entry entry)
    {
        if (entry.IsWatering || IsFilled(entry))
            yield return Little(entry) ? Deed.Wet : Deed.Water;
        if (entry.Kind == EntryKinds.Fed)
            yield return Deed.Feed;
        else if (entry.Kind == EntryKinds.Repotted)
            yield return Deed.Repot;
        else if (entry.Kind == EntryKinds.Treated)
            yield return entry.Text?.Contains("cut", StringComparison.OrdinalIgnoreCase) == true ? Deed.CutOut : Deed.Treat;
        else if (entry.Kind == EntryKinds.Rinsed || entry.Kind == EntryKinds.Flushed)
            yield return Deed.Flush;
        else if (entry.Kind == EntryKinds.Lifted)
            yield return Deed.Lift;
        else if (entry.Kind == EntryKinds.Planted)
            yield return Deed.Plant;
    }

    static bool IsFilled(Entry entry) =>
        (entry.Kind == EntryKinds.Tray || entry.Kind == EntryKinds.Reservoir) && entry.Amount is { InBase: > 0.5 };

    static bool Little(Entry entry) =>
        entry.Text?.Contains("light", StringComparison.OrdinalIgnoreCase) == true
        || entry.Amount is { Dimension: Dimension.Volume, InBase: < LittleMl };

    /// <summary>The entry that a grower writes of what was seen; null for a kind that logs do not know.</summary>
    public static Entry? Seen(Sight sight, DateOnly on, DateTimeOffset logged, Guid id) =>
        EntryKinds.Find(sight.Kind) is not { } kind
            ? null
            : new()
            {
                Id = id,
                On = on,
                Kind = kind,
                Amount =
                    sight.Cm is { } cm ? new Quantity(cm, Unit.Find("cm"))
                    : sight.Count is { } count ? new Quantity(count, null)
                    : null,
                Text = sight.State,
                Logged = logged,
            };
}
