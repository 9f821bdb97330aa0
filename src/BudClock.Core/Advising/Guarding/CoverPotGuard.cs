using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule W11: while water stands in a cover pot there is enough of it.</summary>
public sealed class CoverPotGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "W11";

    /// <inheritdoc/>
    public string Name => "cover pot";

    /// <inheritdoc/>
    public Effects Before => Effects.WetsMedium | Effects.Feeds;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        Evidence.Vessels.StandingInCoverPot(now) is { } level
            ? new(
                Verdict.Hold,
                $"water stood in the cover pot {Dates.Ago(level.On, now.Today)}",
                "tip it out first.",
                Condition.Sign("water in the cover pot", level.On)
            )
            : null;
}
