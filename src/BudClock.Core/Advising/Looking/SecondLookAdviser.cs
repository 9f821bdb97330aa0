using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Looking;

/// <summary>Rule K4: three to five days after the first water one comes back to see whether the bulbs have filled.</summary>
/// <remarks>
/// The state before stands beside the question. Bulbs that have not filled by then point to the roots, so the look is
/// over only when the bulbs are plump or the roots have been looked at.
/// </remarks>
public sealed class SecondLookAdviser : IAdviser
{
    const string Plump = "plump";
    static readonly EntryKind[] RootSigns =
    [
        EntryKinds.RootLength,
        EntryKinds.RootCount,
        EntryKinds.RootsAtBase,
        EntryKinds.RootsLost,
        EntryKinds.RootsStarted,
        EntryKinds.Repotted,
    ];

    /// <inheritdoc/>
    public string Rule => "K4";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (SecondLooks.Afternoon(now) is { } afternoon)
            yield return afternoon;
        if (AfterFirstWater(now) is { } water)
            yield return water;
        else if (SecondLooks.Next(now) is { } flag)
            yield return Ask(now, flag);
    }

    /// <summary>The look that is open now, with what was before and is now; null when none is.</summary>
    public static SecondLook? Open(Situation now) =>
        new SecondLookAdviser().AfterFirstWater(now) is { } advice && now.DryRest.FirstWater is { } water
            ? new(water, advice.Due!.Value, advice.Until ?? now.Today, "have the bulbs filled?", SecondLooks.Compare(now, water.On))
            : SecondLooks.Next(now);

    static Advice Ask(Situation now, SecondLook flag)
    {
        var due = now.Today >= flag.From;
        var what = flag.Change.Kind == EntryKinds.Flagged ? "Flagged" : flag.Change.Kind.Words;
        var reason = due
            ? $"{what} {Dates.Ago(flag.Change.On, now.Today)}: {flag.Question}"
            : $"{what} {Dates.Ago(flag.Change.On, now.Today)}: look again {Dates.Range(flag.From, flag.To)}.";
        return new(
            Topics.SecondLook,
            "K4",
            Care.Compare,
            due ? Verdict.Look : Verdict.Hold,
            flag.From,
            reason,
            [.. flag.Rows.SelectMany(Conditions)]
        )
        {
            Until = flag.To,
            Since = flag.From,
            AnsweredBy = EntryKinds.Looked,
        };
    }

    static IEnumerable<Condition> Conditions(BeforeNow row) =>
        [
            Condition.Known($"{row.Name} before", row.Before, row.Unit, row.BeforeOn),
            Condition.Known($"{row.Name} now", row.Now, row.Unit, row.NowOn),
        ];

    Advice? AfterFirstWater(Situation now)
    {
        if (now.DryRest.FirstWater is not { } water || now.Today > water.On.AddDays(now.Limits<SecondLookLimits>().Asked))
            return null;

        var from = water.On.AddDays(now.Limits<SecondLookLimits>().WaterFrom);
        var to = water.On.AddDays(now.Limits<SecondLookLimits>().WaterTo);
        var before = now.Journal.State(EntryKinds.Bulbs, e => e.On <= water.On);
        var after = now.Journal.State(EntryKinds.Bulbs, e => e.On > water.On);
        var looked = now.Journal.State(EntryKinds.Looked, e => e.On >= from);
        if (after?.Value == Plump || looked?.Value == "better")
            return null;
        if (after?.On >= from)
            return NotFilled(now, water, after);
        if (looked is not null)
            return NotFilled(now, water, looked);

        Condition[] conditions = [Before(before, water), Condition.State("bulbs now", after, Plump, state => state == Plump)];
        var verdict = now.Today < from ? Verdict.Hold : Verdict.Look;
        var was = before is null ? "" : $" Before: {before.Value}.";
        var reason =
            now.Today < from
                ? $"{water.Kind.Words} {Dates.Ago(water.On, now.Today)}: look again {Dates.Range(from, to)}, the bulbs should fill."
                : $"{water.Kind.Words} {Dates.Ago(water.On, now.Today)}: have the bulbs filled?{was}";
        return new(Topics.SecondLook, Rule, Care.Compare, verdict, from, reason, conditions) { Until = to, Since = from };
    }

    Advice? NotFilled(Situation now, Entry water, Seen<string> after)
    {
        if (now.Journal.FirstSince(after.On, RootSigns) is not null)
            return null;
        Condition[] conditions =
        [
            Before(now.Journal.State(EntryKinds.Bulbs, e => e.On <= water.On), water),
            Condition.State("bulbs now", after, Plump, state => state == Plump),
        ];
        return new(
            Topics.SecondLook,
            Rule,
            Care.Compare,
            Verdict.Look,
            now.Today,
            $"Bulbs {(after.Value == "worse" ? "are worse" : $"still {(after.Value == "same" ? "the same" : after.Value)}")} "
                + $"{after.On.DayNumber - water.On.DayNumber} days after the first water: look at the roots.",
            conditions
        );
    }

    static Condition Before(Seen<string>? before, Entry water) =>
        Condition.Known($"bulbs before {Dates.Short(water.On)}", before is null ? null : new Fact(before.Value), null, before?.On);
}
