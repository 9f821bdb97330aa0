using BudClock.Core.Evidence;
using BudClock.Core.Measuring;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Health;

/// <summary>Something in the log that makes a growth smaller.</summary>
/// <param name="Name">For the conditions: "divided".</param>
/// <param name="On">The day of it.</param>
/// <param name="Found">As a clause: "it was divided on 10 Mar".</param>
/// <param name="Then">What to do about it, as a sentence.</param>
/// <param name="Normal">It is the usual price of something, and passes by itself.</param>
public sealed record SmallerCause(string Name, DateOnly On, string Found, string Then, bool Normal);

/// <summary>Rule G2: what the log holds of the time between the growth before and the one that came smaller, the surest first.</summary>
static class SmallerCauses
{
    static readonly Func<Situation, Grown, Grown, SmallerCause?>[] All =
    [
        Divided,
        Came,
        RootsLost,
        Pests,
        Dry,
        Repotted,
        Winter,
        Shared,
        Unfed,
    ];

    public static IReadOnlyList<SmallerCause> Of(Situation now, Grown before, Grown last) =>
        [.. All.Select(cause => cause(now, before, last)).OfType<SmallerCause>()];

    /// <summary>The newest entry of some kinds in the time that counts for the younger growth.</summary>
    static Entry? Between(Situation now, Grown before, Grown last, params EntryKind[] kinds) =>
        now.Journal.Of(kinds).LastOrDefault(e => e.On > before.Done.AddDays(-now.Limits<ShrinkingLimits>().Next) && e.On <= last.Done);

    static SmallerCause? Divided(Situation now, Grown before, Grown last) =>
        Between(now, before, last, EntryKinds.Divided) is { } cut
            ? new(
                "divided",
                cut.On,
                $"it was divided on {On(now, cut.On)}",
                "The growth after a division is smaller, which is normal.",
                true
            )
            : null;

    static SmallerCause? Came(Situation now, Grown before, Grown last) =>
        now.Plant.Acquired is { } came && came > before.Began.AddDays(-now.Limits<ShrinkingLimits>().Next) && came <= last.Done
            ? new("came here", came, $"it came here on {On(now, came)}", "The first growth in a new place is often smaller.", true)
            : null;

    static SmallerCause? RootsLost(Situation now, Grown before, Grown last)
    {
        var lost = now
            .Journal.Of(EntryKinds.RootsLost, RootCount)
            .LastOrDefault(e =>
                e.On > before.Done.AddDays(-now.Limits<ShrinkingLimits>().Next)
                && e.On <= last.Done
                && (e.Kind == EntryKinds.RootsLost || e.Amount?.InBase <= 0)
            );
        if (lost is null)
            return null;
        var found = $"its roots were lost on {On(now, lost.On)}";
        return now.Roots.State is RootState.Alive or RootState.Few
            ? new("roots lost", lost.On, found, "A growth of no more than its size is the price of lost roots.", true)
            : new("roots lost", lost.On, found, "Without roots nothing grows larger: humid air until there are some.", false);
    }

    static SmallerCause? Pests(Situation now, Grown before, Grown last)
    {
        var seen = now
            .Journal.Of(Pest)
            .LastOrDefault(e =>
                e.On > last.Began.AddDays(-now.Limits<ShrinkingLimits>().Next) && e.On <= last.Done && e.Text is not "none"
            );
        return seen is null
            ? null
            : new(
                "pests",
                seen.On,
                $"{(string.IsNullOrWhiteSpace(seen.Text) ? "pests" : seen.Text)} on it on {On(now, seen.On)}",
                "Look at the next eye first: that is where they cost most.",
                false
            );
    }

    /// <summary>Signs of thirst on two days and more while it grew, with nothing felt wet beside them.</summary>
    static SmallerCause? Dry(Situation now, Grown before, Grown last)
    {
        var signs = now
            .Journal.Of(Leaves, Bulbs)
            .Where(e => e.On > last.Began && e.On <= last.Done && Thirsty(now, e) && !WetBeside(now, e))
            .DistinctBy(e => e.On)
            .ToList();
        return signs is [_, .., var newest]
            ? new(
                "dry while it grew",
                newest.On,
                $"it was dry while it grew: {string.Join(", ", signs.Select(Told))}",
                "Water the next one before it asks twice.",
                false
            )
            : null;

        string Told(Entry sign) => $"{sign.Kind.Words.ToLowerInvariant()} {sign.Text} {On(now, sign.On)}";
    }

