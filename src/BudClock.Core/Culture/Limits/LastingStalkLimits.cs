namespace BudClock.Core.Culture.Limits;

/// <summary>Rule B3: stalks that flower year after year.</summary>
[Rule("B3", "stalks that flower year after year")]
public sealed record LastingStalkLimits(
    [Limit("years", 1, 10, "how old it is before it flowers")] double Years,
    [Limit("°C", 5, 25, "the coolest that a mild stress may be")] double StressC,
    [Limit("days", 7, 200, "so long after its flowers it is said that the stalk stays")] int AfterBloom,
    [Limit("days", 7, 200, "so long a note that asks for flowers is answered")] int Asked,
    [Limit("days", 7, 120, "so long after its tip was measured a bare tendril is spoken of")] int Tendril,
    [Limit("days", 100, 800, "so long after it came a vine that stands still is normal")] int FirstYear
);
