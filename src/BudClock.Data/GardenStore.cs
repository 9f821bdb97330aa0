using BudClock.Core.Journal;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>Reads and writes the garden. What a method has returned from is on disk.</summary>
public sealed class GardenStore(IDbContextFactory<GardenDb> databases)
{
    /// <summary>The whole garden; null before it has been set up.</summary>
    /// <param name="readingsSince">Leave out older readings; all by default.</param>
    public async Task<GardenRecord?> ReadAsync(DateTimeOffset? readingsSince = null)
    {
        await using var db = await databases.CreateDbContextAsync();
        if (await db.Gardens.AsNoTracking().SingleOrDefaultAsync() is not { } garden) return null;
        var places = await db.Places.AsNoTracking().OrderBy(p => p.Position).ToListAsync();
        var plants = await db.Plants.AsNoTracking().Include(p => p.Place).OrderBy(p => p.Tag).ToListAsync();
        var organs = (await db.Organs.AsNoTracking().ToListAsync()).ToLookup(o => o.PlantId);
        var entries = await EntryReader.ReadAllAsync(db);
        var codes = places.ToDictionary(p => p.Id, p => p.Code);
        var since = readingsSince?.UtcTicks ?? 0;
        var readings = await db.Readings.AsNoTracking().Where(r => r.At >= since).OrderBy(r => r.PlaceId).ThenBy(r => r.At).ToListAsync();
        var forecast = await db.Forecast.AsNoTracking().OrderBy(f => f.PlaceId).ThenBy(f => f.On).ToListAsync();
        return new(
            garden.ToGarden(),
            [.. places.Select(p => p.ToPlace())],
            [.. plants.Select(p => p.ToPlant(organs[p.Id], entries.GetValueOrDefault(p.Id) ?? []))],
            [.. readings.Select(r => new ClimateReading(codes[r.PlaceId], new(r.At, TimeSpan.Zero), r.TemperatureC, r.HumidityPct))],
            [.. forecast.Select(f => new ForecastDay(codes[f.PlaceId], f.On, f.MinC, f.MaxC))]);
    }

    /// <summary>One plant, by tag in any case; null when there is none.</summary>
    public async Task<Plant?> ReadPlantAsync(string tag)
    {
        await using var db = await databases.CreateDbContextAsync();
        var row = await db.Plants.AsNoTracking().Include(p => p.Place).Include(p => p.Organs).Include(p => p.Entries)
            .AsSplitQuery().FirstOrDefaultAsync(p => p.Tag == tag);
        return row?.ToPlant(row.Organs, [.. row.Entries.OrderBy(e => e.Logged).ThenBy(e => e.Id).Select(Mapping.ToEntry)]);
    }

    /// <summary>The readings of a place between two moments.</summary>
    public async Task<IReadOnlyList<ClimateReading>> ReadingsAsync(string place, DateTimeOffset from, DateTimeOffset to)
    {
        await using var db = await databases.CreateDbContextAsync();
        var (start, end) = (from.UtcTicks, to.UtcTicks);
        var rows = await db.Readings.AsNoTracking().Where(r => r.Place!.Code == place && r.At >= start && r.At <= end).ToListAsync();
        return [.. rows.Select(r => new ClimateReading(place, new(r.At, TimeSpan.Zero), r.TemperatureC, r.HumidityPct))];
    }

    public async Task SaveGardenAsync(Garden garden)
    {
        await using var db = await databases.CreateDbContextAsync();
        var row = await db.Gardens.SingleOrDefaultAsync();
        if (row is null) db.Gardens.Add(row = new GardenRow { Name = garden.Name });
        row.Take(garden);
        await db.SaveChangesAsync();
    }

    /// <summary>Adds a place at the end of the walk, or changes the one of that code.</summary>
    public async Task SavePlaceAsync(Place place)
    {
        await using var db = await databases.CreateDbContextAsync();
        if (await db.Places.FirstOrDefaultAsync(p => p.Code == place.Code) is { } row)
            (row.Name, row.Setting) = (place.Name, place.Setting);
        else
            db.Places.Add(new() { Code = place.Code, Name = place.Name, Setting = place.Setting, Position = await db.Places.CountAsync() });
        await db.SaveChangesAsync();
    }

    /// <summary>Moves a place one step earlier or later in the walk.</summary>
    public async Task MovePlaceAsync(string code, int step)
    {
        await using var db = await databases.CreateDbContextAsync();
        var places = await db.Places.OrderBy(p => p.Position).ToListAsync();
        var from = places.FindIndex(p => string.Equals(p.Code, code, StringComparison.OrdinalIgnoreCase));
        var to = from + step;
        if (from < 0 || to < 0 || to >= places.Count) return;
        (places[from], places[to]) = (places[to], places[from]);
        foreach (var (index, place) in places.Index()) place.Position = index;
        await db.SaveChangesAsync();
    }

