using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D8: after bloom an arum lily has leaves only, and dies down. Watered on, or rested dry: schools differ. Not dead.</summary>
public sealed class ArumRestAdviser : IAdviser
{
    public const string Question = "after-bloom";
    const string DryRest = "dry-rest";

    public string Rule => "D8";

    public IReadOnlyList<string> Thresholds => [];

    public Advice? Advise(Situation now)
    {
        var bloom = now.Lanes.LastOrDefault(lane => lane is { Kind: LaneKind.Bloom, To: not null });
        if (bloom?.To is not { } faded || now.School(Question) is not var (school, others)) return null;
        if (now.Journal.Of(EntryKinds.GrowthStarted, EntryKinds.SpikeStarted).Any(e => e.On > faded)) return null;
        var seen = Condition.Sign("bloom over", faded);
        if (school.Name == DryRest)
            return new(Topics.Water, Rule, Verdict.Hold, null, $"Bloom over {Dates.Near(faded, now.Today)}: rested dry in the pot until it shoots. Not dead.", [seen]) { Ground = Ground.Veto, School = school.Name, Others = others };
        return now.Rest is null ? null
            : new(Topics.Water, Rule, Verdict.Look, now.Today, $"Died down, and watered on as usual outdoors: feel that the medium is damp, not wet. Not dead.", [seen]) { Ground = Ground.Veto, School = school.Name, Others = others };
    }
}
