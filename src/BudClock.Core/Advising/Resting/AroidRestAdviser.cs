using BudClock.Core.Advising.Watering;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D5: a leafless corm aroid keeps a little water and is never bone dry; no feed; it is back in spring.</summary>
public sealed class AroidRestAdviser : IAdviser
{
    public string Rule => "D5";

    public IReadOnlyList<string> Thresholds => ["every"];

    public Advice? Advise(Situation now)
    {
        if (now.Rest is not { Lifted: false } rest) return null;
        var advice = new WaterAsked(Rule, now.Needs(Rule, "every"), now.Needs(Rule, "every"), "a little water, never bone dry", "feel the medium and the base") { Signs = [(EntryKinds.Medium, "dry")] }.Judge(now);
        return advice with { Ground = Ground.Veto, Reason = $"Leafless since {Dates.Near(rest.Since, now.Today)}, not dead. {advice.Reason}" };
    }
}
