using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>Where a plant with a dry rest stands between its last leaf and its first water.</summary>
/// <param name="RestSince">The day its leaves were gone, when the rest was logged.</param>
/// <param name="Woke">The day a new growth or new root showed; null while it sleeps, and in full season.</param>
/// <param name="FirstWater">The first water after it woke.</param>
public sealed record DryRest(DateOnly? RestSince, DateOnly? Woke, Entry? FirstWater)
{
    /// <summary>Of a habit without a dry rest.</summary>
    public static readonly DryRest None = new(null, null, null);

    /// <summary>It is bare and rests.</summary>
    public bool Asleep => RestSince is not null && Woke is null;

    /// <summary>Awake and still dry: the time of rule W1.</summary>
    public bool Waking => Woke is not null && FirstWater is null;

    /// <summary>
    /// Reads the newest season: from the last logged leaf fall, or from a growth after a long dry time where a whole
    /// wet season has passed since, or none was logged.
    /// </summary>
    /// <param name="limits">How long a dry rest and the longest growth are.</param>
    public static DryRest Read(PlantJournal journal, SleepLimits limits)
    {
        var rest = journal.Last(LeavesGone)?.On;
        var season = rest is { } since ? From(rest, FirstSign(journal, since), journal) : new(null, null, null);
        if (season.Asleep || season.Waking)
            return season;
        var later = FirstAfterDry(journal, limits);
        return later > (season.FirstWater?.On ?? DateOnly.MinValue) ? From(rest, later, journal) : season;
    }

    static DryRest From(DateOnly? rest, DateOnly? woke, PlantJournal journal) =>
        new(rest, woke, woke is { } day ? journal.Waterings.FirstOrDefault(water => water.On >= day) : null);

    static DateOnly? FirstSign(PlantJournal journal, DateOnly since) => journal.Entries.FirstOrDefault(e => e.On >= since && IsSign(e))?.On;

    static bool IsSign(Entry e) =>
        e.Kind == GrowthStarted || e.Kind == RootsStarted || ((e.Kind == GrowthHeight || e.Kind == RootLength) && e.Amount?.InBase > 0);

    /// <summary>
    /// Nobody waters a plant that rests dry: a growth after two dry months, with none before it still growing, ends a rest.
    /// </summary>
    static DateOnly? FirstAfterDry(PlantJournal journal, SleepLimits limits) =>
        journal
            .Of(GrowthStarted)
            .LastOrDefault(growth => !WateredBefore(journal, growth, limits) && !StillGrowing(journal, growth, limits))
            ?.On;

    static bool WateredBefore(PlantJournal journal, Entry growth, SleepLimits limits) =>
        journal.Waterings.Any(w => w.On < growth.On && w.On > growth.On.AddDays(-limits.Dry));

    static bool StillGrowing(PlantJournal journal, Entry growth, SleepLimits limits) =>
        journal.Of(GrowthStarted, GrowthMatured, GrowthStopped, LeavesGone).LastOrDefault(e => e.On < growth.On) is { } before
        && before.Kind == GrowthStarted
        && before.On > growth.On.AddDays(-limits.LongestGrowth);
}
