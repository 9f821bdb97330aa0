using BudClock.Core.Climate;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>What is written into one plant's journal in one act.</summary>
public sealed record PlantEntries(string Tag, IReadOnlyList<Entry> Entries, IReadOnlyList<Organ> Organs);

/// <summary>Reads and writes the garden. What a method has returned from is on disk.</summary>
public sealed class GardenStore(IDbContextFactory<GardenDb> databases)
{
    /// <summary>The whole garden; null before it has been set up.</summary>
    /// <param name="readingsSince">Leave out older readings; all by default.</param>
    /// <param name="acts">Read which entries were written in one act; only an export needs that.</param>
    public async Task<GardenRecord?> ReadAsync(DateTimeOffset? readingsSince = null, bool acts = true)
    {
        await using var db = await databases.CreateDbContextAsync();
        if (await db.Gardens.AsNoTracking().SingleOrDefaultAsync() is not { } garden)
            return null;
        // The entries are most of it, and SQLite answers where it is called: they are read on all cores, beside the rest.
        // An export reads them in one piece, so that no act is in it by half.
        var readers = acts ? 1 : Readers;
        var reading = Task.WhenAll(Enumerable.Range(0, readers).Select(share => Task.Run(() => EntriesAsync(acts, readers, share))));
        var places = await db.Places.AsNoTracking().OrderBy(p => p.Position).ToListAsync();
        var plants = await db.Plants.AsNoTracking().Include(p => p.Place).OrderBy(p => p.Tag).ToListAsync();
        var organs = (await db.Organs.AsNoTracking().ToListAsync()).ToLookup(o => o.PlantId);
        var forecasts = (await db.ForecastsKept.AsNoTracking().ToListAsync()).ToLookup(f => f.PlantId);
        var codes = places.ToDictionary(p => p.Id, p => p.Code);
        var since = readingsSince?.UtcTicks ?? 0;
        var readings = await db.Readings.AsNoTracking().Where(r => r.At >= since).OrderBy(r => r.PlaceId).ThenBy(r => r.At).ToListAsync();
        var forecast = await db.Forecast.AsNoTracking().OrderBy(f => f.PlaceId).ThenBy(f => f.On).ToListAsync();
        var entries = (await reading).SelectMany(plants => plants).ToDictionary();
        return new(
            garden.ToGarden(),
            [.. places.Select(p => p.ToPlace())],
            [.. plants.Select(p => p.ToPlant(organs[p.Id], forecasts[p.Id], entries.GetValueOrDefault(p.Id) ?? []))],
            [.. readings.Select(r => new ClimateReading(codes[r.PlaceId], new(r.At, TimeSpan.Zero), r.TemperatureC, r.HumidityPct))],
            [.. forecast.Select(f => new ForecastDay(codes[f.PlaceId], f.On, f.MinC, f.MaxC))]
        )
        {
            Vessels =
            [
                .. (await db.Vessels.AsNoTracking().OrderBy(v => v.Name).ToListAsync()).Select(v => new Vessel(
                    v.Code,
                    v.Name,
                    v.Kind,
                    v.Place
                )),
            ],
            Shelf = await ShelfStore.ReadAsync(db),
            SheetChanges = [.. (await db.SheetChanges.AsNoTracking().OrderBy(c => c.Id).ToListAsync()).Select(Mapping.ToChange)],
        };
    }

    static readonly int Readers = Math.Clamp(Environment.ProcessorCount, 1, 4);

    async Task<Dictionary<int, List<Entry>>> EntriesAsync(bool acts, int readers, int share)
    {
        await using var db = await databases.CreateDbContextAsync();
        return await EntryReader.ReadAllAsync(db, acts, readers, share);
    }

