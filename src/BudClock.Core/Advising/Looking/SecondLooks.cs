using BudClock.Core.Culture;
using BudClock.Core.Evidence;
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
    static readonly EntryKind[] States = [Leaves, Bulbs, Tuber, Base];

    /// <summary>The open flag that comes first; null when there is none.</summary>
    public static SecondLook? Next(Situation now)
    {
        var looks = now.Journal.Of(Looked).Select(e => e.On).ToList();
        return
            now
                .Journal.Of(Flagged, Repotted, Divided, Moved, Treated, RecipeSet)
                .Where(change => Asks(now, change))
                .Select(change => Plant(now, change))
                .Where(flag => now.Today <= flag.To.AddDays(now.Limits<SecondLookLimits>().Asked) && !looks.Any(look => look >= flag.From))
                .MinBy(flag => flag.From)
                is { } next
            ? next with
            {
                Rows = Compare(now, next.Change.On),
            }
            : null;
    }

    /// <summary>
    /// Of pests and rot their own case asks; what sleeps shows nothing; and what has made a leaf, a growth, a root or a spike since has
    /// answered by itself (rule L4).
    /// </summary>
    static bool Asks(Situation now, Entry change)
    {
        if (change.Kind == Treated)
            return now.Pests is null && now.Rot is null;
        if (change.Kind == Flagged || change.Kind == RecipeSet)
            return true;
        var shown = change.On.AddDays(now.Limits<SecondLookLimits>().WaterFrom);
        return !now.Resting && now.Journal.FirstSince(shown, GrowthStarted, LeafStarted, RootsStarted, SpikeStarted, BloomOpened) is null;
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

    static SecondLook Plant(Situation now, Entry change)
    {
        var limits = now.Limits<SecondLookLimits>();
        var (from, to, question) =
            change.Kind == Flagged ? (Days(change), Days(change), change.Text ?? "What has changed?")
            : change.Kind == Repotted ? (limits.RepotFrom, limits.RepotTo, "has it taken hold?")
            : change.Kind == Divided ? (limits.RepotFrom, limits.RepotTo, "have the parts taken hold? Lay them side by side.")
            : change.Kind == Treated ? (limits.Treat, limits.Treat, "did the treatment work?")
            : (limits.Feed, limits.Feed, change.Kind == RecipeSet ? "what did the new recipe do?" : "does it like the new place?");
        return new(change, change.On.AddDays(from), change.On.AddDays(to), question, []);
    }

    static int Days(Entry flag) => (int)(flag.Amount?.Value ?? 1);

    /// <summary>The same things before and after a day, side by side: states, and what is measured.</summary>
    public static IReadOnlyList<BeforeNow> Compare(Situation now, DateOnly change)
    {
        var rows = new List<BeforeNow>();
        foreach (var kind in States)
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

/// <summary>Rule K4: what a change did.</summary>
[Rule("K4", "what a change did")]
public sealed record SecondLookLimits(
    [Limit("days", 1, 14, "after water, the first look")] int WaterFrom,
    [Limit("days", 1, 30, "after water, the last look")] int WaterTo,
    [Limit("days", 1, 60, "after a feed, a recipe or a move")] int Feed,
    [Limit("days", 1, 90, "after a repot, the first look")] int RepotFrom,
    [Limit("days", 1, 120, "after a repot, the last look")] int RepotTo,
    [Limit("days", 1, 60, "after a treatment")] int Treat,
    [Limit("days", 7, 120, "so long a look that was missed is still asked for")] int Asked,
    [Limit("days", 1, 14, "so long after a soak a limp leaf is asked about")] int Afternoon
);
