namespace BudClock.Core.Evidence;

/// <summary>Rule R8: the finished bulbs of a plant that live and were not parted from it, oldest first.</summary>
public static class LiveBulbs
{
    /// <summary>The entry that says each was finished; only those that are on record.</summary>
    public static IReadOnlyList<Entry> Read(Situation now)
    {
        var parted = now.Journal.Last(EntryKinds.Divided)?.On;
        var lost = now.Journal.Of(EntryKinds.Lost, EntryKinds.GrowthStopped).Select(entry => entry.Organ).ToHashSet();
        return
        [
            .. now
                .Journal.Of(EntryKinds.GrowthMatured)
                .Where(entry => !(entry.On <= parted) && (entry.Organ is null || !lost.Contains(entry.Organ)))
                .DistinctBy(entry => entry.Organ ?? entry.Id.ToString()),
        ];
    }
}
