using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using static BudClock.Core.Advising.Sentence;

namespace BudClock.Core.Advising.Health;

/// <summary>
/// Rule H1: pests are answered on the day they are seen, looked for again a week after each treatment, and over when two looks found
/// none.
/// </summary>
/// <remarks>Treatments are by their label and local law; predators are spent after about four weeks.</remarks>
public sealed class PestAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "H1";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Pests is not { Open: true } pests)
            yield break;
        if (pests.LastLook.On <= now.Today.AddDays(-now.Ages.Pests))
            yield return Old(now, pests);
        else if (pests.Treated is null && pests.ClearLooks == 0)
            yield return Found(now, pests);
        else
            yield return Again(now, pests);
    }

    Advice Found(Situation now, PestCase pests) =>
        new(
            Topics.Health,
            Rule,
            Care.Treat,
            Verdict.Do,
            now.Today,
            $"{Capital(pests.Words)} found {Dates.Ago(pests.Sign.On, now.Today)}{(pests.OnNewGrowth ? ", where it costs most" : "")}: "
                + $"set it apart, rinse them off, let it dry, and treat by the label; look again in "
                + $"{now.Limits<PestLimits>().Again:0} days "
                + $"until two looks are clear. Many or few, on new growth or old marks? Look at its neighbours "
                + $"too.{Neighbours.Words(now)}",
            [new("pests", new("seen"), new("none"), null, true, pests.Sign.On)]
        )
        {
            Ground = Ground.Emergency,
        };

    Advice Again(Situation now, PestCase pests)
    {
        var days = pests.Predators && pests.ClearLooks == 0 ? now.Limits<PestLimits>().Predators : now.Limits<PestLimits>().Again;
        var due = pests.LastLook.On.AddDays(days);
        var what =
            pests.ClearLooks > 0 ? $"Found clear {Dates.Ago(pests.LastLook.On, now.Today)}"
            : pests.LastLook == pests.Treated ? $"Treated for {pests.Words} {Dates.Ago(pests.LastLook.On, now.Today)}"
            : $"{Capital(pests.Words)} seen {Dates.Ago(pests.LastLook.On, now.Today)}, after treatment";
        var then =
            pests.Predators && pests.ClearLooks == 0
                ? "are the predators still at work, or is a new release due?"
                : "look again, under leaves and in folds. Two clear looks end it.";
        Condition since = new(
            "days since the last look",
            new(now.Today.DayNumber - pests.LastLook.On.DayNumber),
            new(days),
            "days",
            now.Today >= due,
            pests.LastLook.On
        );
        return now.Today >= due
            ? new(Topics.Health, Rule, Care.Look, Verdict.Look, due, $"{what}: {then}", [since])
            {
                Ground = Ground.Emergency,
                LoggedAs = EntryKinds.Pest,
            }
            : new(Topics.Health, Rule, Care.Look, Verdict.Hold, due, $"{what}: look again on {Dates.Short(due)}.", [since])
            {
                LoggedAs = EntryKinds.Pest,
            };
    }

    Advice Old(Situation now, PestCase pests) =>
        new(
            Topics.Health,
            Rule,
            Care.Look,
            Verdict.Look,
            now.Today,
            $"{Capital(pests.Words)} seen {Dates.Ago(pests.LastLook.On, now.Today)}, and nobody wrote that it is over: look once, and "
                + $"write \"none\".",
            [new("pests", new("seen"), new("none"), null, false, pests.Sign.On)]
        )
        {
            LoggedAs = EntryKinds.Pest,
        };
}
