using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>What is written in one go, before it is written.</summary>
/// <param name="Id">Made by whoever writes; sent twice, it is written once.</param>
/// <param name="Author">Who writes.</param>
/// <param name="At">When, by the writer's clock; acts are ordered by their number, not by this.</param>
/// <param name="Words">What it is, for the grower.</param>
public sealed record Act(Guid Id, string Author, DateTimeOffset At, string Words);

/// <summary>What became of an act.</summary>
/// <param name="Written">False where an act of that id stood already, and nothing was written.</param>
/// <param name="Number">Its number.</param>
/// <param name="Plants">Keys of the plants it wrote entries for or changed.</param>
/// <param name="Wide">It changed more than plants, their journals and the weather: a place, a sheet, the shelf.</param>
/// <param name="Weather">The spans that its readings are of; empty where it is not known which, null for an act without readings.</param>
public sealed record WrittenAct(bool Written, long Number, IReadOnlyList<int> Plants, bool Wide, IReadOnlyList<Measured>? Weather);

/// <summary>Changes rows that the context tracks, as part of an act.</summary>
public delegate Task Change(GardenDb db, ActRow act);

/// <summary>Thrown inside an act to leave all as it was; its message is for the grower.</summary>
public class ActRefusedException(string message) : Exception(message);

/// <summary>What was to be changed was changed elsewhere since it was read.</summary>
public sealed class ChangedElsewhereException(string message) : ActRefusedException(message);

/// <summary>
/// The one door to the database: an act is one transaction with a row that names it, and one act is written at a time.
/// Every row it touches is kept as it was, so that it can be taken back.
/// </summary>
public sealed class GardenWriter(IDbContextFactory<GardenDb> databases)
{
    /// <summary>
    /// Writes what devices sent, which is nobody's act. It survives the end of the process at any moment; where the power fails, the
    /// last seconds of it may be missing, which a device sends again or the next reading makes good.
    /// </summary>
    /// <returns>How many were of a place that is known; the others were not kept.</returns>
    public async Task<int> MeasureAsync(
        IReadOnlyList<ClimateReading> readings,
        Func<IReadOnlyList<Measured>, Task>? committed = null,
        CancellationToken cancel = default
    )
    {
        await gate.WaitAsync(cancel);
        try
        {
            await using var db = await databases.CreateDbContextAsync(cancel);
            await db.Database.OpenConnectionAsync(cancel);
            await using (var light = Rows.Command(db, "PRAGMA synchronous = NORMAL"))
                await light.ExecuteNonQueryAsync(cancel);
            var places = await PlacesAsync(db);
            var known = readings.Where(reading => places.ContainsKey(reading.Place)).ToList();
            await using (var transaction = await db.Database.BeginTransactionAsync(cancel))
            {
                await ReadingRows.BulkAsync(Rows.Command(db, ReadingRows.Upsert), known, places, act: null);
                await transaction.CommitAsync(cancel);
            }
            if (committed is not null)
                await committed(Measured.Of(known));
            return known.Count;
        }
        finally
        {
            gate.Release();
        }
    }

    /// <summary>Puts other readings in the place of all that a place has before a moment; it cannot be taken back.</summary>
    public async Task ReplaceReadingsAsync(string place, DateTimeOffset before, IReadOnlyList<ClimateReading> readings, Act act)
    {
        await WriteAsync(act, async (db, _) =>
        {
            var key = await db.Places.Where(p => p.Code == place).Select(p => p.Id).SingleAsync();
            await db.Readings.Where(r => r.PlaceId == key && r.At < before.UtcTicks && !r.Struck).ExecuteDeleteAsync();
            await ReadingRows.BulkAsync(
                Rows.Command(db, ReadingRows.Upsert),
                readings,
                new Dictionary<string, int> { [place] = key },
                act: null
            );
        });
    }

    /// <summary>Keeps forecasts that a service gave, which is nobody's act either.</summary>
    public async Task ForecastAsync(IReadOnlyList<ForecastDay> days, Func<Task>? committed = null, CancellationToken cancel = default)
    {
        await gate.WaitAsync(cancel);
        try
        {
            await using var db = await databases.CreateDbContextAsync(cancel);
            await ForecastRows.PutAsync(db, days);
            await db.SaveChangesAsync(cancel);
            if (committed is not null)
                await committed();
        }
        finally
        {
            gate.Release();
        }
    }

    static async Task<Dictionary<string, int>> PlacesAsync(GardenDb db)
    {
        await using var command = Rows.Command(db, "SELECT Code, Id FROM Places WHERE Removed = 0");
        await using var rows = await command.ExecuteReaderAsync();
        var places = new Dictionary<string, int>(StringComparer.OrdinalIgnoreCase);
        while (await rows.ReadAsync())
            places[rows.GetString(0)] = rows.GetInt32(1);
        return places;
    }

    readonly SemaphoreSlim gate = new(1, 1);

    /// <summary>Writes an act whole or not at all. What this has returned from is on disk.</summary>
    /// <param name="change">Makes the change on rows that the context tracks; what it throws leaves everything as it was.</param>
    /// <param name="committed">Called once it is on disk and before the next act begins.</param>
    /// <exception cref="ActRefusedException">The change refused itself.</exception>
    /// <exception cref="SqliteException">The disk is full, read-only or locked; nothing was written.</exception>
    public async Task<WrittenAct> WriteAsync(
        Act act,
        Change change,
        Func<WrittenAct, Task>? committed = null,
        CancellationToken cancel = default
    )
    {
        await gate.WaitAsync(cancel);
        try
        {
            var written = await TransactAsync(act, change);
            if (committed is not null)
                await committed(written);
            return written;
        }
        finally
        {
            gate.Release();
        }
    }

    async Task<WrittenAct> TransactAsync(Act act, Change change)
    {
        await using var db = await databases.CreateDbContextAsync();
        // The lock is taken before anything is read, so that what was read still holds when it is written.
        await using var transaction = await db.Database.BeginTransactionAsync();
        if (await db.Acts.AsNoTracking().FirstOrDefaultAsync(known => known.Id == act.Id) is { } known)
            return new(false, known.Number, known.Plants, false, null);
        var row = new ActRow
        {
            Id = act.Id,
            Author = act.Author,
            At = act.At.UtcTicks,
            Words = act.Words,
        };
        db.Acts.Add(row);
        var changes = new List<RowChange>();
        db.SavingChanges += (_, _) => changes.AddRange(RowChange.Pending(db));
        await change(db, row);
        await db.SaveChangesAsync();
        if (changes.Count > 0)
        {
            db.ActChanges.AddRange(changes.Select(one => one.ToRow(row.Number)));
            await db.SaveChangesAsync();
        }
        await transaction.CommitAsync();
        return new(
            true,
            row.Number,
            [.. row.Plants.Union(changes.Select(one => one.Plant).OfType<int>())],
            changes.Any(one => one.Wide),
            row.Readings ? row.Measured : null
        );
    }
}
