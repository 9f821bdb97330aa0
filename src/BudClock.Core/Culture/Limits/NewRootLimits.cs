namespace BudClock.Core.Culture.Limits;

/// <summary>Rule F7: new roots and feed.</summary>
[Rule("F7", "new roots and feed")]
public sealed record NewRootLimits(
    [Limit("cm", 0.5, 20, "shorter new roots are not fed")] double Safe,
    [Limit("cm", 1, 40, "new roots this long count as before the loss")] double Strong
);
