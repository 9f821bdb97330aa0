namespace BudClock.Core.Culture.Limits;

/// <summary>Rule V3: whether it has roots.</summary>
[Rule("V3", "whether it has roots")]
public sealed record RootLimits(
    [Limit("roots", 1, 10, "up to so many are few")] double Few,
    [Limit("days", 14, 400, "a cutting, leaf or corm may take so long to its first roots")] int Rooting,
    [Limit("days", 7, 120, "from one look to the next while there are none")] int LookNone,
    [Limit("days", 14, 200, "from one look to the next while there are few")] int LookFew,
    [Limit("days", 60, 500, "few roots this long ago have become many")] int Season,
    [Limit("days", 7, 120, "what still grows or flowers so long after its roots were lost has made some")] int Shows,
    [Limit("days", 14, 200, "few roots over which it grew on for so long have become many")] int Settled,
    [Limit("days", 3, 60, "so long roots that were seen sound speak against an alarm")] int Sound,
    [Limit("days", 2, 30, "so long the cut of a succulent dries before any water")] int CutDries,
    [Limit("days", 1, 14, "between looks at a cutting's medium")] double CuttingEvery,
    [Limit("days", 30, 400, "a corm may take so long to wake")] int CormPatience
);
