namespace BudClock.Core.Culture.Limits;

/// <summary>Rule L5: how often a question without an answer is asked again.</summary>
[Rule("L5", "how a question without an answer grows quiet")]
public sealed record AskingLimits(
    [Limit("days", 1, 4, "so long an asking stands on the Round")] int Stands,
    [Limit("days", 4, 60, "from the first asking to the second")] int Second,
    [Limit("days", 7, 365, "from the first asking to the third")] int Third,
    [Limit("days", 7, 365, "between the askings of what sleeps")] int Monthly,
    [Limit("days", 4, 31, "between the askings of whether what grows drinks")] int Water,
    [Limit("times", 1, 10, "so often what is due by habit may be left out before it is no habit")] int LeftOut
);
