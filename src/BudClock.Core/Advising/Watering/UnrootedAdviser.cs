using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rules V3 and P3: a cutting, leaf or corm without roots is kept damp, neither soaked nor dry, until its first roots.</summary>
public sealed class UnrootedAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "V3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (!now.Roots.Unrooted || now.Resting || now.Levels.OverWater)
            yield break;
        var dries = now.Sheet.Is(Traits.Succulent);
        yield return new WaterAsked(
            Rule,
            dries
                ? "no roots yet, so wet it lightly, and let it dry again"
                : "no roots yet, so wet it lightly and keep it damp, not soaked",
            dries
                ? "feel that it is firm; without roots a little now and then is enough"
                : "feel that the medium is damp; without roots it is neither soaked nor left dry"
        )
        {
            Care = Care.WetLightly,
            Every = now.Limits<RootLimits>().CuttingEvery,
        }.Judge(now);
    }
}
