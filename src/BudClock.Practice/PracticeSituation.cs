using BudClock.SimulatedPlants;

namespace BudClock.Practice;

/// <summary>How a practice ended.</summary>
/// <param name="Words">What happened, and why, in a few sentences.</param>
public sealed record PracticeEnd(bool Won, string Words);

/// <summary>What a practice has come to: its day, and what is true of its plants.</summary>
public sealed record PracticeView(
    DateOnly Day,
    IReadOnlyDictionary<string, SimulatedPlant> Plants,
    IReadOnlyList<Told> Acts,
    IReadOnlyDictionary<string, DateOnly> Bloomed
)
{
    /// <summary>The first watering of a plant since the practice began; null for none.</summary>
    public Told? FirstWater(string tag) => Acts.FirstOrDefault(act => act.Tag == tag && act.IsWater);
}

/// <summary>A set situation to practise: a small garden on a day, what is hidden in it, and how it ends.</summary>
/// <param name="Story">What one stands before, and what is asked.</param>
/// <param name="Day">The day it begins.</param>
/// <param name="Garden">What the visitor is given.</param>
/// <param name="Hidden">What is true of each plant, and seen by nobody as such.</param>
/// <param name="End">The end that it has come to; null while it goes on.</param>
public sealed record PracticeSituation(
    string Name,
    string Title,
    string Story,
    DateOnly Day,
    GardenRecord Garden,
    IReadOnlyDictionary<string, PlantState> Hidden,
    Func<PracticeView, PracticeEnd?> End
)
{
    /// <summary>The weather it is lived in.</summary>
    public int Seed { get; init; } = UsualSeed;

    /// <summary>The weather of the demo.</summary>
    public const int UsualSeed = 7;
}
