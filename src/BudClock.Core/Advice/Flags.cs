using BudClock.Core.Journal;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advice;

/// <summary>Second looks besides the one after the first water: planted by a change of regime, or set by hand.</summary>
/// <remarks>Common practice: 14 days for a move or new light, 21 to 28 after a repot, 7 after a treatment.</remarks>
static class Flags
{
    const int AskedForDays = 28;

    /// <summary>The thresholds of rule K4 that flags need.</summary>
    public static readonly IReadOnlyList<string> Thresholds = ["feed", "repot-from", "repot-to", "treat"];

    sealed record Flag(Entry Change, DateOnly From, DateOnly To, string Question);

    /// <summary>The open flag that comes first, as an advice; null when there is none.</summary>
    public static Advice? Next(Situation now)
    {
        var looks = now.Journal.Of(Looked).Select(e => e.On).ToList();
        var next = now.Journal.Of(Flagged, Repotted, Moved, Treated).Select(change => Plant(now, change))
            .Where(flag => now.Today <= flag.To.AddDays(AskedForDays) && !looks.Any(look => look >= flag.From))
            .MinBy(flag => flag.From);
        return next is null ? null : Ask(now, next);
    }

    static Flag Plant(Situation now, Entry change)
    {
        var (from, to, question) =
            change.Kind == Flagged ? (Days(change), Days(change), change.Text ?? "What has changed?")
            : change.Kind == Repotted ? (Needs("repot-from"), Needs("repot-to"), "has it taken hold?")
            : change.Kind == Treated ? (Needs("treat"), Needs("treat"), "did the treatment work?")
            : (Needs("feed"), Needs("feed"), "does it like the new place?");
        return new(change, change.On.AddDays(from), change.On.AddDays(to), question);

        int Needs(string threshold) => (int)now.Needs("K4", threshold);
    }

    static int Days(Entry flag) => (int)(flag.Amount?.Value ?? 1);

    static Advice Ask(Situation now, Flag flag)
    {
        var due = now.Today >= flag.From;
        var what = flag.Change.Kind == Flagged ? "Flagged" : flag.Change.Kind.Words;
        var reason = due
            ? $"{what} {Dates.Ago(flag.Change.On, now.Today)}: {flag.Question}"
            : $"{what} {Dates.Ago(flag.Change.On, now.Today)}: look again {Dates.Range(flag.From, flag.To)}.";
        return new(Topics.SecondLook, "K4", due ? Verdict.Look : Verdict.Hold, flag.From, reason, [.. BeforeAndNow(now, flag.Change.On)]) { Until = flag.To, AnsweredBy = Looked };
    }

    /// <summary>The same things before and now, side by side: states, and what was measured.</summary>
    static IEnumerable<Condition> BeforeAndNow(Situation now, DateOnly change)
    {
        foreach (var kind in (EntryKind[])[Leaves, Bulbs, Tuber])
        {
            var (before, after) = (now.Journal.State(kind, e => e.On <= change), now.Journal.State(kind, e => e.On > change));
            if (before is null && after is null) continue;
            yield return Condition.Known($"{kind.Words.ToLowerInvariant()} before", Word(before), null, before?.On);
            yield return Condition.Known($"{kind.Words.ToLowerInvariant()} now", Word(after), null, after?.On);
        }
        foreach (var series in now.Series.Where(series => series.Moves && series.Start <= change))
        {
            var (before, after) = (series.Points.Last(p => p.On <= change), series.Last);
            yield return Condition.Known($"{series.Label.ToLowerInvariant()} before", new(before.Cm), "cm", before.On);
            yield return Condition.Known($"{series.Label.ToLowerInvariant()} now", after.On > change ? new(after.Cm) : null, "cm", after.On > change ? after.On : null);
        }
    }

    static Fact? Word(Seen<string>? state) => state is null ? null : new(state.Value);
}
