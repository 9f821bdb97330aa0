using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rule K6: buds that dropped or dried, and spikes that were lost.</summary>
public sealed class BudsLostQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "buds-lost";

    /// <inheritdoc/>
    public override string Asks => "Why did it lose its buds or its spike?";

    /// <inheritdoc/>
    public override string Note => "Write down buds when you count them and when they drop, moves, and the nights where it stands.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now)
    {
        var limits = now.Limits<CauseLimits>();
        return now.Journal.Last(BudsLost, SpikeLost) is { } lost && lost.On > now.Today.AddDays(-2 * limits.Back)
            ? new($"{lost} on {Dates.Near(lost.On, now.Today)}.", lost.On.AddDays(-limits.Back), lost.On, [lost])
            : null;
    }
}
