using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Evidence;

/// <summary>A tuber, corm or bulb that was planted and has not made a leaf yet: it drinks little, and eats nothing.</summary>
public static class BareShoots
{
    /// <summary>The planting; null for none, and once it has leaves.</summary>
    public static Entry? Read(Situation now) =>
        (now.Sheet.Is(Traits.Tuber) || now.Sheet.Is(Traits.Corms))
        && now.Journal.Last(EntryKinds.Planted) is { } planted
        && !now.Journal.Of(EntryKinds.GrowthHeight).Any(e => e.On >= planted.On && e.Amount?.InBase >= now.Limits<FeedRhythmLimits>().Leafy)
        && now.Journal.FirstSince(planted.On, EntryKinds.LeafStarted, EntryKinds.Leaves, EntryKinds.LeafSpan, EntryKinds.LeafCount) is null
        && planted.On > now.Today.AddDays(-now.Limits<FeedRhythmLimits>().Bare)
            ? planted
            : null;
}
