namespace BudClock.Core.Culture.Limits;

/// <summary>Rule K4: what a change did.</summary>
[Rule("K4", "what a change did")]
public sealed record SecondLookLimits(
    [Limit("days", 1, 14, "after water, the first look")] int WaterFrom,
    [Limit("days", 1, 30, "after water, the last look")] int WaterTo,
    [Limit("days", 1, 60, "after a feed, a recipe or a move")] int Feed,
    [Limit("days", 1, 90, "after a repot, the first look")] int RepotFrom,
    [Limit("days", 1, 120, "after a repot, the last look")] int RepotTo,
    [Limit("days", 1, 60, "after a treatment")] int Treat,
    [Limit("days", 7, 120, "so long a look that was missed is still asked for")] int Asked,
    [Limit("days", 1, 14, "so long after a soak a limp leaf is asked about")] int Afternoon
);