    /// <summary>One plant, by tag in any case; null when there is none.</summary>
    public async Task<Plant?> ReadPlantAsync(string tag)
    {
        await using var db = await databases.CreateDbContextAsync();
        var row = await db
            .Plants.AsNoTracking()
            .Include(p => p.Place)
            .Include(p => p.Organs)
            .Include(p => p.Forecasts)
            .Include(p => p.Entries)
            .AsSplitQuery()
            .FirstOrDefaultAsync(p => p.Tag == tag);
        return row?.ToPlant(row.Organs, row.Forecasts, [.. row.Entries.OrderBy(e => e.Logged).ThenBy(e => e.Id).Select(Mapping.ToEntry)]);
    }

    /// <summary>The readings of a place between two moments.</summary>
    public async Task<IReadOnlyList<ClimateReading>> ReadingsAsync(string place, DateTimeOffset from, DateTimeOffset to)
    {
        await using var db = await databases.CreateDbContextAsync();
        var (start, end) = (from.UtcTicks, to.UtcTicks);
        var rows = await db.Readings.AsNoTracking().Where(r => r.Place!.Code == place && r.At >= start && r.At <= end).ToListAsync();
        return [.. rows.Select(r => new ClimateReading(place, new(r.At, TimeSpan.Zero), r.TemperatureC, r.HumidityPct))];
    }

    sealed record MeanRow(int PlaceId, long Hour, double TemperatureC, double HumidityPct, int Readings);

    /// <summary>
    /// The mean temperature and humidity of each garden day at each place, from a moment on, right across both changes of clock.
    /// </summary>
    public async Task<IReadOnlyList<DailyMean>> DailyMeansAsync(DateTimeOffset from)
    {
        await using var db = await databases.CreateDbContextAsync();
        if (await db.Gardens.AsNoTracking().SingleOrDefaultAsync() is not { } known)
            return [];
        var garden = known.ToGarden();
        var codes = await db.Places.AsNoTracking().ToDictionaryAsync(p => p.Id, p => p.Code);
        var (start, ticksAnHour) = (from.UtcTicks, TimeSpan.TicksPerHour);
        var rows = await db
            .Database.SqlQuery<MeanRow>(
                $"""
                SELECT PlaceId, At / {ticksAnHour} AS Hour,
                    AVG(TemperatureC) AS TemperatureC, AVG(HumidityPct) AS HumidityPct, COUNT(*) AS Readings
                FROM Readings WHERE At >= {start} AND TemperatureC IS NOT NULL AND HumidityPct IS NOT NULL GROUP BY PlaceId, Hour
                """
            )
            .ToListAsync();
        var days = rows.Select(row => row.Hour)
            .Distinct()
            .ToDictionary(hour => hour, hour => garden.DayAt(new(hour * ticksAnHour, TimeSpan.Zero)));
        return
        [
            .. from row in rows
            group row by (row.PlaceId, Day: days[row.Hour]) into day
            let count = day.Sum(row => row.Readings)
            select new DailyMean(
                codes[day.Key.PlaceId],
                day.Key.Day,
                day.Sum(row => row.TemperatureC * row.Readings) / count,
                day.Sum(row => row.HumidityPct * row.Readings) / count
            ),
        ];
    }

    public async Task SaveGardenAsync(Garden garden)
    {
        await using var db = await databases.CreateDbContextAsync();
        var row = await db.Gardens.SingleOrDefaultAsync();
        if (row is null)
            db.Gardens.Add(row = new GardenRow { Name = garden.Name });
        row.Take(garden);
        await db.SaveChangesAsync();
    }

    /// <summary>Adds a place at the end of the walk, or changes the one of that code.</summary>
    public async Task SavePlaceAsync(Place place)
    {
        await using var db = await databases.CreateDbContextAsync();
        if (await db.Places.FirstOrDefaultAsync(p => p.Code == place.Code) is { } row)
            (row.Name, row.Setting, row.LampHours) = (place.Name, place.Setting, place.LampHours);
        else
            db.Places.Add(
                new()
                {
                    Code = place.Code,
                    Name = place.Name,
                    Setting = place.Setting,
                    LampHours = place.LampHours,
                    Position = await db.Places.CountAsync(),
                }
            );
        await db.SaveChangesAsync();
    }

