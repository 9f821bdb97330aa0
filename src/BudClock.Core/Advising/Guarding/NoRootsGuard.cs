using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rules V3 and W15: without a live root water in the pot cannot be drunk, and feed only leaves salt.</summary>
public sealed class NoRootsGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V3";

    /// <inheritdoc/>
    public string Name => "no roots";

    /// <inheritdoc/>
    public Effects Before => Effects.WetsMedium | Effects.Feeds;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        var roots = now.Roots;
        if (roots.Unrooted)
            return care.Does(Effects.Feeds)
                    ? new(Verdict.Hold, "it has no roots of its own yet", "no feed until the first ones show.", Evidence(roots))
                : care is Care.Flush ? new(Verdict.Hold, "it has no roots of its own yet", "damp is enough; no more.", Evidence(roots))
                : null;
        if (!roots.Dead)
            return null;
        // A bog plant's live crown roots again standing wet; dry it is dead in days.
        if (now.Sheet.Is(Traits.StandsInWater) && !now.Resting && care.Does(Effects.WetsMedium) && !care.Does(Effects.Drenches))
            return null;
        var since = roots.NoneSince is { } day ? $"no live root since {Dates.Near(day, now.Today)}" : "it has no live root";
        return care.Does(Effects.Feeds)
            ? new(Verdict.Hold, since, "feed would only leave salt. Plain water and humid air; roots come first.", Evidence(roots))
            : new(Verdict.Hold, since, "water in the pot cannot be drunk. Keep the air humid around it until roots come.", Evidence(roots));
    }

    static Condition Evidence(RootsFound roots) => new("live roots", new("none"), new("seen"), null, false, roots.Rests?.On);
}
