using BudClock.Core.Advising.Why;
using BudClock.Core.Advising.Why.Causes;
using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Blooming;

/// <summary>
/// Rule B3: waxy vines bloom again from their old stalks; why one does not bloom is looked for in its order: age, light, feed, then mild
/// stress; bare tendrils are left alone.
/// </summary>
public sealed class LastingStalkAdviser : IAdviser
{
    const double ReadingErrorCm = 0.3;

    /// <inheritdoc/>
    public string Rule => "B3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rot is { Open: true } || now.Roots.Dead)
            yield break;
        if (Stalk(now) is { } stalk)
            yield return stalk;
        else if (Never(now) is { } never)
            yield return never;
        if (Tendril(now) is { } tendril)
            yield return tendril;
    }

    Advice? Stalk(Situation now) =>
        now.Sheet.Is(Traits.LastingStalks)
        && now.Journal.Last(EntryKinds.BloomEnded) is { } over
        && over.On > now.Today.AddDays(-now.Limits<LastingStalkLimits>().AfterBloom)
        && now.Journal.FirstSince(over.On.AddDays(1), EntryKinds.BloomOpened, EntryKinds.Blooms) is null
            ? Say(
                now,
                Verdict.Hold,
                $"Bloom over {Dates.Ago(over.On, now.Today)}: keep the flower stalk. It is a lasting one, never cut: it blooms again "
                    + $"from there.",
                Condition.Sign("bloom over", over.On)
            )
            : null;

    Advice? Never(Situation now)
    {
        if (
            now.Resting
            || (now.Arrival?.Arrived ?? now.Plant.Acquired) is not { } came
            || now.Journal.Last(EntryKinds.BloomOpened, EntryKinds.Buds, EntryKinds.SpikeStarted, EntryKinds.Blooms) is not null
        )
            return null;
        var asked = now
            .Journal.Of(EntryKinds.Note)
            .LastOrDefault(note =>
                note.On > now.Today.AddDays(-now.Limits<LastingStalkLimits>().Asked) && note.Said.Has(SaidFacts.NoFlowers)
            );
        if (asked is null)
            return null;
        var (years, need) = (TooYoungCause.YearsHere(now, came), now.Limits<LastingStalkLimits>().Years);
        var age = new Condition("years here", new(Math.Round(years, 1)), new(need), "years", years >= need, came);
        if (years < need)
            return Say(
                now,
                Verdict.Hold,
                $"Here since {Dates.Long(came)}: it is young yet. The first year goes into roots, the second it creeps, in the third "
                    + "it leaps; bloom comes with age. Nothing to do.",
                age
            );
        var otherwise =
            "Light comes next: is it bright, with some morning or evening sun? Only then feed, and only then mild stress: a longer dry "
            + $"spell, or cooler, not below {now.Limits<LastingStalkLimits>().StressC:0} °C.";
        return Say(
            now,
            Verdict.Look,
            $"Here for {years:0} years, so age is not why. {Hearing.Says(now, new NoBloomQuestion(), otherwise)}",
            age
        );
    }

    /// <summary>A vine that runs ahead without leaves is no sick one.</summary>
    Advice? Tendril(Situation now)
    {
        if (
            now.Resting
            || now.Thirst.Kind is not ThirstKind.None
            || now.Lanes.LastOrDefault(l => l is { Kind: LaneKind.Growth, Open: true }) is not { } vine
        )
            return null;
        if (
            now.Journal.Last(EntryKinds.GrowthHeight) is not { } tip
            || tip.On < vine.From
            || tip.On <= now.Today.AddDays(-now.Limits<LastingStalkLimits>().Tendril)
        )
            return null;
        if (!now.Journal.Of(EntryKinds.GrowthHeight).Any(e => e.On >= vine.From && e.Amount?.InBase < tip.Amount?.InBase - ReadingErrorCm))
            return FirstYear(now, tip);
        var leaves = now
            .Journal.Of(EntryKinds.LeafCount, EntryKinds.LeafStarted)
            .LastOrDefault(e => e.On >= vine.From && e.Amount is not { InBase: <= 0 });
        return leaves is not null
            ? null
            : new(
                Topics.GrowthCheck,
                Rule,
                Care.LeaveAlone,
                Verdict.Hold,
                null,
                "The vine runs ahead of its leaves: leave the bare tendril alone. Leaves come later, and a tip that is handled may stop.",
                [Condition.Sign("vine under way", tip.On)]
            );
    }

    /// <summary>In its first year here a vine that stands still makes roots.</summary>
    Advice? FirstYear(Situation now, Entry seen) =>
        (now.Arrival?.Arrived ?? now.Plant.Acquired) is { } came
        && came > now.Today.AddDays(-now.Limits<LastingStalkLimits>().FirstYear)
        && now.Journal.Of(EntryKinds.GrowthHeight).Any(e => e.On < seen.On)
            ? new(
                Topics.GrowthCheck,
                Rule,
                Care.LeaveAlone,
                Verdict.Hold,
                null,
                $"Here since {Dates.Near(came, now.Today)}, and the vine stands still: a first year of nothing but roots is normal. "
                    + $"Nothing to do.",
                [Condition.Known("vine", new("stands still"), null, seen.On)]
            )
            : null;

    Advice Say(Situation now, Verdict verdict, string reason, Condition condition) =>
        new(Topics.Trigger, Rule, Care.Trigger, verdict, verdict is Verdict.Look ? now.Today : null, reason, [condition])
        {
            Ground = Ground.Interval,
        };
}