    /// <summary>Moves a place one step earlier or later in the walk.</summary>
    public async Task MovePlaceAsync(string code, int step)
    {
        await using var db = await databases.CreateDbContextAsync();
        var places = await db.Places.OrderBy(p => p.Position).ToListAsync();
        var from = places.FindIndex(p => string.Equals(p.Code, code, StringComparison.OrdinalIgnoreCase));
        var to = from + step;
        if (from < 0 || to < 0 || to >= places.Count)
            return;
        (places[from], places[to]) = (places[to], places[from]);
        foreach (var (index, place) in places.Index())
            place.Position = index;
        await db.SaveChangesAsync();
    }

    /// <summary>Adds a plant, or changes the one of that tag. Its journal and organs are left as they are.</summary>
    /// <returns>False, with nothing changed, when it was changed since it was read: its version has moved on.</returns>
    public async Task<bool> SavePlantAsync(Plant plant, params IReadOnlyList<Entry> entries)
    {
        await using var db = await databases.CreateDbContextAsync();
        var row = await db.Plants.FirstOrDefaultAsync(p => p.Tag == plant.Tag);
        if (row is null)
            db.Plants.Add(row = new PlantRow { Tag = plant.Tag });
        if (row.Version != plant.Version)
            return false;
        var placeId = await db.Places.Where(p => p.Code == plant.Place).Select(p => (int?)p.Id).FirstOrDefaultAsync();
        row.Take(plant, placeId);
        Add(db, row, entries);
        try
        {
            await db.SaveChangesAsync();
            return true;
        }
        catch (DbUpdateConcurrencyException)
        {
            return false;
        }
    }

    /// <summary>Adds a tray, reservoir or cover pot, or changes the one of that code, and says which plants stand in it.</summary>
    public async Task SaveVesselAsync(Vessel vessel, IReadOnlyCollection<string> tags)
    {
        await using var db = await databases.CreateDbContextAsync();
        var row = await db.Vessels.FirstOrDefaultAsync(v => v.Code == vessel.Code);
        if (row is null)
            db.Vessels.Add(
                row = new()
                {
                    Code = vessel.Code,
                    Name = vessel.Name,
                    Kind = vessel.Kind,
                }
            );
        (row.Name, row.Kind, row.Place) = (vessel.Name, vessel.Kind, vessel.Place);
        foreach (var plant in await db.Plants.Where(p => p.Vessel == vessel.Code || tags.Contains(p.Tag)).ToListAsync())
            (plant.Vessel, plant.Version) = (tags.Contains(plant.Tag) ? vessel.Code : null, plant.Version + 1);
        await db.SaveChangesAsync();
    }

    /// <summary>Keeps a change of a culture sheet in place of an older one of the same thing.</summary>
    public async Task SaveSheetChangeAsync(SheetChange change)
    {
        await using var db = await databases.CreateDbContextAsync();
        await RemoveSheetChangeAsync(db, change);
        db.SheetChanges.Add(change.ToRow());
        await db.SaveChangesAsync();
    }

    /// <summary>Goes back to what the sheet says.</summary>
    public async Task RemoveSheetChangeAsync(SheetChange change)
    {
        await using var db = await databases.CreateDbContextAsync();
        await RemoveSheetChangeAsync(db, change);
    }

    static Task<int> RemoveSheetChangeAsync(GardenDb db, SheetChange change) =>
        db.SheetChanges.Where(c => c.Sheet == change.Sheet && c.Plant == change.Plant && c.Name == change.Name).ExecuteDeleteAsync();

    /// <summary>Puts a plant into another place.</summary>
    public async Task MovePlantAsync(string tag, string place)
    {
        await using var db = await databases.CreateDbContextAsync();
        var row = await db.Plants.FirstOrDefaultAsync(p => p.Tag == tag);
        var to = await db.Places.Where(p => p.Code == place).Select(p => (int?)p.Id).FirstOrDefaultAsync();
        if (row is null || to is null || row.PlaceId == to)
            return;
        (row.PlaceId, row.Version) = (to, row.Version + 1);
        await db.SaveChangesAsync();
    }

