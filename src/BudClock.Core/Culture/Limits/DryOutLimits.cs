namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W3: drying out between waterings.</summary>
[Rule("W3", "drying out between waterings")]
public sealed record DryOutLimits(
    [Limit("days", 1, 90, "the shortest usual interval in growth")] double EveryFrom,
    [Limit("days", 1, 120, "the longest usual interval in growth")] double EveryTo,
    [Limit("cm", 0.5, 20, "dry so deep, it asks")] double Finger,
    [Limit("", 0, 1, "its leaf or bulb gives way before it is watered")] bool LeafSign
);
