using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>The phase of a day with the day it began, if the journal tells.</summary>
public sealed record PhaseRead(Phase Phase, DateOnly? Since)
{
    /// <summary>Rule F2: how long a plant counts as a newcomer.</summary>
    public const int NewcomerDays = 28;

    /// <summary>
    /// Reads the phase from the lanes. What shows most outranks the rest: flower before spike before waking; a plant
    /// without live roots is recovering whatever its shoots do, unless it rests.
    /// </summary>
    public static PhaseRead Read(PlantJournal journal, IReadOnlyList<Lane> lanes, Season season, DateOnly? acquired, DateOnly today)
    {
        var arrived = journal.Last(Acquired)?.On ?? acquired;
        if (arrived is { } day && day <= today && today < day.AddDays(NewcomerDays)) return new(Phase.Newcomer, arrived);
        if (RootsGone(journal, season) is { } lost) return new(Phase.Recovering, lost);
        if (Open(LaneKind.Bloom) is { } bloom) return new(Phase.Blooming, bloom);
        if (Open(LaneKind.Spike) is { } spike) return new(Phase.Spiking, spike);
        if (season.Waking) return new(Phase.Waking, season.Woke);
        if (Open(LaneKind.Rest) is { } rest) return new(Phase.Resting, rest);
        if (season.Asleep) return new(Phase.Resting, season.RestSince);
        if (journal.Last(Planted, GrowthStarted, GrowthHeight, LeafStarted, LeavesGone) is { } last && last.Kind == Planted) return new(Phase.Waking, last.On);
        if (LeavesGoing(journal) is { } going) return new(Phase.GoingToRest, going);
        if (Open(LaneKind.Growth) is { } growth) return new(Phase.Growing, growth);
        if (journal.Last(GrowthMatured) is { } matured) return new(Phase.Ripening, matured.On);
        return new(Phase.Growing, null);

        DateOnly? Open(LaneKind kind) => lanes.LastOrDefault(lane => lane.Kind == kind && lane.Open)?.From;
    }

    static DateOnly? RootsGone(PlantJournal journal, Season season)
    {
        if (season.Asleep || journal.Last(RootsLost) is not { } lost) return null;
        var sign = journal.Last(RootsStarted, RootLength, RootsAtBase, RootCount);
        return sign is not null && sign.On > lost.On && sign.Amount is not { InBase: <= 0 } ? null : lost.On;
    }

    /// <summary>Leaves drop after this season's growth matured: the way to rest.</summary>
    static DateOnly? LeavesGoing(PlantJournal journal) =>
        journal.Last(GrowthMatured, GrowthStarted, GrowthHeight, LeavesGone) is { } last && last.Kind == GrowthMatured
            ? journal.FirstSince(last.On, LeafDropped)?.On
            : null;
}
