using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>
/// Rule W3: let it dry right out, then water. The sign is the leaf giving way over a dry pot, or dry medium two finger joints down.
/// </summary>
/// <remarks>
/// Common practice: every 7 to 14 days; thin-leaved kinds are watered before the leaf gives way. In bloom indoors sparingly (W12), at
/// the end of the season less (W17).
/// </remarks>
public sealed class DryOutAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (!now.DrinksFromAbove || now.Sheet.Is(Traits.FromBelow) || now.Sheet.Is(Traits.NeverDry))
            yield break;
        var finger = string.Create(CultureInfo.InvariantCulture, $"{now.Limits<DryOutLimits>().Finger:0.#} cm");
        var feel = now.Limits<DryOutLimits>().LeafSign
            ? $"feel the leaves, and the medium {finger} down"
            : $"feel the medium {finger} down, before the leaves give way";
        yield return new WaterAsked(Rule, "water until it runs through, and let it drain", feel).Judge(now);
    }
}
