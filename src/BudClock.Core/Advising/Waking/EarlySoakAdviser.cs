using System.Globalization;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Waking;

/// <summary>
/// Rule W1: a first soak that came before the new roots could drink. It is told as the danger that it is, and not gone on with, until
/// roots are long enough.
/// </summary>
/// <remarks>Shrivelled bulbs with live roots had their water rightly; what was only a little early is nothing to worry about.</remarks>
public sealed class EarlySoakAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W1";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.EarlySoak is not { } early || now.Rot is { Open: true })
            yield break;
        var felt = now.Journal.Last(EntryKinds.Base) is { } last && last.On >= now.Today.AddDays(-now.Limits<FirstSoakLimits>().EarlyFelt);
        yield return new(
            Topics.Health,
            Rule,
            Care.Feel,
            felt ? Verdict.Hold : Verdict.Look,
            felt ? now.Today.AddDays(now.Limits<FirstSoakLimits>().EarlyFelt) : now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"Its first soak came {Dates.Ago(early.Water.On, now.Today)}, with roots of {early.RootCm:0.#} of {early.NeedCm:0.#} cm: "
                    + $"wet and hardly rooted is how they rot. Let it dry right out, feel the base every few days, and measure the roots."
            ),
            [Condition.AtLeast("root length at its first soak", new(early.RootCm, early.Water.On), early.NeedCm, "cm")]
        )
        {
            AnsweredBy = EntryKinds.Base,
            Danger = true,
        };
        // An interval would say when it is likely to ask again; it is not to be asked before its roots are there.
        yield return new(
            Topics.Water,
            Rule,
            Care.GiveWater,
            Verdict.Hold,
            null,
            string.Create(
                CultureInfo.InvariantCulture,
                $"Soaked with roots of {early.RootCm:0.#} cm: dry from now on, until they are {early.NeedCm:0.#} cm long."
            ),
            [Condition.AtLeast("root length", now.NewRoots.Longest, early.NeedCm, "cm")]
        )
        {
            Ground = Ground.Veto,
        };
    }
}
