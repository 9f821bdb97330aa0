using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>What is written into one plant's journal in one act.</summary>
public sealed record PlantEntries(string Tag, IReadOnlyList<Entry> Entries, IReadOnlyList<Organ> Organs)
{
    /// <summary>What is forecast of the plant once they are written, where that is new.</summary>
    public IReadOnlyList<Forecast> Forecasts { get; init; } = [];
}

/// <summary>An act that was written, for the list of the last ones.</summary>
public sealed record ActDone(Guid Id, DateTimeOffset At, string Words, bool Undone);

/// <summary>A device with what is kept of it besides.</summary>
/// <param name="TokenHash">The hash of its token; null for one that has none.</param>
/// <param name="Layout">How its file is read, as JSON; null until one was.</param>
public sealed record DeviceKept(Device Device, string? TokenHash, string? Layout);

/// <summary>Reads the garden.</summary>
public sealed class GardenStore(IDbContextFactory<GardenDb> databases)
{
    static readonly int Readers = Math.Clamp(Environment.ProcessorCount, 1, 4);

    /// <summary>The whole garden; null before it has been set up. What cannot be read is named in it and left out.</summary>
    /// <param name="readingsSince">Leave out older readings; all by default, none at the end of time.</param>
    /// <param name="acts">
    /// For an export: which entries were written in one act, and all of it as it stood at one moment. Without, entries are read on
    /// all cores.
    /// </param>
    /// <param name="entriesOf">Only the entries of these plants, by key; all by default.</param>
    /// <param name="places">Told of the garden, its places and forecasts as soon as they are read, while the plants still are.</param>
    public async Task<GardenRecord?> ReadAsync(
        DateTimeOffset? readingsSince = null,
        bool acts = true,
        IReadOnlyCollection<int>? entriesOf = null,
        Action<GardenRecord>? places = null
    )
    {
        await using var db = await databases.CreateDbContextAsync();
        await using var snapshot = acts ? await Rows.SnapshotAsync(db) : null;
        var unread = new List<string>();
        if ((await Rows.ReadAsync(db, db.Gardens.AsNoTracking(), unread)).FirstOrDefault() is not { } garden)
            return null;
        // SQLite answers where it is called: entries, which are most of it, are read beside the rest.
        var reading =
            acts ? new EntryReader(db, unread).ReadAllAsync(acts, 1, 0)
            : entriesOf is null ? EntriesAsync(unread)
            : new EntryReader(db, unread).ReadAsync(entriesOf);
        if (acts || entriesOf is not null)
            await reading;
        var rows = await Rows.ReadAsync(db, db.Places.AsNoTracking().OrderBy(p => p.Position), unread);
        var codes = rows.ToDictionary(p => p.Id, p => p.Code);
        var around = new GardenRecord(
            garden.ToGarden(),
            [.. rows.Select(p => p.ToPlace())],
            [],
            [],
            await ForecastAsync(db, codes, unread)
        );
        places?.Invoke(around);
        var plants = await Rows.ReadAsync(db, db.Plants.AsNoTracking().OrderBy(p => p.Tag), unread);
        var organs = (await Rows.ReadAsync(db, db.Organs.AsNoTracking(), unread)).ToLookup(o => o.PlantId);
        var forecasts = (await Rows.ReadAsync(db, db.ForecastsKept.AsNoTracking(), unread)).ToLookup(f => f.PlantId);
        var since = readingsSince?.UtcTicks ?? 0;
        var readings =
            readingsSince is { } moment && moment == DateTimeOffset.MaxValue ? [] : await ReadingReader.ReadAsync(db, codes, since);
        var devices = await Rows.ReadAsync(db, db.Devices.AsNoTracking().OrderBy(d => d.Code), unread);
        var vessels = await Rows.ReadAsync(db, db.Vessels.AsNoTracking().OrderBy(v => v.Name), unread);
        var sheets = await Rows.ReadAsync(db, db.SheetChanges.AsNoTracking().OrderBy(c => c.Id), unread);
        var programmes = await Rows.ReadAsync(db, db.Programmes.AsNoTracking().OrderBy(p => p.Name), unread);
        var shelf = await ShelfRows.ReadAsync(db, unread);
        var shed = await ShedRows.ReadAsync(db, unread);
        var entries = await reading;
        return around with
        {
            Plants =
            [
                .. plants.Select(p => p.ToPlant(Code(p, codes), organs[p.Id], forecasts[p.Id], entries.GetValueOrDefault(p.Id) ?? [])),
            ],
            Readings = readings,
            Devices = [.. devices.Select(d => d.ToDevice())],
            Vessels = [.. vessels.Select(v => new Vessel(v.Code, v.Name, v.Kind, v.Place))],
            Shelf = shelf,
            Shed = shed,
            SheetChanges = [.. sheets.Select(Mapping.ToChange)],
            Programmes = [.. programmes.Select(p => new OwnProgramme(p.Name, p.Yaml))],
            Unread = unread,
        };
    }