    /// <summary>Adds a plant, or changes the one of that tag. Its journal and organs are left as they are.</summary>
    public async Task SavePlantAsync(Plant plant)
    {
        await using var db = await databases.CreateDbContextAsync();
        var row = await db.Plants.FirstOrDefaultAsync(p => p.Tag == plant.Tag);
        if (row is null) db.Plants.Add(row = new PlantRow { Tag = plant.Tag });
        var placeId = await db.Places.Where(p => p.Code == plant.Place).Select(p => (int?)p.Id).FirstOrDefaultAsync();
        row.Take(plant, placeId);
        await db.SaveChangesAsync();
    }

    public async Task SaveReadingAsync(ClimateReading reading) => await SaveReadingsAsync([reading]);

    /// <summary>Adds readings; one that is already there for its place and time is replaced.</summary>
    public async Task SaveReadingsAsync(IReadOnlyList<ClimateReading> readings)
    {
        await using var db = await databases.CreateDbContextAsync();
        var places = await db.Places.ToDictionaryAsync(p => p.Code, p => p.Id);
        foreach (var reading in readings)
        {
            var (place, at) = (places[reading.Place], reading.At.UtcTicks);
            var row = await db.Readings.FirstOrDefaultAsync(r => r.PlaceId == place && r.At == at);
            if (row is null) db.Readings.Add(row = new() { PlaceId = place, At = at });
            (row.TemperatureC, row.HumidityPct) = (reading.TemperatureC, reading.HumidityPct);
        }
        await db.SaveChangesAsync();
    }

    /// <summary>Writes entries into plants' journals by tag, all or none.</summary>
    /// <returns>False when there is no plant of one of the tags.</returns>
    public async Task<bool> LogAsync(IReadOnlyDictionary<string, IReadOnlyList<Entry>> entriesByTag)
    {
        await using var db = await databases.CreateDbContextAsync();
        var tags = entriesByTag.Keys.ToList();
        var plants = await db.Plants.Where(p => tags.Contains(p.Tag)).ToDictionaryAsync(p => p.Tag, p => p.Id, StringComparer.OrdinalIgnoreCase);
        if (plants.Count < tags.Count) return false;
        foreach (var (tag, entries) in entriesByTag)
            foreach (var entry in entries)
            {
                var row = entry.ToRow();
                row.PlantId = plants[tag];
                db.Entries.Add(row);
            }
        await db.SaveChangesAsync();
        return true;
    }

    /// <summary>Strikes or restores one entry of a plant.</summary>
    /// <returns>False when the plant has no such entry.</returns>
    public async Task<bool> StrikeAsync(string tag, Guid entry, bool struck)
    {
        await using var db = await databases.CreateDbContextAsync();
        var plants = db.Plants.Where(p => p.Tag == tag).Select(p => p.Id);
        return await db.Entries.Where(e => e.Id == entry && plants.Contains(e.PlantId))
            .ExecuteUpdateAsync(set => set.SetProperty(e => e.Struck, struck)) == 1;
    }

    /// <summary>Strikes the entries of the newest act that stands and was logged since a moment.</summary>
    /// <returns>The tags of the plants it was about; empty when there was nothing to undo.</returns>
    public async Task<IReadOnlyList<string>> UndoAsync(DateTimeOffset since)
    {
        await using var db = await databases.CreateDbContextAsync();
        var act = await db.Entries.Where(e => !e.Struck && e.Act != Guid.Empty && e.Logged >= since.UtcTicks)
            .OrderByDescending(e => e.Act).Select(e => (Guid?)e.Act).FirstOrDefaultAsync(); // version 7: ordered by time
        if (act is null) return [];
        var tags = await db.Plants.Where(p => p.Entries.Any(e => e.Act == act)).Select(p => p.Tag).ToListAsync();
        await db.Entries.Where(e => e.Act == act).ExecuteUpdateAsync(set => set.SetProperty(e => e.Struck, true));
        return tags;
    }

    /// <summary>Whether the database can be written.</summary>
    public async Task<bool> CanWriteAsync()
    {
        await using var db = await databases.CreateDbContextAsync();
        await using var transaction = await db.Database.BeginTransactionAsync();
        await db.Database.ExecuteSqlRawAsync("PRAGMA user_version = 0;");
        await transaction.RollbackAsync();
        return true;
    }
}
