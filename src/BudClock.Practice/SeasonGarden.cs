using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Evidence;
using BudClock.SimulatedPlants;
using BudClock.StandIns;

namespace BudClock.Practice;

/// <summary>A garden of simulated plants in memory, with its logs, readings and forecasts, lived a day at a time.</summary>
public sealed class SeasonGarden
{
    /// <summary>Readings and forecasts are kept so long: more than a year, so that last year's nights are known.</summary>
    const int ForecastKeptDays = 150;
    static readonly int[] LearnedLeads = [1, 4, 7];

    readonly SimulatedSky sky;
    readonly GardenDays calendar;
    readonly Dictionary<string, PlaceRecord> records = [];
    readonly List<ForecastDay> forecast = [];
    readonly Dictionary<(string Place, DateOnly Day), Air> airs = [];
    readonly Dictionary<string, List<Deed>> deeds = [];
    long written;

    SeasonGarden(Garden garden, IReadOnlyList<Place> places, SimulatedWeather weather, DateOnly first)
    {
        (Garden, Places, Today, calendar) = (garden, places, first, new(garden));
        sky = new(weather, calendar);
    }

    /// <summary>The garden.</summary>
    public Garden Garden { get; }

    /// <summary>Its places in walking order.</summary>
    public IReadOnlyList<Place> Places { get; }

    /// <summary>The day it is.</summary>
    public DateOnly Today { get; private set; }

    /// <summary>Plants by tag: the record with its log, and what is true of it.</summary>
    public SortedDictionary<string, (Plant Plant, List<Entry> Log, SimulatedPlant Model)> Plants { get; } = new(StringComparer.Ordinal);

    /// <summary>Forecasts of the last months, as they were made.</summary>
    public IReadOnlyList<ForecastDay> Forecast => forecast;

    /// <summary>A garden with so many plants, the habits one after the other, each where its kind stands.</summary>
    /// <param name="habits">Null for all there are.</param>
    public static SeasonGarden Of(bool southern, int plants, int seed, IReadOnlyList<Habit>? habits = null)
    {
        habits ??= Habits.All;
        Place[] places =
        [
            new("bench", "South bench", "glasshouse") { Window = "roof" },
            new("sill", "Potting-room sill", "indoors") { Window = "south" },
            new("frame", "Cold frame", "cold-frame"),
            new("store", "Dry store", "store"),
            new("cellar", "Cellar", "store"),
        ];
        var garden = southern
            ? new Garden("Southern glass", -33.9, 18.4, "Africa/Johannesburg")
            : new Garden("Northern glass", 51.5, 0.7, "Europe/London");
        // Both begin in the spring of their place, with a year of readings behind them.
        var made = new SeasonGarden(garden, places, new(seed), southern ? new(2031, 10, 1) : new(2031, 4, 1));
        for (var n = 0; n < plants; n++)
            made.Add(habits[n % habits.Count], n + 1, seed);
        for (var day = made.Today.AddDays(-365); day < made.Today; day = day.AddDays(1))
            made.Weather(day);
        return made;
    }

    void Add(Habit habit, int number, int seed)
    {
        var tag = $"{habit.Genus[..3].ToUpperInvariant()}-{number:00}";
        var state = Beginnings.Fresh(habit, seed, tag);
        var bulb = habit.Rest is RestKind.DryBulb;
        if (bulb)
            (state.Stage, state.Lifted, state.Planted, state.Moisture) = (Stage.Resting, true, false, 0);
        var plant = new Plant
        {
            Tag = tag,
            Taxon = $"{habit.Genus} species",
            Place =
                bulb ? "cellar"
                : habit.Name is "holiday-cactus" or "rosette" or "single-stem" or "waxy-vine" ? "sill"
                : "bench",
            Acquired = Today.AddYears(-4),
            Pot = new(12, 11, "plastic"),
            Medium = habit.Name.EndsWith("bulbs", StringComparison.Ordinal) || habit.Name is "single-stem" ? "bark" : null,
        };
        Plants[tag] = (plant, [], new(habit, state));
        if (bulb)
            Write(tag, EntryKinds.Stored);
        else
            Write(tag, EntryKinds.LeafCount, new Quantity(5, null));
    }

