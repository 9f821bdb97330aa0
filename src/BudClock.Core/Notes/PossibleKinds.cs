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
        if (!HasBulbs(sheet))
            kinds.ExceptWith(OfBulbs);
        if (!HasTuber(sheet) && !HasBulbs(sheet))
            kinds.ExceptWith(OfTubers);
        if (!sheet.Is(Traits.Carnivore))
            kinds.ExceptWith(OfRosettes);
        return kinds;
    }

    static bool HasTuber(CultureSheet sheet) =>
        sheet.Is(Traits.Tuber)
        || sheet.Is(Traits.Corms)
        || sheet.Is(Traits.Succulent)
        || sheet.Is(Traits.SummerRest)
        || Named(sheet, "tuber")
        || sheet.Name == CultureSheets.General;

    static bool HasBulbs(CultureSheet sheet) =>
        sheet.Is(Traits.DryRest)
        || sheet.Is(Traits.Forced)
        || Named(sheet, "bulb")
        || Named(sheet, "lily")
        || Named(sheet, "narcissus")
        || Named(sheet, "orchid")
        || sheet.Name == CultureSheets.General
        || sheet.Signs.Any(sign => OfBulbs.Contains(sign.Kind));

    static bool Named(CultureSheet sheet, string word) => sheet.Name.Contains(word, StringComparison.Ordinal);
}
