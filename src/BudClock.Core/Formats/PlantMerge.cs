namespace BudClock.Core.Formats;

/// <summary>Compares one plant of a garden file with the one of its tag here.</summary>
static class PlantMerge
{
    /// <param name="ids">Every entry of the garden, so that none comes in twice.</param>
    public static PlantImport Of(Plant? here, Plant file, HashSet<Guid> ids, ImportWay way)
    {
        var fresh = Fresh(here, file, ids);
        if (here is null)
            return new(null, file, [], file with { Entries = [], Version = 0 }, fresh, []);
        var strikes = way is ImportWay.Add ? [] : Strikes(here, file);
        var told = new Plant { Tag = here.Tag };
        // Dated changes of the file come in as entries; what is compared is what it says beside them.
        var (record, sent) = (here.On(DateOnly.MinValue), file.On(DateOnly.MinValue));
        var (result, differs) = (record, new List<string>());
        foreach (var field in Fields)
        {
            var (mine, theirs) = (field.Get(record), field.Get(sent));
            if (Equals(theirs, field.Get(told)) || Equals(mine, theirs))
                continue;
            var empty = Equals(mine, field.Get(told));
            if (!empty)
                differs.Add($"{here.Tag}: {field.What} is {mine} here; the file says {theirs}.");
            if (way is ImportWay.Replace || (empty && way is ImportWay.Merge))
                result = field.Set(result, sent);
        }
        var organs = sent.Organs.Where(organ => here.Organs.All(known => known.Id != organ.Id)).ToList();
        return new(here, file with { Organs = organs }, differs, result with { Entries = here.Entries }, fresh, strikes);
    }

    sealed record Field(string What, Func<Plant, object?> Get, Func<Plant, Plant, Plant> Set);

    static readonly IReadOnlyList<Field> Fields =
    [
        new("its name", p => p.Name, (p, from) => p with { Name = from.Name }),
        new("its botanical name", p => p.Taxon, (p, from) => p with { Taxon = from.Taxon }),
        new("its sheet", p => p.Sheet, (p, from) => p with { Sheet = from.Sheet }),
        new("its place", p => p.Place, (p, from) => p with { Place = from.Place }),
        new("its tray", p => p.Vessel, (p, from) => p with { Vessel = from.Vessel }),
        new("the day it came", p => p.Acquired, (p, from) => p with { Acquired = from.Acquired }),
        new("when it came", p => p.AcquiredAbout, (p, from) => p with { AcquiredAbout = from.AcquiredAbout }),
        new("when it was potted", p => p.PottedAbout, (p, from) => p with { PottedAbout = from.PottedAbout }),
        new("the pot's diameter", p => p.Pot?.DiameterCm, (p, from) => p.With(Facts.PotDiameter, from.Fact(Facts.PotDiameter))),
        new("the pot's height", p => p.Pot?.HeightCm, (p, from) => p.With(Facts.PotHeight, from.Fact(Facts.PotHeight))),
        new("the pot's kind", p => p.Pot?.Kind, (p, from) => p.With(Facts.PotKind, from.Fact(Facts.PotKind))),
        new("its medium", p => p.Medium, (p, from) => p with { Medium = from.Medium }),
        new("its doubt", p => p.Doubtful, (p, from) => p with { Doubtful = from.Doubtful }),
        new("its parent", p => p.Parent, (p, from) => p with { Parent = from.Parent }),
        new("how it was made", p => p.Origin, (p, from) => p with { Origin = from.Origin }),
        new("where it came from", p => p.Source, (p, from) => p with { Source = from.Source }),
        new("its quarantine", p => p.QuarantineUntil, (p, from) => p with { QuarantineUntil = from.QuarantineUntil }),
        new("its schools", p => p.Schools, (p, from) => p with { Schools = from.Schools }),
    ];

    /// <summary>
    /// Entries that are not here by their id. Those without an id of their own are the ones that say what no line here says yet,
    /// counted, so that a line written twice on purpose stays two.
    /// </summary>
    static List<Entry> Fresh(Plant? here, Plant file, HashSet<Guid> ids)
    {
        var sent = file.Entries.Select(entry => entry.Id).ToHashSet();
        var left = (here?.Entries ?? [])
            .Where(entry => !entry.Undone && !sent.Contains(entry.Id))
            .GroupBy(EntryIds.Content)
            .ToDictionary(same => same.Key, same => same.Count());
        var fresh = new List<Entry>();
        foreach (var entry in file.Entries.Where(entry => !ids.Contains(entry.Id)))
        {
            var content = EntryIds.Content(entry);
            if (EntryIds.IsFromContent(entry.Id) && left.GetValueOrDefault(content) > 0)
                left[content]--;
            else
                fresh.Add(entry);
        }
        return fresh;
    }

    static List<Guid> Strikes(Plant here, Plant file)
    {
        var standing = here.Entries.Where(entry => !entry.Struck).Select(entry => entry.Id).ToHashSet();
        return [.. file.Entries.Where(entry => entry.Struck && standing.Contains(entry.Id)).Select(entry => entry.Id)];
    }
}
