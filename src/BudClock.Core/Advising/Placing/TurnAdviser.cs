using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rule E6: hanging and window plants are turned a quarter weekly, where the sheet says so; never in bud (B11).</summary>
public sealed class TurnAdviser : IAdviser
{
    public string Rule => "E6";

    public IReadOnlyList<string> Thresholds => ["every"];

    public Advice? Advise(Situation now)
    {
        // Whoever has never turned a plant is not asked to begin.
        if (!now.InGrowth || now.Journal.Last(EntryKinds.Turned) is not { } last) return null;
        if (now.Lanes.Any(lane => lane is { Kind: LaneKind.Spike, Open: true })) return null;
        var every = now.Needs(Rule, "every");
        Condition days = new("days since it was turned", new(now.Today.DayNumber - last.On.DayNumber), new(every), "days", now.Today.DayNumber - last.On.DayNumber >= every, last.On);
        return days.Met ? new(Topics.Move, Rule, Verdict.Do, now.Today, $"Turned {Dates.Ago(last.On, now.Today)}: a quarter turn.", [days]) { Ground = Ground.Interval, LoggedAs = EntryKinds.Turned } : null;
    }
}
