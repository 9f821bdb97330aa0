using BudClock.Core.Mixing;
using BudClock.Core.Programmes;

namespace BudClock.Core.Evidence;

/// <summary>What lies around each plant of a garden on one day: read once for the garden, asked for each plant.</summary>
public sealed class GardenAround
{
    readonly Garden garden;
    readonly DateOnly today;
    readonly IReadOnlyDictionary<string, Place> places;
    readonly IReadOnlyList<Place> walk;
    readonly IReadOnlyList<Vessel> vessels;
    readonly PlaceWeathers weather;
    readonly KinRecord kin;
    readonly ILookup<string, Plant> byVessel;
    readonly ILookup<string, string> inStores;
    readonly IReadOnlyDictionary<string, PlantJournal> vesselLogs;

    /// <param name="weather">The weather of its places; read from the garden's own readings where it is not given.</param>
    public GardenAround(GardenRecord record, DateOnly today, PlaceWeathers? weather = null)
        : this(
            record.Garden,
            today,
            record.Places.ToDictionary(place => place.Code),
            record.Vessels,
            record.Shelf,
            weather ?? PlaceWeathers.Of(record, today),
            new(record.Plants, today),
            record.Plants
        )
    {
        Programmes = ProgrammeBook.With(record.Programmes);
        OwnMixes = [.. record.Shed.Mixes.Select(mix => (mix.Name, (IEnumerable<string>)mix.Parts.Keys))];
    }

    GardenAround(
        Garden garden,
        DateOnly today,
        IReadOnlyDictionary<string, Place> places,
        IReadOnlyList<Vessel> vessels,
        Shelf shelf,
        PlaceWeathers weather,
        KinRecord kin,
        IEnumerable<Plant> plants
    )
    {
        (this.garden, this.today, this.places, this.vessels, Shelf, this.weather, this.kin) = (
            garden,
            today,
            places,
            vessels,
            shelf,
            weather,
            kin
        );
        walk = [.. weather.All.Select(one => one.Place)];
        var all = plants as IReadOnlyCollection<Plant> ?? [.. plants];
        byVessel = all.Where(plant => plant.Vessel is not null).ToLookup(plant => plant.Vessel!);
        inStores = all.Where(InStore).ToLookup(plant => plant.Place!, plant => plant.Tag);
        vesselLogs = byVessel.ToDictionary(group => group.Key, group => Vessels.Log(group, today));
    }

    /// <summary>The mixing shelf.</summary>
    public Shelf Shelf { get; }

    /// <summary>The programmes that there are, the grower's own among them.</summary>
    public ProgrammeBook Programmes { get; private init; } = ProgrammeBook.Shipped;

    /// <summary>Mixes of the grower's own: what each is called, and its parts.</summary>
    public IReadOnlyList<(string Name, IEnumerable<string> Parts)> OwnMixes { get; private init; } = [];

    /// <summary>What programmes are counted by.</summary>
    public ProgrammeAround Counted =>
        counted ??= new(weather.Calendar, weather.RecordOf, code => code is null ? null : places.GetValueOrDefault(code))
        {
            AheadOf = place => weather.AheadOf(place).Days14,
        };

    ProgrammeAround? counted;

    /// <summary>The weather of its places.</summary>
    public PlaceWeathers Weather => weather;

    /// <summary>The same garden with its plants as they are after a change, and perhaps another shelf.</summary>
    public GardenAround With(IEnumerable<Plant> plants, Shelf? shelf = null) =>
        new(garden, today, places, vessels, shelf ?? Shelf, weather, kin, plants) { Programmes = Programmes, OwnMixes = OwnMixes };

    /// <summary>The same garden in other weather.</summary>
    public GardenAround In(PlaceWeathers other, IEnumerable<Plant> plants) =>
        new(garden, today, places, vessels, Shelf, other, kin, plants) { Programmes = Programmes, OwnMixes = OwnMixes };

    /// <summary>Tags of the plants whose advice may change with this one: those in the same vessel.</summary>
    public IEnumerable<string> Sharing(Plant plant) => plant.Vessel is { } code ? byVessel[code].Select(other => other.Tag) : [];

    /// <summary>The surroundings of one plant.</summary>
    public Surroundings Of(Plant plant) =>
        new(garden)
        {
            Shelf = Shelf,
            OwnMixes = OwnMixes,
            SharedDays = weather.Calendar,
            Place = plant.Place is { } code ? places.GetValueOrDefault(code) : null,
            Vessel = Vessels.Of(plant, vessels),
            Neighbours = Neighbours(plant),
            VesselLog = plant.Vessel is { } vessel ? vesselLogs.GetValueOrDefault(vessel) : null,
            Weather = weather.At(plant.Place),
            CameFrom = CameFrom(plant),
            Vpd = weather.VpdAt(plant.Place),
            Kin = kin.Before,
            Places = Counted,
            Others = walk,
            Programmes = Programmes,
        };

    /// <summary>Where it stood before its last move, if that is out of doors and it stands indoors or under glass now.</summary>
    PlaceWeather? CameFrom(Plant plant)
    {
        if (plant.Place is null || places.GetValueOrDefault(plant.Place) is not { Outdoors: false })
            return null;
        var moved = plant
            .Entries.Where(entry => entry.Sets.Count > 0 && !entry.Struck && entry.On <= today)
            .MaxBy(entry => (entry.On, entry.Logged));
        var from = moved?.Sets.FirstOrDefault(set => set.What == Facts.Place)?.From;
        return from is not null && places.GetValueOrDefault(from) is { Outdoors: true } outside ? new(outside, weather.At(from)) : null;
    }

    IReadOnlyList<string> Neighbours(Plant plant)
    {
        var beside =
            plant.Vessel is { } vessel ? byVessel[vessel].Select(other => other.Tag)
            : InStore(plant) ? inStores[plant.Place!]
            : [];
        return beside.Any() ? [.. beside.Where(tag => tag != plant.Tag).Order(StringComparer.Ordinal)] : [];
    }

    bool InStore(Plant plant) => plant.Place is { } code && places.GetValueOrDefault(code)?.Setting == "store";
}
