namespace BudClock.Core.Culture.Limits;

/// <summary>Rule D1: leaves that fall in season.</summary>
[Rule("D1", "leaves that fall in season")]
public sealed record LeafFallLimits(
    [Limit("hours", 6, 16, "in days shorter than this, and falling, its season to rest has begun")] double DayLength,
    [Limit("days", 1, 60, "leaves that are gone sooner went too fast to be age")] double Fast,
    [Limit("days", 7, 120, "so long after its leaves are gone the rest is spoken of")] int Asked,
    [Limit("days", 0, 30, "a base felt so shortly before counts for the fall")] int Felt,
    [Limit("hours", 8, 16, "in days shorter than this, and falling, days are called short")] double ShortDays
);
