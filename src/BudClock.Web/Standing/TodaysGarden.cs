using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Evidence;
using BudClock.Core.Formats;
using BudClock.Core.Mixing;
using BudClock.Data;

namespace BudClock.Web.Standing;

/// <summary>
/// The garden as it stands today, kept in memory. A plant's assessment is dropped when its journal changes, those of a place when its
/// weather does, all of them when the day or the garden does; a note on one plant recomputes one plant.
/// </summary>
public sealed class TodaysGarden(GardenStore store, PlaceBook places, Clock clock)
{
    readonly SemaphoreSlim gate = new(1, 1);
    GardenDay? today;
    int forgotten;

    /// <summary>Counted up by each change of the weather, and what of it the garden in memory has taken in.</summary>
    int weatherChanged,
        weatherTaken,
        forecastChanged,
        forecastTaken;

    int gardenChanged;

    /// <summary>Counted up by each change of more than plants and weather: who keeps something of it looks again.</summary>
    public int GardenChanged => Volatile.Read(ref gardenChanged);

    bool OtherWeather => Volatile.Read(ref weatherChanged) != Volatile.Read(ref weatherTaken);

    /// <summary>The garden today; null before it has been set up.</summary>
    public async Task<GardenDay?> TodayAsync()
    {
        if (today is { } kept && kept.Day == clock.Today(kept.Garden) && !OtherWeather)
            return kept;
        await gate.WaitAsync();
        try
        {
            if (today is { } meanwhile && meanwhile.Day == clock.Today(meanwhile.Garden))
                return OtherWeather ? await InWeatherAsync(meanwhile) : meanwhile;
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
            var (weather, said) = (Volatile.Read(ref weatherChanged), Volatile.Read(ref forecastChanged));
            Task<PlaceWeathers>? around = null;
            var record = await store.ReadAsync(readingsSince: DateTimeOffset.MaxValue, acts: false, places: Begin);
            if (record is null)
                return today = null;
            var day = clock.Today(record.Garden);
            var read = new GardenDay(record, day, await around!);
            if (before != Volatile.Read(ref forgotten))
                continue;
            (today, forecastTaken) = (read, said);
            Volatile.Write(ref weatherTaken, weather);
            return read;

            // The weather is read beside the journals, which are most of it.
            void Begin(GardenRecord known) => around = Task.Run(() => places.WeathersAsync(known, clock.Today(known.Garden)));
        }
    }

    /// <summary>The same garden in the weather as it is by now; who asks meanwhile waits for it.</summary>
    async Task<GardenDay> InWeatherAsync(GardenDay kept)
    {
        var (weather, said) = (Volatile.Read(ref weatherChanged), Volatile.Read(ref forecastChanged));
        var forecast = said != forecastTaken ? await store.ForecastAsync() : kept.Forecast;
        var record = new GardenRecord(kept.Garden, kept.Places, [], [], forecast);
        var now = kept.In(await places.WeathersAsync(record, kept.Day), forecast);
        (today, forecastTaken) = (now, said);
        Volatile.Write(ref weatherTaken, weather);
        return now;
    }

    /// <summary>Readings came: their days are read anew when somebody next asks.</summary>
    public Task MeasuredAsync(IReadOnlyList<Measured> spans)
    {
        places.Drop(spans);
        Interlocked.Increment(ref weatherChanged);
        return Task.CompletedTask;
    }

    /// <summary>Another forecast came.</summary>
    public Task ForecastChangedAsync()
    {
        Interlocked.Increment(ref forecastChanged);
        Interlocked.Increment(ref weatherChanged);
        return Task.CompletedTask;
    }

    /// <summary>Brings the garden in memory up to what was just written, and drops only what that touches.</summary>
    /// <param name="assessed">The plants of a note as they are now, so that they need not be read and assessed again.</param>
    public async Task TakeInAsync(WrittenAct written, IReadOnlyList<Assessment>? assessed)
    {
        Interlocked.Increment(ref forgotten);
        if (written.Wide)
            Interlocked.Increment(ref gardenChanged);
        if (written.Weather is { } spans)
            await MeasuredAsync(spans);
        if (today is not { } kept)
            return;
        await gate.WaitAsync();
        try
        {
            if (written.Wide || written.Plants.Count > Few)
                today = await ReadAgainAsync(kept, written);
            else if (written.Plants.Count == 0)
                return;
            else if (assessed is { Count: > 0 } && assessed.Count == written.Plants.Count)
                today = kept.With(assessed);
            else
                today = await PlantsAgainAsync(kept, written);
        }
        finally
        {
            gate.Release();
        }
    }

    /// <summary>So many plants are read one by one; for more, the garden is read through.</summary>
    const int Few = 200;

    async Task<GardenDay?> PlantsAgainAsync(GardenDay kept, WrittenAct written)
    {
        var plants = await store.PlantsAsync(written.Plants);
        // A plant that got another tag, or was taken away, leaves its old tag behind.
        return plants.Count == written.Plants.Count && plants.All(plant => kept.Find(plant.Tag) is not null)
            ? kept.With([.. plants.Select(plant => kept.Assessed(plant.On(kept.Day)))])
            : await ReadAgainAsync(kept, written);
    }

    /// <summary>Reads all but the journals that were not touched, which are most of it.</summary>
    async Task<GardenDay?> ReadAgainAsync(GardenDay kept, WrittenAct written)
    {
        var record = await store.ReadAsync(readingsSince: DateTimeOffset.MaxValue, acts: false, entriesOf: written.Plants);
        if (record is null)
            return null;
        var read = record with
        {
            Plants = [.. record.Plants.Select(WithEntries)],
            Shelf = Says(record.Shelf) == Says(kept.Shelf) ? kept.Shelf : record.Shelf,
        };
        var day = clock.Today(read.Garden);
        return new(read, day, await places.WeathersAsync(read, day), kept);

        static string Says(Shelf shelf) => GardenFileWriter.Write(new(Garden.Unnamed, [], [], [], []) { Shelf = shelf });

        Plant WithEntries(Plant plant) =>
            plant.Entries.Count == 0 && kept.Find(plant.Tag) is { } known ? plant with { Entries = known.Plant.Entries } : plant;
    }

    /// <summary>A plant on another day, with the weather of that day.</summary>
    public async Task<Assessment> OnDayAsync(GardenDay kept, Plant plant, DateOnly day)
    {
        if (day == kept.Day)
            return kept.Find(plant.Tag)!;
        plant = plant.On(day);
        var calendar = places.CalendarOf(kept.Garden);
        var record = plant.Place is { } code
            ? PlaceRecord.Of(calendar, await store.ReadingsAsync(code, Midnight(day.AddDays(-Weather.Kept - 1)), Midnight(day.AddDays(1))))
            : PlaceRecord.Empty;
        var ahead = plant.Place is { } place ? PlaceAhead.Read(place, day, record, kept.Forecast) : PlaceAhead.None;
        return kept.Assessor.Assess(
            plant,
            kept.Around(plant) with
            {
                Weather = Weather.Of(record, ahead, day, kept.PlaceOf(plant)),
                CameFrom = null,
            },
            day
        );

        DateTimeOffset Midnight(DateOnly of) => new(calendar.Of(of).From, TimeSpan.Zero);
    }

    /// <summary>Forgets everything, after the garden, a place or the weather changed.</summary>
    public void Forget()
    {
        Interlocked.Increment(ref forgotten);
        Interlocked.Increment(ref gardenChanged);
        places.Drop([]);
        today = null;
    }
}
