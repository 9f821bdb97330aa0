using BudClock.Core.Evidence;
using BudClock.Core.Mixing;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rule F2: plain water and no feed for the newcomer's 28 days; their end is said for a while.</summary>
public sealed class NewcomerFeedAdviser : IAdviser
{
    public string Rule => "F2";

    public IReadOnlyList<string> Thresholds => ["said"];

    public Advice? Advise(Situation now)
    {
        if ((now.Journal.Last(EntryKinds.Acquired)?.On ?? now.Plant.Acquired) is not { } arrived || arrived > now.Today) return null;
        var until = arrived.AddDays(PhaseRead.NewcomerDays);
        var days = Condition.AtLeast("days here", new(now.Today.DayNumber - arrived.DayNumber, arrived), PhaseRead.NewcomerDays, "days");
        if (!days.Met) return new(Topics.Feed, Rule, Verdict.Hold, until, $"Newcomer, day {now.Today.DayNumber - arrived.DayNumber} of {PhaseRead.NewcomerDays}: plain water and no feed until {Dates.Short(until)}.", [days]) { Ground = Ground.Veto, Bottle = Bottles.Plain };
        if (now.Today >= until.AddDays((int)now.Needs(Rule, "said")) || !now.InGrowth || now.Sheet.Rule("F8") is not null || now.Journal.Of(EntryKinds.Fed, EntryKinds.RecipeSet).Any(e => e.On >= arrived)) return null;
        return new(Topics.Feed, Rule, Verdict.Look, until, $"Its newcomer's weeks ended {Dates.Ago(until, now.Today)}: if it has settled, feed may begin, lightly.", [days])
        { Ground = Ground.Sign, Bottle = Bottles.Growth, LoggedAs = EntryKinds.Fed };
    }
}
