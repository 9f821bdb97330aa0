namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W17: an aroid in short days.</summary>
[Rule("W17", "an aroid in short days")]
public sealed record AroidStretchLimits(
    [Limit("hours", 0, 16, "in days this short it is kept on the dry side")] double DayLength,
    [Limit("times", 1, 5, "the longer between waterings then")] double Stretch,
    [Limit("°C", 5, 30, "over nights this warm lamps make up for it")] double WarmNight
);
