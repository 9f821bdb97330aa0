using BudClock.Core.Climate;
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

/// <summary>Reads the garden.</summary>
public sealed class GardenStore(IDbContextFactory<GardenDb> databases)
{
    static readonly int Readers = Math.Clamp(Environment.ProcessorCount, 1, 4);

    /// <summary>The whole garden; null before it has been set up. What cannot be read is named in it and left out.</summary>
    /// <param name="readingsSince">Leave out older readings; all by default.</param>
    /// <param name="acts">
    /// For an export: which entries were written in one act, and all of it as it stood at one moment. Without, entries are read on
    /// all cores.
    /// </param>
    /// <param name="entriesOf">Only the entries of these plants, by key; all by default.</param>
    public async Task<GardenRecord?> ReadAsync(
        DateTimeOffset? readingsSince = null,
        bool acts = true,
        IReadOnlyCollection<int>? entriesOf = null
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
        var places = await Rows.ReadAsync(db, db.Places.AsNoTracking().OrderBy(p => p.Position), unread);
        var codes = places.ToDictionary(p => p.Id, p => p.Code);
        var plants = await Rows.ReadAsync(db, db.Plants.AsNoTracking().OrderBy(p => p.Tag), unread);
        var organs = (await Rows.ReadAsync(db, db.Organs.AsNoTracking(), unread)).ToLookup(o => o.PlantId);
        var forecasts = (await Rows.ReadAsync(db, db.ForecastsKept.AsNoTracking(), unread)).ToLookup(f => f.PlantId);
        var since = readingsSince?.UtcTicks ?? 0;
        var readings = await Rows.ReadAsync(
            db,
            db.Readings.AsNoTracking().Where(r => r.At >= since && !r.Struck).OrderBy(r => r.PlaceId).ThenBy(r => r.At),
            unread
        );
        var forecast = await Rows.ReadAsync(db, db.Forecast.AsNoTracking().OrderBy(f => f.PlaceId).ThenBy(f => f.On), unread);
        var vessels = await Rows.ReadAsync(db, db.Vessels.AsNoTracking().OrderBy(v => v.Name), unread);
        var sheets = await Rows.ReadAsync(db, db.SheetChanges.AsNoTracking().OrderBy(c => c.Id), unread);
        var shelf = await ShelfRows.ReadAsync(db, unread);
        var entries = await reading;
        return new(
            garden.ToGarden(),
            [.. places.Select(p => p.ToPlace())],
            [.. plants.Select(p => p.ToPlant(Code(p, codes), organs[p.Id], forecasts[p.Id], entries.GetValueOrDefault(p.Id) ?? []))],
            [
                .. readings
                    .Where(r => codes.ContainsKey(r.PlaceId))
                    .Select(r => new ClimateReading(codes[r.PlaceId], new(r.At, TimeSpan.Zero), r.TemperatureC, r.HumidityPct)),
            ],
            [.. forecast.Where(f => codes.ContainsKey(f.PlaceId)).Select(f => new ForecastDay(codes[f.PlaceId], f.On, f.MinC, f.MaxC))]
        )
        {
            Vessels = [.. vessels.Select(v => new Vessel(v.Code, v.Name, v.Kind, v.Place))],
            Shelf = shelf,
            SheetChanges = [.. sheets.Select(Mapping.ToChange)],
            Unread = unread,
        };
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

    /// <summary>The readings of a place between two moments.</summary>
    public async Task<IReadOnlyList<ClimateReading>> ReadingsAsync(string place, DateTimeOffset from, DateTimeOffset to)
    {
        await using var db = await databases.CreateDbContextAsync();
        var (start, end) = (from.UtcTicks, to.UtcTicks);
        var rows = await db
            .Readings.AsNoTracking()
            .Where(r => r.Place!.Code == place && !r.Struck && r.At >= start && r.At <= end)
            .ToListAsync();
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
                FROM Readings
                WHERE At >= {start} AND Struck = 0 AND TemperatureC IS NOT NULL AND HumidityPct IS NOT NULL
                GROUP BY PlaceId, Hour
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
            where codes.ContainsKey(day.Key.PlaceId)
            select new DailyMean(
                codes[day.Key.PlaceId],
                day.Key.Day,
                day.Sum(row => row.TemperatureC * row.Readings) / count,
                day.Sum(row => row.HumidityPct * row.Readings) / count
            ),
        ];
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
