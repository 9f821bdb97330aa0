namespace BudClock.Core.Culture.Limits;

/// <summary>Rule D7: what short days do to a plant that keeps its leaves.</summary>
[Rule("D7", "what short days do to a plant that keeps its leaves")]
public sealed record WinterLimits(
    [Limit("hours", 0, 16, "in days this short it drinks less")] double DayLength,
    [Limit("hours", 1, 24, "lamps this long keep it growing")] double Lamps,
    [Limit("times", 1, 5, "the longer between waterings then")] double Stretch,
    [Limit("days", 14, 200, "what grew within this is growing")] int Moving
);
