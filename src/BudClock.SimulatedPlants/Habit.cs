namespace BudClock.SimulatedPlants;

/// <summary>How a kind passes the time in which it does not grow.</summary>
public enum RestKind
{
    /// <summary>It never rests.</summary>
    None,

    /// <summary>Drops its leaves and lives on its bulbs, then makes a growth, then roots.</summary>
    LeaflessBulbs,

    /// <summary>Dies back to a tuber.</summary>
    Tuber,

    /// <summary>Drops its leaves and lives on its stem.</summary>
    LeaflessStem,

    /// <summary>Small dry leaves through the winter.</summary>
    WinterRosette,

    /// <summary>A dry bulb that waits to be planted.</summary>
    DryBulb,
}

/// <summary>What makes a kind bloom.</summary>
public enum BloomCue
{
    /// <summary>A finished growth.</summary>
    RipeGrowth,

    /// <summary>Cool nights, then weeks without water.</summary>
    CoolThenDry,

    /// <summary>Long dark nights.</summary>
    LongNights,

    /// <summary>Cool days.</summary>
    CoolDays,

    /// <summary>Warmth after planting.</summary>
    Planting,

    /// <summary>Light and warmth, whenever there is enough of both.</summary>
    LightAndWarmth,

    /// <summary>It is grown for its leaves.</summary>
    Seldom,
}

/// <summary>
/// What a kind is like, as numbers. Each has its source beside it in <see cref="Habits"/>, or is assumed; none was fitted to anything.
/// </summary>
/// <param name="Genus">A genus of that habit.</param>
/// <param name="DriesInDays">Days in which a watered pot of it dries in growth, at a dryness of the air of 0.8 kPa.</param>
/// <param name="LivesDryDays">Days it lives on its own water once the pot is dry, in growth.</param>
/// <param name="BearsWetDays">Days in a wet medium before its roots begin to rot, in growth and warmth.</param>
/// <param name="RotsBelowC">Nights below it make wet roots rot sooner.</param>
/// <param name="KillsBelowC">Nights below it kill tissue.</param>
/// <param name="BaseC">It grows only above it.</param>
/// <param name="SeasonDegreeDays">Degree-days above the base from a shoot to a finished one, or from leaf to leaf.</param>
public sealed record Habit(
    string Name,
    string Genus,
    RestKind Rest,
    BloomCue Cue,
    double DriesInDays,
    double LivesDryDays,
    double BearsWetDays,
    double RotsBelowC,
    double KillsBelowC,
    double BaseC,
    double SeasonDegreeDays
)
{
    /// <summary>Stands in a tray, or over a reservoir: wet is normal.</summary>
    public bool InWater { get; init; }

    /// <summary>
    /// Days it lives on its own water asleep: a tuber or bulb in store, bare bulbs, a bare stem (common practice: a winter and more).
    /// </summary>
    public double LivesAsleepDays { get; init; } = 240;

    /// <summary>Thick leaves fold before they hang.</summary>
    public bool Thick { get; init; }

    /// <summary>So many nights or days make it bloom.</summary>
    public int CueDays { get; init; }

    /// <summary>The temperature, or for long nights the hours, that they have to keep.</summary>
    public double CueLimit { get; init; }

    /// <summary>Days without water after the cool ones.</summary>
    public int CueDryDays { get; init; }

    /// <summary>Degree-days above the base from the cue to the first sign of a spike, and from there to the first flower.</summary>
    public (double Spike, double Flower) BloomDegreeDays { get; init; } = (120, 450);

    /// <summary>Days that its flowers last.</summary>
    public int BloomDays { get; init; } = 20;

    /// <summary>It is expected to bloom once in two years of good care.</summary>
    public bool ShouldBloom => Cue is not BloomCue.Seldom;
}
