using System.ComponentModel.DataAnnotations;
using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.ModelBinding;

namespace BudClock.Web.Pages.Plants;

/// <summary>Adds a plant, or changes what is known of one: from a day on, or because it was wrong from the start.</summary>
public sealed class EditModel(TodaysGarden glasshouse, Logbook logbook, Clock clock) : GardenPage(glasshouse)
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

/// <summary>A plant's form as typed. It comes back as typed when something in it is wrong.</summary>
public sealed class PlantForm
{
    const double PotMinCm = 1;
    const double PotMaxCm = 200;

    public string? Tag { get; set; }

    [StringLength(60, ErrorMessage = "A name holds at most 60 characters.")]
    public string? Name { get; set; }

    [StringLength(80, ErrorMessage = "A botanical name holds at most 80 characters.")]
    public string? Taxon { get; set; }

    /// <summary>The culture sheet that was chosen by hand; empty follows the name.</summary>
    public string? Sheet { get; set; }

    /// <summary>What a new plant is doing now, one of <see cref="PlantNow.All"/>; empty when nobody knows.</summary>
    public string? Doing { get; set; }

    public string? Place { get; set; }
    public string? Acquired { get; set; }
    public string? PotDiameter { get; set; }
    public string? PotHeight { get; set; }
    public string? PotKind { get; set; }

    [StringLength(60, ErrorMessage = "The medium holds at most 60 characters.")]
    public string? Medium { get; set; }

    /// <summary>Chosen schools by question; an empty one follows the sheet.</summary>
    public Dictionary<string, string?> Schools { get; set; } = [];
    public bool Doubtful { get; set; }

    [StringLength(20, ErrorMessage = "A tag holds at most 20 characters.")]
    public string? Parent { get; set; }
    public string? Origin { get; set; }

    [StringLength(80, ErrorMessage = "Where it came from holds at most 80 characters.")]
    public string? Source { get; set; }
    public string? QuarantineUntil { get; set; }

    /// <summary>The version of the plant that the form shows.</summary>
    public int Version { get; set; }

    /// <summary>From when the change holds, as 2031-05-24; today when left empty.</summary>
    public string? Holds { get; set; }

    /// <summary>It was so from the start: what stood here was wrong.</summary>
    public bool Always { get; set; }

    public static PlantForm Of(Plant plant, GardenDay today) =>
        new()
        {
            Tag = plant.Tag,
            Name = plant.Name,
            Taxon = plant.Taxon,
            Sheet = plant.Sheet,
            Place = plant.Place,
            Acquired = plant.Acquired?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            PotDiameter = Shown(plant.Pot?.DiameterCm, today),
            PotHeight = Shown(plant.Pot?.HeightCm, today),
            PotKind = plant.Pot?.Kind,
            Medium = plant.Medium,
            Schools = plant.Schools.All.ToDictionary(pair => pair.Key, pair => (string?)pair.Value),
            Doubtful = plant.Doubtful,
            Parent = plant.Parent,
            Origin = plant.Origin,
            Source = plant.Source,
            QuarantineUntil = plant.QuarantineUntil?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            Version = plant.Version,
        };

