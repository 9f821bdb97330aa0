using System.Linq.Expressions;
using BudClock.Core.Mixing;
using Microsoft.EntityFrameworkCore;

namespace BudClock.Data;

/// <summary>The changes that acts are made of. Each changes rows that the context tracks and saves nothing itself.</summary>
public static class Changes
{
    /// <summary>Several changes as one.</summary>
    public static Change All(params IEnumerable<Change> changes) =>
        async (db, act) =>
        {
            foreach (var change in changes)
                await change(db, act);
        };

    /// <summary>The garden's name, place on earth and units.</summary>
    public static Change Garden(Garden garden) =>
        async (db, _) =>
        {
            var row = await db.Gardens.SingleOrDefaultAsync();
            if (row is null)
                db.Gardens.Add(row = new GardenRow { Name = garden.Name });
            row.Take(garden);
        };

    /// <summary>Adds a place at the end of the walk, or changes the one of that code.</summary>
    public static Change Place(Place place) =>
        async (db, _) =>
        {
            var row = await db.Places.FirstOrDefaultAsync(p => p.Code == place.Code);
            if (row is null)
                db.Places.Add(
                    row = new()
                    {
                        Code = place.Code,
                        Name = place.Name,
                        Position = await db.Places.CountAsync(),
                    }
                );
            row.Take(place);
        };

    /// <summary>Adds a device, or changes the one of that code.</summary>
    /// <param name="tokenHash">The hash of a new token; the one it has stays where this is null.</param>
    /// <param name="layout">How its file is read, as JSON; what is known stays where this is null.</param>
    public static Change Device(Device device, string? tokenHash = null, string? layout = null) =>
        async (db, _) =>
        {
            var row = await db.Devices.FirstOrDefaultAsync(d => d.Code == device.Code);
            if (row is null)
                db.Devices.Add(
                    row = new()
                    {
                        Code = device.Code,
                        Name = device.Name,
                        Place = device.Place,
                        Way = device.Way,
                    }
                );
            row.Take(device);
            row.TokenHash = tokenHash ?? row.TokenHash;
            row.Layout = layout ?? row.Layout;
        };

    /// <summary>Takes a device away; what it sent stays.</summary>
    public static Change WithoutDevice(string code) =>
        async (db, _) =>
        {
            if (await db.Devices.FirstOrDefaultAsync(d => d.Code == code) is { } row)
                (row.Removed, row.TokenHash) = (true, null);
        };

    /// <summary>Keeps a setting of what lies outside.</summary>
    public static Change Setting(string name, string json) =>
        async (db, _) =>
        {
            if (await db.Settings.FirstOrDefaultAsync(setting => setting.Name == name) is { } row)
                row.Json = json;
            else
                db.Settings.Add(new() { Name = name, Json = json });
        };

    /// <summary>Keeps forecasts as they were made; one for the same place and day, made on the same day, is replaced.</summary>
    public static Change Forecast(IReadOnlyList<ForecastDay> days) => (db, _) => ForecastRows.PutAsync(db, days);

    /// <summary>Moves a place one step earlier or later in the walk.</summary>
    public static Change Walk(string code, int step) =>
        async (db, _) =>
        {
            var places = await db.Places.OrderBy(p => p.Position).ToListAsync();
            var from = places.FindIndex(p => string.Equals(p.Code, code, StringComparison.OrdinalIgnoreCase));
            var to = from + step;
            if (from < 0 || to < 0 || to >= places.Count)
                return;
            (places[from], places[to]) = (places[to], places[from]);
            foreach (var (index, place) in places.Index())
                place.Position = index;
        };

    /// <summary>Takes a place away at which nothing stands; its readings are kept out of sight.</summary>
    public static Change WithoutPlace(string code) =>
        async (db, _) =>
        {
            if (await db.Places.FirstOrDefaultAsync(p => p.Code == code) is { } row)
                row.Removed = true;
        };

    /// <summary>Adds a plant, or changes the one of that tag. Its journal and organs are left as they are.</summary>
    /// <remarks>Refused with <see cref="ChangedElsewhereException"/> where its version has moved on since it was read.</remarks>
    public static Change Plant(Plant plant) =>
        async (db, _) =>
        {
            var row = await db.Plants.FirstOrDefaultAsync(p => p.Tag == plant.Tag);
            if (row is null)
                db.Plants.Add(row = new PlantRow { Tag = plant.Tag });
            if (row.Version != plant.Version)
                throw new ChangedElsewhereException($"{plant.Tag} was changed in another window.");
            row.Take(plant, await PlaceKeyAsync(db, plant.Place));
        };

