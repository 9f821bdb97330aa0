namespace BudClock.Core.Culture.Limits;

/// <summary>Rule G7: yellow leaves.</summary>
[Rule("G7", "yellow leaves")]
public sealed record YellowLeafLimits(
    [Limit("days", 3, 60, "within this several are too many")] int Fast,
    [Limit("leaves", 2, 10, "so many are not age alone")] int Several
);
