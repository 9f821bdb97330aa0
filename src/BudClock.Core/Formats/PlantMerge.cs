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
        foreach (var field in PlantFields.All.SelectMany(field => field.Compared))
        {
            var (mine, theirs) = (field.Get(record), field.Get(sent));
            if (Equals(theirs, field.Get(told)) || Equals(mine, theirs))
                continue;
            var empty = Equals(mine, field.Get(told));
            if (!empty)
                differs.Add($"{here.Tag}: {field.What} is {mine} here; the file says {theirs}.");
            if (way is ImportWay.Replace || (empty && way is ImportWay.Merge))
                result = field.Take(result, sent);
        }
        var organs = sent.Organs.Where(organ => here.Organs.All(known => known.Id != organ.Id)).ToList();
        return new(here, file with { Organs = organs }, differs, result with { Entries = here.Entries }, fresh, strikes);
    }

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
