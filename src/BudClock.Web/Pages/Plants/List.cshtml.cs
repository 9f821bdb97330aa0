using System.Text;
using System.Text.Json;
using BudClock.Core.Formats.Lists;
using BudClock.Data;
using BudClock.Web.Files;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>
/// A whole collection at once: a list is pasted or sent, shown as it would be taken in, mended in the table, taken in as one act. What
/// is shown waits here under an id of its own, so that Back and reload find it again.
/// </summary>
public sealed class ListModel(TodaysGarden todaysGarden, Logbook logbook, Clock clock, WaitingTexts waiting) : GardenPage(todaysGarden)
{
    const int LongestFile = 400_000;

    /// <summary>All there is of a list that waits to be taken in.</summary>
    public sealed record Waiting(string Text, IReadOnlyList<ListColumn> Columns, IReadOnlyList<string> Aside, List<ListedForm> Rows)
    {
        /// <summary>It was to be taken in and could not be.</summary>
        public bool Tried { get; init; }
    }

    [BindProperty]
    public string? Text { get; set; }

    [BindProperty]
    public IFormFile? Upload { get; set; }

    [BindProperty]
    public List<ListedForm> Rows { get; set; } = [];

    /// <summary>What the grower says each column holds.</summary>
    [BindProperty]
    public List<string?> Columns { get; set; } = [];

    /// <summary>The list that waits; null while there is none.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid? List { get; set; }

    /// <summary>Of which plants something is said together: "ticked", "all", "genus:Lycaste", "place:Porch".</summary>
    [BindProperty]
    public string? Many { get; set; }

    /// <summary>What they are doing.</summary>
    [BindProperty]
    public string? ManyStage { get; set; }

    /// <summary>The rows as they would be taken in; empty while there is no list.</summary>
    public IReadOnlyList<ListedPlant> Plants { get; private set; } = [];

    public Waiting? Shown { get; private set; }

    public string? Trouble { get; private set; }

    TakingIn Taking => new(Today, clock.GetUtcNow());

    /// <summary>Columns of which nothing is read, but for one that only counts the lines.</summary>
    public IReadOnlyList<string> NotRead =>
        [
            .. (Shown?.Columns ?? [])
                .Where(column => column.Field.Length == 0 && column.Heading.Length > 0 && ListColumns.Of(column.Heading) != "number")
                .Select(column => column.Heading),
        ];

    /// <summary>Places that the list names and the garden has not.</summary>
    public IReadOnlyList<string> NewPlaces => Taking.NewPlaces(Plants);

    public void OnGet()
    {
        if (List is null)
            return;
        Shown = waiting.Find(List) is { } text ? JsonSerializer.Deserialize<Waiting>(text) : null;
        if (Shown is null)
        {
            Trouble = "That list does not wait here any more: paste it again, or go on with what this browser kept of it.";
            return;
        }
        Plants = Proposed(Shown.Rows);
        if (Shown.Tried)
            Trouble = Plants.SelectMany(Taking.Faults).FirstOrDefault() is { } fault ? $"{fault} Nothing was taken in." : null;
    }

    public IActionResult OnGetExample() => File(Encoding.UTF8.GetBytes("\uFEFF" + PlantList.Example), "text/csv", "plants.csv");

