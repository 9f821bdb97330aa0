namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W12: in bloom indoors.</summary>
[Rule("W12", "in bloom indoors")]
public sealed record BloomStretchLimits([Limit("times", 1, 5, "the longer between waterings")] double Stretch);
