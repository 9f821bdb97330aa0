using System.Text;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Files;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.GardenSettings;

/// <summary>Entries in from a CSV: read and shown first, then written all or not at all.</summary>
public sealed class CsvModel(TodaysGarden todaysGarden, Logbook logbook, WaitingTexts texts) : GardenPage(todaysGarden)
{
    const int LargestMb = 5;

    /// <summary>The file's text, where it is sent in place of a file.</summary>
    [BindProperty]
    public string? Text { get; set; }

    /// <summary>Which text that was read it is.</summary>
    [BindProperty]
    public Guid? Sent { get; set; }

    /// <summary>Which of the file's columns each of ours is read from.</summary>
    [BindProperty]
    public Dictionary<string, string?> Columns { get; set; } = [];

    /// <summary>Dates such as 5/4/2031 have the month first; as the garden's units have it where nothing is chosen.</summary>
    [BindProperty]
    public bool? MonthFirst { get; set; }

    public CsvRead? Read { get; private set; }

    /// <summary>How many of the entries read are here already.</summary>
    public int Known { get; private set; }

    public string? Fault { get; private set; }

    public string? Done { get; private set; }

    public void OnGet() { }

    public IActionResult OnGetExample() => File(Encoding.UTF8.GetBytes("\uFEFF" + EntryCsv.Example), "text/csv", "entries.csv");

    public async Task<IActionResult> OnPostReadAsync(IFormFile? file)
    {
        if (file is not null)
        {
            if (await Streams.ReadAsync(file.OpenReadStream(), LargestMb * 1024 * 1024) is not { } content)
                return Wrong($"{file.FileName} is larger than {LargestMb} MB. Split it.");
            Text = Encoding.UTF8.GetString(content).TrimStart('\uFEFF');
            if (Text.Contains('\0', StringComparison.Ordinal))
                return Wrong($"{file.FileName} is no text.");
        }
        Text ??= texts.Find(Sent);
        if (string.IsNullOrWhiteSpace(Text))
            return Wrong("Choose a CSV first.");
        Understand();
        Show();
        return Page();
    }

    /// <summary>The page carries the id of the text, and not the text.</summary>
    void Show()
    {
        Sent = texts.Keep(Text!);
        ModelState.Clear();
        Streams.Tidy(Text!.Length);
    }

    public async Task<IActionResult> OnPostWriteAsync()
    {
        Text ??= texts.Find(Sent);
        if (string.IsNullOrWhiteSpace(Text))
            return Wrong("Choose a CSV first.");
        Understand();
        if (Read!.Faults.Count > 0)
        {
            Show();
            return Page();
        }
        var known = KnownIds();
        var fresh = Read
            .Rows.DistinctBy(row => row.Entry.Id)
            .Where(row => !known.Contains(row.Entry.Id))
            .ToLookup(row => row.Tag, row => row.Entry);
        var written = Changes.Entries([.. fresh.Select(Written)]);
        var outcome = await logbook.WriteAsync(Act, $"{fresh.Sum(plant => plant.Count())} entries from a CSV", written);
        if (!outcome.Done)
            return Wrong(outcome.Trouble!);
        Streams.Tidy(Text.Length);
        (Done, Read) = ($"{fresh.Sum(plant => plant.Count())} entries taken in on {fresh.Count} plants.", null);
        return Page();
    }

    /// <summary>The entries, each on its part: a spike that the log tells of is a part of the plant from then on.</summary>
    PlantEntries Written(IGrouping<string, Entry> plant)
    {
        var known = Today.Find(plant.Key)!;
        var entries = plant.OrderBy(entry => entry.On).ThenBy(entry => entry.Logged).ToList();
        var drafts = entries.Select(entry => new EntryDraft(entry.Kind, entry.On, entry.Amount, entry.Text, entry.Organ, entry.Mix));
        var placed = known.Book.Place([.. drafts]);
        var onParts = entries.Zip(placed.Entries, (entry, draft) => entry with { Organ = draft.Organ });
        return new(plant.Key, EntryWriting.WithChanges(known.Plant, onParts, Today), placed.Added);
    }

    void Understand()
    {
        var plants = Today.Plants.ToDictionary(a => a.Plant.Tag, a => a.Plant, StringComparer.OrdinalIgnoreCase);
        Read = EntryCsv.Read(
            Text!,
            Columns.Count > 0 ? Columns : null,
            plants,
            Today.Day,
            new(Today.NoteContext(), MonthFirst ??= Today.Garden.UsUnits)
        );
        var known = KnownIds();
        Known = Read.Rows.Count(row => known.Contains(row.Entry.Id));
    }

    HashSet<Guid> KnownIds() => [.. Today.Plants.SelectMany(a => a.Plant.Entries).Select(e => e.Id)];

    IActionResult Wrong(string fault)
    {
        Fault = fault;
        return Page();
    }
}
