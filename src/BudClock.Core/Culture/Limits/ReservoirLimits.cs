namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W9: a reservoir or a jar below it.</summary>
[Rule("W9", "a reservoir or a jar below it")]
public sealed record ReservoirLimits(
    [Limit("cm", 0, 10, "down to this it is filled")] double Low,
    [Limit("days", 1, 60, "how long a filling lasts until its rate is known")] double Every,
    [Limit("%", 5, 95, "a fall of its rate by so much is news")] double Change,
    [Limit("days", 7, 200, "a level written so long ago still says that it stands over water")] int Read
);
