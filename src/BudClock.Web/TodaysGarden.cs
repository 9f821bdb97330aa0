using System.Collections.Immutable;
using BudClock.Core.Advising;
using BudClock.Core.Advising.Vessels;
using BudClock.Core.Climate;
using BudClock.Core.Evidence;
using BudClock.Core.Feeding;
using BudClock.Core.Mixing;
using BudClock.Core.Notes;
using BudClock.Core.Round;
using BudClock.Data;

namespace BudClock.Web;

/// <summary>
/// The garden as it stands today, kept in memory. A plant's assessment is dropped when its journal changes, all of them
/// when the day, the weather or the garden does; a note on one plant recomputes one plant.
/// </summary>
public sealed class TodaysGarden(GardenStore store, ShelfStore shelf, Clock clock)
{
    /// <summary>How far back readings still say something of the nights now, with a day to spare for time zones.</summary>
    static readonly TimeSpan Spoken = TimeSpan.FromDays(Weather.Kept + 2);

    /// <summary>How far back the air is remembered, to scale a plant's own rhythm by it.</summary>
    static readonly TimeSpan Remembered = TimeSpan.FromDays(120);

    readonly SemaphoreSlim gate = new(1, 1);
    GardenDay? today;
    int forgotten;

    /// <summary>The garden today; null before it has been set up.</summary>
    public async Task<GardenDay?> TodayAsync()
    {
        if (today is { } kept && kept.Day == clock.Today(kept.Garden))
            return kept;
        await gate.WaitAsync();
        try
        {
            if (today is { } meanwhile && meanwhile.Day == clock.Today(meanwhile.Garden))
                return meanwhile;
            return await ReadAsync();
        }
        finally
        {
            gate.Release();
        }
    }

    /// <summary>Reads it until nothing was forgotten meanwhile, so that what is kept is never older than what was written.</summary>
    async Task<GardenDay?> ReadAsync()
    {
        while (true)
        {
            var before = Volatile.Read(ref forgotten);
            var means = Task.Run(() => store.DailyMeansAsync(clock.GetUtcNow() - Remembered));
            if (await store.ReadAsync(readingsSince: clock.GetUtcNow() - Spoken, acts: false) is not { } record)
                return today = null;
            var read = new GardenDay(record, clock.Today(record.Garden), await means);
            if (before == Volatile.Read(ref forgotten))
                return today = read;
        }
    }

    /// <summary>Reads one plant anew after its journal or its details changed.</summary>
    public async Task RefreshAsync(string tag)
    {
        await gate.WaitAsync();
        try
        {
            if (today is { } kept)
                today = await store.ReadPlantAsync(tag) is { } plant ? kept.With(plant) : null;
        }
        finally
        {
            gate.Release();
        }
    }

    /// <summary>Reads the mixing shelf anew; the journals are as they were.</summary>
    public async Task RefreshShelfAsync()
    {
        await gate.WaitAsync();
        try
        {
            if (today is { } kept)
                today = kept.With(await shelf.ReadAsync());
        }
        finally
        {
            gate.Release();
        }
    }

    /// <summary>A plant on another day, with the weather of that day.</summary>
    public async Task<Assessment> OnDayAsync(GardenDay kept, Plant plant, DateOnly day)
    {
        if (day == kept.Day)
            return kept.Find(plant.Tag)!;
        var end = new DateTimeOffset(day.AddDays(2), TimeOnly.MinValue, TimeSpan.Zero);
        var readings = plant.Place is { } place ? await store.ReadingsAsync(place, end - Spoken - TimeSpan.FromDays(1), end) : [];
        return kept.Assessor.Assess(
            plant,
            kept.Around(plant) with
            {
                Weather = Weather.Of(plant.Place, day, kept.Garden, readings, kept.Forecast),
            },
            day
        );
    }

    /// <summary>Forgets everything, after the garden, a place or the weather changed.</summary>
    public void Forget()
    {
        Interlocked.Increment(ref forgotten);
        today = null;
    }
}

/// <summary>The garden on one day, with every plant assessed.</summary>
public sealed class GardenDay
{
    readonly ImmutableSortedDictionary<string, Assessment> byTag;
    readonly GardenAround around;
    IReadOnlyList<SharedVessel>? shared;
    TodaysMix? mix;

    /// <param name="earlier">Daily means of readings that are too old to be held one by one.</param>
    public GardenDay(GardenRecord record, DateOnly day, IReadOnlyList<DailyMean>? earlier = null)
    {
        (Garden, Places, Forecast, Day) = (record.Garden, record.Places, record.Forecast, day);
        (Vessels, SheetChanges, Assessor) = (record.Vessels, record.SheetChanges, Assessor.With(record.SheetChanges));
        around = new(record, day, earlier);
        byTag = Assess(record.Plants);
    }

    GardenDay(GardenDay other, GardenAround around, ImmutableSortedDictionary<string, Assessment> byTag) =>
        (Garden, Places, Forecast, Day, this.around, Vessels, SheetChanges, Assessor, this.byTag) = (
            other.Garden,
            other.Places,
            other.Forecast,
            other.Day,
            around,
            other.Vessels,
            other.SheetChanges,
            other.Assessor,
            byTag
        );

