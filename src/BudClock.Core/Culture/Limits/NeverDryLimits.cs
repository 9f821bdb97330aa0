namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W4: never quite dry.</summary>
[Rule("W4", "never quite dry")]
public sealed record NeverDryLimits(
    [Limit("days", 1, 30, "the usual interval under a roof")] double EveryIndoors,
    [Limit("days", 1, 30, "the usual interval out of doors")] double EveryOutdoors
);
