using BudClock.Core.Climate;
using BudClock.Core.Measuring;
using BudClock.Core.Mixing;
using BudClock.Core.Programmes;

namespace BudClock.Core.Evidence;

/// <summary>What lies around a plant on a day: the garden, the weather of its place, and its kind.</summary>
public sealed record Surroundings(Garden Garden)
{
    /// <summary>What the plant's place has been, and what is forecast for it.</summary>
    public Weather Weather { get; init; } = Weather.Unknown;

    /// <summary>Where the plant stands; null is unplaced.</summary>
    public Place? Place { get; init; }

    /// <summary>The mean vapour pressure deficit of a day at the plant's place, kPa; null where it is not known.</summary>
    public Func<DateOnly, double?> Vpd { get; init; } = _ => null;

    /// <summary>The tray, reservoir or cover pot it shares; null where it has none.</summary>
    public Vessel? Vessel { get; init; }

    /// <summary>Tags of plants in the same tray, vessel or store.</summary>
    public IReadOnlyList<string> Neighbours { get; init; } = [];

    /// <summary>Levels and fillings of the shared vessel, written down for any plant in it; null where it shares none.</summary>
    public PlantJournal? VesselLog { get; init; }

    /// <summary>The mixing shelf of the garden.</summary>
    public Shelf Shelf { get; init; } = Shelf.Empty;

    /// <summary>Mixes of the grower's own: what each is called, and its parts.</summary>
    public IReadOnlyList<(string Name, IEnumerable<string> Parts)> OwnMixes { get; init; } = [];

    /// <summary>Lamps on a timer keep the day long, whatever the sun does.</summary>
    public bool Lamps(double hours) => Place?.LampHours >= hours;

    /// <summary>The days and nights of the garden.</summary>
    public GardenDays Days => days ??= new(Garden);

    /// <summary>The same, kept for all plants of a garden.</summary>
    public GardenDays? SharedDays
    {
        init => days = value;
    }

    GardenDays? days;

    /// <summary>The place out of doors that it last came in from, with the weather there; null where it came from none.</summary>
    public PlaceWeather? CameFrom { get; init; }

    /// <summary>Under the sky, or nearly: rain, wind and frost reach it.</summary>
    public bool Outdoors => Place?.Outdoors == true;

    /// <summary>A heated room or a store: a forecast of the weather is not its own, unless it was learned.</summary>
    public bool Indoors => Place?.Indoors == true;

    /// <summary>Whether a plant would be judged in these as in the others: the same place, weather, water and neighbours.</summary>
    /// <remarks>Surroundings with a shared vessel's log are never the same: what was logged for a neighbour counts there.</remarks>
    public bool Same(Surroundings other) =>
        (Garden, Place, Vessel) == (other.Garden, other.Place, other.Vessel)
        && VesselLog is null
        && other.VesselLog is null
        && Neighbours.SequenceEqual(other.Neighbours)
        && Weather.Same(other.Weather)
        && CameFrom?.Place == other.CameFrom?.Place
        && (CameFrom is null || CameFrom.Weather.Same(other.CameFrom!.Weather));

    /// <summary>What programmes are counted by: the garden's places and what they have been.</summary>
    public ProgrammeAround? Places { get; init; }

    /// <summary>The places of the garden in walking order; null where only this one is known.</summary>
    public IReadOnlyList<Place>? Others { get; init; }

    /// <summary>The programmes that there are.</summary>
    public ProgrammeBook Programmes { get; init; } = ProgrammeBook.Shipped;

    /// <summary>How long organs of other plants of a genus took here, by turn; the plant itself is left out by its tag.</summary>
    public Func<Plant, string, IReadOnlyList<Took>> Kin { get; init; } = (_, _) => [];
}

/// <summary>A place and the weather there.</summary>
public sealed record PlaceWeather(Place Place, Weather Weather);

/// <summary>How long organs took on the plants of each genus; read once for a genus, when first asked.</summary>
public sealed class KinRecord(IEnumerable<Plant> plants, DateOnly today)
{
    readonly Dictionary<string, List<Known>> byGenus = new(StringComparer.OrdinalIgnoreCase);
    readonly Dictionary<(string Genus, string Turn), List<(string Tag, IReadOnlyList<Took> Took)>> byTurn = [];

    /// <summary>How long a turn took on the other plants of the plant's genus.</summary>
    public IReadOnlyList<Took> Before(Plant plant, string turn) =>
        plant.Genus is not { } genus ? [] : [.. Of(genus, turn).Where(kin => kin.Tag != plant.Tag).SelectMany(kin => kin.Took)];

    List<(string Tag, IReadOnlyList<Took> Took)> Of(string genus, string turn)
    {
        lock (byGenus)
        {
            var key = (genus.ToUpperInvariant(), turn);
            if (byTurn.TryGetValue(key, out var known))
                return known;
            var kin = Of(genus)
                .Select(kin =>
                    (
                        kin.Tag,
                        Took: turn == Forecasts.PlantedToFlower
                            ? Forecasts.FromPlanting(kin.Journal)
                            : Forecasts.Before(turn, kin.Lanes, kin.Acquired)
                    )
                );
            return byTurn[key] = [.. kin.Where(kin => kin.Took.Count > 0)];
        }
    }

    List<Known> Of(string genus)
    {
        if (byGenus.TryGetValue(genus, out var known))
            return known;
        var kin = plants.Where(p => string.Equals(p.Genus, genus, StringComparison.OrdinalIgnoreCase));
        return byGenus[genus] = [.. kin.Select(p => new Known(p.Tag, p.Acquired, PlantJournal.UpTo(today, p.Entries)))];
    }

    sealed record Known(string Tag, DateOnly? Acquired, PlantJournal Journal)
    {
        public IReadOnlyList<Lane> Lanes { get; } = LaneReader.Read(Journal);
    }
}
