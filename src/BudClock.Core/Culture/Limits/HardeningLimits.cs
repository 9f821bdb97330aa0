namespace BudClock.Core.Culture.Limits;

/// <summary>Rule E8: sun in steps.</summary>
[Rule("E8", "sun in steps")]
public sealed record HardeningLimits(
    [Limit("days", 1, 30, "between steps into stronger light")] int Step,
    [Limit("steps", 1, 10, "how many steps there are")] int Steps,
    [Limit("days", 1, 60, "so long a move into stronger light is spoken of")] int News
);
