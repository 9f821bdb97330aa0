using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rule V6: how much. What was learned in growth is not given at rest, and few roots get about half.</summary>
public static class Amounts
{
    /// <summary>What a plant takes of an act now; null where neither its record nor its pot tells.</summary>
    public static WaterNeed? Need(Situation now, Care care)
    {
        var need = WaterNeed.Of(now);
        if (!need.Own && now.Plant.Pot?.VolumeMl is null)
            return null;
        return care is Care.WetLightly ? need.Times(now.Limits<AmountLimits>().Rest / 100)
            : now.Roots.State is RootState.Few ? need.Times(now.Limits<AmountLimits>().FewRoots / 100)
            : need;
    }

    /// <summary>The same in words, "about 60 mL"; null as well where all that is known was learned before its usual rest began.</summary>
    public static string? Usual(Situation now, Care care) =>
        care is Care.GiveWater && LearnedBeforeRest(now) ? null : Need(now, care)?.Words(now.Around.Garden.UsUnits);

    static bool LearnedBeforeRest(Situation now) =>
        now.Sheet.PhaseOn(now.Today, now.Around.Garden.Southern) is { Phase.Phase: Phase.Resting } rest
        && now.Journal.Waterings.LastOrDefault(e => e.Amount is { InBase: > 0 }) is { } last
        && last.On < rest.From;
}

/// <summary>Rule V6: how much less is a little.</summary>
[Rule("V6", "how much less is a little")]
public sealed record AmountLimits(
    [Limit("% of the usual", 1, 100, "at rest")] double Rest,
    [Limit("% of the usual", 5, 100, "with few roots")] double FewRoots
);
