using BudClock.Core.Formats.Lists;

namespace BudClock.Web.Pages.Plants;

/// <summary>What is written down when a list is taken in: new places, plants with their tags, and the first entries of each.</summary>
public sealed class TakingIn(GardenDay today, DateTimeOffset now)
{
    const int LongestField = 80;

    /// <summary>Places that the rows name and the garden has not.</summary>
    public IReadOnlyList<string> NewPlaces(IEnumerable<ListedPlant> rows) =>
        [
            .. rows.Select(row => row.Place)
                .Where(name => name.Length > 0 && PlaceOf(name) is null)
                .Distinct(StringComparer.OrdinalIgnoreCase),
        ];

    public Place? PlaceOf(string name) => today.Places.FirstOrDefault(place => Same(place.Name, name) || Same(place.Code, name));

    /// <summary>What has to be mended in a row first.</summary>
    public IEnumerable<string> Faults(ListedPlant row)
    {
        foreach (var fault in row.Faults)
            yield return $"{(row.Tag.Length > 0 ? row.Tag : $"Line {row.Line}")}: {fault}";
        if (new[] { row.Name, row.Taxon, row.Place, row.Pot, row.Medium }.Any(field => field.Length > LongestField))
            yield return $"{row.Tag}: a field holds at most {LongestField} characters.";
        foreach (var date in new[] { row.Repotted, row.Acquired }.Select(Date).Where(date => date?.Day > today.Day))
            yield return $"{row.Tag}: {Dates.Long(date!.Day!.Value)} is still to come.";
    }

    /// <summary>The places to make, and the plants with their first entries.</summary>
    /// <remarks>A row that counts several is as many plants, or one pot.</remarks>
    public (IReadOnlyList<Place> Places, IReadOnlyList<(Plant Plant, IReadOnlyList<Entry> Facts)> Plants) Of(
        IReadOnlyList<ListedPlant> rows
    )
    {
        var places = new List<Place>();
        foreach (var name in NewPlaces(rows))
            places.Add(new(Codes.For(name, "place", today.Places.Concat(places).Select(p => p.Code)), name));
        var tags = today.Tags.Concat(rows.Select(row => row.Tag)).ToHashSet(StringComparer.OrdinalIgnoreCase);
        var plants = new List<(Plant, IReadOnlyList<Entry>)>();
        foreach (var row in rows)
            for (var n = 0; n < (row.OnePot ? 1 : row.Count); n++)
            {
                var tag = n == 0 ? row.Tag : Tags.Propose(row.Taxon, tags);
                tags.Add(tag);
                plants.Add((PlantOf(row, tag, places), Facts(row)));
            }
        return (places, plants);
    }

    Plant PlantOf(ListedPlant row, string tag, List<Place> made) =>
        new()
        {
            Tag = tag,
            Name = row.Name.Length == 0 ? null : row.Name,
            Taxon = row.Taxon,
            Doubtful = row.Doubtful,
            Place = row.Place.Length == 0 ? null : (PlaceOf(row.Place) ?? made.First(p => Same(p.Name, row.Place))).Code,
            Acquired = Date(row.Acquired)?.Day,
            AcquiredAbout = Date(row.Acquired)?.About,
            PottedAbout = Date(row.Repotted)?.About,
            Pot = ListPot.Read(row.Pot, today.Garden.UsUnits)?.Pot,
            Medium = row.Medium.Length == 0 ? null : row.Medium,
        };

    /// <summary>Its first entries: the last repotting, what it is doing now, what else the list says.</summary>
    IReadOnlyList<Entry> Facts(ListedPlant row)
    {
        var drafts = new List<EntryDraft>();
        if (Date(row.Repotted)?.Day is { } repotted)
            drafts.Add(new(EntryKinds.Repotted, repotted));
        if (PlantNow.Find(PlantList.StageOf(row.Stage)) is { } doing)
            drafts.Add(doing.Entry(today.Day));
        var says = string.Join(
            "; ",
            new[] { row.Note, row.Kept, row is { OnePot: true, Count: > 1 } ? $"{row.Count} in one pot" : "" }.Where(w => w.Length > 0)
        );
        if (says.Length > 0)
            drafts.Add(new(EntryKinds.Note, today.Day, Text: says));
        return [.. drafts.Select((draft, index) => EntryWriting.Fact(draft, Guid.Empty, now.AddTicks(index)))];
    }

    ListDate? Date(string written) => ListDate.Read(written, today.Garden.UsUnits);

    static bool Same(string a, string b) => a.Equals(b, StringComparison.OrdinalIgnoreCase);
}
