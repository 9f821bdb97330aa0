namespace BudClock.Core.Culture.Limits;

/// <summary>Rule E6: turning to the light.</summary>
[Rule("E6", "turning to the light")]
public sealed record TurningLimits([Limit("days", 1, 60, "between turns")] double Every);
