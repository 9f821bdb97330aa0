namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W16: bulbs on pebbles and water.</summary>
[Rule("W16", "bulbs on pebbles and water")]
public sealed record PebblesLimits(
    [Limit("days", 1, 30, "between fillings")] double Every,
    [Limit("cm", 0, 5, "from the water to the base of the bulb")] double Gap
);
