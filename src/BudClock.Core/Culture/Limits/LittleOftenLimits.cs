namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W10: a little, often.</summary>
[Rule("W10", "a little, often")]
public sealed record LittleOftenLimits(
    [Limit("mL", 5, 500, "at once")] double Small,
    [Limit("mL", 5, 1000, "in a week of short days")] double Weekly,
    [Limit("hours", 0, 16, "days this short are dim")] double ShortDays
);
