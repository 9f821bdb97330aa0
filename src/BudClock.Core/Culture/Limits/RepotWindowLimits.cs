namespace BudClock.Core.Culture.Limits;

/// <summary>Rule R1: when it may be repotted.</summary>
[Rule("R1", "when it may be repotted")]
public sealed record RepotWindowLimits(
    [Limit("cm", 0.5, 10, "new tips up to this bear a repot")] double Open,
    [Limit("cm", 2, 30, "longer tips are likely to break")] double Late,
    [Limit("cm", 0.5, 20, "new roots grow so much in a week, where nobody measured")] double Grows,
    [Limit("months", 3, 120, "how old a medium may become")] double Medium,
    [Limit("days", 14, 400, "so long after a repot none is spoken of")] int Recent,
    [Limit("%", 5, 100, "so far off a rate may be that its own roots have shown")] double OwnSpread,
    [Limit("%", 5, 100, "so far off the usual rate may be")] double UsualSpread
);
