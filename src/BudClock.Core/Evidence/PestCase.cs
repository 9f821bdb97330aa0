using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>Rule H1: pests from the day they are seen until two looks found none.</summary>
/// <param name="Sign">The newest entry that saw them.</param>
/// <param name="Treated">The newest treatment since the case began; null while there was none.</param>
/// <param name="ClearLooks">Looks since that found none, each on a day of its own.</param>
/// <param name="Needed">So many clear looks, a week apart, end it.</param>
/// <param name="LastLook">The newest of sign, treatment and clear look: from here the next look is counted.</param>
public sealed record PestCase(Entry Sign, Entry? Treated, int ClearLooks, Entry LastLook, int Needed)
{
    /// <summary>Not yet found clear twice, nor written to be over.</summary>
    public bool Open => ClearLooks < Needed;

    /// <summary>"mealy bug"; "pests" where nobody wrote which.</summary>
    public string Words => string.IsNullOrWhiteSpace(Sign.Text) ? "pests" : Sign.Text;

    /// <summary>The treatment let predators loose, which are spent after some weeks.</summary>
    public bool Predators => Treated?.Said.Has(SaidFacts.Predators) == true;

    /// <summary>On an eye or the newest growth, where it costs most.</summary>
    public bool OnNewGrowth => Sign.Said.Has(SaidFacts.OnNewGrowth);

    /// <summary>The newest case; null for a plant on which none were ever seen.</summary>
    /// <param name="needed">So many clear looks end it.</param>
    public static PestCase? Read(PlantJournal journal, int needed)
    {
        PestCase? pests = null;
        foreach (var entry in journal.Of(Pest, EntryKinds.Treated, Inspected, Looked, Rinsed))
            pests = Next(pests, entry, needed);
        return pests;
    }

    static PestCase? Next(PestCase? pests, Entry entry, int needed)
    {
        if (entry.Kind == Pest && entry.Said.Has(SaidFacts.Algae))
            return pests;
        if (entry.Kind == Pest && !IsClear(entry))
            return new(entry, pests is { Open: true } ? pests.Treated : null, 0, entry, needed);
        if (pests is not { Open: true })
            return pests;
        if (entry.Kind == EntryKinds.Treated && !IsClear(entry))
            return pests with { Treated = entry, LastLook = entry, ClearLooks = 0 };
        if (entry.Kind == Rinsed)
            return pests;
        if (!IsClear(entry) || (entry.On == pests.LastLook.On && pests.ClearLooks > 0))
            return pests;
        return pests with { ClearLooks = entry.Said.Has(SaidFacts.AllClear) ? pests.Needed : pests.ClearLooks + 1, LastLook = entry };
    }

    static bool IsClear(Entry entry) => entry.Kind == Looked ? entry.Text == "better" : entry.Said.Has(SaidFacts.NoneSeen);
}
