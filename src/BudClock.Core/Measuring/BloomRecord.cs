using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Measuring;

/// <summary>Rule K6: what one spike did, from its first sign to its last flower.</summary>
/// <param name="Organ">The spike's id; null when it was logged without one.</param>
/// <param name="Opened">The first open flower; null before, and for a spike that was lost.</param>
/// <param name="Days">Days in bloom, so far or in all.</param>
/// <param name="Cause">Why it was lost, where it was and the log says.</param>
/// <param name="CameAlong">It was there when the plant came, so it teaches nothing about this place.</param>
public sealed record BloomRecord(
    string? Organ,
    DateOnly? Emerged,
    DateOnly? Opened,
    DateOnly? Faded,
    int? Days,
    double? Buds,
    double? LostBuds,
    double? LongestCm,
    string? Ending,
    string? Cause,
    bool CameAlong
)
{
    /// <summary>All spikes on record, the newest first.</summary>
    public static IReadOnlyList<BloomRecord> Read(PlantJournal journal, IReadOnlyList<Lane> lanes, DateOnly? acquired, DateOnly today)
    {
        var spikes = lanes.Where(lane => lane is { Kind: LaneKind.Spike, Expected: false }).ToList();
        var blooms = lanes.Where(lane => lane is { Kind: LaneKind.Bloom, Expected: false }).ToList();
        var alone = blooms.Where(bloom => !spikes.Any(spike => Leads(spike, bloom)));
        return
        [
            .. spikes
                .Select(spike => Of(journal, spike, blooms.FirstOrDefault(bloom => Leads(spike, bloom)), acquired, today))
                .Concat(alone.Select(bloom => Of(journal, null, bloom, acquired, today)))
                .OrderByDescending(record => record.Emerged ?? record.Opened),
        ];
    }

    static bool Leads(Lane spike, Lane bloom) => spike.Organ == bloom.Organ && spike.To == bloom.From;

    static BloomRecord Of(PlantJournal journal, Lane? spike, Lane? bloom, DateOnly? acquired, DateOnly today)
    {
        var (organ, from) = ((spike ?? bloom)!.Organ, (spike ?? bloom)!.From);
        var to = bloom is null ? spike!.To ?? today : bloom.To ?? today;
        var own = journal.Entries.Where(e => e.Organ == organ && e.On >= from && e.On <= to).ToList();
        var ended = bloom?.Ending ?? (spike?.Ending == "opened" ? null : spike?.Ending);
        return new(
            organ,
            spike?.From,
            bloom?.From,
            bloom?.Ending == "faded" ? bloom.To : null,
            bloom is null ? null : (bloom.To ?? today).DayNumber - bloom.From.DayNumber,
            Most(EntryKinds.Buds),
            own.Where(e => e.Kind == BudsLost).Sum(e => e.Amount?.Value) is > 0 and var lost ? lost : null,
            Most(SpikeLength),
            ended,
            own.LastOrDefault(e => e.Kind == SpikeLost)?.Text,
            acquired > from
        );

        double? Most(EntryKind kind) => own.Where(e => e.Kind == kind).Max(e => e.Amount?.InBase);
    }
}
