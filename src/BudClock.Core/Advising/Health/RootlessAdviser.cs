using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Health;

/// <summary>Rule V3: a plant without live roots, or with few, is looked at again; no hold goes on for ever in silence.</summary>
/// <remarks>Disturbed each week it makes none, so the look is weeks apart; what rests is felt by its own rule.</remarks>
public sealed class RootlessAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "V3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Resting || now.Roots.Unrooted || now.Rot is { Open: true } || now.DryRest.Waking)
            yield break;
        if (now.Roots is not { State: RootState.None or RootState.Few, Rests: { } seen } roots)
            yield break;
        var none = roots.State is RootState.None;
        var looked = now.Journal.Last(EntryKinds.Inspected, EntryKinds.Looked) is { } look && look.On > seen.On ? look.On : seen.On;
        var due = looked.AddDays(none ? now.Limits<RootLimits>().LookNone : now.Limits<RootLimits>().LookFew);
        if (now.Today < due)
            yield break;
        yield return new(
            Topics.Health,
            Rule,
            Care.LookAtRoots,
            Verdict.Look,
            now.Today,
            none
                ? $"No live root {Dates.Ago(seen.On, now.Today)}, and nobody looked since: look for new roots, gently, and count them. "
                    + "None: humid air on, no water in the pot. A few: a little water."
                : $"Few roots {Dates.Ago(seen.On, now.Today)}, and nobody counted since: count them, and it may drink as before.",
            [Condition.Known("live roots", new(none ? "none" : "few"), null, seen.On)]
        )
        {
            Ground = Ground.Interval,
            Since = due,
        };
    }
}
