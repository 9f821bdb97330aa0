using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.States;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>Whether a plant sleeps.</summary>
public enum SleepKind
{
    /// <summary>Awake.</summary>
    None,

    /// <summary>Leaves are going in their season, or the grower ordered it.</summary>
    Going,

    /// <summary>On record as resting.</summary>
    Resting,

    /// <summary>Its kind rests now, and nobody wrote of a leaf, a growth or a root since.</summary>
    Perhaps,
}

/// <summary>Rules V5, D1 and D2: rest that is on record, rest that is on its way, and rest that nobody wrote down.</summary>
/// <param name="Since">The day it began, as far as the log tells.</param>
/// <param name="Rests">What it rests on, as a clause: "leafless since 20 Nov".</param>
/// <param name="Missing">What is not known, as a clause; null where nothing is missing.</param>
public sealed record Sleep(SleepKind Kind, DateOnly? Since, string Rests, string? Missing = null)
{
    static readonly Sleep Awake = new(SleepKind.None, null, "");

    static readonly EntryKind[] Life =
    [
        LeafStarted,
        LeafSpan,
        LeafCount,
        Leaves,
        GrowthStarted,
        GrowthHeight,
        SummerLeaves,
        RootsStarted,
        RootLength,
        RootCount,
        RootsAtBase,
        SpikeStarted,
        BloomOpened,
    ];

    /// <summary>Reads whether it sleeps.</summary>
    public static Sleep Read(Situation now)
    {
        if (now.Astir is { AsleepSince: var fallen })
            return new(SleepKind.Perhaps, fallen, $"by the log it rests since {Dates.Near(fallen, now.Today)}");
        if (now.Rest is { } rest)
            return new(SleepKind.Resting, rest.Since, $"resting since {Dates.Near(rest.Since, now.Today)}");
        if (now.DryRest.Asleep)
            return new(SleepKind.Resting, now.DryRest.RestSince, $"leafless since {Dates.Near(now.DryRest.RestSince!.Value, now.Today)}");
        if (now.Around.Place?.Setting == "store" && !Alive(now, now.Today.AddDays(-now.Limits<SleepLimits>().Unknown)) && !JustPlanted(now))
            return new(SleepKind.Perhaps, null, "it stands in a store, and nobody wrote of a leaf");
        if (now.DryRest.Waking || !now.Sheet.Is(Traits.LeaflessRest))
            return Awake;
        return Going(now) ?? Unlogged(now) ?? Awake;
    }

    /// <summary>
    /// Two or more leaves, or one after its growth has matured, going in the season that goes down, or by the grower's order, with no
    /// new leaf since.
    /// </summary>
    static Sleep? Going(Situation now)
    {
        var since = now.Today.AddDays(-now.Limits<SleepLimits>().Done);
        var woke = Shown(now)?.On;
        var leaves = now
            .Journal.Of(Leaves, LeafDropped)
            .Where(e => e.On > since && !(woke >= e.On) && (e.Kind == LeafDropped || e.Text == "yellowing"))
            .ToList();
        var ordered = Ordered(now);
        var matured = now.Journal.Last(GrowthMatured, GrowthStarted) is { } last && last.Kind == GrowthMatured;
        var enough = ordered is null && !matured ? now.Limits<SleepLimits>().LeavesGoing : 1;
        if (leaves.Count < enough)
            return ordered is { } day ? new(SleepKind.Going, day, $"you sent it to rest {Dates.Ago(day, now.Today)}") : null;
        if (ordered is null && !InSeason(now, leaves[^1].On))
            return null;
        if (leaves[^1].On.DayNumber - leaves[0].On.DayNumber > now.Limits<SleepLimits>().Going + 20)
            leaves = [.. leaves.Where(e => e.On > leaves[^1].On.AddDays(-now.Limits<SleepLimits>().Going))];
        return leaves.Count < enough ? null : new(SleepKind.Going, leaves[0].On, $"leaves going since {Dates.Short(leaves[0].On)}");
    }

    /// <summary>What says that it is awake: something grows, or it was planted, or sprouts.</summary>
    static Entry? Shown(Situation now)
    {
        var shown = now.Journal.Last(GrowthStarted, LeafStarted, SummerLeaves, Planted, SpikeStarted, BloomOpened);
        return now.Journal.Of(Tuber).LastOrDefault(e => e.Text == "sprouting") is { } sprout && !(shown?.On > sprout.On) ? sprout : shown;
    }

    /// <summary>Planted since it was last put away: it stands in the dark to make roots.</summary>
    static bool JustPlanted(Situation now) => now.Journal.Last(Planted, Stored, Lifted, LeavesGone)?.Kind == Planted;

    /// <summary>The grower's own order holds at any date (rule D1), until it grows again.</summary>
    static DateOnly? Ordered(Situation now) => now.In<OrderedRest>()?.Sign.On;

    /// <summary>The season in which its kind goes to rest: by its year, by the day's length, or by cool nights in a falling year.</summary>
    public static bool InSeason(Situation now, DateOnly? on = null)
    {
        if (!now.Daylight.Tells)
            return false;
        if (now.Sheet.Is(Traits.SummerRest))
            return Usual(now) is not null;
        var light = on is { } day ? Daylight.Of(now.Around.Garden, day) : now.Daylight;
        var limit = now.Sheet.Find<LeafFallLimits>()?.DayLength ?? now.Limits<SleepLimits>().DayLength;
        return light.GoesDown(limit)
            || (light.Falling == true && now.Temper.Cold && light.Hours < limit + 1)
            || (now.Daylight.GoesDown(limit) && Usual(now) is not null);
    }

    /// <summary>The span of its usual year in which it goes to rest or rests today; null outside of it.</summary>
    static (UsualPhase Phase, DateOnly From)? Usual(Situation now) =>
        now.Sheet.PhaseOn(now.Today, now.Around.Garden.Southern) is { } usual
        && (usual.Phase.Phase is Phase.Resting or Phase.GoingToRest || (usual.Phase.Phase is Phase.Waking && now.Sheet.Is(Traits.DryRest)))
            ? usual
            : null;

    static Sleep? Unlogged(Situation now)
    {
        if (now.Daylight.Equatorial)
            return null;
        if (now.Around.Garden.Latitude is null)
            return Alive(now, now.Today.AddDays(-now.Limits<SleepLimits>().Unknown))
                ? null
                : new(
                    SleepKind.Perhaps,
                    null,
                    "nobody wrote of a leaf lately",
                    "the garden's latitude, and with it the season, is not known"
                );
        if (Usual(now) is not { } usual || Alive(now, SpanStart(now, usual.From)))
            return null;
        var dryRest =
            now.Sheet.Is(Traits.DryRest) && usual.Phase.Phase is Phase.Waking && now.Journal.Waterings.Any(e => e.On >= usual.From);
        return dryRest
            ? null
            : new(
                SleepKind.Perhaps,
                usual.From,
                $"its kind rests at this time, and nobody wrote of a leaf since {Dates.Near(usual.From, now.Today)}"
            );
    }

    /// <summary>While it wakes, what was seen through its rest counts too.</summary>
    static DateOnly SpanStart(Situation now, DateOnly from) =>
        now.Sheet.Is(Traits.DryRest) && now.Sheet.PhaseOn(now.Today, now.Around.Garden.Southern)?.Phase.Phase is Phase.Waking
            ? from.AddDays(-now.Limits<SleepLimits>().Unknown)
            : from;

    static bool Alive(Situation now, DateOnly since) => now.Journal.Of(Life).Any(e => e.On >= since && e.Amount is not { InBase: <= 0 });
}
