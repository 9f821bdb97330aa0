using BudClock.Core.Advising;
using BudClock.Core.Culture;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>A form for any kind of entry: its number or state, its day, the organ it is about.</summary>
public sealed class LogModel(TodaysGarden glasshouse, Logbook logbook) : GardenPage(glasshouse)
{
    [BindProperty]
    public EntryForm Form { get; set; } = new();

    public Assessment Plant { get; private set; } = null!;

    public EntryKind Chosen { get; private set; } = EntryKinds.Watered;

    public string? Fault { get; private set; }

    /// <summary>The unit a bare number is read in.</summary>
    public Unit? Unit => Chosen.Measure is { } measure ? Unit.Default(measure.Dimension, Today.Garden.UsUnits) : null;

    /// <summary>The organs that such an entry can be about.</summary>
    public IEnumerable<Organ> Organs => OrganParts.Of(Chosen) is { } part ? Plant.Plant.Organs.Where(part.Has) : Plant.Plant.Organs;

    public bool CanBeNew => OrganParts.Of(Chosen)?.Starts(Chosen) == true;

    public IEnumerable<Caution> Cautions => Core.Culture.Cautions.For(Chosen, Plant.Situation?.Sheet);

    public IActionResult OnGet(string tag, string? kind)
    {
        if (!Find(tag, kind))
            return NotFound();
        return IsHtmx ? Partial("_EntryFields", this) : Page();
    }

    public async Task<IActionResult> OnPostAsync(string tag)
    {
        if (!Find(tag, Form.Kind))
            return NotFound();
        var (entry, fault) = Form.Read(Today, Plant);
        if (entry is not null && entry.Organ is null && Plant.Book.Place([entry]).Questions is [{ } question, ..])
            (entry, fault) = (
                null,
                $"This could mean several parts: {string.Join("; ", question.Choices.Select(choice => choice.Words))}. Choose one below."
            );
        if (entry is null)
        {
            Fault = fault;
            return Page();
        }
        await logbook.LogAsync([Plant.Plant.Tag], [entry]);
        return Redirect($"/plants/{Plant.Plant.Tag}");
    }

    bool Find(string tag, string? kind)
    {
        if (Today.Find(tag) is not { Gone: false } plant)
            return false;
        Plant = plant;
        Chosen = EntryKinds.Find(kind ?? "") ?? Chosen;
        return true;
    }
}
