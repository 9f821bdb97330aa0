using BudClock.Core.Potting;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>Rows of pots, mixes and young batches, known by their codes and stored as they are.</summary>
static class ShedRows
{
    /// <summary>Takes all of it in; what is there already by its code is brought up to date.</summary>
    public static async Task TakeAsync(GardenDb db, PottingShed shed)
    {
        foreach (var item in shed.Pots.Concat<object>(shed.Mixes).Concat(shed.Batches))
            await ShelfRows.PutAsync(db, item);
    }

    public static async Task<PottingShed> ReadAsync(GardenDb db, List<string> unread) =>
        new()
        {
            Pots = await Rows.ReadAsync(db, db.Pots.AsNoTracking().OrderBy(pot => pot.DiameterCm).ThenBy(pot => pot.Code), unread),
            Mixes = await Rows.ReadAsync(db, db.PottingMixes.AsNoTracking().OrderBy(mix => mix.Name), unread),
            Batches = await Rows.ReadAsync(
                db,
                db.YoungBatches.AsNoTracking().OrderBy(batch => batch.Started).ThenBy(batch => batch.Code),
                unread
            ),
        };
}
