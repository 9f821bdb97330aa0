using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>What an import added.</summary>
public sealed record Imported(int Plants, int Entries, int Readings);

/// <summary>
/// Takes a garden file into the database in one transaction. What is already there by its tag, code or id stays and is
/// brought up to date, so that the same file taken twice adds nothing.
/// </summary>
public sealed class GardenImport(IDbContextFactory<GardenDb> databases)
{
    public async Task<Imported> ImportAsync(GardenRecord garden)
    {
        await using var db = await databases.CreateDbContextAsync();
        await using var transaction = await db.Database.BeginTransactionAsync();
        await TakeGarden(db, garden.Garden);
        var places = await TakePlaces(db, garden.Places);
        await TakeVessels(db, garden);
        await ShelfStore.TakeAsync(db, garden.Shelf);
        var (plants, entries) = await TakePlants(db, garden.Plants, places);
        var readings = await TakeReadings(db, garden, places);
        await db.SaveChangesAsync();
        await transaction.CommitAsync();
        return new(plants, entries, readings);
    }

    /// <summary>What the file leaves out of the garden stays as it is here.</summary>
    static async Task TakeGarden(GardenDb db, Garden garden)
    {
        var row = await db.Gardens.SingleOrDefaultAsync();
        if (row is null)
            db.Gardens.Add(row = new() { Name = garden.Name });
        if (garden == Garden.Unnamed)
            return;
        row.Take(
            garden with
            {
                Latitude = garden.Latitude ?? row.Latitude,
                Longitude = garden.Longitude ?? row.Longitude,
                TimeZone = garden.TimeZone ?? row.TimeZone,
            }
        );
    }

    static async Task<Dictionary<string, int>> TakePlaces(GardenDb db, IReadOnlyList<Place> places)
    {
        var known = await db.Places.ToDictionaryAsync(p => p.Code, StringComparer.OrdinalIgnoreCase);
        foreach (var place in places)
        {
            if (!known.TryGetValue(place.Code, out var row))
                db.Places.Add(
                    known[place.Code] = row =
                        new()
                        {
                            Code = place.Code,
                            Name = place.Name,
                            Position = known.Count,
                        }
                );
            (row.Name, row.Setting, row.LampHours) = (place.Name, place.Setting, place.LampHours);
        }
        await db.SaveChangesAsync();
        return known.ToDictionary(pair => pair.Key, pair => pair.Value.Id, StringComparer.OrdinalIgnoreCase);
    }

    static async Task TakeVessels(GardenDb db, GardenRecord garden)
    {
        var known = await db.Vessels.ToDictionaryAsync(v => v.Code, StringComparer.OrdinalIgnoreCase);
        foreach (var vessel in garden.Vessels)
        {
            if (!known.TryGetValue(vessel.Code, out var row))
                db.Vessels.Add(
                    row = new()
                    {
                        Code = vessel.Code,
                        Name = vessel.Name,
                        Kind = vessel.Kind,
                    }
                );
            (row.Name, row.Kind, row.Place) = (vessel.Name, vessel.Kind, vessel.Place);
        }
        var changes = await db.SheetChanges.ToListAsync();
        foreach (var change in garden.SheetChanges)
        {
            db.SheetChanges.RemoveRange(changes.Where(row => change.Replaces(row.ToChange())));
            db.SheetChanges.Add(change.ToRow());
        }
    }

    static async Task<(int Plants, int Entries)> TakePlants(GardenDb db, IReadOnlyList<Plant> plants, Dictionary<string, int> places)
    {
        var known = await db
            .Plants.Include(p => p.Organs)
            .Include(p => p.Forecasts)
            .AsSplitQuery()
            .ToDictionaryAsync(p => p.Tag, StringComparer.OrdinalIgnoreCase);
        var ids = (await db.Entries.Select(e => e.Id).ToListAsync()).ToHashSet();
        var (addedPlants, addedEntries) = (0, 0);
        foreach (var plant in plants)
        {
            if (!known.TryGetValue(plant.Tag, out var row))
            {
                db.Plants.Add(row = new() { Tag = plant.Tag });
                addedPlants++;
            }
            row.Take(plant, plant.Place is { } place ? places[place] : null);
            foreach (var organ in plant.Organs.Where(organ => row.Organs.All(o => o.Key != organ.Id)))
                row.Organs.Add(organ.ToRow());
            foreach (
                var kept in plant.Forecasts.Where(kept =>
                    row.Forecasts.All(f => (f.Of, f.Organ, f.Made) != (kept.Of, kept.Organ, kept.Made))
                )
            )
                row.Forecasts.Add(kept.ToRow());
            foreach (var entry in plant.Entries.Where(entry => ids.Add(entry.Id)))
            {
                row.Entries.Add(entry.ToRow());
                db.Entry(row.Entries[^1]).State = EntityState.Added; // its key is set already
                addedEntries++;
            }
        }
        return (addedPlants, addedEntries);
    }

    static async Task<int> TakeReadings(GardenDb db, GardenRecord garden, Dictionary<string, int> places)
    {
        var known = (await db.Readings.Select(r => new { r.PlaceId, r.At }).ToListAsync()).Select(r => (r.PlaceId, r.At)).ToHashSet();
        var days = (await db.Forecast.Select(f => new { f.PlaceId, f.On }).ToListAsync()).Select(f => (f.PlaceId, f.On)).ToHashSet();
        var fresh = garden.Readings.Where(r => known.Add((places[r.Place], r.At.UtcTicks))).ToList();
        db.Readings.AddRange(
            fresh.Select(r => new ReadingRow
            {
                PlaceId = places[r.Place],
                At = r.At.UtcTicks,
                TemperatureC = r.TemperatureC,
                HumidityPct = r.HumidityPct,
            })
        );
        db.Forecast.AddRange(
            garden
                .Forecast.Where(f => days.Add((places[f.Place], f.On)))
                .Select(f => new ForecastRow
                {
                    PlaceId = places[f.Place],
                    On = f.On,
                    MinC = f.MinC,
                    MaxC = f.MaxC,
                })
        );
        return fresh.Count;
    }
}
