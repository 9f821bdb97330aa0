using BudClock.Core.Climate;
using BudClock.Core.Measuring;
using BudClock.Core.Mixing;

namespace BudClock.Core.Evidence;

/// <summary>What lies around a plant on a day: the garden, the weather of its place, and its kind.</summary>
public sealed record Surroundings(Garden Garden)
{
    /// <summary>The coolest night of the last week at the plant's place, °C.</summary>
    public Seen<double>? CoolestNightC { get; init; }

    /// <summary>Where the plant stands; null is unplaced.</summary>
    public Place? Place { get; init; }

    /// <summary>The mean vapour pressure deficit of a day at the plant's place, kPa; null where it is not known.</summary>
    public Func<DateOnly, double?> Vpd { get; init; } = _ => null;

    /// <summary>Hours from sunrise to sunset; null without a latitude.</summary>
    public double? DayHours(DateOnly day) => Garden.Latitude is { } latitude ? Sun.On(day, latitude).DayHours : null;

    /// <summary>The mixing shelf of the garden.</summary>
    public Shelf Shelf { get; init; } = Shelf.Empty;

    /// <summary>Days are getting shorter.</summary>
    public bool DaysShorten(DateOnly day) => DayHours(day) < DayHours(day.AddDays(-1));

    /// <summary>Lamps on a timer keep the day long, whatever the sun does.</summary>
    public bool Lamps(double hours) => Place?.LampHours >= hours;

    public bool Outdoors => Place?.Setting is "outdoors" or "cold-frame";

    /// <summary>How long organs of other plants of a genus took here, by turn; the plant itself is left out by its tag.</summary>
    public Func<Plant, string, IReadOnlyList<int>> Kin { get; init; } = (_, _) => [];

    /// <summary>The surroundings of a plant in a garden that is wholly in memory.</summary>
    public static Surroundings Of(Plant plant, GardenRecord garden, DateOnly today) => new(garden.Garden)
    {
        Shelf = garden.Shelf,
        Place = garden.Places.FirstOrDefault(place => place.Code == plant.Place),
        CoolestNightC = Nights.Coolest(plant.Place, today, garden.Garden, garden.Readings),
        Vpd = new DailyVpd(garden.Garden, garden.Readings).On(plant.Place),
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