    /// <summary>Takes a plant away that was added by mistake, with its whole log.</summary>
    public static Change WithoutPlant(string tag) =>
        async (db, _) =>
        {
            if (await db.Plants.FirstOrDefaultAsync(p => p.Tag == tag) is { } row)
                row.Removed = true;
        };

    /// <summary>Gives a plant another tag; it is still found by the old one.</summary>
    public static Change Tag(string tag, string to) =>
        async (db, _) =>
        {
            if (await db.Plants.FirstOrDefaultAsync(p => p.Tag == tag) is not { } row)
                throw new ActRefusedException($"No plant here is tagged {tag}.");
            if (await db.Plants.AnyAsync(p => p.Tag == to && p.Id != row.Id))
                throw new ActRefusedException($"{to} is taken.");
            row.FormerTags = [.. row.FormerTags.Where(old => old != to), row.Tag];
            foreach (var child in await db.Plants.Where(p => p.Parent == row.Tag).ToListAsync())
                child.Parent = to;
            foreach (var change in await db.SheetChanges.Where(c => c.Plant == row.Tag).ToListAsync())
                change.Plant = to;
            foreach (var batch in await db.YoungBatches.Where(b => b.Parent == row.Tag).ToListAsync())
                db.Entry(batch).Property(b => b.Parent).CurrentValue = to;
            foreach (var trial in (await db.Trials.ToListAsync()).Where(trial => trial.Plants.Contains(row.Tag)))
                db.Entry(trial).Property(t => t.Plants).CurrentValue = [.. trial.Plants.Select(known => known == row.Tag ? to : known)];
            (row.Tag, row.Version) = (to, row.Version + 1);
        };

    /// <summary>Adds a tray, reservoir or cover pot, or changes the one of that code.</summary>
    public static Change Vessel(Vessel vessel) =>
        async (db, _) =>
        {
            var row = await db.Vessels.FirstOrDefaultAsync(v => v.Code == vessel.Code);
            if (row is null)
                db.Vessels.Add(
                    row = new()
                    {
                        Code = vessel.Code,
                        Name = vessel.Name,
                        Kind = vessel.Kind,
                    }
                );
            (row.Name, row.Kind, row.Place) = (vessel.Name, vessel.Kind, vessel.Place);
        };

    /// <summary>Takes a tray, reservoir or cover pot away; what stood in it stands in none.</summary>
    public static Change WithoutVessel(string code) =>
        async (db, _) =>
        {
            db.Vessels.RemoveRange(await db.Vessels.Where(v => v.Code == code).ToListAsync());
            foreach (var plant in await db.Plants.Where(p => p.Vessel == code).ToListAsync())
                (plant.Vessel, plant.Version) = (null, plant.Version + 1);
        };

    /// <summary>Keeps a change of a culture sheet in place of an older one of the same thing.</summary>
    public static Change Sheet(SheetChange change) =>
        async (db, act) =>
        {
            await SheetAsShipped(change)(db, act);
            db.SheetChanges.Add(change.ToRow());
        };

    /// <summary>Keeps a programme of the grower's own in place of an older one of that name.</summary>
    public static Change Programme(OwnProgramme own) =>
        async (db, _) =>
        {
            if (await db.Programmes.FirstOrDefaultAsync(p => p.Name == own.Name) is { } row)
                row.Yaml = own.Yaml;
            else
                db.Programmes.Add(new() { Name = own.Name, Yaml = own.Yaml });
        };

    /// <summary>Takes a programme of the grower's own away; plants that run it are at none then.</summary>
    public static Change WithoutProgramme(string name) =>
        async (db, _) => db.Programmes.RemoveRange(await db.Programmes.Where(p => p.Name == name).ToListAsync());

    /// <summary>Goes back to what the sheet says.</summary>
    public static Change SheetAsShipped(SheetChange change) =>
        async (db, _) =>
            db.SheetChanges.RemoveRange(
                await db.SheetChanges.Where(c => c.Sheet == change.Sheet && c.Plant == change.Plant && c.Name == change.Name).ToListAsync()
            );

    /// <summary>Adds something of the shelf or of the potting shed, or changes the one of that code.</summary>
    public static Change Shelf(object item) => (db, _) => ShelfRows.PutAsync(db, item);

    /// <summary>Adds something whose code was free when it was made; refused where another device took the code meanwhile.</summary>
    public static Change NewOnShelf(object item) =>
        async (db, _) =>
        {
            if (await ShelfRows.FindAsync(db, item) is not null)
                throw new ActRefusedException("Another device saved one under the same number just now. Save once more: it gets the next.");
            db.Add(item);
        };

