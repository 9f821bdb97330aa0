namespace BudClock.Practice;

/// <summary>What a season of a grower came to.</summary>
/// <param name="Plants">How many there were.</param>
/// <param name="Lost">How many died, by their habit and what they died of.</param>
/// <param name="Bloomed">How many of those that should bloom did so at least once.</param>
/// <param name="ShouldBloom">How many should.</param>
public sealed record SeasonReport(
    string Grower,
    int Plants,
    IReadOnlyList<(string Habit, string Of)> Lost,
    int Bloomed,
    int ShouldBloom,
    IReadOnlyList<string> NotBloomed
)
{
    /// <summary>Lives so many days in a garden with a grower.</summary>
    /// <param name="daily">Called each evening; null for nothing.</param>
    public static SeasonReport Live(SeasonGarden garden, SeasonGrower grower, int days, Action<SeasonGarden>? daily = null)
    {
        for (var day = 0; day < days; day++)
        {
            garden.Step();
            grower.Day(garden);
            daily?.Invoke(garden);
        }
        var models = garden.Plants.Select(one => (Tag: one.Key, one.Value.Model)).ToList();
        var blooming = models.Where(one => one.Model.Habit.ShouldBloom).ToList();
        return new(
            grower.Name,
            models.Count,
            [.. models.Where(one => !one.Model.Alive).Select(one => (one.Model.Habit.Name, one.Model.State.DiedOf!))],
            blooming.Count(one => one.Model.State.Blooms > 0),
            blooming.Count,
            [.. blooming.Where(one => one.Model.State.Blooms == 0).Select(one => one.Tag)]
        );
    }

    /// <summary>Two gardens as one.</summary>
    public SeasonReport And(SeasonReport other) =>
        new(
            Grower,
            Plants + other.Plants,
            [.. Lost, .. other.Lost],
            Bloomed + other.Bloomed,
            ShouldBloom + other.ShouldBloom,
            [.. NotBloomed, .. other.NotBloomed]
        );
}
