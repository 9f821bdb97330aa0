using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using BudClock.Core.Formats;
using BudClock.Core.Mixing;
using BudClock.Data;

namespace BudClock.Web;

/// <summary>
/// The garden as it stands today, kept in memory. A plant's assessment is dropped when its journal changes, all of them
/// when the day, the weather or the garden does; a note on one plant recomputes one plant.
/// </summary>
public sealed class TodaysGarden(GardenStore store, Clock clock)
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

    /// <summary>Brings the garden in memory up to what was just written, and drops only what that touches.</summary>
    /// <param name="assessed">The plants of a note as they are now, so that they need not be read and assessed again.</param>
    public async Task TakeInAsync(WrittenAct written, IReadOnlyList<Assessment>? assessed)
    {
        Interlocked.Increment(ref forgotten);
        if (today is not { } kept)
            return;
        await gate.WaitAsync();
        try
        {
            if (written.Wide || written.Plants.Count > Few)
                today = await ReadAgainAsync(kept, written);
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
        var record = await store.ReadAsync(clock.GetUtcNow() - Spoken, acts: false, entriesOf: written.Plants);
        if (record is null)
            return null;
        var means = await store.DailyMeansAsync(clock.GetUtcNow() - Remembered);
        var read = record with
        {
            Plants = [.. record.Plants.Select(WithEntries)],
            Shelf = Says(record.Shelf) == Says(kept.Shelf) ? kept.Shelf : record.Shelf,
        };
        return new(read, clock.Today(read.Garden), means, kept);

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
