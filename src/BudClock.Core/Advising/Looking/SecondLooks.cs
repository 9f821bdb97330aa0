using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.States;
using BudClock.Core.States.LookingAgain;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Looking;

/// <summary>A flag: a change after which one looks again, and the same things before and now.</summary>
/// <param name="From">The first day on which to look.</param>
/// <param name="To">The last day that still tells of this change.</param>
public sealed record SecondLook(Entry Change, DateOnly From, DateOnly To, string Question, IReadOnlyList<BeforeNow> Rows);

/// <summary>One thing before a change and now; null where it was not looked at.</summary>
/// <param name="Name">"leaves", "spike 2031 b".</param>
/// <param name="Organ">The organ that is measured; null for a state of the plant.</param>
public sealed record BeforeNow(string Name, EntryKind Kind, string? Organ, Fact? Before, DateOnly? BeforeOn, Fact? Now, DateOnly? NowOn)
{
    /// <summary>Unit of both numbers.</summary>
    public string? Unit => Kind.Measure is null ? null : "cm";
}

/// <summary>Flags besides the one after the first water: planted by a change of regime, or set by hand (rule K4).</summary>
/// <remarks>Common practice: 14 days for a move, new light or a new recipe, 21 to 28 after a repot, 7 after a treatment.</remarks>
public static class SecondLooks
{
    static readonly EntryKind[] Compared = [Leaves, Bulbs, Tuber, Base];

    /// <summary>The open flag that comes first; null when there is none.</summary>
    public static SecondLook? Next(Situation now)
    {
        SecondLook? next = null;
        foreach (var span in Flags(now))
            if (((LookAfter)span.State).Days(span, now.Sheet) is var (from, to) && !(next?.From <= from))
                next = new(span.Sign, from, to, ((LookAfter)span.State).Question(span.Sign), []);
        return next is null ? null : next with { Rows = Compare(now, next.Change.On) };
    }

    /// <summary>What is open. Of pests and rot their own case asks, and what sleeps shows nothing.</summary>
    static IEnumerable<Span> Flags(Situation now)
    {
        var open = now.Spans<Flag>().Concat(now.Spans<AfterRecipe>());
        if (now.Pests is null && now.Rot is null)
            open = open.Concat(now.Spans<AfterTreating>());
        if (!now.Resting)
            open = open.Concat(now.Spans<AfterRepotting>()).Concat(now.Spans<AfterDividing>()).Concat(now.Spans<AfterMoving>());
        return open.Where(span => span.Open);
    }

    /// <summary>A limp plant over a dry pot that was soaked: firm within about two hours; limp the next day is the roots.</summary>
    public static Advice? Afternoon(Situation now)
    {
        if (now.Wetness.LastWater is not { } water || water.On < now.Today.AddDays(-now.Limits<SecondLookLimits>().Afternoon))
            return null;
        var limp = now.Journal.Of(Leaves).LastOrDefault(e => PlantJournal.IsAfter(water, e));
        if (
            limp?.Text is not ("limp" or "pliable")
            || limp.On < water.On.AddDays(-now.Ages.Limp)
            || now.Journal.Of(Leaves).Any(e => PlantJournal.IsAfter(e, water))
        )
            return null;
        var when = water.On == now.Today ? "it should be firm within about two hours." : "is it firm again?";
        return new(
            Topics.SecondLook,
            "K4",
            Care.Look,
            Verdict.Look,
            now.Today,
            $"Leaves were {limp.Text}, and it was watered {Dates.Ago(water.On, now.Today)}: {when} Limp the next day means the roots.",
            [Condition.Known("leaves before", new(limp.Text), null, limp.On), Condition.Sign("leaves firm", null)]
        )
        {
            LoggedAs = Leaves,
        };
    }

    /// <summary>The same things before and after a day, side by side: states, and what is measured.</summary>
    public static IReadOnlyList<BeforeNow> Compare(Situation now, DateOnly change)
    {
        var rows = new List<BeforeNow>();
        foreach (var kind in Compared)
        {
            var (before, after) = (now.Journal.State(kind, e => e.On <= change), now.Journal.State(kind, e => e.On > change));
            if (before is not null || after is not null)
                rows.Add(new(kind.Words.ToLowerInvariant(), kind, null, Word(before), before?.On, Word(after), after?.On));
        }
        foreach (var series in now.Series.Where(series => series.Moves && series.Start <= change))
        {
            var (before, after) = (series.Points.Last(p => p.On <= change), series.Last);
            var later = after.On > change;
            rows.Add(
                new(
                    series.Label.ToLowerInvariant(),
                    series.Kind,
                    series.Organ,
                    new(before.Cm),
                    before.On,
                    later ? new(after.Cm) : null,
                    later ? after.On : null
                )
            );
        }
        return rows;
    }

    static Fact? Word(Seen<string>? state) => state is null ? null : new(state.Value);
}
