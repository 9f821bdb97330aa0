using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Waking;

/// <summary>
/// Rule W1: a first soak that came before the new roots could drink. It is told as the danger that it is, and not gone on with, until
/// roots are long enough.
/// </summary>
/// <remarks>Shrivelled bulbs with live roots had their water rightly; what was only a little early is nothing to worry about.</remarks>
public sealed class EarlySoak : IAdviser
{
    /// <summary>Roots of less than half of what is needed hardly drink (assumed).</summary>
    const double Share = 0.5;

    /// <summary>So long after it the base is felt.</summary>
    const int FearedDays = 45;

    /// <summary>A length measured so long before the soak tells of it.</summary>
    const int MeasuredDays = 21;

    /// <inheritdoc/>
    public string Rule => "W1";

    /// <inheritdoc/>
    public IReadOnlyList<string> Thresholds => [];

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (Of(now) is not { } early || now.Rot is { Open: true })
            yield break;
        var felt = now.Journal.Last(EntryKinds.Base) is { } last && last.On >= now.Today.AddDays(-FeltDays);
        yield return new(
            Topics.Health,
            Rule,
            Care.Feel,
            felt ? Verdict.Hold : Verdict.Look,
            felt ? now.Today.AddDays(FeltDays) : now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"Its first soak came {Dates.Ago(early.Water.On, now.Today)}, with roots of {early.RootCm:0.#} of {early.NeedCm:0.#} cm: "
                    + $"wet and hardly rooted is how they rot. Let it dry right out, feel the base every few days, and measure the roots."
            ),
            [Condition.AtLeast("root length at its first soak", new(early.RootCm, early.Water.On), early.NeedCm, "cm")]
        )
        {
            AnsweredBy = EntryKinds.Base,
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

    const int FeltDays = 4;

    /// <summary>The soak that came too early; null for none, and once roots are long enough.</summary>
    internal static (Entry Water, double RootCm, double NeedCm)? Of(Situation now)
    {
        if (now.DryRest.FirstWater is not { } water || water.On <= now.Today.AddDays(-FearedDays))
            return null;
        if (now.NewRoots is not { AtBase: null, Longest: { } longest } roots)
            return null;
        var need = FirstSoakAdviser.NeededRootCm(now);
        var before = roots.Series.LastOrDefault(length => length.On <= water.On && length.On > water.On.AddDays(-MeasuredDays));
        if (before is null || before.Cm >= need * Share || longest.Value >= need)
            return null;
        var shrivelled = now.Journal.Of(EntryKinds.Bulbs).LastOrDefault(bulbs => bulbs.On <= water.On)?.Text == "shrivelled";
        return shrivelled ? null : (water, before.Cm, need);
    }
}
