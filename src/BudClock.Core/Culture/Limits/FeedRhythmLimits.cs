namespace BudClock.Core.Culture.Limits;

/// <summary>Rule F4: how often it is fed.</summary>
[Rule("F4", "how often it is fed")]
public sealed record FeedRhythmLimits(
    [Limit("days", 1, 365, "between feeds in growth")] double Every,
    [Limit("days", 1, 120, "between feeds while it races")] double Racing,
    [Limit("days", 1, 365, "between feeds while roots are few")] double Seldom,
    [Limit("days", 7, 400, "how long slow release lasts")] double SlowRelease,
    [Limit("hours", 0, 16, "in days this short it is not fed")] double DayLength,
    [Limit("hours", 1, 24, "lamps this long make it summer")] double Lamps,
    [Limit("waters", 2, 40, "after so many with feed in a row, one is plain and right through")] int PlainAfter,
    [Limit("days", 14, 400, "what was planted so long ago carries leaves")] int Bare,
    [Limit("cm", 1, 60, "a shoot this long carries leaves")] double Leafy
);
