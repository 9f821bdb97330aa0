using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D6: a leafless succulent shrub stays dry and warm through winter, and drinks again when it is moved out in spring.</summary>
/// <remarks>Common practice: about mid-spring, never by a warm day in winter; if repotted, 30 to 60 days before that first water.</remarks>
public sealed class ShrubRestAdviser : IAdviser
{
    public string Rule => "D6";

    public IReadOnlyList<string> Thresholds => ["repot-from"];

    public Advice? Advise(Situation now)
    {
        if (now.Rest is not { Lifted: false } rest) return null;
        var moved = now.Journal.FirstSince(rest.Since.AddDays(1), Moved);
        var spring = rest.Wakes is { } wakes && now.Today >= wakes;
        var out_ = new Condition("moved out in spring", moved is null ? null : new("seen"), new("seen"), null, moved is not null && spring, moved?.On);
        if (!out_.Met) return new(Topics.Water, Rule, Verdict.Hold, rest.Wakes, $"Leafless since {Dates.Near(rest.Since, now.Today)}: dry and warm, however warm a winter's day is. It drinks again when it moves out{(rest.Wakes is { } w ? $", about {Dates.Near(w, now.Today)}" : "")}.", [out_]) { Ground = Ground.Veto };
        if (now.Journal.Last(Repotted) is { } repot && now.Today < repot.On.AddDays((int)now.Needs(Rule, "repot-from")))
            return new(Topics.Water, Rule, Verdict.Hold, repot.On.AddDays((int)now.Needs(Rule, "repot-from")), $"Repotted {Dates.Ago(repot.On, now.Today)}: 30 to 60 days dry, then the first water.",
                [out_, new("days since the repot", new(now.Today.DayNumber - repot.On.DayNumber), new(now.Needs(Rule, "repot-from")), "days", false, repot.On)])
            { Ground = Ground.Veto };
        return now.Journal.FirstSince(moved!.On, Watered, Soaked) is null
            ? new(Topics.Water, Rule, Verdict.Do, now.Today, $"Moved out {Dates.Ago(moved.On, now.Today)}: the first water.", [out_]) { Ground = Ground.Veto, LoggedAs = Watered }
            : null;
    }
}
