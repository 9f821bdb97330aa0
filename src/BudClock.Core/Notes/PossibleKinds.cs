using BudClock.Core.Culture;

namespace BudClock.Core.Notes;

/// <summary>Which entries a plant of a habit can have: a moth orchid has no tuber, an African violet no bulbs.</summary>
public static class PossibleKinds
{
    static readonly EntryKind[] OfBulbs = [EntryKinds.Bulbs, EntryKinds.BulbSize];
    static readonly EntryKind[] OfTubers = [EntryKinds.Tuber, EntryKinds.Lifted];
    static readonly EntryKind[] OfRosettes = [EntryKinds.SummerLeaves, EntryKinds.WinterRosette];

    /// <summary>All kinds but those that the habit has no part for.</summary>
    public static IReadOnlySet<EntryKind> Of(CultureSheet sheet)
    {
        var kinds = EntryKinds.All.ToHashSet();
        if (!sheet.Organs.Stores.Contains(Organ.Bulb))
            kinds.ExceptWith(OfBulbs);
        if (!sheet.Organs.Stores.Contains(Organ.Tuber))
            kinds.ExceptWith(OfTubers);
        if (!sheet.Is(Traits.Carnivore))
            kinds.ExceptWith(OfRosettes);
        return kinds;
    }
}
