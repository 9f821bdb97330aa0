using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rules W1 and V2: bulbs that shrivel through a dry rest are felt: a long rest and rot look alike, neither is soaked.</summary>
public sealed class ShrivelledAtRestAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W1";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (!now.DryRest.Asleep || now.Rot is { Open: true })
            yield break;
        var since = now.DryRest.RestSince!.Value;
        if (now.Journal.Last(EntryKinds.Bulbs) is not { Text: "shrivelled" } bulbs || bulbs.On < since)
            yield break;
        // Who felt it since has seen whether it is firm: wrinkles alone are normal at the end of a rest.
        if (now.Journal.FirstSince(bulbs.On, EntryKinds.Base, EntryKinds.Tuber) is not null)
            yield break;
        yield return new(
            Topics.Rest,
            Rule,
            Care.Feel,
            Verdict.Look,
            now.Today,
            $"Bulbs shrivelled {Dates.Ago(bulbs.On, now.Today)}, at rest since {Dates.Near(since, now.Today)}: feel them, and look for a "
                + "new growth or root. Firm is a long rest: humid air and a cooler place, no soak without new roots. Soft is rot.",
            [Condition.Known("bulbs", new("shrivelled"), null, bulbs.On)]
        )
        {
            Ground = Ground.Sign,
            LoggedAs = EntryKinds.Base,
        };
    }
}
