using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rules D3 and D9: what rests is felt once a month, and when its usual waking is past by four weeks.</summary>
/// <remarks>Past due becomes a look, never an order: waking is earned by the plant, not by a date. Leaf fall is no check.</remarks>
public sealed class StoreCheckAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "D9";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        // Mould and rot have advice of their own.
        if (now.Rest is not { } rest || now.Rot is { Open: true } || rest.Feel is { Text: "mouldy" })
            yield break;
        if (Overdue(now, rest) is { } overdue)
            yield return overdue;
        else if (!now.DryRest.Asleep)
            yield return Monthly(now, rest); // on the bench, in sight: only an overdue waking asks
    }

    Advice? Overdue(Situation now, RestState rest)
    {
        if (rest.Wakes is not { } wakes)
            return null;
        var late = wakes.AddDays((int)now.Limits<RestLimits>().Overdue);
        if (now.Today < late || (rest.Felt && rest.Checked >= late && now.Today < rest.NextCheck))
            return null;
        return Say(
            now,
            Verdict.Look,
            now.Today,
            $"It usually wakes about {Dates.Near(wakes, now.Today)}, {now.Today.DayNumber - wakes.DayNumber} days ago: feel it. Firm is "
                + $"resting, not dead.",
            new(
                "days past its usual waking",
                new(now.Today.DayNumber - wakes.DayNumber),
                new(now.Limits<RestLimits>().Overdue),
                "days",
                true,
                wakes
            ),
            Ground.Date
        );
    }

    Advice Monthly(Situation now, RestState rest)
    {
        var due = rest.NextCheck;
        var since = rest.Felt
            ? $"Last felt {Dates.Ago(rest.Checked, now.Today)}"
            : $"Nobody felt it since it began to rest {Dates.Ago(rest.Since, now.Today)}";
        var days = new Condition(
            "days since it was felt",
            new(now.Today.DayNumber - rest.Checked.DayNumber),
            new(now.Limits<RestLimits>().Check),
            "days",
            now.Today >= due,
            rest.Felt ? rest.Checked : null
        );
        return now.Today >= due
            ? Say(now, Verdict.Look, due, $"{since}: firm, soft, mouldy or sprouting?", days, Ground.Interval)
            : Say(
                now,
                Verdict.Hold,
                due,
                rest.Feel?.Text is { } feel
                    ? $"Felt {Dates.Ago(rest.Checked, now.Today)}, {feel}; again on {Dates.Short(due)}."
                    : $"At rest since {Dates.Near(rest.Since, now.Today)}; feel it on {Dates.Short(due)}.",
                days,
                Ground.Interval
            );
    }

    Advice Say(Situation now, Verdict verdict, DateOnly when, string reason, Condition condition, Ground ground) =>
        new(Topics.Rest, Rule, Care.Feel, verdict, when, reason, [condition])
        {
            Ground = ground,
            LoggedAs = now.Sheet.Signs.Any(s => s.Kind == EntryKinds.Tuber) ? EntryKinds.Tuber : EntryKinds.Base,
        };
}
