namespace BudClock.Core.Culture.Limits;

/// <summary>Rule G4: a new leaf for each that goes.</summary>
[Rule("G4", "a new leaf for each that goes")]
public sealed record LeafInLeafOutLimits(
    [Limit("days", 14, 200, "looked back over")] int Days,
    [Limit("leaves", 1, 10, "so many that went are news")] int Lost
);
