using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Evidence;

/// <summary>Rule G3: a growth that sprouted from another which is not finished.</summary>
public sealed record TwoGrowths(Lane Parent, Lane Young)
{
    /// <summary>The two, both under way, while the younger is news; null where there are none.</summary>
    public static TwoGrowths? Read(Situation now)
    {
        var growths = now.Lanes.Where(lane => lane is { Kind: LaneKind.Growth, Organ: not null }).ToList();
        var since = now.Today.AddDays(-now.Limits<TwoGrowthsLimits>().Said);
        return growths.LastOrDefault(lane => lane.Open && lane.From > since && SproutedFrom(now, lane, growths) is not null) is { } young
            ? new(SproutedFrom(now, young, growths)!, young)
            : null;
    }

    static Lane? SproutedFrom(Situation now, Lane young, List<Lane> growths)
    {
        var parent = now.Plant.Organs.FirstOrDefault(organ => organ.Id == young.Organ)?.Parent;
        return parent is null
            ? null
            : growths.FirstOrDefault(lane => lane.Organ == parent && lane.From < young.From && (lane.To is null || lane.To > young.From));
    }
}
