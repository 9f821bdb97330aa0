namespace BudClock.Core.Culture.Limits;

/// <summary>Rule D9: a rest out of sight.</summary>
[Rule("D9", "a rest out of sight")]
public sealed record RestLimits(
    [Limit("days", 3, 120, "between looks at what rests")] double Check,
    [Limit("days", 3, 120, "so long past its usual waking it is looked at")] double Overdue,
    [Limit("days", 7, 150, "lifting and drying come so long before or after the last leaf")] int Prepared,
    [Limit("days", 0, 120, "no kind wakes sooner after its rest began")] int Least
);
