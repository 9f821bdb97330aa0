namespace BudClock.Core.Culture.Limits;

/// <summary>Rule G3: two growths at once.</summary>
[Rule("G3", "two growths at once")]
public sealed record TwoGrowthsLimits([Limit("days", 7, 200, "so long they are spoken of")] int Said);
