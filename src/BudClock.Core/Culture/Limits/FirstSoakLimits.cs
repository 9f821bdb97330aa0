namespace BudClock.Core.Culture.Limits;

/// <summary>Rule W1: the first soak after a dry rest.</summary>
[Rule("W1", "the first soak after a dry rest")]
public sealed record FirstSoakLimits(
    [Limit("cm", 1, 40, "how long new roots have to be in a small pot", Stricter = Stricter.Higher)] double RootLengthSmall,
    [Limit("cm", 1, 60, "how long new roots have to be in a deeper pot", Stricter = Stricter.Higher)] double RootLengthLarge,
    [Limit("cm", 3, 40, "pots up to this depth are small")] double SmallPot,
    [Limit("°C", 0, 25, "the coolest night in which it is soaked", Stricter = Stricter.Higher)] double Night,
    [Limit("% of the length", 5, 100, "a soak on roots shorter than this share came too early")] double EarlyShare,
    [Limit("days", 7, 120, "so long after an early soak rot is feared")] int EarlyFeared,
    [Limit("days", 3, 90, "roots measured so long before a soak tell how long they were")] int EarlyMeasured,
    [Limit("days", 1, 30, "between feels of its base")] int EarlyFelt
)
{
    /// <summary>How long new roots have to be before the first soak, cm.</summary>
    /// <param name="depthCm">Of the pot; null where it is not known, which counts as small.</param>
    public double NeededCm(double? depthCm) => depthCm > SmallPot ? RootLengthLarge : RootLengthSmall;
}
