namespace BudClock.Core.Culture.Limits;

/// <summary>Rule F3: how strong feed is.</summary>
[Rule("F3", "how strong feed is")]
public sealed record FeedShareLimits(
    [Limit("% of the label", 1, 200, "in growth", Stricter = Stricter.Lower)] double Share,
    [Limit("% of the label", 1, 200, "while roots lengthen", Stricter = Stricter.Lower)] double Rising,
    [Limit("% of the label", 1, 100, "with few roots, or under stress")] double Weak,
    [Limit("% of the label", 1, 100, "the most at each watering")] double Frequent
);
