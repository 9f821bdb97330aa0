using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Matters that are a state of some part of the plant, seen once or again and again.</summary>
static class Signs
{
    /// <summary>Leaves that were seen in one of these states lately, and not otherwise since.</summary>
    public static Matter? OfLeaves(Situation now, params string[] states) => Of(now, EntryKinds.Leaves, states);

    /// <summary>A part that was seen in one of these states lately, and not otherwise since.</summary>
    public static Matter? Of(Situation now, EntryKind kind, params string[] states)
    {
        var back = now.Limits<CauseLimits>().Back;
        if (now.Journal.Last(kind) is not { Text: { } text } last || !states.Contains(text) || last.On <= now.Today.AddDays(-back))
            return null;
        var seen = now.Journal.Of(kind).Where(e => states.Contains(e.Text) && e.On > last.On.AddDays(-back)).ToList();
        return new($"{last} on {Dates.Near(last.On, now.Today)}.", seen[0].On.AddDays(-back), last.On, seen);
    }
}
