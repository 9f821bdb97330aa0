using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D10: bulbs held back for later planting stay cool, dark and dry.</summary>
/// <remarks>Common practice: 4 to 10 °C.</remarks>
public sealed class HeldBackAdviser : IKeepsRest
{
    /// <inheritdoc/>
    public string Rule => "D10";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rest?.Stored is not { } stored)
            yield break;
        var (cool, warm) = (now.Limits<BulbStoreLimits>().Cool, now.Limits<BulbStoreLimits>().Warm);
        var span = string.Create(CultureInfo.InvariantCulture, $"{cool:0}–{warm:0} °C");
        yield return new(
            Topics.Water,
            Rule,
            Care.GiveWater,
            Verdict.Hold,
            null,
            $"Held back since {Dates.Near(stored.On, now.Today)}: cool, dark and dry, {span}.",
            [Condition.Sign("planted", null)]
        )
        {
            Ground = Ground.Veto,
        };
        if (now.CoolestNightC is not { } night || (night.Value >= cool && night.Value <= warm))
            yield break;
        yield return new(
            Topics.Rest,
            Rule,
            Care.Move,
            Verdict.Look,
            now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"Its store is at {night.Value:0.#} °C; bulbs held back want {span}. Find it a "
                    + $"{(night.Value > warm ? "cooler" : "warmer")} shelf."
            ),
            [new("coolest night in the store", new(night.Value), new(span), "°C", false, night.On)]
        );
    }
}

/// <summary>Rule D10: bulbs held back in a store.</summary>
[Rule("D10", "bulbs held back in a store")]
public sealed record BulbStoreLimits(
    [Limit("°C", -5, 20, "the coolest that keeps them asleep and sound")] double Cool,
    [Limit("°C", 0, 25, "warmer than this they wake")] double Warm
);