    /// <summary>Declares an organ, or changes the one of that id.</summary>
    public async Task<bool> SaveOrganAsync(string tag, Organ organ)
    {
        await using var db = await databases.CreateDbContextAsync();
        if (await db.Plants.Include(p => p.Organs).FirstOrDefaultAsync(p => p.Tag == tag) is not { } plant)
            return false;
        if (plant.Organs.FirstOrDefault(o => o.Key == organ.Id) is { } known)
            (known.Label, known.Parent) = (organ.Label, organ.Parent);
        else
            plant.Organs.Add(organ.ToRow());
        await db.SaveChangesAsync();
        return true;
    }

    /// <summary>Keeps forecasts as they were made; the last one of a day stands for it.</summary>
    public async Task KeepForecastsAsync(string tag, IReadOnlyList<Forecast> forecasts)
    {
        await using var db = await databases.CreateDbContextAsync();
        var plant = await db.Plants.Where(p => p.Tag == tag).Select(p => p.Id).FirstAsync();
        foreach (var row in forecasts.Select(Mapping.ToRow))
        {
            row.PlantId = plant;
            await db
                .ForecastsKept.Where(f => f.PlantId == plant && f.Of == row.Of && f.Organ == row.Organ && f.Made == row.Made)
                .ExecuteDeleteAsync();
            db.ForecastsKept.Add(row);
        }
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
            if (row is null)
                db.Readings.Add(row = new() { PlaceId = place, At = at });
            (row.TemperatureC, row.HumidityPct) = (reading.TemperatureC, reading.HumidityPct);
        }
        await db.SaveChangesAsync();
    }

    /// <summary>Writes entries, and the organs that they start, into plants' journals by tag, all or none.</summary>
    /// <returns>False when there is no plant of one of the tags.</returns>
    public async Task<bool> LogAsync(IReadOnlyList<PlantEntries> written)
    {
        await using var db = await databases.CreateDbContextAsync();
        var tags = written.Select(w => w.Tag).ToList();
        var plants = await db.Plants.Where(p => tags.Contains(p.Tag)).ToDictionaryAsync(p => p.Tag, StringComparer.OrdinalIgnoreCase);
        if (plants.Count < tags.Count)
            return false;
        foreach (var (tag, entries, organs) in written)
        {
            var plant = plants[tag];
            Add(db, plant, entries);
            plant.Organs.AddRange(organs.Select(Mapping.ToRow));
        }
        await db.SaveChangesAsync();
        return true;
    }

    static void Add(GardenDb db, PlantRow plant, IEnumerable<Entry> entries)
    {
        foreach (var entry in entries)
        {
            plant.Entries.Add(entry.ToRow());
            db.Entry(plant.Entries[^1]).State = EntityState.Added; // its key is set already
        }
    }

    /// <summary>Strikes or restores one entry of a plant.</summary>
    /// <returns>False when the plant has no such entry.</returns>
    public async Task<bool> StrikeAsync(string tag, Guid entry, bool struck)
    {
        await using var db = await databases.CreateDbContextAsync();
        var plants = db.Plants.Where(p => p.Tag == tag).Select(p => p.Id);
        return await db
                .Entries.Where(e => e.Id == entry && plants.Contains(e.PlantId))
                .ExecuteUpdateAsync(set => set.SetProperty(e => e.Struck, struck)) == 1;
    }

    /// <summary>Strikes the entries of the newest act that stands and was logged since a moment.</summary>
    /// <returns>The tags of the plants it was about; empty when there was nothing to undo.</returns>
    public async Task<IReadOnlyList<string>> UndoAsync(DateTimeOffset since)
    {
        await using var db = await databases.CreateDbContextAsync();
        var act = await db
            .Entries.Where(e => !e.Struck && e.Act != Guid.Empty && e.Logged >= since.UtcTicks)
            .OrderByDescending(e => e.Act)
            .Select(e => (Guid?)e.Act)
            .FirstOrDefaultAsync(); // version 7: ordered by time
        if (act is null)
            return [];
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
