using BudClock.Core.Advising.Watering;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D5: a leafless corm aroid keeps a little water and is never bone dry; no feed; it is back in spring.</summary>
public sealed class AroidRestAdviser : IKeepsRest
{
    /// <inheritdoc/>
    public string Rule => "D5";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rest is not { Lifted: false } rest || now.Levels.OverWater)
            yield break;
        var advice = new WaterAsked(Rule, "a little water, never bone dry", "feel the medium and the base")
        {
            Care = Care.WetLightly,
            Every = now.Limits<AroidRestLimits>().Every,
            Since = rest.Since,
        }.Judge(now);
        yield return advice with
        {
            Reason = $"Leafless since {Dates.Near(rest.Since, now.Today)}, not dead. {advice.Reason}",
        };
    }
}

/// <summary>Rule D5: an aroid at rest.</summary>
[Rule("D5", "an aroid at rest")]
public sealed record AroidRestLimits([Limit("days", 2, 60, "between looks at a medium that is kept barely damp")] double Every);
