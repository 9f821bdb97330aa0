using System.Text;
using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>A row of the list as the table sends it back.</summary>
public sealed class ListedForm
{
    public string? Written { get; set; }
    public string? Tag { get; set; }
    public string? Name { get; set; }
    public string? Taxon { get; set; }
    public string? Place { get; set; }
    public string? Pot { get; set; }
    public string? Medium { get; set; }
    public string? Stage { get; set; }
    public string? Repotted { get; set; }
    public string? Acquired { get; set; }
    public string? Note { get; set; }

    /// <summary>It is not taken in.</summary>
    public bool Leave { get; set; }

    public ListedPlant Plant(int line) =>
        new(line, Written ?? "")
        {
            Tag = Plain(Tag),
            Name = Plain(Name),
            Taxon = Plain(Taxon),
            Place = Plain(Place),
            Pot = Plain(Pot),
            Medium = Plain(Medium),
            Stage = Plain(Stage),
            Repotted = Plain(Repotted),
            Acquired = Plain(Acquired),
            Note = Plain(Note),
        };

    static string Plain(string? field) => field?.Trim() ?? "";
}

/// <summary>
/// A whole collection at once: a list is pasted or sent, shown as it would be taken in, mended in the table, taken in as one act.
/// </summary>
public sealed class ListModel(TodaysGarden glasshouse, Logbook logbook, Clock clock) : GardenPage(glasshouse)
{
    const int LongestField = 80;
    const int LongestFile = 400_000;

    [BindProperty]
    public string? Text { get; set; }

    [BindProperty]
    public IFormFile? Upload { get; set; }

    [BindProperty]
    public List<ListedForm> Rows { get; set; } = [];

    /// <summary>The rows as they would be taken in; empty while there is no list.</summary>
    public IReadOnlyList<ListedPlant> Plants { get; private set; } = [];

    /// <summary>Columns of the list that nothing is read of.</summary>
    public IReadOnlyList<string> Left { get; private set; } = [];

    public string? Trouble { get; private set; }

    /// <summary>Places that the list names and the garden has not.</summary>
    public IReadOnlyList<string> NewPlaces =>
        [
            .. Plants
                .Select(plant => plant.Place)
                .Where(name => name.Length > 0 && PlaceOf(name) is null)
                .Distinct(StringComparer.OrdinalIgnoreCase),
        ];

    public void OnGet() { }

    public IActionResult OnGetExample() => File(Encoding.UTF8.GetBytes("\uFEFF" + PlantList.Example), "text/csv", "plants.csv");

