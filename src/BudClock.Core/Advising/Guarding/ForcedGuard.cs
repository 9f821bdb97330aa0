using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule F4: a forced bulb flowers on what it has stored, and a spent one has nothing to feed.</summary>
public sealed class ForcedGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "F4";

    /// <inheritdoc/>
    public string Name => "forced";

    /// <inheritdoc/>
    public Effects Before => Effects.Feeds;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        now.Sheet.Is(Traits.Forced)
            ? new(Verdict.Hold, "a forced bulb lives on its store", "no feed.", Condition.Known("habit", new("forced bulb"), null, null))
            : null;
}
