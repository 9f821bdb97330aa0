using BudClock.Core.Mixing;
using BudClock.Core.Potting;

namespace BudClock.Core.Formats;

/// <summary>How a garden file is taken into a garden that is there already.</summary>
public enum ImportWay
{
    /// <summary>What is new comes in; nothing that is here changes.</summary>
    Add,

    /// <summary>As <see cref="Add"/>, and what is empty here is filled in, and what the file has struck is struck.</summary>
    Merge,

    /// <summary>As <see cref="Merge"/>, and where both say something the file is believed. Nothing is taken away.</summary>
    Replace,
}

/// <summary>One plant of a garden file beside the garden.</summary>
/// <param name="Here">The plant as it is on record here; null where it is new.</param>
/// <param name="Differs">Where both say something and not the same, as sentences.</param>
/// <param name="Result">What is to be on record, by the way that was chosen; equal to <paramref name="Here"/> where nothing
/// changes.</param>
/// <param name="Fresh">Entries that are not here.</param>
/// <param name="Struck">Ids of entries that the file has struck and that stand here.</param>
public sealed record PlantImport(
    Plant? Here,
    Plant File,
    IReadOnlyList<string> Differs,
    Plant Result,
    IReadOnlyList<Entry> Fresh,
    IReadOnlyList<Guid> Struck
)
{
    /// <summary>What is on record of it changes; its log may besides.</summary>
    public bool Changes => Here is null || Result != Here.On(DateOnly.MinValue);
}

/// <summary>What taking in a garden file would do: shown first, then written as one act.</summary>
public sealed record ImportPlan(GardenRecord Here, GardenRecord File, ImportWay Way, bool GardenToo)
{
    /// <summary>Each plant of the file.</summary>
    public IReadOnlyList<PlantImport> Plants { get; } = ReadPlants(Here, File, Way);

    /// <summary>Plants that are not here.</summary>
    public IEnumerable<PlantImport> NewPlants => Plants.Where(plant => plant.Here is null);

    /// <summary>Plants of which both say something that is not the same.</summary>
    public IEnumerable<PlantImport> Differing => Plants.Where(plant => plant.Differs.Count > 0);

    /// <summary>How many entries come in.</summary>
    public int NewEntries => Plants.Sum(plant => plant.Fresh.Count);

    /// <summary>How many entries of the file are here already.</summary>
    public int KnownEntries => Plants.Sum(plant => plant.File.Entries.Count) - NewEntries;

    /// <summary>How many entries here are struck because the file has struck them.</summary>
    public int Strikes => Plants.Sum(plant => plant.Struck.Count);

    /// <summary>Places to add or to change.</summary>
    public IReadOnlyList<Place> Places { get; } = Taken(File.Places, Here.Places, place => place.Code, Way);

    /// <summary>Devices to add or to change; their tokens do not travel.</summary>
    public IReadOnlyList<Device> Devices { get; } = Taken(File.Devices, Here.Devices, device => device.Code, Way);

    /// <summary>Trays, reservoirs and cover pots to add or to change.</summary>
    public IReadOnlyList<Vessel> Vessels { get; } = Taken(File.Vessels, Here.Vessels, vessel => vessel.Code, Way);

    /// <summary>Programmes of the grower's own to add or to change.</summary>
    public IReadOnlyList<OwnProgramme> Programmes { get; } = Taken(File.Programmes, Here.Programmes, own => own.Name, Way);

    /// <summary>Changes of sheets to keep.</summary>
    public IReadOnlyList<SheetChange> SheetChanges { get; } =
        Taken(File.SheetChanges, Here.SheetChanges, change => $"{change.Sheet}\n{change.Plant}\n{change.Name}", Way);

    /// <summary>What stands on the mixing shelf to add or to change.</summary>
    public Shelf Shelf { get; } =
        new()
        {
            Tools = Here.Shelf.Tools == Tools.Usual || Way is ImportWay.Replace ? File.Shelf.Tools : Here.Shelf.Tools,
            Waters = Taken(File.Shelf.Waters, Here.Shelf.Waters, item => item.Code, Way),
            Feeds = Taken(File.Shelf.Feeds, Here.Shelf.Feeds, item => item.Code, Way),
            Recipes = Taken(File.Shelf.Recipes, Here.Shelf.Recipes, item => item.Code, Way),
            Batches = Taken(File.Shelf.Batches, Here.Shelf.Batches, item => item.Code, Way),
            Trials = Taken(File.Shelf.Trials, Here.Shelf.Trials, item => item.Code, Way),
        };

    /// <summary>Pots, mixes and young batches to add or to change.</summary>
    public PottingShed Shed { get; } =
        new()
        {
            Pots = Taken(File.Shed.Pots, Here.Shed.Pots, item => item.Code, Way),
            Mixes = Taken(File.Shed.Mixes, Here.Shed.Mixes, item => item.Code, Way),
            Batches = Taken(File.Shed.Batches, Here.Shed.Batches, item => item.Code, Way),
        };

