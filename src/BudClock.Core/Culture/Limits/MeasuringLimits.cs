namespace BudClock.Core.Culture.Limits;

/// <summary>Rule K3: measuring what grows.</summary>
[Rule("K3", "measuring what grows")]
public sealed record MeasuringLimits(
    [Limit("days", 1, 60, "between readings")] double Every,
    [Limit("days", 7, 120, "what was not measured for so long is not being followed")] int GivenUp
);
