using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Evidence;

/// <summary>When salts were last washed out of the medium.</summary>
public static class Flushes
{
    /// <summary>The newest flush, or repot into fresh medium; null for none.</summary>
    public static Entry? Last(Situation now)
    {
        for (var i = now.Journal.Entries.Count - 1; i >= 0; i--)
            if (now.Journal.Entries[i] is var entry && (entry.Does.HasFlag(Effects.RinsesSalt) || Perhaps(now, entry)))
                return entry;
        return null;
    }

    /// <summary>
    /// Older logs write a flush as a rinse. Where the words do not tell, a plant whose leaves are rinsed by habit, or that had pests,
    /// had its leaves rinsed; any other its medium.
    /// </summary>
    static bool Perhaps(Situation now, Entry entry) =>
        entry.Kind == EntryKinds.Rinsed
        && !entry.Said.Has(SaidFacts.LeafRinse)
        && now.Sheet.Find<RinsingLimits>() is null
        && !PestsThen(now, entry);

    static bool PestsThen(Situation now, Entry entry) =>
        now.Journal.Of(EntryKinds.Pest).Any(pest => pest.On <= entry.On && pest.On > entry.On.AddDays(-now.Ages.Pests));
}