    /// <summary>How many things of the shelf and of the shed come in.</summary>
    public int ShelfItems =>
        Shelf.Waters.Count
        + Shelf.Feeds.Count
        + Shelf.Recipes.Count
        + Shelf.Batches.Count
        + Shelf.Trials.Count
        + Shed.Pots.Count
        + Shed.Mixes.Count
        + Shed.Batches.Count;

    /// <summary>Readings that are not here.</summary>
    public IReadOnlyList<ClimateReading> Readings { get; } = ReadReadings(Here, File);

    /// <summary>Forecast days that are not here.</summary>
    public IReadOnlyList<ForecastDay> Forecast { get; } =
    [.. File.Forecast.ExceptBy(Here.Forecast.Select(day => (day.Place, day.On, day.Made)), day => (day.Place, day.On, day.Made))];

    /// <summary>The garden as it is to be called and placed: as it is here, unless it was asked for or nothing is here yet.</summary>
    public Garden Garden =>
        File.Garden == Garden.Unnamed ? Here.Garden
        : Here.Garden == Garden.Unnamed || GardenToo
            ? File.Garden with
            {
                Latitude = File.Garden.Latitude ?? Here.Garden.Latitude,
                Longitude = File.Garden.Longitude ?? Here.Garden.Longitude,
                TimeZone = File.Garden.TimeZone ?? Here.Garden.TimeZone,
            }
        : Here.Garden;

    /// <summary>Where the file's garden is another than this one: its name, its place on earth, its units.</summary>
    public IReadOnlyList<string> GardenDiffers =>
        File.Garden == Garden.Unnamed || Here.Garden == Garden.Unnamed
            ? []
            :
            [
                .. new (string What, object? Here, object? File)[]
                {
                    ("called", Here.Garden.Name, File.Garden.Name),
                    ("at latitude", Here.Garden.Latitude, File.Garden.Latitude),
                    ("at longitude", Here.Garden.Longitude, File.Garden.Longitude),
                    ("in the time zone", Here.Garden.TimeZone, File.Garden.TimeZone),
                    ("in units", Here.Garden.UsUnits ? "of the US" : "metric", File.Garden.UsUnits ? "of the US" : "metric"),
                }
                    .Where(one => one.File is not null && !Equals(one.Here, one.File))
                    .Select(one =>
                        string.Create(
                            System.Globalization.CultureInfo.InvariantCulture,
                            $"This garden is {one.What} {one.Here ?? "not known"}; the file's, {one.File}."
                        )
                    ),
            ];

    /// <summary>What of the file stays out, as sentences.</summary>
    public IEnumerable<string> LeftOut
    {
        get
        {
            if (Way is not ImportWay.Replace && Differing.Count() is > 0 and var differing)
                yield return $"What {differing} {(differing == 1 ? "plant says" : "plants say")} otherwise than here.";
            if (Way is ImportWay.Add && Merged().Strikes is > 0 and var strikes)
                yield return $"{strikes} struck {(strikes == 1 ? "entry that stands" : "entries that stand")} here.";
            if (!GardenToo && GardenDiffers.Count > 0)
                yield return "The file's name, place on earth and units: this garden keeps its own.";
        }
    }

    ImportPlan Merged() => new(Here, File, ImportWay.Merge, GardenToo);

    /// <summary>Nothing would change.</summary>
    public bool IsEmpty =>
        Plants.All(plant => !plant.Changes && plant.Fresh.Count + plant.Struck.Count == 0)
        && Places.Count
            + Devices.Count
            + Vessels.Count
            + SheetChanges.Count
            + Programmes.Count
            + ShelfItems
            + Readings.Count
            + Forecast.Count
            == 0
        && Garden == Here.Garden;

    static IReadOnlyList<PlantImport> ReadPlants(GardenRecord here, GardenRecord file, ImportWay way)
    {
        var known = new Dictionary<string, Plant>(StringComparer.OrdinalIgnoreCase);
        foreach (var plant in here.Plants)
        foreach (var tag in plant.FormerTags.Prepend(plant.Tag))
            known.TryAdd(tag, plant);
        var ids = here.Plants.SelectMany(plant => plant.Entries).Where(entry => !entry.Undone).Select(entry => entry.Id).ToHashSet();
        return [.. file.Plants.Select(plant => PlantMerge.Of(known.GetValueOrDefault(plant.Tag), plant, ids, way))];
    }

    static List<ClimateReading> ReadReadings(GardenRecord here, GardenRecord file)
    {
        var known = here.Readings.Select(reading => (reading.Place, reading.At.UtcTicks, reading.Device)).ToHashSet();
        return [.. file.Readings.Where(reading => known.Add((reading.Place, reading.At.UtcTicks, reading.Device)))];
    }

    static IReadOnlyList<T> Taken<T>(IReadOnlyList<T> file, IReadOnlyList<T> here, Func<T, string> key, ImportWay way)
        where T : class
    {
        var known = here.ToDictionary(key, StringComparer.OrdinalIgnoreCase);
        return [.. file.Where(item => !known.TryGetValue(key(item), out var old) || (way is ImportWay.Replace && !Equals(old, item)))];
    }
}