    /// <summary>What one measures with.</summary>
    public static Change Tools(Tools tools) => (db, _) => ShelfRows.PutToolsAsync(db, tools);

    /// <summary>Puts all of a shelf on it at once.</summary>
    public static Change WholeShelf(Shelf shelf) => (db, _) => ShelfRows.TakeAsync(db, shelf);

    /// <summary>Takes something off the shelf; batches that were mixed from it keep their words.</summary>
    public static Change OffShelf<T>(Expression<Func<T, bool>> which)
        where T : class => async (db, _) => db.RemoveRange(await db.Set<T>().Where(which).ToListAsync());

    /// <summary>Writes entries into plants' journals by tag, with the organs that they start and what is forecast then.</summary>
    /// <remarks>Refused where there is no plant of one of the tags.</remarks>
    public static Change Entries(params IReadOnlyList<PlantEntries> written) =>
        async (db, act) =>
        {
            var tags = written.Select(w => w.Tag).ToList();
            var plants = await db.Plants.Where(p => tags.Contains(p.Tag)).ToDictionaryAsync(p => p.Tag, StringComparer.OrdinalIgnoreCase);
            // A plant that is added in the same act is not in the database yet.
            foreach (var fresh in db.Plants.Local)
                plants.TryAdd(fresh.Tag, fresh);
            if (tags.FirstOrDefault(tag => !plants.ContainsKey(tag)) is { } missing)
                throw new ActRefusedException($"{missing} is not here any more. Nothing was logged.");
            if (plants.Values.Any(plant => plant.Id == 0))
                await db.SaveChangesAsync();
            foreach (var one in written)
            {
                var plant = plants[one.Tag];
                await EntryRows.AddAsync(db, [.. one.Entries.Select(entry => Written(entry.ToRow(), plant.Id, act.Id))]);
                db.Organs.AddRange(one.Organs.Select(organ => Of(organ.ToRow(), plant.Id)));
                await ForecastsAsync(db, plant.Id, one.Forecasts);
            }
            act.Plants = [.. act.Plants.Union(written.Select(one => plants[one.Tag].Id))];
        };

    /// <summary>What is written here belongs to this act in the journal too; what came with a file may name its own.</summary>
    static EntryRow Written(EntryRow row, int plant, Guid act)
    {
        if (row.Act == Guid.Empty)
            row.Act = act;
        return EntryRows.InAct(row, plant, act);
    }

    internal static OrganRow Of(OrganRow row, int plant)
    {
        row.PlantId = plant;
        return row;
    }

    /// <summary>Keeps forecasts as they were made; the last one of a day stands for it.</summary>
    static async Task ForecastsAsync(GardenDb db, int plant, IReadOnlyList<Forecast> forecasts)
    {
        if (forecasts.Count == 0)
            return;
        var made = forecasts[0].Made;
        var known = await db.ForecastsKept.Where(f => f.PlantId == plant && f.Made == made).ToListAsync();
        foreach (var row in forecasts.Select(Mapping.ToRow))
        {
            row.PlantId = plant;
            db.ForecastsKept.RemoveRange(known.Where(f => f.Of == row.Of && f.Organ == row.Organ));
            db.ForecastsKept.Add(row);
        }
    }

    /// <summary>Strikes or restores one entry of a plant.</summary>
    public static Change Strike(string tag, Guid entry, bool struck) =>
        async (db, act) =>
        {
            var row = await EntryAsync(db, tag, entry);
            (row.Struck, row.StruckBy) = (struck, null);
            act.Plants = [row.PlantId];
        };

    static async Task<EntryRow> EntryAsync(GardenDb db, string tag, Guid entry)
    {
        var plants = db.Plants.Where(p => p.Tag == tag).Select(p => p.Id);
        return await db.Entries.FirstOrDefaultAsync(e => e.Id == entry && plants.Contains(e.PlantId))
            ?? throw new ActRefusedException("That entry is not in this plant's log.");
    }

    /// <summary>Adds readings; one that is already there for its place and time is replaced.</summary>
    public static Change Readings(IReadOnlyList<ClimateReading> readings) => (db, act) => ReadingRows.PutAsync(db, act, readings);

    internal static async Task<int?> PlaceKeyAsync(GardenDb db, string? code)
    {
        if (code is null)
            return null;
        if (db.Places.Local.FirstOrDefault(p => p.Code == code) is not { } local)
            return await db.Places.Where(p => p.Code == code).Select(p => (int?)p.Id).FirstOrDefaultAsync();
        // A place that is added in the same act has no key before it is saved.
        if (local.Id == 0)
            await db.SaveChangesAsync();
        return local.Id;
    }
}
