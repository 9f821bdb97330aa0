using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rules B3, B4 and B7: flowers that do not come.</summary>
public sealed class NoBloomQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "no-bloom";

    /// <inheritdoc/>
    public override string Asks => "Why does it not bloom?";

    /// <inheritdoc/>
    public override string Note => "Write down where it stands and how bright it is there, its feeds, and the first sign of any spike.";

    /// <inheritdoc/>
    public override bool Fits(Situation now) => !now.Sheet.Is(Traits.Foliage);

    /// <summary>No spike, bud or flower for as long as causes are looked for; one that is on its way is no failure.</summary>
    public override Matter? Read(Situation now)
    {
        var back = now.Limits<CauseLimits>().BloomBack;
        var last = now.Journal.Last(SpikeStarted, SheathStarted, Buds, BloomOpened, Blooms);
        var known = now.Journal.Entries is [var first, ..] && first.On <= now.Today.AddDays(-back / 2);
        return last?.On > now.Today.AddDays(-back) || !known
            ? null
            : new(
                last is null ? "No flower is on record." : $"No spike and no flower since {Dates.Near(last.On, now.Today)}.",
                now.Today.AddDays(-back),
                now.Today,
                []
            );
    }
}
