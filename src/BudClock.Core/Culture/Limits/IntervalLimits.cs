namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W13: how pot, medium and warmth change the days between waterings.</summary>
[Rule("W13", "how pot, medium and warmth change the days between waterings")]
public sealed record IntervalLimits(
    [Limit("times", 0.2, 2, "in clay")] double Clay,
    [Limit("cm", 2, 20, "narrower pots are small")] double SmallTo,
    [Limit("times", 0.2, 2, "in a small pot")] double Small,
    [Limit("cm", 8, 60, "wider pots are large")] double LargeFrom,
    [Limit("times", 0.5, 4, "in a large pot")] double Large,
    [Limit("°C", 20, 50, "days this warm are hot")] double HotFrom,
    [Limit("times", 0.1, 2, "in hot days")] double Hot,
    [Limit("times", 0.1, 2, "in hot days under glass or out of doors, in an open mix")] double OpenHot,
    [Limit("°C", 15, 45, "days this warm are warm")] double WarmFrom,
    [Limit("times", 0.1, 2, "in warm days")] double Warm,
    [Limit("°C", 0, 25, "days that stay so cool are cool")] double CoolTo,
    [Limit("times", 0.5, 4, "in cool days")] double Cool,
    [Limit("days", 1, 14, "so many last days tell how warm it is")] int Days,
    [Limit("days", 0.5, 30, "without a pot, the shortest")] double MountFrom,
    [Limit("days", 0.5, 30, "without a pot, the longest")] double MountTo,
    [Limit("days", 1, 90, "where the sheet says nothing, the shortest")] double AnyFrom,
    [Limit("days", 1, 120, "where the sheet says nothing, the longest")] double AnyTo
);