    /// <summary>Wrinkles alone are not much; over a dry medium they are thirst.</summary>
    static bool Thirsty(Situation now, Entry e) =>
        e.Text is "limp" or "pliable" or "shrivelled" || (e.Text == "wrinkled" && Beside(now, e, "dry"));

    static bool Beside(Situation now, Entry sign, string medium) =>
        now.Journal.Of(Medium).Any(e => e.Text == medium && Math.Abs(e.On.DayNumber - sign.On.DayNumber) <= now.Ages.Wet);

    static bool WetBeside(Situation now, Entry sign) =>
        now.Journal.Of(Medium).Any(e => e.Text is "wet" or "damp" && Math.Abs(e.On.DayNumber - sign.On.DayNumber) <= now.Ages.Wet);

    static SmallerCause? Repotted(Situation now, Grown before, Grown last)
    {
        if (Between(now, before, last, EntryKinds.Repotted) is not { } pot || Between(now, before, last, EntryKinds.Divided) is not null)
            return null;
        var rooted = now.Journal.Of(RootsStarted, RootLength, RootCount, RootsAtBase).Any(e => e.On >= before.Done && e.On <= last.Done);
        return rooted
            ? null
            : new(
                "repotted",
                pot.On,
                $"it was repotted on {On(now, pot.On)}, and nobody wrote of a new root since",
                "Leave it in this pot until new roots show.",
                false
            );
    }

    /// <summary>Days were short on average while it grew, and longer while the one before did.</summary>
    static SmallerCause? Winter(Situation now, Grown before, Grown last)
    {
        if (!now.Daylight.Tells)
            return null;
        var hours = Hours(now, last);
        if (hours >= now.Limits<ShrinkingLimits>().ShortDays || Hours(now, before) <= hours)
            return null;
        return new(
            "short days",
            last.Began,
            $"it grew from {On(now, last.Began)} to {On(now, last.Done)}, in short, cool days",
            "What grows before or in winter comes smaller, which is normal; in spring it is larger again.",
            true
        );
    }

    static double Hours(Situation now, Grown one) =>
        Enumerable
            .Range(0, 5)
            .Average(n =>
                Daylight.Of(now.Around.Garden, one.Began.AddDays((one.Done.DayNumber - one.Began.DayNumber) * n / 4)).Hours!.Value
            );

    static SmallerCause? Shared(Situation now, Grown before, Grown last)
    {
        if (now.Sheet.Organs.Shoot == Organ.Leaf)
            return null;
        var other = now.Lanes.FirstOrDefault(lane =>
            lane.Kind is LaneKind.Growth
            && lane.Organ != last.Part
            && lane.From > before.Began
            && Beside(lane, last) >= now.Limits<ShrinkingLimits>().Shared
        );
        return other is null
            ? null
            : new("two growths", other.From, "two growths were under way at once", "Two share what there is; the next has it alone.", true);
    }

    static int Beside(Lane lane, Grown last)
    {
        var from = lane.From > last.Began ? lane.From : last.Began;
        var to = lane.To is { } end && end < last.Done ? end : last.Done;
        return to.DayNumber - from.DayNumber;
    }

    static SmallerCause? Unfed(Situation now, Grown before, Grown last)
    {
        var (then, since) = (FedWhile(now, before), FedWhile(now, last));
        return then >= now.Limits<ShrinkingLimits>().Feeds && since == 0
            ? new(
                "not fed",
                last.Began,
                $"it was fed {then} times while the one before grew, and not at all this time",
                "Feed the next as it grows, at its usual strength; more makes up for nothing.",
                false
            )
            : null;
    }

    static int FedWhile(Situation now, Grown one) => now.Journal.Of(Fed).Count(e => e.On >= one.Began && e.On <= one.Done);

    static string On(Situation now, DateOnly day) => Dates.Near(day, now.Today);
}
