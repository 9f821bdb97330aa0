using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>
/// Takes acts back, the newest first. Taking back is an act of its own, so it can be taken back too, as long as nothing was
/// written since.
/// </summary>
public static class Undoing
{
    /// <summary>Takes back the author's last act that stands, whatever kind it was.</summary>
    /// <param name="found">Told which act it is, before it is taken back.</param>
    /// <param name="passed">Told what was done since and stays, since it is no act to take back, such as a new secret.</param>
    public static Change Last(Action<ActRow> found, Action<string> passed) =>
        async (db, act) =>
        {
            var last = await db
                .Acts.Where(a => a.Author == act.Author && a.Undoes == null && a.UndoneBy == null)
                .OrderByDescending(a => a.Number)
                .FirstOrDefaultAsync()
                ?? throw new ActRefusedException("There is nothing left to undo.");
            found(last);
            if (
                await db
                    .Acts.Where(a => a.Author == Kept && a.Number > last.Number)
                    .OrderByDescending(a => a.Number)
                    .FirstOrDefaultAsync() is
                { } kept
            )
                passed(kept.Words);
            await TakeBackAsync(db, act, last);
        };

    /// <summary>The author of what is never taken back and always said: secrets that were made anew, or given up.</summary>
    public const string Kept = "kept";

    /// <summary>Takes a taking back back: what it undid stands again.</summary>
    public static Change Again(Guid undo, Action<ActRow> found) =>
        async (db, act) =>
        {
            var taken = await db.Acts.FirstOrDefaultAsync(a =>
                a.Id == undo && a.Author == act.Author && a.Undoes != null && a.UndoneBy == null
            ) ?? throw new ActRefusedException("That is not undone any more.");
            if (await db.Acts.AnyAsync(a => a.Author == act.Author && a.Number > taken.Number))
                throw new ActRefusedException("Something was written since. Log it again instead.");
            var first = await db.Acts.SingleAsync(a => a.Number == taken.Undoes);
            found(first);
            first.UndoneBy = null;
            await TakeBackAsync(db, act, taken);
        };

    static async Task TakeBackAsync(GardenDb db, ActRow act, ActRow target)
    {
        // The act needs its number first, so that what it takes back can name it.
        await db.SaveChangesAsync();
        (act.Undoes, act.Plants, act.Readings, target.UndoneBy) = (target.Number, target.Plants, target.Readings, act.Number);
        foreach (var change in await db.ActChanges.Where(c => c.Act == target.Number).OrderByDescending(c => c.Id).ToListAsync())
        {
            await RowChange.UndoAsync(db, change);
            await db.SaveChangesAsync(); // one after another, as they were made
        }
        if (target.Undoes is null)
            await EntriesAsync(db, target, act);
        else
            await EntriesAgainAsync(db, target);
        if (target.Readings)
            await ReadingsAsync(db, target, act);
    }

    /// <summary>What the act wrote is struck, and says by what.</summary>
    static Task EntriesAsync(GardenDb db, ActRow target, ActRow act) =>
        db
            .Entries.Where(e => target.Plants.Contains(e.PlantId) && e.By == target.Id && !e.Struck)
            .ExecuteUpdateAsync(set => set.SetProperty(e => e.Struck, true).SetProperty(e => e.StruckBy, act.Id));

    static Task EntriesAgainAsync(GardenDb db, ActRow target) =>
        db
            .Entries.Where(e => target.Plants.Contains(e.PlantId) && e.StruckBy == target.Id)
            .ExecuteUpdateAsync(set => set.SetProperty(e => e.Struck, false).SetProperty(e => e.StruckBy, (Guid?)null));

    /// <summary>Readings of the act that first brought them are out of sight, or in it again.</summary>
    static async Task ReadingsAsync(GardenDb db, ActRow target, ActRow act)
    {
        var brought = target;
        while (brought.Undoes is { } number)
            brought = await db.Acts.SingleAsync(a => a.Number == number);
        await db.Readings.Where(r => r.Act == brought.Id).ExecuteUpdateAsync(set => set.SetProperty(r => r.Struck, target.Undoes is null));
        act.Readings = true;
    }
}