    /// <summary>All forecasts, as they were made.</summary>
    public async Task<IReadOnlyList<ForecastDay>> ForecastAsync()
    {
        await using var db = await databases.CreateDbContextAsync();
        return await ForecastAsync(db, await db.Places.AsNoTracking().ToDictionaryAsync(p => p.Id, p => p.Code), []);
    }

    static async Task<IReadOnlyList<ForecastDay>> ForecastAsync(GardenDb db, Dictionary<int, string> codes, List<string> unread)
    {
        var rows = await Rows.ReadAsync(
            db,
            db.Forecast.AsNoTracking().OrderBy(f => f.PlaceId).ThenBy(f => f.On).ThenBy(f => f.Made),
            unread
        );
        return
        [
            .. rows.Where(f => f.PlaceId is null || codes.ContainsKey(f.PlaceId.Value))
                .Select(f => f.ToForecast(f.PlaceId is { } place ? codes[place] : null)),
        ];
    }

    static string? Code(PlantRow plant, Dictionary<int, string> codes) =>
        plant.PlaceId is { } place ? codes.GetValueOrDefault(place) : null;

    async Task<Dictionary<int, List<Entry>>> EntriesAsync(List<string> unread)
    {
        var shares = await Task.WhenAll(
            Enumerable
                .Range(0, Readers)
                .Select(share =>
                    Task.Run(async () =>
                    {
                        await using var db = await databases.CreateDbContextAsync();
                        return await new EntryReader(db, unread).ReadAllAsync(acts: false, Readers, share);
                    })
                )
        );
        return shares.SelectMany(plants => plants).ToDictionary();
    }

    /// <summary>One plant, by tag in any case; null when there is none.</summary>
    public async Task<Plant?> ReadPlantAsync(string tag)
    {
        await using var db = await databases.CreateDbContextAsync();
        return await db.Plants.Where(p => p.Tag == tag).Select(p => (int?)p.Id).FirstOrDefaultAsync() is { } key
            ? (await PlantsAsync([key])).FirstOrDefault()
            : null;
    }

    /// <summary>Some plants by their keys; those that were taken away are left out.</summary>
    public async Task<IReadOnlyList<Plant>> PlantsAsync(IReadOnlyCollection<int> keys)
    {
        await using var db = await databases.CreateDbContextAsync();
        await using var snapshot = await Rows.SnapshotAsync(db);
        var codes = await db.Places.AsNoTracking().ToDictionaryAsync(p => p.Id, p => p.Code);
        var plants = await db.Plants.AsNoTracking().Where(p => keys.Contains(p.Id)).ToListAsync();
        var organs = (await db.Organs.AsNoTracking().Where(o => keys.Contains(o.PlantId)).ToListAsync()).ToLookup(o => o.PlantId);
        var forecasts = (await db.ForecastsKept.AsNoTracking().Where(f => keys.Contains(f.PlantId)).ToListAsync()).ToLookup(f => f.PlantId);
        var entries = await new EntryReader(db, []).ReadAsync(keys);
        return [.. plants.Select(p => p.ToPlant(Code(p, codes), organs[p.Id], forecasts[p.Id], entries.GetValueOrDefault(p.Id) ?? []))];
    }

    /// <summary>The last acts, the newest first.</summary>
    public async Task<IReadOnlyList<ActDone>> ActsAsync(int most)
    {
        await using var db = await databases.CreateDbContextAsync();
        var acts = await db.Acts.AsNoTracking().OrderByDescending(a => a.Number).Take(most).ToListAsync();
        return [.. acts.Select(a => new ActDone(a.Id, new(a.At, TimeSpan.Zero), a.Words, a.UndoneBy is not null))];
    }

