using BudClock.Core.Advising;
using BudClock.Core.Culture;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>A form for any kind of entry: its number or state, its day, the organ it is about. It also corrects one that stands.</summary>
public sealed class LogModel(TodaysGarden glasshouse, Logbook logbook) : GardenPage(glasshouse)
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
        return outcome.Done ? Redirect($"/plants/{Plant.Plant.Tag}") : Page();
    }

    bool Find(string tag, string? kind)
    {
        if (Today.Find(tag) is not { } plant || (plant.Gone && Amend is null))
            return false;
        Plant = plant;
        Old = Amend is { } id ? plant.Plant.Entries.FirstOrDefault(entry => entry.Id == id && !entry.Struck) : null;
        Chosen = Old?.Kind ?? EntryKinds.Find(kind ?? "") ?? Chosen;
        return Amend is null || Old is not null;
    }
}
