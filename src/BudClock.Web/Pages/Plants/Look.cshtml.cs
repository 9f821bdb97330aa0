using BudClock.Core.Advising;
using BudClock.Core.Advising.Looking;
using BudClock.Web.Photos;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>Rule K4: before and now side by side, and whether the change did what was hoped.</summary>
[RequestSizeLimit(PictureIntake.RequestLimit)]
public sealed class LookModel(TodaysGarden todaysGarden, Logbook logbook, PictureBook pictures) : GardenPage(todaysGarden)
{
    public static readonly IReadOnlyList<(string State, string Words)> Answers =
    [
        ("better", "Yes, it is better"),
        ("same", "No change"),
        ("worse", "No, it is worse"),
    ];

    [BindProperty]
    public List<EntryForm> Rows { get; set; } = [];

    [BindProperty]
    public string? Answer { get; set; }

    public Assessment Plant { get; private set; } = null!;

    public SecondLook? Look { get; private set; }

    public Entry? Before { get; private set; }

    public Entry? Now { get; private set; }

    public string? Fault { get; private set; }

    public Unit LengthUnit => Unit.Default(Dimension.Length, Today.Garden.UsUnits)!;

    public EntryForm? Typed(int row) => Rows.ElementAtOrDefault(row);

    public IActionResult OnGet(string tag) => Find(tag) ? Page() : NotFound();

    public async Task<IActionResult> OnPostAsync(string tag, IFormFile? file)
    {
        if (!Find(tag))
            return NotFound();
        if (Look is null)
            return Redirect($"/plants/{tag}");
        var entries = Read();
        if (Fault is null && Answers.All(answer => answer.State != Answer))
            Fault = "Choose what it did: better, no change, or worse.";
        if (Fault is null && file is not null)
        {
            var (picture, fault) = await pictures.TakeAsync(file, Today.Day, "second look");
            Fault = fault;
            if (picture is not null)
                entries.Add(picture);
        }
        if (Fault is not null)
            return Page();
        // The picture and the answer are one act: both are kept, or neither.
        var outcome = await logbook.LogAsync(
            Act,
            [Plant.Plant.Tag],
            [.. entries, new EntryDraft(EntryKinds.Looked, Today.Day, Text: Answer)]
        );
        Fault = outcome.Trouble;
        if (!outcome.Done)
            return Page();
        return Redirect($"/plants/{Plant.Plant.Tag}");
    }

    /// <summary>The rows that were filled in; the first fault ends it.</summary>
    List<EntryDraft> Read()
    {
        var entries = new List<EntryDraft>();
        foreach (var row in Rows.Where(row => !string.IsNullOrWhiteSpace(row.Amount) || !string.IsNullOrWhiteSpace(row.Words)))
        {
            var (entry, fault) = row.Read(Today, Plant);
            if (entry is null)
                Fault ??= fault;
            else
                entries.Add(entry with { Organ = entry.Organ ?? OrganBook.Unnamed });
        }
        return entries;
    }

    bool Find(string tag)
    {
        if (Today.Find(tag) is not { Situation: { } now } plant)
            return false;
        (Plant, Look) = (plant, SecondLookAdviser.Open(now));
        var shown = PlantPictures.Of(plant.Plant);
        Before = shown.LastOrDefault(picture => picture.On <= Look?.Change.On);
        Now = shown.LastOrDefault(picture => picture.On > Look?.Change.On);
        return true;
    }
}