    /// <summary>The readings of a place between two moments, the later one left out, in the order of time.</summary>
    public async Task<IReadOnlyList<ClimateReading>> ReadingsAsync(string place, DateTimeOffset from, DateTimeOffset to)
    {
        await using var db = await databases.CreateDbContextAsync();
        return await db.Places.AsNoTracking().FirstOrDefaultAsync(p => p.Code == place) is { } row
            ? await ReadingReader.ReadAsync(db, new() { [row.Id] = row.Code }, from.UtcTicks, to.UtcTicks, row.Id)
            : [];
    }

    /// <summary>The last readings of a device between two moments, in the order of time.</summary>
    public async Task<IReadOnlyList<ClimateReading>> OfDeviceAsync(Device device, DateTimeOffset from)
    {
        var readings = await ReadingsAsync(device.Place, from, DateTimeOffset.MaxValue);
        return [.. readings.Where(reading => reading.Device == device.Code)];
    }

    /// <summary>The newest reading of a device, however old; null for none.</summary>
    public async Task<ClimateReading?> LastOfDeviceAsync(Device device)
    {
        await using var db = await databases.CreateDbContextAsync();
        var row = await db
            .Readings.AsNoTracking()
            .Where(r => r.Place!.Code == device.Place && r.Device == device.Code && !r.Struck)
            .OrderByDescending(r => r.At)
            .FirstOrDefaultAsync();
        return row is null
            ? null
            : new(device.Place, new(row.At, TimeSpan.Zero), row.TemperatureC, row.HumidityPct) { Device = device.Code, Doubt = row.Doubt };
    }

    /// <summary>How many single readings were taken before a moment.</summary>
    public async Task<int> CountReadingsAsync(DateTimeOffset before)
    {
        await using var db = await databases.CreateDbContextAsync();
        return await db.Readings.CountAsync(r => r.At < before.UtcTicks && r.Hours == null && !r.Struck);
    }

    /// <summary>When the newest reading of a place was taken; null for none.</summary>
    public async Task<DateTimeOffset?> LastAtAsync(string place)
    {
        await using var db = await databases.CreateDbContextAsync();
        var last = await db
            .Readings.AsNoTracking()
            .Where(r => r.Place!.Code == place && !r.Struck && r.Doubt == null)
            .MaxAsync(r => (long?)r.At);
        return last is { } ticks ? new(ticks, TimeSpan.Zero) : null;
    }

    /// <summary>The readings of all places from a moment on, by place, in the order of time.</summary>
    public async Task<ILookup<string, ClimateReading>> ReadingsSinceAsync(DateTimeOffset from)
    {
        await using var db = await databases.CreateDbContextAsync();
        var codes = await db.Places.AsNoTracking().ToDictionaryAsync(p => p.Id, p => p.Code);
        return (await ReadingReader.ReadAsync(db, codes, from.UtcTicks)).ToLookup(reading => reading.Place);
    }

    /// <summary>The last reading of each device from a moment on, when it was taken and what it said.</summary>
    public async Task<IReadOnlyList<DeviceKept>> DevicesAsync()
    {
        await using var db = await databases.CreateDbContextAsync();
        var rows = await db.Devices.AsNoTracking().OrderBy(d => d.Name).ToListAsync();
        return [.. rows.Select(row => new DeviceKept(row.ToDevice(), row.TokenHash, row.Layout))];
    }

    /// <summary>A setting of what lies outside, as JSON; null where it was never made.</summary>
    public async Task<string?> SettingAsync(string name)
    {
        await using var db = await databases.CreateDbContextAsync();
        return (await db.Settings.AsNoTracking().FirstOrDefaultAsync(setting => setting.Name == name))?.Json;
    }

    /// <summary>Reads a row and writes one page, which reaches the disk.</summary>
    /// <exception cref="Microsoft.Data.Sqlite.SqliteException">It cannot be read or written.</exception>
    public async Task ProbeAsync()
    {
        await using var db = await databases.CreateDbContextAsync();
        await db.Gardens.AsNoTracking().AnyAsync();
        await using var transaction = await db.Database.BeginTransactionAsync();
        await using var command = Rows.Command(db, "PRAGMA user_version");
        var version = Convert.ToInt64(await command.ExecuteScalarAsync(), System.Globalization.CultureInfo.InvariantCulture);
        command.CommandText = string.Create(System.Globalization.CultureInfo.InvariantCulture, $"PRAGMA user_version = {version}");
        await command.ExecuteNonQueryAsync();
        await transaction.CommitAsync();
    }
}
