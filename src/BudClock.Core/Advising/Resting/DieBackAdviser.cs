using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D2: a tuber's leaves die back: out of the rain, less light, less water, until the last is gone.</summary>
/// <remarks>Common practice: most leaves yellow in about 10 days and are gone in about 5 weeks.</remarks>
public sealed class DieBackAdviser : IAdviser
{
    public string Rule => "D2";

    public IReadOnlyList<string> Thresholds => ["yellow", "gone"];

    public Advice? Advise(Situation now)
    {
        if (now.Rest is not null || now.Journal.Of(Leaves, LeafDropped, GrowthStarted, LeafStarted).LastOrDefault(e => e.Kind != Leaves || e.Text == "yellowing") is not { } sign) return null;
        if (sign.Kind == GrowthStarted || sign.Kind == LeafStarted || !now.Around.DaysShorten(now.Today) || now.Today.DayNumber - sign.On.DayNumber > 60) return null;
        var first = now.Journal.Of(Leaves, LeafDropped).First(e => e.On > sign.On.AddDays(-45) && (e.Kind == LeafDropped || e.Text == "yellowing")).On;
        var gone = first.AddDays((int)now.Needs(Rule, "gone"));
        return new(Topics.Water, Rule, Verdict.Hold, gone, $"It dies back since {Dates.Short(first)}: no rain, less light, hardly any water. Most leaves are yellow by about {Dates.Short(first.AddDays((int)now.Needs(Rule, "yellow")))} and gone by about {Dates.Short(gone)}; that is normal.",
            [Condition.Sign("leaves yellowing in autumn", first)])
        { Ground = Ground.Sign };
    }
}
