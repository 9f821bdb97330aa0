using BudClock.Core.Formats;
using BudClock.Core.Mixing;
using BudClock.Data;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Bench;

/// <summary>
/// A small nursery, 2,000 plants with 150 entries each unless told otherwise, 20 places with a year of hourly readings. Made up, the
/// same each time.
/// </summary>
static class LargeGarden
{
    public const string Seed = "--seed";
    const int Places = 20;

    static readonly string[] Taxa =
    [
        "Catasetum integerrimum",
        "Calanthe vestita",
        "Lycaste aromatica",
        "Mormodes buccinator",
        "Hoya carnosa",
        "Clivia miniata",
        "Streptocarpus caulescens",
    ];

    /// <summary>A million readings in all: hourly ones of nearly six years at each place.</summary>
    const int Hours = 50_000;

    public static async Task SeedAsync(string folder, DateOnly day, int plants, int entriesEach)
    {
        Console.WriteLine($"Seeding a large garden in {folder} ...");
        Directory.CreateDirectory(folder);
        await using var services = new ServiceCollection().AddGarden(folder).BuildServiceProvider();
        await GardenFolder.PrepareAsync(services.GetRequiredService<IDbContextFactory<GardenDb>>(), folder, Console.WriteLine);
        var places = Enumerable.Range(1, Places).Select(n => new Place($"place-{n}", $"Place {n}", "glasshouse")).ToList();
        var garden = new GardenRecord(
            new("Bench", 51.5, 0.7, "Europe/London"),
            places,
            [.. Enumerable.Range(1, plants).Select(n => Plant(n, day, entriesEach))],
            [.. places.SelectMany(place => Readings(place.Code, day))],
            [.. Forecasts(day)]
        )
        {
            Devices = [new("bench", "Bench sensor", "place-1", Device.Http)],
            Shelf = ExampleShelf.Shelf,
        };
        var plan = new ImportPlan(new(Garden.Unnamed, [], [], [], []), garden, ImportWay.Add, GardenToo: true);
        await services
            .GetRequiredService<GardenWriter>()
            .WriteAsync(new(Guid.CreateVersion7(), "bench", DateTimeOffset.UnixEpoch, "a large garden"), ImportRows.Take(plan));
    }

    /// <summary>A plant with about three years of log that ends waking, growing or at rest.</summary>
    public static Plant Plant(int number, DateOnly day, int entries)
    {
        var random = new Random(number);
        var log = Enumerable.Range(0, entries).Select(i => Entry(random, day.AddDays(-(entries - i) * 7), day, i)).ToList();
        return new()
        {
            Tag = $"P-{number:0000}",
            Name = $"Plant {number}",
            Taxon = Taxa[number % Taxa.Length],
            Place = $"place-{(number % Places) + 1}",
            Pot = new(10, 10, "plastic"),
            Medium = "bark",
            Entries = log,
        };
    }

    static Entry Entry(Random random, DateOnly on, DateOnly day, int index)
    {
        // A year: growth from April, roots from May, water until October, leaves gone in November.
        var (kind, amount, text) = (on.Month, index % 4) switch
        {
            (4, 0) => (EntryKinds.GrowthStarted, (Quantity?)null, (string?)null),
            (4 or 5, 1) => (EntryKinds.RootLength, new Quantity(1 + ((on.Day + (on.Month * 30)) % 60 / 5.0), Unit.Cm), null),
            (11, 0) => (EntryKinds.LeavesGone, null, null),
            (5, 2) => (EntryKinds.Bulbs, null, "wrinkled"),
            (>= 6 and <= 10, _) => (EntryKinds.Watered, new Quantity(random.Next(100, 500), Unit.Ml), null),
            (12 or 1 or 2 or 3, _) => (EntryKinds.Note, null, "looked at it, nothing to do"),
            _ => (EntryKinds.GrowthHeight, new Quantity(random.Next(10, 200) / 10.0, Unit.Cm), null),
        };
        return new()
        {
            Id = Guid.CreateVersion7(),
            On = on > day ? day : on,
            Kind = kind,
            Amount = amount,
            Text = text,
            Logged = new(on, new(18, 0), TimeSpan.Zero),
            Act = Guid.CreateVersion7(),
        };
    }

    static IEnumerable<ClimateReading> Readings(string place, DateOnly day)
    {
        var end = new DateTimeOffset(day, new(12, 0), TimeSpan.Zero);
        for (var hour = 0; hour < Hours; hour++)
            yield return new(place, end.AddHours(-hour), 14 + (6 * Math.Sin(hour / 24.0 * 2 * Math.PI)), 70);
    }

    /// <summary>A year of what was forecast the day before, and the two weeks to come.</summary>
    static IEnumerable<ForecastDay> Forecasts(DateOnly day) =>
        Enumerable
            .Range(-365, 365 + 14)
            .Select(n => new ForecastDay(null, day.AddDays(n), 12 + (n % 5), 20 + (n % 7)) { Made = n > 0 ? day : day.AddDays(n - 1) });
}
