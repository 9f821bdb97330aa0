namespace BudClock.Web.Pages.Plants;

/// <summary>What a change of a plant's details means for its journal and its older names.</summary>
static class PlantChanges
{
    /// <summary>A new name or place is written into the journal; for a new plant, what it is doing now.</summary>
    public static IReadOnlyList<EntryDraft> Entries(Plant? before, Plant after, GardenDay today, string? doing)
    {
        if (before is null)
            return PlantNow.Find(doing) is { } now ? [now.Entry(today.Day)] : [];
        var entries = new List<EntryDraft>();
        if (before.Called != after.Called)
            entries.Add(new(EntryKinds.Renamed, today.Day, Text: $"from {before.Called} to {after.Called}"));
        if (before.Place != after.Place && after.Place is not null)
            entries.Add(new(EntryKinds.Moved, today.Day, Text: Moves.Words(today.PlaceOf(before), today.PlaceOf(after))));
        return entries;
    }

    /// <summary>Names that the plant had before and has no more.</summary>
    public static IReadOnlyList<string> Synonyms(Plant? before, string? name, string? taxon)
    {
        if (before is null)
            return [];
        string?[] old = [.. before.Synonyms, before.Taxon, before.Name];
        return [.. old.OfType<string>().Where(word => word != name && word != taxon).Distinct()];
    }

    /// <summary>Where two versions of a plant differ, as sentences.</summary>
    public static IReadOnlyList<string> Words(Plant saved, Plant typed, GardenDay today)
    {
        (string What, string? Saved, string? Typed)[] fields =
        [
            ("the name", saved.Name, typed.Name),
            ("the botanical name", saved.Taxon, typed.Taxon),
            ("the place", today.PlaceOf(saved)?.Name, today.PlaceOf(typed)?.Name),
            ("the medium", saved.Medium, typed.Medium),
            ("the pot", Pot(saved), Pot(typed)),
            ("where it came from", saved.Source, typed.Source),
            ("the parent", saved.Parent, typed.Parent),
        ];
        return
        [
            .. fields
                .Where(field => field.Saved != field.Typed)
                .Select(field => $"There, {field.What} is {field.Saved ?? "empty"}; here, {field.Typed ?? "empty"}."),
        ];
    }

    static string? Pot(Plant plant) => plant.Pot is { } pot ? $"{pot.DiameterCm:0.#} × {pot.HeightCm:0.#} cm {pot.Kind}" : null;
}
