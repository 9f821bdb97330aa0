namespace BudClock.Core.Culture.Limits;

/// <summary>Rule F8: feed on the leaf alone.</summary>
[Rule("F8", "feed on the leaf alone")]
public sealed record LeafFeedLimits(
    [Limit("ppm", 5, 300, "how strong the mist is")] double Tds,
    [Limit("days", 3, 120, "between mists")] double Every,
    [Limit("minutes", 0, 240, "ahead of the dark it is given")] double BeforeDark,
    [Limit("days", 7, 200, "so long after algae were seen no mist is given")] int Algae
);
