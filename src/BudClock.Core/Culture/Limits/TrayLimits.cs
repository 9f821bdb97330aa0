namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W6: a tray that it stands in.</summary>
[Rule("W6", "a tray that it stands in")]
public sealed record TrayLimits(
    [Limit("cm", 0.5, 15, "how deep it is filled", Stricter = Stricter.Lower)] double Depth,
    [Limit("days", 1, 60, "how long a filling lasts until its rate is known")] int Every,
    [Limit("days", 0, 365, "between flushes from above; 0 is never")] double Flush,
    [Limit("ppm", 5, 500, "dissolved solids at most", Stricter = Stricter.Lower)] double Tds
);
