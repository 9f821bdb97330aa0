using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>A spike that stands still.</summary>
public sealed class StalledSpikeQuestion : Question
{
    const double ReadingErrorCm = 0.5;

    /// <inheritdoc/>
    public override string Code => "spike-stalled";

    /// <inheritdoc/>
    public override string Asks => "Why does its spike stand still?";

    /// <inheritdoc/>
    public override string Note => "Measure the spike once a fortnight, from the same point.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now)
    {
        var limits = now.Limits<CauseLimits>();
        foreach (var spike in now.Lanes.Where(lane => lane is { Kind: LaneKind.Spike, Open: true }))
        {
            var lengths = now
                .Journal.Of(SpikeLength)
                .Where(entry => entry.Organ == spike.Organ && entry.On >= spike.From && entry.Amount is not null)
                .ToList();
            if (
                lengths is [.., var last]
                && last.On > now.Today.AddDays(-limits.Back)
                && lengths.LastOrDefault(e => e.On <= last.On.AddDays(-limits.Still)) is { } before
                && last.Amount!.Value.InBase <= before.Amount!.Value.InBase + ReadingErrorCm
            )
                return new(
                    $"Spike {before.Amount} on {Dates.Near(before.On, now.Today)} and {last.Amount} on {Dates.Near(last.On, now.Today)}.",
                    before.On.AddDays(-limits.Back / 2),
                    last.On,
                    [before, last]
                );
        }
        return null;
    }
}
