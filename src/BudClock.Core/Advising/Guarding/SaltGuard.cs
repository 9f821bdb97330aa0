using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule F10: where salts are above what the roots bear, a flush with plain water comes before any feed.</summary>
public sealed class SaltGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "F10";

    /// <inheritdoc/>
    public string Name => "salts";

    /// <inheritdoc/>
    public Effects Before => Effects.Feeds;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        now.Salts is { } salty
            ? new(
                Verdict.Hold,
                string.Create(CultureInfo.InvariantCulture, $"{salty.What} measured {salty.Ppm:0} ppm"),
                "flush with plain water first.",
                new Condition("dissolved solids", new(Math.Round(salty.Ppm)), new(salty.Bears), "ppm at most", false, salty.On)
            )
            : null;
}
