using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Notes;
using BudClock.Core.Saying;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>A form for any kind of entry: its number or state, its day, the organ it is about. It also corrects one that stands.</summary>
public sealed class LogModel(TodaysGarden todaysGarden, Logbook logbook) : GardenPage(todaysGarden)
{
    [BindProperty]
    public EntryForm Form { get; set; } = new();

    /// <summary>The id of the entry that is corrected; null for a new one.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid? Amend { get; set; }

    public Assessment Plant { get; private set; } = null!;

    /// <summary>The entry that is corrected, as it stands.</summary>
    public Entry? Old { get; private set; }

    public EntryKind Chosen { get; private set; } = EntryKinds.Watered;

    public string? Fault { get; private set; }

    /// <summary>The unit a bare number is read in.</summary>
    public Unit? Unit => Chosen.Measure is { } measure ? Unit.Default(measure.Dimension, Today.Garden.UsUnits) : null;

    /// <summary>The organs that such an entry can be about.</summary>
    public IEnumerable<Organ> Organs => OrganParts.Of(Chosen) is { } part ? Plant.Plant.Organs.Where(part.Has) : Plant.Plant.Organs;

    public bool CanBeNew => Old is null && OrganParts.Of(Chosen)?.Starts(Chosen) == true;

    /// <summary>The kinds that are likely now, and then those that the habit knows; the rest are found by their words.</summary>
    public IReadOnlyList<EntryKind> Likely =>
        [
            .. LikelyEntries
                .For(Plant)
                .Select(tap => tap.Kind)
                .Concat(Plant.Situation?.Sheet.Signs.Select(sign => sign.Kind) ?? [])
                .Append(EntryKinds.Note)
                .Distinct()
                .Take(MostLikely),
        ];

    const int MostLikely = 12;

    /// <summary>All kinds that this plant can have; a picture has a form of its own.</summary>
    public IEnumerable<EntryKind> Possible =>
        EntryKinds.All.Where(kind =>
            kind != EntryKinds.Photo
            && kind != EntryKinds.PutOff
            && kind != EntryKinds.NotAsked
            && (Plant.Situation?.Sheet is not { } sheet || PossibleKinds.Of(sheet).Contains(kind))
        );

    public IEnumerable<Caution> Cautions => Core.Culture.Cautions.For(Chosen, Plant.Situation?.Sheet);

    public IActionResult OnGet(string tag, string? kind)
    {
        if (!Find(tag, kind))
            return NotFound();
        if (Old is not null)
            Form = EntryForm.Of(Old);
        return IsHtmx ? Partial("_EntryFields", this) : Page();
    }

    public async Task<IActionResult> OnPostAsync(string tag)
    {
        if (!Find(tag, Form.Kind))
            return NotFound();
        var (entry, fault) = Form.Read(Today, Plant);
        if (Old is null && entry is { Organ: null } && Plant.Book.Place([entry]).Questions is [{ } question, ..])
            (entry, fault) = (
                null,
                $"This could mean several parts: {string.Join("; ", question.Choices.Select(choice => choice.Words))}. Choose one below."
            );
        if (entry is null)
        {
            Fault = fault;
            return Page();
        }
        var outcome = Old is null
            ? await logbook.LogAsync(Act, [Plant.Plant.Tag], [entry])
            : await logbook.AmendAsync(Act, Plant.Plant.Tag, Old, entry with { Mix = Old.Mix });
        Fault = outcome.Trouble;
        if (!outcome.Done)
            return Page();
        TempData["Said"] = Old is null
            ? Said.Logged([Plant.Plant.Tag], [entry], Today).Words
            : $"Corrected on {Plant.Plant.Tag}: {entry.Words}.";
        TempData["Undo"] = true;
        return Redirect($"/plants/{Plant.Plant.Tag}");
    }

    /// <summary>A kind by its name in files or by its words.</summary>
    static EntryKind? Named(string? written) =>
        EntryKinds.Find(written ?? "")
        ?? EntryKinds.All.FirstOrDefault(kind => kind.Words.Equals(written?.Trim(), StringComparison.OrdinalIgnoreCase));

    bool Find(string tag, string? kind)
    {
        if (Today.Find(tag) is not { } plant || (plant.Gone && Amend is null))
            return false;
        Plant = plant;
        Old = Amend is { } id ? plant.Plant.Entries.FirstOrDefault(entry => entry.Id == id && !entry.Struck) : null;
        Chosen = Old?.Kind ?? Named(kind) ?? Chosen;
        return Amend is null || Old is not null;
    }
}