    /// <summary>The plant as the form gives it, or null with the faults noted beside their fields.</summary>
    public Plant? Read(Plant? known, GardenDay today, ModelStateDictionary faults)
    {
        var tag = known?.Tag ?? Tag?.Trim() ?? "";
        if (known is null && !Tags.Sound(tag))
            faults.AddModelError("Form.Tag", "A tag has letters, digits and hyphens, at most 20, such as LYC-01.");
        else if (known is null && today.Find(tag) is not null)
            faults.AddModelError("Form.Tag", $"{tag} is taken. A tag stays with its plant for good.");
        if (string.IsNullOrWhiteSpace(Taxon))
            faults.AddModelError(
                "Form.Taxon",
                "Write at least the genus, such as Lycaste; with \"identity is doubtful\" it can be a guess."
            );
        if (!string.IsNullOrEmpty(Place) && today.Places.All(p => p.Code != Place))
            faults.AddModelError("Form.Place", "That place is not there any more.");

        if (Blank(Sheet) is { } sheet && CultureSheets.Shipped.Find(sheet) is null)
            faults.AddModelError("Form.Sheet", $"There is no culture sheet \"{sheet}\".");
        if (Blank(Doing) is { } doing && PlantNow.Find(doing) is null)
            faults.AddModelError("Form.Doing", "Choose one of the answers.");
        SchoolFaults(faults);
        if (Blank(Parent) is { } parent && (today.Find(parent) is null || parent.Equals(tag, StringComparison.OrdinalIgnoreCase)))
            faults.AddModelError("Form.Parent", $"No other plant here is tagged \"{parent}\".");
        if (Blank(Origin) is { } origin && !Plant.Origins.Contains(origin))
            faults.AddModelError("Form.Origin", "Choose one of the ways.");
        var (quarantine, quarantineFault) = CommandLine.Days.Read(Blank(QuarantineUntil));
        if (quarantineFault is not null)
            faults.AddModelError("Form.QuarantineUntil", $"The end of the quarantine: {quarantineFault}.");
        var acquired = Day(today, faults);
        var pot = new Pot(
            Cm(PotDiameter, known?.Pot?.DiameterCm, "Form.PotDiameter", today, faults),
            Cm(PotHeight, known?.Pot?.HeightCm, "Form.PotHeight", today, faults),
            Blank(PotKind)
        );
        if (!faults.IsValid)
            return null;
        return (known ?? new Plant { Tag = tag }) with
        {
            Name = Blank(Name),
            Taxon = Blank(Taxon),
            Sheet = Blank(Sheet),
            Place = Blank(Place),
            Acquired = acquired,
            Pot = pot is { DiameterCm: null, HeightCm: null, Kind: null } ? null : pot,
            Medium = Blank(Medium),
            Doubtful = Doubtful,
            Synonyms = PlantChanges.Synonyms(known, Blank(Name), Blank(Taxon)),
            Parent = today.Find(Blank(Parent))?.Plant.Tag,
            Origin = Blank(Origin),
            Source = Blank(Source),
            QuarantineUntil = quarantine,
            Version = Version,
            Schools = Chosen(known),
        };
    }

    /// <summary>Only answers that some sheet knows.</summary>
    void SchoolFaults(ModelStateDictionary faults)
    {
        foreach (var (question, school) in Schools)
            if (Blank(school) is { } chosen && CultureSheets.Shipped.SchoolFault(question, chosen) is { } fault)
                faults.AddModelError("Form.Schools", fault);
    }

    /// <summary>Questions that the form did not show keep their answer.</summary>
    Choices Chosen(Plant? known)
    {
        var chosen = new Dictionary<string, string>(known?.Schools.All ?? Choices.None.All);
        foreach (var (question, school) in Schools)
        {
            if (string.IsNullOrEmpty(school))
                chosen.Remove(question);
            else
                chosen[question] = school;
        }
        return new(chosen);
    }

    DateOnly? Day(GardenDay today, ModelStateDictionary faults)
    {
        var (day, fault) = CommandLine.Days.Read(Blank(Acquired));
        if (fault is not null)
            faults.AddModelError("Form.Acquired", $"The day it came: {fault}.");
        if (day > today.Day)
            faults.AddModelError("Form.Acquired", $"{Dates.Long(day.Value)} is still to come.");
        return day;
    }

    /// <summary>From when the change holds; null where it was so from the start.</summary>
    public DateOnly? Since(Plant? known, GardenDay today, ModelStateDictionary faults)
    {
        if (known is null || Always)
            return null;
        var (day, fault) = CommandLine.Days.Read(Blank(Holds));
        if (fault is not null)
            faults.AddModelError("Form.Holds", $"The day it changed: {fault}.");
        if (day > today.Day)
            faults.AddModelError("Form.Holds", $"{Dates.Long(day.Value)} is still to come.");
        return day ?? today.Day;
    }

    /// <summary>A length in the garden's own unit, as it is typed.</summary>
    static string? Shown(double? cm, GardenDay today) =>
        cm is { } length
            ? (length / Unit.Default(Dimension.Length, today.Garden.UsUnits)!.Factor).ToString("0.##", CultureInfo.InvariantCulture)
            : null;

    /// <summary>What was not changed stays to the last digit, whatever the unit it is shown in rounds away.</summary>
    static double? Cm(string? text, double? known, string field, GardenDay today, ModelStateDictionary faults)
    {
        if (string.IsNullOrWhiteSpace(text))
            return null;
        if (text == Shown(known, today))
            return known;
        var read = AmountReader.Read(text, Unit.Default(Dimension.Length, today.Garden.UsUnits));
        if (read is { Dimension: Dimension.Length } length && length.InBase is >= PotMinCm and <= PotMaxCm)
            return Math.Round(length.InBase, 2);
        faults.AddModelError(field, $"\"{text}\" is no pot size; write a length from {PotMinCm} to {PotMaxCm} cm, such as 11 or 4 1/2 in.");
        return null;
    }

    static string? Blank(string? text) => string.IsNullOrWhiteSpace(text) ? null : text.Trim();
}