    /// <summary>Writes an entry of today; what it does to the plant is done.</summary>
    /// <param name="logged">False where it was done and never written down.</param>
    public void Write(string tag, EntryKind kind, Quantity? amount = null, string? text = null, Place? to = null, bool logged = true)
    {
        var (plant, log, model) = Plants[tag];
        var from = plant.Place;
        var entry = new Entry
        {
            Id = new Guid((int)++written, 0, 0, new byte[8]),
            On = Today,
            Kind = kind,
            Amount = amount,
            Text = to is null ? text : Moves.Words(Places.FirstOrDefault(place => place.Code == from), to),
            Logged = DateTimeOffset.UnixEpoch.AddSeconds(written),
            Sets = to is null ? [] : [new(Facts.Place, from, to.Code)],
        };
        if (to is not null)
            Plants[tag] = (plant with { Place = to.Code }, log, model);
        if (logged)
            log.Add(entry);
        if (!deeds.TryGetValue(tag, out var mine))
            deeds[tag] = mine = [];
        mine.AddRange(Deeds.Of(entry));
    }

    /// <summary>Writes what was seen today.</summary>
    public void Write(string tag, Sight sight)
    {
        if (
            Deeds.Seen(sight, Today, DateTimeOffset.UnixEpoch.AddSeconds(++written), new Guid((int)written, 0, 0, new byte[8])) is { } entry
        )
            Plants[tag].Log.Add(entry);
    }

    /// <summary>Goes on to the next day: the night passes, plants live through it, the forecast is made.</summary>
    public void Step()
    {
        Today = Today.AddDays(1);
        Weather(Today);
        foreach (var (tag, (plant, _, model)) in Plants)
        {
            var place = Places.First(one => one.Code == plant.Place);
            model.Live(AirAt(place), deeds.Remove(tag, out var done) ? done : []);
        }
    }

    Air AirAt(Place place)
    {
        if (!airs.TryGetValue((place.Code, Today), out var air))
            airs[(place.Code, Today)] = air = sky.At(place, Today);
        return air;
    }

    void Weather(DateOnly day)
    {
        foreach (var place in Places)
        {
            var fresh = PlaceRecord.Of(calendar, sky.Readings(place, day.AddDays(-1)).Concat(sky.Readings(place, day)));
            records[place.Code] = (records.GetValueOrDefault(place.Code) ?? PlaceRecord.Empty).With(fresh, day, day.AddDays(1));
        }
        forecast.RemoveAll(one =>
            one.Made < day.AddDays(-ForecastKeptDays)
            || (one.Made < day && !LearnedLeads.Contains(one.On.DayNumber - one.Made!.Value.DayNumber))
        );
        forecast.AddRange(sky.Forecast(day));
    }

    /// <summary>The weather of its places today.</summary>
    public PlaceWeathers Weathers() =>
        new(calendar, Places, Today, place => (records[place], PlaceAhead.Read(place, Today, records[place], forecast)));

    /// <summary>What lies around its plants today.</summary>
    public GardenAround Around(PlaceWeathers weathers) =>
        new(new GardenRecord(Garden, Places, [.. Plants.Values.Select(Recorded)], [], forecast), Today, weathers);

    static Plant Recorded((Plant Plant, List<Entry> Log, SimulatedPlant Model) one) => one.Plant with { Entries = one.Log };

    /// <summary>The plant as its record has it today.</summary>
    public Plant Recorded(string tag) => Recorded(Plants[tag]);

    /// <summary>The advice for one plant today.</summary>
    public Assessment Assess(string tag, GardenAround around)
    {
        var plant = Recorded(tag);
        return Assessor.Shipped.Assess(plant, around.Of(plant), Today);
    }
}