    /// <summary>On as many cores as there are: the first assessment of a large garden is most of a cold start.</summary>
    ImmutableSortedDictionary<string, Assessment> Assess(IEnumerable<Plant> plants) =>
        plants.AsParallel().Select(Assess).ToImmutableSortedDictionary(a => a.Plant.Tag, a => a, StringComparer.OrdinalIgnoreCase);

    public DateOnly Day { get; }
    public Garden Garden { get; }
    public IReadOnlyList<Place> Places { get; }
    public IReadOnlyList<ForecastDay> Forecast { get; }
    public IReadOnlyList<Vessel> Vessels { get; }

    /// <summary>The mixing shelf.</summary>
    public Shelf Shelf => around.Shelf;

    public IReadOnlyList<SheetChange> SheetChanges { get; }

    /// <summary>Assesses by the sheets with this grower's changes.</summary>
    public Assessor Assessor { get; }

    public IEnumerable<Assessment> Plants => byTag.Values;
    public IReadOnlyCollection<string> Tags => [.. byTag.Keys];

    /// <summary>What a typed line is read against.</summary>
    /// <param name="day">The day that "today" means in it, if not this one.</param>
    public NoteContext NoteContext(DateOnly? day = null)
    {
        var here = Plants.Where(a => !a.Gone && a.Plant.Place is not null).ToLookup(a => a.Plant.Place!, a => a.Plant.Tag);
        var places = Places
            .SelectMany(p => (string[])[p.Name, p.Code], (place, name) => (place, name))
            .DistinctBy(p => p.name, StringComparer.OrdinalIgnoreCase);
        return new(Tags, day ?? Day, Garden.UsUnits)
        {
            Books = tag => Find(tag)?.Book,
            Batches = [.. Shelf.Batches.Where(batch => batch.ThrownAway is null).Select(batch => batch.Code)],
            Places = places.ToDictionary(p => p.name, p => (IReadOnlyList<string>)[.. here[p.place.Code]]),
        };
    }

    /// <summary>The plant of that tag in any case, or null.</summary>
    public Assessment? Find(string? tag) => tag is null ? null : byTag.GetValueOrDefault(tag);

    /// <summary>Trays, reservoirs and cover pots with what stands in them.</summary>
    public IReadOnlyList<SharedVessel> SharedVessels => shared ??= [.. Vessels.Select(vessel => SharedVessel.Of(vessel, Plants, Day))];

    /// <summary>A plant with what is said of the vessel that it shares.</summary>
    public Assessment? WithShared(string? tag) => Find(tag) is { } plant ? GardenAssessed.WithShared(plant, SharedVessels) : null;

    /// <summary>What to mix for the plants that are due now.</summary>
    public TodaysMix Mix => mix ??= TodaysMix.Of(Plants, SharedVessels, Shelf, Day);

    public Place? PlaceOf(Plant plant) => Places.FirstOrDefault(p => p.Code == plant.Place);

    /// <summary>The coolest night of the last week at a place, °C; null where none was measured.</summary>
    public Seen<double>? CoolestNightC(string? place) => around.WeatherAt(place).CoolestNight(Day, Nights.Days);

    /// <summary>The garden with one plant as it is after a change; what shares its water is assessed anew with it.</summary>
    public GardenDay With(Plant plant)
    {
        var plants = byTag.Values.Select(a => a.Plant.Tag.Equals(plant.Tag, StringComparison.OrdinalIgnoreCase) ? plant : a.Plant).ToList();
        if (!byTag.ContainsKey(plant.Tag))
            plants.Add(plant);
        var changed = around.With(plants);
        var basis = new GardenDay(this, changed, byTag);
        var touched = changed
            .Sharing(plant)
            .Concat(byTag.GetValueOrDefault(plant.Tag) is { } before ? around.Sharing(before.Plant) : [])
            .Append(plant.Tag)
            .Distinct(StringComparer.OrdinalIgnoreCase)
            .ToHashSet(StringComparer.OrdinalIgnoreCase);
        return new(
            this,
            changed,
            byTag.SetItems(plants.Where(p => touched.Contains(p.Tag)).Select(p => KeyValuePair.Create(p.Tag, basis.Assess(p))))
        );
    }

    /// <summary>The same plants beside a changed shelf.</summary>
    public GardenDay With(Shelf changed)
    {
        var basis = new GardenDay(this, around.With(byTag.Values.Select(a => a.Plant), changed), byTag);
        return new(basis, basis.around, basis.Assess(byTag.Values.Select(a => a.Plant)));
    }

    /// <summary>What lies around a plant.</summary>
    public Surroundings Around(Plant plant) => around.Of(plant);

    /// <summary>The same plants by changed sheets: what a change would make of today.</summary>
    public IEnumerable<(Assessment Now, Assessment Then)> Trying(IReadOnlyList<SheetChange> changes)
    {
        var assessor = Assessor.With(changes);
        return Plants.Select(now => (now, assessor.Assess(now.Plant, Around(now.Plant), Day)));
    }

    Assessment Assess(Plant plant) => Assessor.Assess(plant, Around(plant), Day);
}
