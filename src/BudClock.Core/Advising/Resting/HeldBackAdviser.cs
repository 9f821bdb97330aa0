using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D10: bulbs held back for later planting stay cool, dark and dry.</summary>
/// <remarks>Common practice: 4 to 10 °C.</remarks>
public sealed class HeldBackAdviser : IAdviser
{
    public string Rule => "D10";

    public IReadOnlyList<string> Thresholds => ["cool", "warm"];

    public Advice? Advise(Situation now)
    {
        if (now.Rest?.Stored is not { } stored) return null;
        var (cool, warm) = (now.Needs(Rule, "cool"), now.Needs(Rule, "warm"));
        var night = now.CoolestNightC;
        Condition range = new("coolest night in the store", night is null ? null : new(night.Value), new($"{cool:0}–{warm:0}"), "°C", night?.Value >= cool && night.Value <= warm, night?.On);
        return night is null || range.Met
            ? new(Topics.Water, Rule, Verdict.Hold, null, $"Held back since {Dates.Near(stored.On, now.Today)}: cool, dark and dry, {cool:0}–{warm:0} °C.", [range]) { Ground = Ground.Veto }
            : new(Topics.Water, Rule, Verdict.Look, now.Today, $"Its store is at {night.Value:0.#} °C; bulbs held back want {cool:0}–{warm:0} °C. Find it a {(night.Value > warm ? "cooler" : "warmer")} shelf, and no water.", [range]) { Ground = Ground.Veto };
    }
}
