namespace BudClock.SimulatedPlants;

/// <summary>Shares of a shoot's size that it lost day by day, summed, and the days in which it grew.</summary>
public sealed class Shortfall
{
    /// <summary>Three quarters of a plant's roots feed all of a shoot (assumed).</summary>
    const double EnoughRoots = 0.75;

    /// <summary>The share of a bright place's light in which a shoot still comes to its size (assumed).</summary>
    const double EnoughLight = 0.5;

    /// <summary>Days in which it grew.</summary>
    public double Days { get; set; }

    /// <summary>Lost to thirst.</summary>
    public double Thirst { get; set; }

    /// <summary>Lost to roots that are gone.</summary>
    public double Roots { get; set; }

    /// <summary>Lost to pests.</summary>
    public double Pests { get; set; }

    /// <summary>Lost to want of light.</summary>
    public double Dark { get; set; }

    /// <summary>The share of its size that it comes to, 0.2 to 1.</summary>
    public double Size => Days == 0 ? 1 : Math.Clamp(1 - ((Thirst + Roots + Pests + Dark) / Days), 0.2, 1);

    /// <summary>What took most of it, and which share; nothing for a shoot that lost nothing.</summary>
    public (string Of, double Share) Most =>
        Days == 0
            ? ("", 0)
            : new[] { ("thirst", Thirst / Days), ("roots", Roots / Days), ("pests", Pests / Days), ("dark", Dark / Days) }.MaxBy(one =>
                one.Item2
            );

    /// <summary>A day of growth (how much each costs is assumed).</summary>
    internal void Grow(PlantState state, double light)
    {
        Days++;
        Thirst += state.Reserve > 0.5 ? 0 : 0.6;
        Roots += 0.7 * Math.Max(0, EnoughRoots - state.Roots) / EnoughRoots;
        Pests += state.Pests > 0.15 ? 0.2 + (0.4 * state.Pests) : 0;
        Dark += 0.6 * Math.Max(0, EnoughLight - light) / EnoughLight;
    }
}
