using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Evidence;

/// <summary>The phase of a day with the day it began, if the journal tells.</summary>
public sealed record PhaseRead(Phase Phase, DateOnly? Since)
{
    /// <summary>
    /// Reads the phase from the evidence. What shows most outranks the rest: flower before spike before waking; a plant
    /// without live roots is recovering whatever its shoots do, unless it rests.
    /// </summary>
    public static PhaseRead Read(Situation now)
    {
        if (now.Arrival is { IsNewcomer: true } arrival)
            return new(Phase.Newcomer, arrival.Arrived);
        if (now.Roots.Dead && !now.Resting)
            return new(Phase.Recovering, now.Roots.NoneSince);
        if (Open(LaneKind.Bloom) is { } bloom)
            return new(Phase.Blooming, bloom);
        if (Open(LaneKind.Spike) is { } spike)
            return new(Phase.Spiking, spike);
        if (now.DryRest.Waking)
            return new(Phase.Waking, now.DryRest.Woke);
        if (now.Resting)
            return new(Phase.Resting, now.Sleep.Since);
        if (now.Roots.State is RootState.Few)
            return new(Phase.Recovering, now.Roots.NoneSince ?? now.Roots.Rests!.On);
        if (now.Journal.Last(Planted, GrowthStarted, GrowthHeight, LeafStarted, LeavesGone) is { } last && last.Kind == Planted)
            return new(Phase.Waking, last.On);
        return now.Sleep.Kind switch
        {
            SleepKind.Going => new(Phase.GoingToRest, now.Sleep.Since),
            SleepKind.Perhaps => new(Phase.Resting, now.Sleep.Since),
            _ => InGrowth(now),
        };

        DateOnly? Open(LaneKind kind) => now.Lanes.LastOrDefault(lane => lane.Kind == kind && lane.Open)?.From;
    }

    static PhaseRead InGrowth(Situation now)
    {
        var growth = now.Lanes.LastOrDefault(lane => lane is { Kind: LaneKind.Growth, Open: true });
        if (Stretched.VineRests(now) && !Moves(now, growth))
            return new(Phase.Resting, null);
        if (growth is not null)
            return new(Phase.Growing, growth.From);
        return now.Journal.Last(GrowthMatured) is { } matured ? new(Phase.Ripening, matured.On) : new(Phase.Growing, null);
    }

    static bool Moves(Situation now, Lane? growth) =>
        growth is not null
        && (
            growth.From > now.Today.AddDays(-now.Limits<WinterLimits>().Moving)
            || now.Series.Any(series => series.Moves && series.Last.On > now.Today.AddDays(-now.Limits<WinterLimits>().Moving))
        );
}
