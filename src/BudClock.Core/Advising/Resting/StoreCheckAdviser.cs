using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rules D3 and D9: what rests is felt once a month, and when its usual waking is past by four weeks.</summary>
/// <remarks>Past due becomes a look, never an order: waking is earned by the plant, not by a date.</remarks>
public sealed class StoreCheckAdviser : IAdviser
{
    public string Rule => "D9";

    public IReadOnlyList<string> Thresholds => ["check", "overdue"];

    /// <summary>The day of the next check.</summary>
    public static DateOnly NextCheck(Situation now, RestState rest) => rest.Checked.AddDays((int)now.Needs("D9", "check"));

    public Advice? Advise(Situation now)
    {
        if (now.Rest is not { } rest) return null;
        if (rest.Wakes is { } wakes && now.Today >= wakes.AddDays((int)now.Needs(Rule, "overdue")) && rest.Checked < wakes.AddDays((int)now.Needs(Rule, "overdue")))
            return Say(Verdict.Look, now.Today, $"It usually wakes about {Dates.Near(wakes, now.Today)}, four weeks ago: feel it. Firm is resting, not dead.", new("days past its usual waking", new(now.Today.DayNumber - wakes.DayNumber), new(now.Needs(Rule, "overdue")), "days", true, rest.Checked), Ground.Date);
        if (now.Season.Asleep) return null; // on the bench, in sight: only an overdue waking asks
        var due = NextCheck(now, rest);
        var days = new Condition("days since it was felt", new(now.Today.DayNumber - rest.Checked.DayNumber), new(now.Needs(Rule, "check")), "days", now.Today >= due, rest.Checked);
        return now.Today >= due
            ? Say(Verdict.Look, due, $"Last felt {Dates.Ago(rest.Checked, now.Today)}: firm, soft, mouldy or sprouting?", days, Ground.Interval)
            : Say(Verdict.Hold, due, $"Felt {Dates.Ago(rest.Checked, now.Today)}{(rest.Feel?.Text is { } feel ? $", {feel}" : "")}; again on {Dates.Short(due)}.", days, Ground.Interval);

        Advice Say(Verdict verdict, DateOnly when, string reason, Condition condition, Ground ground) =>
            new(Topics.Rest, Rule, verdict, when, reason, [condition]) { Ground = ground, LoggedAs = now.Sheet.Signs.Any(s => s.Kind == EntryKinds.Tuber) ? EntryKinds.Tuber : EntryKinds.Base };
    }
}
