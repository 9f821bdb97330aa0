using BudClock.Core.Climate;
using BudClock.Core.Journal;
using BudClock.Core.Lanes;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advice;

/// <summary>What lies around a plant on a day: the garden, the weather of its place, and its kind.</summary>
public sealed record Surroundings(Garden Garden)
{
    /// <summary>The coolest night of the last week at the plant's place, °C.</summary>
    public Seen<double>? CoolestNightC { get; init; }

    /// <summary>How long organs of other plants of a genus took here, by turn; the plant itself is left out by its tag.</summary>
    public Func<Plant, string, IReadOnlyList<int>> Kin { get; init; } = (_, _) => [];

    /// <summary>The surroundings of a plant in a garden that is wholly in memory.</summary>
    public static Surroundings Of(Plant plant, GardenRecord garden, DateOnly today) => new(garden.Garden)
    {
        CoolestNightC = Nights.Coolest(plant.Place, today, garden.Garden, garden.Readings),
        Kin = new KinRecord(garden.Plants, today).Intervals,
    };
}

/// <summary>How long organs took on the plants of each genus; read once for a genus, when first asked.</summary>
public sealed class KinRecord(IEnumerable<Plant> plants, DateOnly today)
{
    readonly Dictionary<string, List<(string Tag, DateOnly? Acquired, IReadOnlyList<Lane> Lanes)>> byGenus = new(StringComparer.OrdinalIgnoreCase);

    /// <summary>Days of a turn on the other plants of the plant's genus.</summary>
    public IReadOnlyList<int> Intervals(Plant plant, string turn) => plant.Genus is not { } genus
        ? []
        : [.. Of(genus).Where(kin => kin.Tag != plant.Tag).SelectMany(kin => Forecasts.Intervals(turn, kin.Lanes, kin.Acquired))];

    List<(string Tag, DateOnly? Acquired, IReadOnlyList<Lane> Lanes)> Of(string genus)
    {
        lock (byGenus)
        {
            if (byGenus.TryGetValue(genus, out var known)) return known;
            var kin = plants.Where(p => string.Equals(p.Genus, genus, StringComparison.OrdinalIgnoreCase));
            return byGenus[genus] = [.. kin.Select(p => (p.Tag, p.Acquired, LaneReader.Read(PlantJournal.UpTo(today, p.Entries))))];
        }
    }
}
