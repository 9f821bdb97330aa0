namespace BudClock.Core.Culture.Limits;

/// <summary>Rule L3: a sheath, and what may come of it.</summary>
[Rule("L3", "a sheath, and what may come of it")]
public sealed record SheathLimits(
    [Limit("days", 14, 200, "a sheath in which nothing shows for so long is looked into")] int Look,
    [Limit("days", 60, 400, "after so long an empty sheath stays empty")] int Empty
);
