using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rule E8: out of doors, what comes from indoors gets sun in steps of a week; what rests is kept from rain; no dome in direct sun.</summary>
public sealed class ShelterAdviser : IAdviser
{
    const int Steps = 3;

    public string Rule => "E8";

    public IReadOnlyList<string> Thresholds => ["step"];

    public Advice? Advise(Situation now)
    {
        if (!now.Around.Outdoors || now.Journal.Last(EntryKinds.Moved) is not { } moved) return null;
        var (days, step) = (now.Today.DayNumber - moved.On.DayNumber, (int)now.Needs(Rule, "step"));
        if (days >= step * Steps) return null;
        var wet = now.Rest is null ? "" : " Keep rain off it while it rests.";
        Condition condition = new("days since it moved out", new(days), new(step * Steps), "days", false, moved.On);
        return new(Topics.Move, Rule, Verdict.Hold, moved.On.AddDays(((days / step) + 1) * step), $"Moved out {Dates.Ago(moved.On, now.Today)}: {(days < step ? "shade from noon sun and wind" : days < step * 2 ? "morning sun" : "all but the noon sun")} for now, a step more each week. No dome or bag over it in the sun.{wet}", [condition]) { Ground = Ground.Interval };
    }
}
