namespace BudClock.Core.Culture.Limits;

/// <summary>Rule V3: whether it has roots.</summary>
[Rule("V3", "whether it has roots")]
public sealed record RootLimits(
    [Limit("roots", 1, 10, "up to so many are few")] double Few,
    [Limit("days", 14, 400, "a cutting, leaf or corm may take so long to its first roots")] int Rooting,
    [Limit("days", 7, 120, "from one look to the next while there are none")] int LookNone,
    [Limit("days", 14, 200, "from one look to the next while there are few")] int LookFew,
    [Limit("days", 60, 500, "few roots this long ago have become many")] int Season,
    [Limit("days", 1, 14, "between looks at a cutting's medium")] double CuttingEvery,
    [Limit("days", 30, 400, "a corm may take so long to wake")] int CormPatience
);
