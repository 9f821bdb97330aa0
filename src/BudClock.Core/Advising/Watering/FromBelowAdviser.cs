using System.Globalization;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>
/// Rule W5: rosette gesneriads drink from below; droop over a dry pot is the sign, and too much water the commonest death.
/// </summary>
/// <remarks>Common practice: stand in water about 30 minutes, then drain; every 5 days in high summer, weekly in winter.</remarks>
public sealed class FromBelowAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W5";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (!now.DrinksFromAbove)
            yield break;
        yield return new WaterAsked(
            Rule,
            "stand it in water, then let it drain",
            "lift the pot: light means thirst, heavy with limp leaves means roots"
        )
        {
            Amount = string.Create(CultureInfo.InvariantCulture, $"{now.Limits<FromBelowLimits>().Stand:0} minutes"),
        }.Judge(now);
    }
}
