namespace BudClock.Core.Culture.Limits;

/// <summary>Rule V1: thirst, or roots.</summary>
[Rule("V1", "thirst, or roots")]
public sealed record ThirstLimits(
    [Limit("% of the interval", 10, 60, "so soon after water a limp leaf is not thirst")] double Third,
    [Limit("days", 4, 60, "a sign this old is not asked about any more")] int Forgotten,
    [Limit("days", 2, 60, "the longest that a pot is taken to be wet")] int MostWet
);
