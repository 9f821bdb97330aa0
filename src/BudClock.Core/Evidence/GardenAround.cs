using BudClock.Core.Climate;
using BudClock.Core.Mixing;

namespace BudClock.Core.Evidence;

/// <summary>What lies around each plant of a garden on one day: read once for the garden, asked for each plant.</summary>
public sealed class GardenAround
{
    readonly Garden garden;
    readonly DateOnly today;
    readonly IReadOnlyDictionary<string, Place> places;
    readonly IReadOnlyList<Vessel> vessels;
    readonly IReadOnlyDictionary<string, Weather> weather;
    readonly DailyVpd vpd;
    readonly KinRecord kin;
    readonly ILookup<string, Plant> byVessel;
    readonly ILookup<string, string> inStores;
    readonly IReadOnlyDictionary<string, PlantJournal> vesselLogs;

    /// <param name="earlier">Daily means of days whose readings are not given one by one.</param>
    public GardenAround(GardenRecord record, DateOnly today, IReadOnlyList<DailyMean>? earlier = null)
        : this(
            record.Garden,
            today,
            record.Places.ToDictionary(place => place.Code),
            record.Vessels,
            record.Shelf,
            WeatherOf(record, today),
            new(record.Garden, record.Readings, earlier ?? []),
            new(record.Plants, today),
            record.Plants
        )
    { }

    GardenAround(
        Garden garden,
        DateOnly today,
        IReadOnlyDictionary<string, Place> places,
        IReadOnlyList<Vessel> vessels,
        Shelf shelf,
        IReadOnlyDictionary<string, Weather> weather,
        DailyVpd vpd,
        KinRecord kin,
        IEnumerable<Plant> plants
    )
    {
        (this.garden, this.today, this.places, this.vessels, Shelf, this.weather, this.vpd, this.kin) = (
            garden,
            today,
            places,
            vessels,
            shelf,
            weather,
            vpd,
            kin
        );
        var all = plants as IReadOnlyCollection<Plant> ?? [.. plants];
        byVessel = all.Where(plant => plant.Vessel is not null).ToLookup(plant => plant.Vessel!);
        inStores = all.Where(InStore).ToLookup(plant => plant.Place!, plant => plant.Tag);
        vesselLogs = byVessel.ToDictionary(group => group.Key, group => Vessels.Log(group, today));
    }

    /// <summary>The mixing shelf.</summary>
    public Shelf Shelf { get; }

    /// <summary>The same garden with its plants as they are after a change, and perhaps another shelf.</summary>
    public GardenAround With(IEnumerable<Plant> plants, Shelf? shelf = null) =>
        new(garden, today, places, vessels, shelf ?? Shelf, weather, vpd, kin, plants);

    /// <summary>What a place has been; unknown for a plant without one.</summary>
    public Weather WeatherAt(string? place) => place is not null && weather.TryGetValue(place, out var known) ? known : Weather.Unknown;

    /// <summary>Tags of the plants whose advice may change with this one: those in the same vessel.</summary>
    public IEnumerable<string> Sharing(Plant plant) => plant.Vessel is { } code ? byVessel[code].Select(other => other.Tag) : [];

    /// <summary>The surroundings of one plant.</summary>
    public Surroundings Of(Plant plant) =>
        new(garden)
        {
            Shelf = Shelf,
            Place = plant.Place is { } code ? places.GetValueOrDefault(code) : null,
            Vessel = Vessels.Of(plant, vessels),
            Neighbours = Neighbours(plant),
            VesselLog = plant.Vessel is { } vessel ? vesselLogs.GetValueOrDefault(vessel) : null,
            Weather = WeatherAt(plant.Place),
            Vpd = vpd.On(plant.Place),
            Kin = kin.Intervals,
        };

    IReadOnlyList<string> Neighbours(Plant plant)
    {
        var beside =
            plant.Vessel is { } vessel ? byVessel[vessel].Select(other => other.Tag)
            : InStore(plant) ? inStores[plant.Place!]
            : [];
        return beside.Any() ? [.. beside.Where(tag => tag != plant.Tag).Order(StringComparer.Ordinal)] : [];
    }

    bool InStore(Plant plant) => plant.Place is { } code && places.GetValueOrDefault(code)?.Setting == "store";

    static Dictionary<string, Weather> WeatherOf(GardenRecord record, DateOnly today)
    {
        var (readings, forecast) = (record.Readings.ToLookup(r => r.Place), record.Forecast.ToLookup(f => f.Place));
        return record.Places.ToDictionary(
            place => place.Code,
            place => Weather.Of(place.Code, today, record.Garden, readings[place.Code], forecast[place.Code])
        );
    }
}
