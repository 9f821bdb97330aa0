namespace BudClock.Core.Culture.Limits;

/// <summary>Rule V5: whether it sleeps.</summary>
[Rule("V5", "whether it sleeps")]
public sealed record SleepLimits(
    [Limit("leaves", 1, 10, "so many that go together are the way to rest; one is age")] int LeavesGoing,
    [Limit("days", 7, 120, "within this they go together")] int Going,
    [Limit("days", 14, 200, "leaves that went longer ago say nothing of it")] int Done,
    [Limit("days", 14, 365, "in a store, without a word of a leaf for so long, it may sleep")] int Unknown,
    [Limit("hours", 6, 16, "in days shorter than this, and falling, it is the season")] double DayLength,
    [Limit("days", 0, 60, "the last old leaf may hang so long after they were written off")] int LastLeaf,
    [Limit("days", 14, 200, "so long without water before a growth counts as a dry rest")] int Dry,
    [Limit("days", 90, 500, "a growth older than this has matured")] int LongestGrowth
);
