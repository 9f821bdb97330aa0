namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W4: never quite dry.</summary>
[Rule("W4", "never quite dry")]
public sealed record NeverDryLimits(
    [Limit("days", 1, 30, "the usual interval under a roof")] double EveryIndoors,
    [Limit("days", 1, 30, "the usual interval out of doors")] double EveryOutdoors,
    [Limit("%", 30, 100, "of the days after which its leaves hung it is watered before they do")] double BeforeItHangs
);
