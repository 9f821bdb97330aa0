using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Health;

/// <summary>Rule G7: one old yellow leaf is age; several, or young ones, with a wet medium are too much water.</summary>
public sealed class YellowLeafAdviser : IAdviser
{
    const int SaysForDays = 14;

    public string Rule => "G7";

    public IReadOnlyList<string> Thresholds => [];

    public Advice? Advise(Situation now)
    {
        if (now.Rest is not null || now.Journal.State(EntryKinds.Leaves, _ => true) is not { Value: "yellowing" } yellow || yellow.On <= now.Today.AddDays(-SaysForDays) || now.Around.DaysShorten(now.Today) && now.Sheet.Rule("D1") is not null) return null;
        var wet = now.Journal.State(EntryKinds.Medium, e => e.On >= yellow.On.AddDays(-7));
        return wet?.Value == "wet"
            ? new(Topics.Health, Rule, Verdict.Look, now.Today, "Leaves yellow and the medium is wet: too much water. Let it dry, and look at the roots.", [Condition.Sign("leaves yellowing", yellow.On), Condition.Sign("medium wet", wet.On)])
            : new(Topics.Health, Rule, Verdict.Hold, null, "A yellow leaf: the oldest alone is age, and normal. Several, or young ones, with a wet medium would be too much water.", [Condition.Sign("leaves yellowing", yellow.On)]);
    }
}
