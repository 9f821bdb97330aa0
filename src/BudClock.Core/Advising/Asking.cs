using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.States;

namespace BudClock.Core.Advising;

/// <summary>
/// Rule L5: a question is asked when it arises, and stands for the days in which one gets round to it; it is asked again after a week
/// and after a month, and is then kept on the plant's page alone. What it held back stays back. Dangers are asked until they are
/// answered.
/// </summary>
/// <remarks>
/// Who writes of the plant meanwhile, without an answer, stands before it, and is asked once anew.
/// </remarks>
public static class Asking
{
    static readonly EntryKind[] Turns = [EntryKinds.GrowthStarted, EntryKinds.LeafStarted, EntryKinds.RootsStarted, EntryKinds.Planted];

    /// <summary>What is said today, and what waits for another day.</summary>
    /// <param name="Today">In the order in which it is given.</param>
    /// <param name="Waiting">Questions that are not asked today, likewise.</param>
    public sealed record Sorted(IReadOnlyList<Advice> Today, IReadOnlyList<Waiting> Waiting);

    /// <summary>Sorts what is settled for a plant.</summary>
    public static Sorted Sort(Situation now, IReadOnlyList<Advice> settled)
    {
        List<Waiting>? waiting = null;
        foreach (var advice in settled)
            if (advice is { Verdict: Verdict.Look, Urgent: false } && Waits(now, advice) is { } waits)
                (waiting ??= []).Add(waits);
        return waiting is null ? new(settled, []) : new(Judgement.InOrder(settled.SelectMany(advice => Said(advice, waiting))), waiting);
    }

    static Waiting? Waits(Situation now, Advice advice)
    {
        if (IsUnwanted(now, advice))
            return new(advice, Arose(now, advice), null);
        var next = Next(now, advice);
        return next == now.Today ? null : new(advice, Arose(now, advice), next);
    }

    /// <summary>What is due by habit, and this grower does not want to be asked for.</summary>
    static bool IsUnwanted(Situation now, Advice advice)
    {
        if (!advice.ByHabit || !now.Journal.Has(EntryKinds.NotAsked))
            return false;
        foreach (var span in now.Spans<NotWithThisOne>())
            if (span.Open && span.Sign.Text == advice.Care.Facts().Question)
                return true;
        return false;
    }

    /// <summary>What waits stands among what is held back, so that nobody misses what is not known.</summary>
    static IEnumerable<Advice> Said(Advice advice, List<Waiting> waiting)
    {
        if (waiting.Find(one => one.Question == advice) is not { } waits)
            return [advice];
        return Silent(advice)
            ? []
            :
            [
                advice with
                {
                    Verdict = Verdict.Hold,
                    Due = waits.Next,
                    Until = null,
                    Reason = advice.Reason + (waits.Next is { } next ? $" Asked again on {Dates.Short(next)}." : " Not asked any more."),
                },
            ];
    }

    /// <summary>Nothing is said of it while it waits: water is not held back for want of an answer, and a ruler orders nothing.</summary>
    internal static bool Silent(Advice question) => question.Care.AnswersWater() || question.Topic == Topics.Measure;

    /// <summary>The day on which it is asked next, today included; null where it is kept on the plant's page alone.</summary>
    static DateOnly? Next(Situation now, Advice advice)
    {
        // Of a plant of which nothing was ever written there is everything to ask.
        if (now.Journal.Entries.Count == 0)
            return now.Today;
        var (limits, arose) = (now.Limits<AskingLimits>(), Arose(now, advice));
        // With a new growth or a planting the question of water begins anew.
        if (advice.Care.AnswersWater() && now.Journal.Last(Turns)?.On is { } turn && turn > arose)
            arose = turn;
        // Leaves that hang ask it anew, whatever was asked before.
        if (advice.Care.AnswersWater() && now.Thirst.Sign?.On is { } sign && sign > arose)
            arose = sign;
        var asked = Heard(now, arose);
        if (advice.Care.AnswersWater() && !now.Resting)
            return OfWater(now, asked);
        if (now.Today < asked.AddDays(limits.Stands))
            return asked > now.Today ? asked : now.Today;
        if (!now.Resting && now.Today <= asked.AddDays(limits.Second))
            return asked.AddDays(limits.Second);
        var third = asked.AddDays(now.Resting ? limits.Monthly : limits.Third);
        // What sleeps is looked at once a month.
        return now.Resting ? Monthly(now, third, Counted(advice) ?? asked)
            : now.Today <= third ? third
            : null;
    }

    /// <summary>Whether what is in growth drinks is not forgotten: two days running, then every so many days.</summary>
    static DateOnly OfWater(Situation now, DateOnly asked)
    {
        var (limits, days) = (now.Limits<AskingLimits>(), now.Today.DayNumber - asked.DayNumber);
        return days < 0 ? asked
            : days < limits.Stands - 1 ? now.Today
            : asked.AddDays((days + limits.Water - 1) / limits.Water * limits.Water);
    }

    /// <summary>Month by month from a day that stays, so that the season, which moves the first asking, moves none of these.</summary>
    static DateOnly Monthly(Situation now, DateOnly third, DateOnly from)
    {
        var limits = now.Limits<AskingLimits>();
        while (from < third || now.Today >= from.AddDays(limits.Stands))
            from = from.AddDays(limits.Monthly);
        return now.Today <= from ? from : now.Today;
    }

    static DateOnly? Counted(Advice advice)
    {
        foreach (var condition in advice.Conditions)
            if (IsCount(condition))
                return condition.Seen;
        return null;
    }

    /// <summary>
    /// The day on which what it rests on came to be, or ran out. Readings of a place go on by themselves: what rests on them alone arises
    /// when somebody writes of the plant, and a month later, and so on.
    /// </summary>
    static DateOnly Arose(Situation now, Advice advice)
    {
        if ((advice.Since ?? (advice.Due < now.Today ? advice.Due : null)) is { } given)
            return given < now.Today ? given : now.Today;
        DateOnly? newest = null;
        foreach (var condition in advice.Conditions)
            if (Began(condition) is { } day && day <= now.Today && !(day <= newest) && (IsCount(condition) || Wrote(now, day)))
                newest = day;
        if (newest is { } arose)
            return arose;
        var last = now.Journal.Entries[^1].On;
        return now.Today.AddDays(-((now.Today.DayNumber - last.DayNumber) % now.Limits<AskingLimits>().Monthly));
    }

    static bool IsCount(Condition condition) => condition is { Unit: "days", Need.Number: not null };

    static bool Wrote(Situation now, DateOnly day)
    {
        foreach (var entry in now.Journal.Entries)
            if (entry.On == day)
                return true;
        return false;
    }

    /// <summary>Days that had to pass have passed since what they were counted from; anything else began when it was seen.</summary>
    static DateOnly? Began(Condition condition) =>
        IsCount(condition) && condition is { Need.Number: { } days, Seen: { } from }
            ? from.AddDays((int)Math.Ceiling(days))
            : condition.Seen;

    /// <summary>The first day since then on which anybody wrote of the plant; the day itself where nobody did.</summary>
    static DateOnly Heard(Situation now, DateOnly since)
    {
        foreach (var entry in now.Journal.Entries)
            if (entry.On > since)
                return entry.On;
        return since;
    }
}

/// <summary>A question that is not asked today.</summary>
/// <param name="Question">What would be asked.</param>
/// <param name="Since">The day on which it arose.</param>
/// <param name="Next">The day on which it is asked again; null where it is kept on the plant's page alone.</param>
public sealed record Waiting(Advice Question, DateOnly Since, DateOnly? Next);
