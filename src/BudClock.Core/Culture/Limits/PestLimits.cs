namespace BudClock.Core.Culture.Limits;

/// <summary>Rule H1: pests, from the first to the second clear look.</summary>
[Rule("H1", "pests, from the first to the second clear look")]
public sealed record PestLimits(
    [Limit("days", 2, 30, "from one look to the next")] int Again,
    [Limit("days", 7, 60, "from their release to the next look")] int Predators,
    [Limit("looks", 1, 6, "that found none end it")] int Looks,
    [Limit("days", 1, 21, "between two clear looks that count for two")] int Apart,
    [Limit("days", 1, 30, "so long what is still seen is what a treatment has not reached yet")] int Works
);
