namespace BudClock.SimulatedPlants;

/// <summary>What the air and the light around a plant were, from one morning to the next.</summary>
/// <param name="NightC">The coolest of the night, °C.</param>
/// <param name="DayC">The warmest of the day, °C.</param>
/// <param name="VpdKPa">The mean dryness of the air, kPa.</param>
/// <param name="DayHours">From sunrise to sunset.</param>
/// <param name="DarkHours">The longest stretch of the night without a lamp, hours.</param>
/// <param name="Light">The share of light that a bright place has, 0 to 1; a store has none.</param>
public sealed record Air(DateOnly Day, double NightC, double DayC, double VpdKPa, double DayHours, double DarkHours, double Light)
{
    /// <summary>The mean of the coolest and the warmest, °C.</summary>
    public double MeanC => (NightC + DayC) / 2;
}

/// <summary>What somebody did to a plant.</summary>
public enum Deed
{
    /// <summary>Watered through, soaked, or its tray or reservoir filled.</summary>
    Water,

    /// <summary>A light wetting.</summary>
    Wet,

    /// <summary>Fed in the water.</summary>
    Feed,

    /// <summary>Into fresh medium.</summary>
    Repot,

    /// <summary>Cut to firm tissue and dried.</summary>
    CutOut,

    /// <summary>Against pests.</summary>
    Treat,

    /// <summary>Out of its pot.</summary>
    Lift,

    /// <summary>Into its pot, and watered once.</summary>
    Plant,

    /// <summary>Rinsed or flushed from the top.</summary>
    Flush,
}

/// <summary>Something that a careful grower sees or feels, in the words of a log.</summary>
/// <param name="Kind">What it is, as logs call it: "root-length".</param>
/// <param name="Cm">A length, cm; null for none.</param>
/// <param name="Count">A number of things; null for none.</param>
/// <param name="State">A state: "limp".</param>
/// <param name="Part">Counts the shoots, leaves or spikes up, so that each is followed on its own; null for the whole plant.</param>
public sealed record Sight(string Kind, double? Cm = null, int? Count = null, string? State = null, int? Part = null);
