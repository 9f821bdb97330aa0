using BudClock.Core.Advising;
using BudClock.Core.Advising.Blooming;
using BudClock.Core.Programmes;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Triggers;

/// <summary>One programme: its steps, who runs it, which place does it first, and its start for one plant or many.</summary>
public sealed class ProgrammeModel(TodaysGarden todaysGarden, Logbook logbook) : GardenPage(todaysGarden)
{
    const int FurthestDays = 400;

    public Programme Programme { get; private set; } = null!;
    public IReadOnlyList<Assessment> Running { get; private set; } = [];

    /// <summary>Plants that could start it: those that it is meant for.</summary>
    public IReadOnlyList<Assessment> Fitting { get; private set; } = [];

    /// <summary>All others, for who knows better.</summary>
    public IReadOnlyList<Assessment> Others { get; private set; } = [];

    /// <summary>Places, the one that does the first step soonest first; empty for a step that needs no place.</summary>
    public IReadOnlyList<PlaceForStep> Places { get; private set; } = [];

    [BindProperty]
    public List<string> Tags { get; set; } = [];

    [BindProperty]
    public DateOnly? From { get; set; }

    public string? Fault { get; private set; }

    public IActionResult OnGet(string name) => Find(name) ? Page() : NotFound();

    public async Task<IActionResult> OnPostAsync(string name)
    {
        if (!Find(name))
            return NotFound();
        var plants = Tags.Select(Today.Find).OfType<Assessment>().Where(plant => !plant.Gone).ToList();
        var from = From ?? Today.Day;
        if (plants.Count == 0)
            Fault = "Tick the plants that start it.";
        else if (from > Today.Day.AddDays(FurthestDays) || from < Today.Day.AddDays(-FurthestDays))
            Fault = $"Give a day within {FurthestDays} days, as 2031-11-01.";
        if (Fault is not null)
            return Page();
        // A start that is past is written down on its day; one that is to come is a plan of today.
        var entry = new EntryDraft(
            EntryKinds.ProgrammeStarted,
            from < Today.Day ? from : Today.Day,
            Text: ProgrammeOrder.Words(Programme.Name, from, Today.Day)
        );
        Fault = (await logbook.LogAsync(Act, [.. plants.Select(plant => plant.Plant.Tag)], [entry])).Trouble;
        return Fault is null ? Redirect("/triggers") : Page();
    }

    /// <summary>Takes a programme of the grower's own away.</summary>
    public async Task<IActionResult> OnPostRemoveAsync(string name)
    {
        if (!Find(name) || !Programme.Own)
            return NotFound();
        Fault =
            Running.Count > 0
                ? $"{Running.Count} of your plants run it: give those up first."
                : (await logbook.WriteAsync(Act, $"Programme {name} taken away", Changes.WithoutProgramme(name))).Trouble;
        return Fault is null ? Redirect("/triggers/programmes") : Page();
    }

    bool Find(string name)
    {
        if (Today.Programmes.Named(name) is not { } programme)
            return false;
        Programme = programme;
        var here = Today.Plants.Where(plant => !plant.Gone).ToList();
        Running = [.. here.Where(plant => ProgrammesModel.Runs(plant, programme))];
        Fitting = [.. here.Except(Running).Where(plant => programme.IsFor(plant.Situation.Sheet))];
        Others = [.. here.Except(Running).Except(Fitting)];
        if (programme.Steps[0].Measure is CoolNights or CoolDays or LongNights)
            Places = CoolPlaces.Of(Today.Places, Today.Counted, programme, Danger, Today.Day);
        return true;
    }

    /// <summary>The night that endangers the most tender of those that could start it, °C.</summary>
    double Danger => Fitting.Concat(Running).Select(plant => plant.Situation.Temper.DangerC).DefaultIfEmpty(0).Max();

    /// <summary>What speaks against starting it on a plant now; null for nothing.</summary>
    public string? Against(Assessment plant)
    {
        var now = plant.Situation;
        return now.Arrival is { IsNewcomer: true } && Programme.NotWhile.Contains(Vetoes.Newcomer) ? "a newcomer: let it settle first"
            : Programme.NotWhile.Contains(Vetoes.Sick) && (now.Rot is { Open: true } || now.Roots.Dead || now.Pests is { Open: true })
                ? "ill: first get it well"
            : Programme.NotWhile.Contains(Vetoes.InBud) && (now.Open(LaneKind.Spike) || now.Open(LaneKind.Bloom))
                ? "in spike or bloom: after its flowers"
            : null;
    }
}
