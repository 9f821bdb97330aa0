using BudClock.Core.Mixing;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>The mixing shelf's rows. Its things are known by their codes and stored as they are.</summary>
static class ShelfRows
{
    /// <summary>Takes all of a shelf in; what is there already by its code is brought up to date.</summary>
    public static async Task TakeAsync(GardenDb db, Shelf shelf)
    {
        if (shelf.Tools != Tools.Usual)
            await PutToolsAsync(db, shelf.Tools);
        foreach (var item in All(shelf))
            await PutAsync(db, item);
    }

    /// <summary>Everything on a shelf that has a code.</summary>
    public static IEnumerable<object> All(Shelf shelf) =>
        shelf.Waters.Concat<object>(shelf.Feeds).Concat(shelf.Recipes).Concat(shelf.Batches).Concat(shelf.Trials);

    public static async Task<Shelf> ReadAsync(GardenDb db, List<string> unread) =>
        new()
        {
            Tools = (await Rows.ReadAsync(db, db.Tools.AsNoTracking(), unread)).SingleOrDefault() ?? Tools.Usual,
            Waters = await Rows.ReadAsync(db, db.Waters.AsNoTracking().OrderBy(w => w.Name), unread),
            Feeds = await Rows.ReadAsync(db, db.Feeds.AsNoTracking().OrderBy(f => f.Name), unread),
            Recipes = await Rows.ReadAsync(db, db.Recipes.AsNoTracking().OrderBy(r => r.Name), unread),
            Batches = await Rows.ReadAsync(db, db.Batches.AsNoTracking().OrderBy(b => b.Made).ThenBy(b => b.Code), unread),
            Trials = await Rows.ReadAsync(db, db.Trials.AsNoTracking().OrderBy(t => t.From).ThenBy(t => t.Code), unread),
        };

    /// <summary>There is one set of tools; its key is no part of it.</summary>
    public static async Task PutToolsAsync(GardenDb db, Tools tools)
    {
        if (await db.Tools.SingleOrDefaultAsync() is { } known)
            db.Entry(known).CurrentValues.SetValues(tools);
        else
            db.Add(tools).Property(GardenDb.ToolsKey).CurrentValue = 1;
    }

    /// <summary>What stands on the shelf under the code of an item; null for nothing.</summary>
    public static ValueTask<object?> FindAsync(GardenDb db, object item)
    {
        var type = db.Model.FindEntityType(item.GetType())!;
        return db.FindAsync(item.GetType(), [.. type.FindPrimaryKey()!.Properties.Select(key => key.GetGetter().GetClrValue(item))]);
    }

    public static async Task PutAsync(GardenDb db, object item)
    {
        if (await FindAsync(db, item) is { } known)
            db.Entry(known).CurrentValues.SetValues(item);
        else
            db.Add(item);
    }
}
