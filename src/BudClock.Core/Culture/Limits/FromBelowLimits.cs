namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W5: watered from below.</summary>
[Rule("W5", "watered from below")]
public sealed record FromBelowLimits(
    [Limit("days", 1, 60, "the usual interval in long days")] double EverySummer,
    [Limit("days", 1, 60, "the usual interval in shorter days")] double EveryWinter,
    [Limit("minutes", 5, 120, "how long it stands in water")] double Stand,
    [Limit("hours", 8, 24, "days this long are summer")] double Summer
);