    /// <summary>Reads a list, to be shown as it would be taken in.</summary>
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
        return Read(Text ?? "", null);
    }

    /// <summary>Reads the same list again, its columns taken for what the grower says.</summary>
    public IActionResult OnPostColumns() =>
        waiting.Find(List) is { } text
            ? Read(
                JsonSerializer.Deserialize<Waiting>(text)!.Text,
                [.. Columns.Select(field => field is not null && ListColumns.Fields.ContainsKey(field) ? field : "")]
            )
            : RedirectToPage(new { List });

    IActionResult Read(string text, IReadOnlyList<string>? chosen)
    {
        var read = PlantList.Read(text, Today.Tags, Today.Garden.UsUnits, chosen);
        (Trouble, Text) = (read.Trouble, text);
        if (read.Plants.Count == 0)
            return Page();
        // Where there is but one place, everything stands there.
        var plants = Today.Places is [var only]
            ? read.Plants.Select(plant => plant.Place.Length == 0 ? plant with { Place = only.Name } : plant)
            : read.Plants;
        return Show(new(text, read.Columns, read.Aside, [.. plants.Select(ListedForm.Of)]));
    }

    /// <summary>Shows the table again, with what was mended read anew.</summary>
    /// <param name="meant">A row and the name that was meant in it, as "3:Lycaste".</param>
    public IActionResult OnPostAgain(string? meant)
    {
        if (meant?.Split(':', 2) is [var row, var taxon] && int.TryParse(row, out var at) && at >= 0 && at < Rows.Count)
            Rows[at].Taxon = taxon;
        if (ManyStage is { Length: > 0 } stage && PlantNow.Find(stage) is not null)
            foreach (var one in Rows.Where(IsOneOfMany))
                (one.Stage, one.Ticked) = (stage, false);
        return Show(Mended());
    }

    bool IsOneOfMany(ListedForm row) =>
        Many?.Split(':', 2) switch
        {
            ["ticked"] => row.Ticked,
            ["all"] => string.IsNullOrWhiteSpace(row.Stage),
            ["genus", var genus] => Genus(row.Taxon) == genus,
            ["place", var place] => (row.Place ?? "") == place,
            _ => false,
        };

    static string Genus(string? taxon) => (taxon ?? "").Split(' ')[0];

    /// <summary>The choices for what is said of many, each with how many it is said of.</summary>
    public IEnumerable<(string Value, string Words)> Manies =>
        [
            ("ticked", "the ticked ones"),
            ("all", $"all of which nothing is said yet ({Plants.Count(plant => PlantList.StageOf(plant.Stage) is null)})"),
            .. Groups(plant => Genus(plant.Taxon)).Select(group => ($"genus:{group.Key}", $"every {group.Key} ({group.Count()})")),
            .. Groups(plant => plant.Place).Select(group => ($"place:{group.Key}", $"all at {group.Key} ({group.Count()})")),
        ];

    IEnumerable<IGrouping<string, ListedPlant>> Groups(Func<ListedPlant, string> by) =>
        Plants.GroupBy(by).Where(group => group.Key.Length > 0 && group.Count() > 1).OrderByDescending(group => group.Count());

    /// <summary>Takes the rows in that are not left out, as one act, or none of them.</summary>
    public async Task<IActionResult> OnPostTakeAsync()
    {
        var mended = Mended();
        Plants = Proposed(mended.Rows);
        if (Plants.Count == 0)
            return RedirectToPage();
        var taking = Taking;
        if (Plants.SelectMany(taking.Faults).Any())
            return Show(mended with { Tried = true });
        var (places, plants) = taking.Of(Plants);
        var entries = plants.Select(one => new PlantEntries(one.Plant.Tag, one.Facts, [])).ToList();
        Change[] changes = [.. places.Select(Changes.Place), .. plants.Select(one => Changes.Plant(one.Plant)), Changes.Entries(entries)];
        var outcome = await logbook.WriteAsync(Act, $"{plants.Count} plants taken in", Changes.All(changes));
        Trouble = outcome.Trouble;
        if (!outcome.Done)
        {
            Shown = mended;
            return Page();
        }
        TempData["Said"] = $"{plants.Count} plants are taken in.";
        TempData["Undo"] = true;
        return LocalRedirect(places.Count > 0 ? "/places#describe" : "/bench");
    }

    IReadOnlyList<ListedPlant> Proposed(List<ListedForm> rows) =>
        PlantList.Proposed(
            [.. rows.Where(row => !row.Leave).Take(PlantList.Most).Select(row => row.Plant())],
            Today.Tags,
            Today.Garden.UsUnits
        );

    /// <summary>The list as it stood, with its rows as they come from the table.</summary>
    Waiting Mended()
    {
        var before = waiting.Find(List) is { } text ? JsonSerializer.Deserialize<Waiting>(text) : null;
        return new(before?.Text ?? "", before?.Columns ?? [], before?.Aside ?? [], [.. Rows.Where(row => !row.Leave)]);
    }

    IActionResult Show(Waiting list)
    {
        var text = JsonSerializer.Serialize(list);
        if (List is { } id && waiting.Find(id) is not null)
            waiting.Put(id, text);
        else
            List = waiting.Keep(text);
        return RedirectToPage(new { List });
    }
}
