namespace BudClock.Core.Culture.Limits;

/// <summary>Rule H1: pests, from the first to the second clear look.</summary>
[Rule("H1", "pests, from the first to the second clear look")]
public sealed record PestLimits(
    [Limit("days", 2, 30, "from one look to the next")] int Again,
    [Limit("days", 7, 60, "from their release to the next look")] int Predators,
    [Limit("looks", 1, 6, "that found none end it")] int Looks
);
