using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>Rule W7: a seasonal butterwort leaves the tray as it turns to its winter rosette, and goes back with its summer leaves, each in its own week.</summary>
public sealed class WinterRosetteAdviser : IAdviser
{
    const int MovedWithinDays = 21;

    public string Rule => "W7";

    public IReadOnlyList<string> Thresholds => ["tray-cut", "sprinkle"];

    public Advice? Advise(Situation now)
    {
        if (now.Journal.Last(EntryKinds.WinterRosette, EntryKinds.SummerLeaves) is not { } turn) return null;
        var seen = Condition.Sign(turn.Kind.Words.ToLowerInvariant(), turn.On);
        var moved = now.Plant.Vessel is null && now.Journal.FirstSince(turn.On, EntryKinds.Moved) is not null;
        if (turn.Kind == EntryKinds.WinterRosette)
        {
            if (now.Today < turn.On.AddDays(MovedWithinDays) && !moved)
                return new(Topics.Water, Rule, Verdict.Do, now.Today, $"Its winter rosette is here: take it out of the tray, or cut the tray to {now.Needs(Rule, "tray-cut"):0.#} cm.", [seen]) { Ground = Ground.Veto, LoggedAs = EntryKinds.Moved };
            var last = now.Journal.Last(EntryKinds.Watered) is { } drop && drop.On > turn.On ? drop.On : turn.On;
            return new(Topics.Water, Rule, Verdict.Hold, last.AddDays((int)now.Needs(Rule, "sprinkle")), $"Winter rosette since {Dates.Near(turn.On, now.Today)}: very dry, a light sprinkle every {now.Needs(Rule, "sprinkle"):0} days at most.", [seen]) { Ground = Ground.Veto };
        }
        return now.Today < turn.On.AddDays(MovedWithinDays) && now.Journal.FirstSince(turn.On, EntryKinds.Tray, EntryKinds.Moved) is null
            ? new(Topics.Water, Rule, Verdict.Do, now.Today, "Its summer leaves are back: into the tray again.", [seen]) { Ground = Ground.Veto, LoggedAs = EntryKinds.Tray }
            : null;
    }
}
