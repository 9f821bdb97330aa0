using BudClock.Core.Formats;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>Writes what an import is to do, as part of one act.</summary>
public static class ImportRows
{
    /// <summary>Takes a garden file in, as it was planned.</summary>
    public static Change Take(ImportPlan plan) =>
        async (db, act) =>
        {
            if (plan.Garden != plan.Here.Garden || !await db.Gardens.AnyAsync())
                await Changes.Garden(plan.Garden)(db, act);
            foreach (var place in plan.Places)
            {
                await Changes.Place(place)(db, act);
                await db.SaveChangesAsync(); // the next one comes after it in the walk, and plants stand at it
            }
            foreach (var device in plan.Devices)
                await Changes.Device(device)(db, act);
            foreach (var vessel in plan.Vessels)
                await Changes.Vessel(vessel)(db, act);
            foreach (var change in plan.SheetChanges)
                await Changes.Sheet(change)(db, act);
            foreach (var own in plan.Programmes)
                await Changes.Programme(own)(db, act);
            if (!plan.Shelf.IsEmpty)
                await ShelfRows.TakeAsync(db, plan.Shelf);
            await ShedRows.TakeAsync(db, plan.Shed);
            await PlantsAsync(db, act, plan);
            if (plan.Readings.Count > 0)
                await ReadingRows.PutAsync(db, act, plan.Readings);
            if (plan.Forecast.Count > 0)
                await ForecastRows.PutAsync(db, plan.Forecast);
        };

    static async Task PlantsAsync(GardenDb db, ActRow act, ImportPlan plan)
    {
        var places = await db.Places.ToDictionaryAsync(p => p.Code, p => p.Id, StringComparer.OrdinalIgnoreCase);
        var known = await db.Plants.ToDictionaryAsync(p => p.Tag, StringComparer.OrdinalIgnoreCase);
        foreach (var one in plan.Plants)
        {
            var tag = one.Result.Tag;
            if (!known.TryGetValue(tag, out var row))
                db.Plants.Add(known[tag] = row = new() { Tag = tag });
            if (one.Changes)
                row.Take(
                    one.Here is null ? (one.Result with { Entries = one.Fresh }).On(DateOnly.MinValue) : one.Result,
                    Place(one.Result, places)
                );
        }
        await db.SaveChangesAsync();
        var again = await UndoneAsync(db, plan);
        var fresh = new List<EntryRow>();
        foreach (var one in plan.Plants)
        {
            var row = known[one.Result.Tag];
            db.Organs.AddRange(one.File.Organs.Select(organ => Changes.Of(organ.ToRow(), row.Id)));
            if (one.Here is null)
                db.ForecastsKept.AddRange(one.File.Forecasts.Select(kept => Of(kept.ToRow(), row.Id)));
            foreach (var entry in one.Fresh.Select(entry => EntryRows.InAct(entry.ToRow(), row.Id, act.Id)))
                if (again.TryGetValue(entry.Id, out var undone))
                    db.Entry(undone).CurrentValues.SetValues(entry);
                else
                    fresh.Add(entry);
            if (one.Struck.Count > 0)
                foreach (var entry in await db.Entries.Where(e => e.PlantId == row.Id && one.Struck.Contains(e.Id)).ToListAsync())
                    entry.Struck = true;
        }
        await EntryRows.AddAsync(db, fresh);
        act.Plants = [.. plan.Plants.Select(one => known[one.Result.Tag].Id)];
        await db.SaveChangesAsync();
    }

    /// <summary>Rows of an import that was taken back: their entries come in again under the ids they have.</summary>
    static async Task<Dictionary<Guid, EntryRow>> UndoneAsync(GardenDb db, ImportPlan plan)
    {
        var fresh = plan.Plants.SelectMany(one => one.Fresh).Select(entry => entry.Id).ToHashSet();
        var undone = await db.Entries.Where(e => e.StruckBy != null).Select(e => e.Id).ToListAsync();
        var rows = new Dictionary<Guid, EntryRow>();
        foreach (var some in undone.Where(fresh.Contains).Chunk(500))
        foreach (var row in await db.Entries.Where(e => some.Contains(e.Id)).ToListAsync())
            rows[row.Id] = row;
        return rows;
    }

    static int? Place(Plant plant, Dictionary<string, int> places) =>
        plant.Place is { } code && places.TryGetValue(code, out var key) ? key : null;

    static ForecastKeptRow Of(ForecastKeptRow row, int plant)
    {
        row.PlantId = plant;
        return row;
    }
}
