using BudClock.Core.Culture;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>Adds a plant, or changes what is known of one: from a day on, or because it was wrong from the start.</summary>
public sealed class EditModel(TodaysGarden todaysGarden, Logbook logbook, Clock clock) : GardenPage(todaysGarden)
{
    [BindProperty]
    public PlantForm Form { get; set; } = new();

    /// <summary>The plant that is changed; null for a new one.</summary>
    public Plant? Known { get; private set; }

    /// <summary>What another window saved meanwhile, where it differs from what is typed here; null when none did.</summary>
    public IReadOnlyList<string>? ChangedElsewhere { get; private set; }

    /// <summary>The sheet that the name and the medium lead to; null where none covers them.</summary>
    public CultureSheet? ByName => CultureSheets.Shipped.ForTaxon(Form.Taxon, Form.Medium?.Trim());

    /// <summary>The sheet the plant is read by: the chosen one, else the one of its name, else the general one.</summary>
    public CultureSheet? Sheet =>
        CultureSheets.Shipped.Find(Form.Sheet)
        ?? ByName
        ?? (string.IsNullOrWhiteSpace(Form.Taxon) ? null : CultureSheets.Shipped.Find(CultureSheets.General));

    /// <summary>What the typed name may mean besides, the likeliest first.</summary>
    public IReadOnlyList<NameFound> Meant =>
        [
            .. CultureSheets
                .Shipped.Search(Form.Taxon, Form.Medium?.Trim())
                .Where(found => !found.Taxon.Equals(Form.Taxon?.Trim(), StringComparison.OrdinalIgnoreCase)),
        ];

    /// <summary>Where the species part of the form asks, while it is typed.</summary>
    public string Ask => Known is null ? "/plants/new" : $"/plants/{Known.Tag}/edit";

    public IActionResult OnGet(string? tag, string? taxon, string? place)
    {
        if (!Find(tag))
            return NotFound();
        Form = Known is { } plant ? PlantForm.Of(plant, Today) : new() { Taxon = taxon, Place = place };
        return Page();
    }

    /// <summary>The sheet that a taxon is found under, while it is typed.</summary>
    public IActionResult OnPostSheet(string? tag) => Find(tag) ? Species("_SheetFound") : NotFound();

    /// <summary>One of the names that were meant is taken in place of what was typed.</summary>
    public IActionResult OnPostMeant(string? tag, string taxon)
    {
        if (!Find(tag))
            return NotFound();
        Form.Taxon = taxon;
        return Species("_Species");
    }

    /// <summary>A part of the form that is still being typed in has no faults yet, and shows what is chosen now.</summary>
    PartialViewResult Species(string part)
    {
        ModelState.Clear();
        return Partial(part, this);
    }

    public async Task<IActionResult> OnPostAsync(string? tag)
    {
        if (!Find(tag))
            return NotFound();
        var (plant, since) = (Form.Read(Known, Today, ModelState), Form.Since(Known, Today, ModelState));
        if (plant is null || !ModelState.IsValid)
            return Page();
        var change = Known is null ? PlantChanges.New(plant, Today.Day, Form.Doing) : PlantChanges.Of(Known, plant, since, Today);
        if (Known is not null && plant.Version == Known.Version && PlantChanges.None(Known, plant))
        {
            TempData["Said"] = "Nothing was changed.";
            return LocalRedirect($"/plants/{plant.Tag}");
        }
        var facts = change.Dated.Select((entry, index) => EntryWriting.Fact(entry, Guid.Empty, clock.GetUtcNow().AddTicks(index)));
        var written = new PlantEntries(plant.Tag, [.. facts], []);
        var words = Known is null ? $"{plant.Tag} added" : $"{plant.Tag} changed";
        try
        {
            var outcome = await logbook.WriteAsync(Act, words, Changes.All(Changes.Plant(change.OnRecord), Changes.Entries(written)));
            if (outcome.Done)
                return LocalRedirect($"/plants/{plant.Tag}");
            ModelState.AddModelError("Form.Tag", outcome.Trouble!);
            return Page();
        }
        catch (ChangedElsewhereException)
        {
            return await ChangedElsewhereAsync(plant);
        }
    }

    /// <summary>Another tag, for one that was mistyped; the plant is still found by the old one.</summary>
    public async Task<IActionResult> OnPostTagAsync(string tag, string? newTag)
    {
        if (!Find(tag) || Known is null)
            return NotFound();
        Form = PlantForm.Of(Known, Today);
        ModelState.Clear();
        var to = newTag?.Trim() ?? "";
        TagFault =
            !Core.Gardens.Tags.Sound(to) ? "A tag has letters, digits and hyphens, at most 20, such as LYC-01."
            : Today.Find(to) is { } taken && taken.Plant.Tag != Known.Tag ? $"{to} is taken."
            : null;
        if (TagFault is not null)
            return Page();
        var outcome = await logbook.WriteAsync(Act, $"{Known.Tag} tagged {to}", Changes.Tag(Known.Tag, to));
        TagFault = outcome.Trouble;
        return outcome.Done ? LocalRedirect($"/plants/{to}") : Page();
    }

    /// <summary>What was wrong with the new tag.</summary>
    public string? TagFault { get; private set; }

    /// <summary>Takes a plant away that was added by mistake; undo brings it back whole.</summary>
    public async Task<IActionResult> OnPostRemoveAsync(string tag)
    {
        if (!Find(tag) || Known is null)
            return NotFound();
        await logbook.WriteAsync(Act, $"{Known.Tag} taken away", Changes.WithoutPlant(Known.Tag));
        TempData["Said"] = $"{Known.Tag} and its log are taken away. Undo brings them back.";
        return LocalRedirect("/bench");
    }

    /// <summary>
    /// Another window saved first: what it made of the plant is said, what is typed here stays, and saving again keeps that.
    /// </summary>
    async Task<IActionResult> ChangedElsewhereAsync(Plant typed)
    {
        Known = (await TodaysGarden.TodayAsync())!.Find(typed.Tag)!.Plant;
        ModelState.Remove("Form.Version");
        Form.Version = Known.Version;
        ChangedElsewhere = PlantChanges.Words(Known, typed, Today);
        return Page();
    }

    bool Find(string? tag)
    {
        Known = Today.Find(tag)?.Plant;
        return Known is not null || !RouteData.Values.ContainsKey("tag"); // a blank tag in the address is no new plant
    }
}
