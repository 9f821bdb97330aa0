using BudClock.Core.Advising.Why;
using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Health;

/// <summary>
/// Rule G7: one old yellow leaf is age; several, or several that fall within days, ask for a look at the roots. On a bog plant an old
/// leaf is age.
/// </summary>
public sealed class YellowLeafAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "G7";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Sleep.Kind is not SleepKind.None || now.Rot is { Open: true } || Declines(now))
            yield break;
        if (Falling(now) is { } falling)
            yield return falling;
        else if (Yellow(now) is { } yellow)
            yield return yellow;
    }

    /// <summary>Its usual year says that leaves go now.</summary>
    static bool Declines(Situation now) =>
        now.Sheet.PhaseOn(now.Today, now.Around.Garden.Southern)?.Phase.Phase is Phase.GoingToRest or Phase.Resting
        && !now.Daylight.Equatorial
        && now.Sheet.Is(Traits.WinterForm);

    Advice? Falling(Situation now)
    {
        var fell = now
            .Journal.Of(LeafDropped, LeavesGone)
            .Where(e => e.On > now.Today.AddDays(-now.Limits<YellowLeafLimits>().Fast))
            .ToList();
        if (
            fell.Count < now.Limits<YellowLeafLimits>().Several && !fell.Any(e => e.Kind == LeavesGone)
            || now.Journal.FirstSince(fell[^1].On, LeafStarted) is not null
        )
            return null;
        if (
            now.Journal.Of(RootCount, Looked).Any(e => e.On >= fell[^1].On)
            || now.Sheet.Is(Traits.LeaflessRest) && fell.Any(e => e.Kind == LeavesGone)
        )
            return null;
        return new(
            Topics.Health,
            Rule,
            Care.LookAtRoots,
            Verdict.Look,
            now.Today,
            $"{fell.Count} leaves gone within two weeks, and it is not its time: look for pests, then at roots, stem and base. "
                + Hearing.Says(now, new LeavesGoneQuestion(), "Write down each leaf that falls."),
            [new("leaves lost in two weeks", new(fell.Count), new(now.Limits<YellowLeafLimits>().Several), null, true, fell[^1].On)]
        );
    }

    Advice? Yellow(Situation now)
    {
        var yellow = now.Journal.Of(Leaves).Where(e => e.Text == "yellowing" && e.On > now.Today.AddDays(-now.Ages.Colour)).ToList();
        if (yellow.Count == 0 || now.Journal.Of(Leaves)[^1].Text != "yellowing")
            return null;
        var seen = Condition.Sign("leaves yellowing", yellow[^1].On);
        if (now.Levels.Stands || now.Sheet.Is(Traits.StandsInWater))
            return new(
                Topics.Health,
                Rule,
                Care.LeaveAlone,
                Verdict.Hold,
                null,
                "A yellow leaf on a bog plant: an old one is age, and normal. Keep it standing in water; drying it out would kill it.",
                [seen]
            );
        var wet = now.Journal.State(Medium, e => e.On >= yellow[^1].On.AddDays(-7));
        if (wet?.Value == "wet")
            return new(
                Topics.Health,
                Rule,
                Care.LookAtRoots,
                Verdict.Look,
                now.Today,
                "Leaves yellow and the medium is wet: too much water. Let it dry, and look at the roots.",
                [seen, Condition.Known("medium", new("wet"), null, wet.On)]
            );
        var days = yellow.Select(e => e.On).Distinct().Count();
        return days >= now.Limits<YellowLeafLimits>().Several + 1
            ? new(
                Topics.Health,
                Rule,
                Care.Look,
                Verdict.Look,
                now.Today,
                $"Leaves yellow on {days} days within two weeks: several, or young ones? "
                    + Hearing.Says(now, new YellowQuestion(), "Look for pests, then at the roots."),
                [seen]
            )
            : new(
                Topics.Health,
                Rule,
                Care.LeaveAlone,
                Verdict.Hold,
                null,
                "A yellow leaf: the oldest alone is age, and normal. Several, or young ones, with a wet medium would be too much water.",
                [seen]
            );
    }
}
