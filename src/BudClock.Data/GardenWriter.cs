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
/// <param name="Wide">It changed more than plants and their journals: a place, a sheet, the shelf.</param>
public sealed record WrittenAct(bool Written, long Number, IReadOnlyList<int> Plants, bool Wide);

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
            return new(false, known.Number, known.Plants, false);
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
            row.Readings || changes.Any(one => one.Wide)
        );
    }
}
