namespace BudClock.Core.Culture.Limits;

/// <summary>Rule F2: the first weeks here.</summary>
[Rule("F2", "the first weeks here")]
public sealed record NewcomerLimits(
    [Limit("days", 7, 120, "plain water and no feed")] int Newcomer,
    [Limit("days", 1, 60, "so long the end of those weeks is told")] int Said,
    [Limit("days", 7, 200, "a medium that it must not stay in is spoken of so long")] int News
);
