using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
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
        if (Over(now, stored) is { } over)
        {
            yield return over;
            yield break;
        }
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

    /// <summary>A bulb that sprouts in the dark, or has been kept for as long as bulbs keep, is planted now or not at all.</summary>
    Advice? Over(Situation now, Entry stored)
    {
        var weeks = (now.Today.DayNumber - stored.On.DayNumber) / 7;
        var keeps = now.Limits<ForcingLimits>().Keeps;
        if (now.Rest?.Feel is { Text: "sprouting" } sprout)
            return new(
                Topics.Wake,
                Rule,
                Care.Wake,
                Verdict.Do,
                now.Today,
                $"It sprouted in its store {Dates.Ago(sprout.On, now.Today)}: plant it now, in the light, or it loses its flowers.",
                [Condition.Sign("sprouting", sprout.On)]
            )
            {
                Because = $"It sprouted in its store {Dates.Ago(sprout.On, now.Today)}",
            };
        // One that is held for a date has a planting day of its own.
        if (weeks < keeps || now.HeldBack)
            return null;
        var last = now.Today.DayOfYear <= now.Limits<ForcingLimits>().Last;
        return new(
            Topics.Wake,
            Rule,
            Care.Wake,
            last ? Verdict.Do : Verdict.Look,
            now.Today,
            $"Held back for {weeks} weeks, and bulbs keep about {keeps:0}: "
                + (
                    last
                        ? "feel it, and if it is firm and sound plant it now; the season ends soon."
                        : "feel it. It is late for this season; firm, it may keep for the next."
                ),
            [new("weeks in store", new(weeks), new(keeps), "weeks", true, stored.On)]
        )
        {
            Because = $"Held back for {weeks} weeks",
        };
    }
}

/// <summary>Rule D10: bulbs held back in a store.</summary>
[Rule("D10", "bulbs held back in a store")]
public sealed record BulbStoreLimits(
    [Limit("°C", -5, 20, "the coolest that keeps them asleep and sound")] double Cool,
    [Limit("°C", 0, 25, "warmer than this they wake")] double Warm
);