    /// <summary>Shows a list as it would be taken in.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        if (Upload is { Length: > 0 and <= LongestFile } file)
        {
            using var reader = new StreamReader(file.OpenReadStream(), Encoding.UTF8, detectEncodingFromByteOrderMarks: true);
            Text = await reader.ReadToEndAsync();
        }
        else if (Upload is { Length: > LongestFile })
        {
            Trouble = "That file is too long to be a list of plants.";
            return Page();
        }
        var read = PlantList.Read(Text ?? "", Today.Tags, Today.Garden.UsUnits);
        (Plants, Left, Trouble) = (read.Plants, read.Left, read.Trouble);
        // Where there is but one place, everything stands there.
        if (Today.Places is [var only])
            Plants = [.. Plants.Select(plant => plant.Place.Length == 0 ? plant with { Place = only.Name } : plant)];
        return Page();
    }

    /// <summary>Shows the table again, with what was mended read anew.</summary>
    /// <param name="meant">A row and the name that was meant in it, as "3:Lycaste".</param>
    public IActionResult OnPostAgain(string? meant)
    {
        if (meant?.Split(':', 2) is [var row, var taxon] && int.TryParse(row, out var at) && at >= 0 && at < Rows.Count)
            Rows[at].Taxon = taxon;
        Reread();
        return Page();
    }

    /// <summary>Takes the rows in that are not left out, as one act, or none of them.</summary>
    public async Task<IActionResult> OnPostTakeAsync()
    {
        Reread();
        if (Plants.Count == 0)
            return Page();
        Trouble = Plants.SelectMany(Faults).FirstOrDefault();
        if (Trouble is not null)
            return Page();
        var places = NewPlaces.Select(name => new Place(Codes.For(name, "place", Today.Places.Select(p => p.Code)), name)).ToList();
        var plants = Plants.Select(plant => PlantOf(plant, places)).ToList();
        var entries = Plants.Select((plant, row) => new PlantEntries(plants[row].Tag, Facts(plant), [])).ToList();
        Change[] changes = [.. places.Select(Changes.Place), .. plants.Select(Changes.Plant), Changes.Entries(entries)];
        var outcome = await logbook.WriteAsync(Act, $"{plants.Count} plants taken in", Changes.All(changes));
        Trouble = outcome.Trouble;
        if (!outcome.Done)
            return Page();
        TempData["Said"] = $"{plants.Count} plants are taken in.";
        TempData["Undo"] = true;
        return LocalRedirect("/bench");
    }

    void Reread()
    {
        ModelState.Clear();
        var rows = Rows.Where(row => !row.Leave).Take(PlantList.Most).Select((row, index) => row.Plant(index + 1)).ToList();
        Plants = PlantList.Proposed(rows, Today.Tags, Today.Garden.UsUnits);
    }

    /// <summary>What cannot be taken in; a name without a sheet can, and gets general advice.</summary>
    IEnumerable<string> Faults(ListedPlant plant)
    {
        if (plant.Taxon.Length == 0)
            yield return $"Line {plant.Line}: a plant needs a name.";
        foreach (var doubt in plant.Doubts.Where(doubt => !doubt.StartsWith("No sheet", StringComparison.Ordinal)))
            yield return $"{plant.Tag}: {doubt}";
        if (new[] { plant.Name, plant.Taxon, plant.Place, plant.Pot, plant.Medium }.Any(field => field.Length > LongestField))
            yield return $"{plant.Tag}: a field holds at most {LongestField} characters.";
        foreach (var day in new[] { plant.Repotted, plant.Acquired }.Select(Day).Where(day => day > Today.Day))
            yield return $"{plant.Tag}: {Dates.Long(day!.Value)} is still to come.";
    }

    Plant PlantOf(ListedPlant row, List<Place> made) =>
        new()
        {
            Tag = row.Tag,
            Name = row.Name.Length == 0 ? null : row.Name,
            Taxon = row.Taxon,
            Doubtful = CultureSheets.Shipped.ForTaxon(row.Taxon) is null,
            Place = row.Place.Length == 0 ? null : (PlaceOf(row.Place) ?? made.First(p => Same(p.Name, row.Place))).Code,
            Acquired = Day(row.Acquired),
            Pot = PlantList.PotOf(row.Pot, Today.Garden.UsUnits),
            Medium = row.Medium.Length == 0 ? null : row.Medium,
        };

    /// <summary>Its first entries: the last repotting, what it is doing now, what else the list says.</summary>
    IReadOnlyList<Entry> Facts(ListedPlant row)
    {
        var drafts = new List<EntryDraft>();
        if (Day(row.Repotted) is { } repotted)
            drafts.Add(new(EntryKinds.Repotted, repotted));
        if (PlantNow.Find(PlantList.StageOf(row.Stage)) is { } now)
            drafts.Add(now.Entry(Today.Day));
        if (row.Note.Length > 0)
            drafts.Add(new(EntryKinds.Note, Today.Day, Text: row.Note));
        return [.. drafts.Select((draft, index) => EntryWriting.Fact(draft, Guid.Empty, clock.GetUtcNow().AddTicks(index)))];
    }

    DateOnly? Day(string written) => PlantList.DayOf(written, Today.Garden.UsUnits);

    public Place? PlaceOf(string name) => Today.Places.FirstOrDefault(place => Same(place.Name, name) || Same(place.Code, name));

    static bool Same(string a, string b) => a.Equals(b, StringComparison.OrdinalIgnoreCase);
}
