namespace BudClock.Core.Culture.Limits;

/// <summary>Rule H3: rinsing leaves.</summary>
[Rule("H3", "rinsing leaves")]
public sealed record RinsingLimits([Limit("days", 7, 120, "between rinses")] double Every);
