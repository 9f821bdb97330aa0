using BudClock.Core.Advising;
using BudClock.Core.Advising.Vessels;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Trays;

/// <summary>Trays, reservoirs and cover pots: what stands in them, how fast they are drunk, and what to take out.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden, Logbook logbook) : GardenPage(todaysGarden)
{
    const int LongestName = 40;

    [BindProperty]
    public string? Name { get; set; }

    [BindProperty]
    public string? Kind { get; set; }

    [BindProperty]
    public string? Place { get; set; }

    [BindProperty]
    public List<string> Tags { get; set; } = [];

    public SharedVessel? Shared { get; private set; }

    /// <summary>Plants that can be said to stand in it: those of its place, and those that are in it.</summary>
    public IEnumerable<Assessment> MayStandThere =>
        Today.Plants.Where(plant =>
            !plant.Gone && (Shared?.Vessel.Place is not { } place || plant.Plant.Place == place || Shared.Plants.Contains(plant))
        );

    public string? Fault { get; private set; }

    public IActionResult OnGet(string? code) => Find(code) ? Page() : NotFound();

    public async Task<IActionResult> OnPostAsync(string? code)
    {
        if (!Find(code))
            return NotFound();
        var name = Name?.Trim() ?? "";
        if (name.Length is 0 or > LongestName)
            Fault = $"It needs a name of at most {LongestName} characters.";
        else if (!Vessel.Kinds.Contains(Kind))
            Fault = "Choose a tray, a reservoir or a cover pot.";
        else if (Today.Vessels.Any(v => v.Code != code && v.Name.Equals(name, StringComparison.OrdinalIgnoreCase)))
            Fault = $"There is one called {name} already.";
        if (Fault is not null)
            return Page();
        var vessel = new Vessel(
            code ?? $"v{Guid.CreateVersion7():N}"[..13] + Today.Vessels.Count,
            name,
            Kind!,
            Today.Places.FirstOrDefault(p => p.Code == Place)?.Code
        );
        var outcome = await logbook.LogEachAsync(Act, Moved(vessel), Changes.Vessel(vessel));
        Fault = outcome.Trouble;
        return outcome.Done ? Redirect($"/trays/{vessel.Code}") : Page();
    }

    /// <summary>Takes a tray away that was added by mistake; its plants stand in none then.</summary>
    public async Task<IActionResult> OnPostRemoveAsync(string code)
    {
        if (!Find(code))
            return NotFound();
        Tags.Clear();
        var outcome = await logbook.LogEachAsync(Act, Moved(Shared!.Vessel), Changes.WithoutVessel(code));
        Fault = outcome.Trouble;
        return outcome.Done ? Redirect("/trays") : Page();
    }

    /// <summary>What each plant's log says of being put in, or taken out.</summary>
    List<(string Tag, IReadOnlyList<EntryDraft> Entries)> Moved(Vessel vessel)
    {
        var inside = Tags.Select(tag => Today.Find(tag)?.Plant.Tag).OfType<string>().ToHashSet();
        return
        [
            .. Today
                .Plants.Select(a => a.Plant)
                .Where(plant => inside.Contains(plant.Tag) != (plant.Vessel == vessel.Code))
                .Select(plant => (plant.Tag, (IReadOnlyList<EntryDraft>)[Change(plant, vessel, inside.Contains(plant.Tag))])),
        ];
    }

    EntryDraft Change(Plant plant, Vessel vessel, bool into) =>
        new(EntryKinds.Changed, Today.Day, Text: into ? $"put into {vessel.Name}" : $"taken out of {vessel.Name}")
        {
            Sets = [new(Facts.Vessel, plant.Vessel, into ? vessel.Code : null)],
        };

    bool Find(string? code)
    {
        Shared = code is null ? null : Today.SharedVessels.FirstOrDefault(shared => shared.Vessel.Code == code);
        return code is null || Shared is not null;
    }
}
