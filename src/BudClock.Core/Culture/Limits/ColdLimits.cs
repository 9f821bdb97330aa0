namespace BudClock.Core.Culture.Limits;

/// <summary>Rule E4: cold nights, and when it may go out.</summary>
[Rule("E4", "cold nights, and when it may go out")]
public sealed record ColdLimits(
    [Limit("days", 1, 16, "a night that may be too cold is spoken of so far ahead")] int Perhaps,
    [Limit("nights", 1, 14, "so many measured nights have to be warm enough before it goes out")] int Measured,
    [Limit("days", 1, 16, "so many days ahead have to be warm enough before it goes out")] int Ahead
);
