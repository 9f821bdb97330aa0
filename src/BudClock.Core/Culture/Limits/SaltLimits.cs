namespace BudClock.Core.Culture.Limits;

/// <summary>Rule F10: what it bears in its water.</summary>
[Rule("F10", "what it bears in its water")]
public sealed record SaltLimits(
    [Limit("ppm", 5, 3000, "dissolved solids at most", Stricter = Stricter.Lower)] double Tds,
    [Limit("pH", 3, 8, "the least", Stricter = Stricter.Higher)] double PhFrom,
    [Limit("pH", 4, 9, "the most", Stricter = Stricter.Lower)] double PhTo,
    [Limit("days", 7, 200, "so long a measured run-off says something")] int Seen
);
