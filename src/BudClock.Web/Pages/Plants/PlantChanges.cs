namespace BudClock.Web.Pages.Plants;

/// <summary>From what holds that was typed: what is on record from the start, and what holds only from a day on.</summary>
/// <param name="OnRecord">The plant as it is to be on record.</param>
/// <param name="Dated">What its log says of the change; none where nothing has a past.</param>
public sealed record PlantChange(Plant OnRecord, IReadOnlyList<EntryDraft> Dated);

/// <summary>What a change of a plant's details means for its journal and its older names.</summary>
static class PlantChanges
{
    /// <summary>What is typed is what stands already.</summary>
    public static bool None(Plant before, Plant after) =>
        PlantPast.Between(before, after).Count == 0
        && (before.Acquired, before.AcquiredAbout, before.Doubtful, before.Parent, before.Origin, before.Source, before.QuarantineUntil)
            == (after.Acquired, after.AcquiredAbout, after.Doubtful, after.Parent, after.Origin, after.Source, after.QuarantineUntil);

    /// <summary>A new plant: what it is doing now is its first entry.</summary>
    public static PlantChange New(Plant typed, DateOnly today, string? doing) =>
        new(typed, PlantNow.Find(doing) is { } now ? [now.Entry(today)] : []);

    /// <summary>
    /// A plant that is known: what it was, it was until the day of the change, unless it had been written down wrongly all along.
    /// What was not known before holds from the start.
    /// </summary>
    /// <param name="since">From when the change holds; null where it was so from the start.</param>
    public static PlantChange Of(Plant before, Plant after, DateOnly? since, GardenDay today)
    {
        var changes = PlantPast.Between(before, after);
        var record = after with { Entries = before.Entries };
        foreach (var what in Facts.All.Concat(changes.Select(change => change.What)).Distinct())
            record = record.With(what, before.On(DateOnly.MinValue).Fact(what));
        var past = changes.Where(change => since is not null && change.From is not null).ToList();
        var always = changes.Except(past).ToList();
        foreach (var change in always)
            record = record.With(change.What, change.To);
        // Where its log says otherwise from some day on, the log has to say it again after that.
        var told = always.Where(change => LastChange(before, change.What) is not null).ToList();
        return new(
            record with
            {
                Schools = always
                    .Concat(past)
                    .Aggregate(before.On(DateOnly.MinValue).Schools, (schools, change) => Chosen(schools, change, past)),
            },
            [.. Entries(past, since ?? today.Day, today), .. told.Select(change => Corrected(change, LastChange(before, change.What)!.On))]
        );
    }

    static Choices Chosen(Choices schools, FactChange change, List<FactChange> past) =>
        past.Contains(change) || !change.What.StartsWith(Facts.School, StringComparison.Ordinal)
            ? schools
            : schools.Choose(change.What[Facts.School.Length..], change.To);

    static Entry? LastChange(Plant plant, string what) =>
        plant.Entries.Where(entry => !entry.Struck && entry.Sets.Any(set => set.What == what)).MaxBy(entry => (entry.On, entry.Logged));

    static EntryDraft Corrected(FactChange change, DateOnly on) =>
        new(EntryKinds.Changed, on, Text: $"corrected: {Words(change)}") { Sets = [change] };

    /// <summary>A move and a new name have kinds of their own; the rest is one line.</summary>
    static IEnumerable<EntryDraft> Entries(List<FactChange> changes, DateOnly on, GardenDay today)
    {
        if (changes.Find(change => change.What == Facts.Place) is { } move)
            yield return new(EntryKinds.Moved, on, Text: Moves.Words(today.PlaceAt(move.From), today.PlaceAt(move.To))) { Sets = [move] };
        var names = changes.Where(change => change.What is Facts.Name or Facts.Taxon).ToList();
        if (names.Count > 0)
            yield return new(EntryKinds.Renamed, on, Text: $"from {names[0].From} to {names[0].To ?? "no name"}") { Sets = names };
        var rest = changes.Where(change => change.What is not (Facts.Place or Facts.Name or Facts.Taxon)).ToList();
        if (rest.Count > 0)
            yield return new(EntryKinds.Changed, on, Text: string.Join(", ", rest.Select(Words))) { Sets = rest };
    }

    static string Words(FactChange change) => $"{What(change.What)} {change.From ?? "unknown"} to {change.To ?? "unknown"}";

    static string What(string what) =>
        what switch
        {
            Facts.PotDiameter => "pot width in cm",
            Facts.PotHeight => "pot height in cm",
            Facts.PotKind => "pot",
            Facts.Vessel => "tray",
            _ => what.StartsWith(Facts.School, StringComparison.Ordinal) ? $"school of {what[Facts.School.Length..]}" : what,
        };

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
