using System.Linq.Expressions;
using BudClock.Core.Mixing;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>Reads and writes the mixing shelf. Its things are known by their codes and stored as they are.</summary>
public sealed class ShelfStore(IDbContextFactory<GardenDb> databases)
{
    /// <summary>Adds a water, feed, recipe, batch or trial, or changes the one of that code.</summary>
    public async Task SaveAsync<T>(T item)
        where T : class
    {
        await using var db = await databases.CreateDbContextAsync();
        await PutAsync(db, item);
        await db.SaveChangesAsync();
    }

    public async Task SaveToolsAsync(Tools tools)
    {
        await using var db = await databases.CreateDbContextAsync();
        await PutToolsAsync(db, tools);
        await db.SaveChangesAsync();
    }

    /// <summary>Puts all of a shelf on it at once.</summary>
    public async Task SaveAllAsync(Shelf shelf)
    {
        await using var db = await databases.CreateDbContextAsync();
        await TakeAsync(db, shelf);
        await db.SaveChangesAsync();
    }

    /// <summary>Takes something off the shelf; batches that were mixed from it keep their words.</summary>
    public async Task RemoveAsync<T>(Expression<Func<T, bool>> which)
        where T : class
    {
        await using var db = await databases.CreateDbContextAsync();
        await db.Set<T>().Where(which).ExecuteDeleteAsync();
    }

    /// <summary>Takes all of a shelf in; what is there already by its code is brought up to date.</summary>
    internal static async Task TakeAsync(GardenDb db, Shelf shelf)
    {
        if (shelf.Tools != Tools.Usual)
            await PutToolsAsync(db, shelf.Tools);
        foreach (var item in shelf.Waters.Concat<object>(shelf.Feeds).Concat(shelf.Recipes).Concat(shelf.Batches).Concat(shelf.Trials))
            await PutAsync(db, item);
    }

    public async Task<Shelf> ReadAsync()
    {
        await using var db = await databases.CreateDbContextAsync();
        return await ReadAsync(db);
    }

    internal static async Task<Shelf> ReadAsync(GardenDb db) =>
        new()
        {
            Tools = await db.Tools.AsNoTracking().SingleOrDefaultAsync() ?? Tools.Usual,
            Waters = await db.Waters.AsNoTracking().OrderBy(w => w.Name).ToListAsync(),
            Feeds = await db.Feeds.AsNoTracking().OrderBy(f => f.Name).ToListAsync(),
            Recipes = await db.Recipes.AsNoTracking().OrderBy(r => r.Name).ToListAsync(),
            Batches = await db.Batches.AsNoTracking().OrderBy(b => b.Made).ThenBy(b => b.Code).ToListAsync(),
            Trials = await db.Trials.AsNoTracking().OrderBy(t => t.From).ThenBy(t => t.Code).ToListAsync(),
        };

    /// <summary>There is one set of tools; its key is no part of it.</summary>
    static async Task PutToolsAsync(GardenDb db, Tools tools)
    {
        var known = await db.Tools.AnyAsync();
        var entry = db.Add(tools);
        entry.Property(GardenDb.ToolsKey).CurrentValue = 1;
        if (known)
            entry.State = EntityState.Modified;
    }

    static async Task PutAsync(GardenDb db, object item)
    {
        var entry = db.Entry(item);
        entry.State = await entry.GetDatabaseValuesAsync() is null ? EntityState.Added : EntityState.Modified;
    }
}
