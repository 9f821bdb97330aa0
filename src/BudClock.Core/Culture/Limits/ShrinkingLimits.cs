namespace BudClock.Core.Culture.Limits;

/// <summary>Rule G2: a growth that is smaller than the one before.</summary>
[Rule("G2", "a growth that is smaller than the one before")]
public sealed record ShrinkingLimits(
    [Limit("% of the one before", 30, 98, "up to this it counts as smaller")] double Smaller,
    [Limit("days", 7, 200, "so long after it matured it is spoken of")] int News,
    [Limit("years", 1, 5, "so many smaller ones in a row are a trend")] int Years,
    [Limit("days", 0, 120, "what happened so shortly before a growth was done counts for the next")] int Next,
    [Limit("hours", 6, 16, "a growth made in days this short had little light")] double ShortDays,
    [Limit("feeds", 0, 20, "fewer while it grew were few")] int Feeds,
    [Limit("days", 0, 120, "two growths that overlap by so much shared what there was")] int Shared
);
