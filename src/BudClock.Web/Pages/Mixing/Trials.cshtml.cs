using BudClock.Core.Advising;
using BudClock.Core.Feeding;
using BudClock.Core.Mixing;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>Recipes on trial for named plants, and what can be said of them.</summary>
public sealed class TrialsModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    [BindProperty]
    public string? Recipe { get; set; }

    [BindProperty]
    public List<string> Tags { get; set; } = [];

    public IEnumerable<TrialReport> Reports =>
        Shelf.Trials.OrderByDescending(trial => trial.From).Select(trial => TrialReport.Of(trial, Today.Plants, Today.Day));

    public IEnumerable<Assessment> Plants => Today.Plants.Where(a => !a.Gone && a.Situation is not null);

    public void OnGet() { }

    /// <summary>Begins a trial: each plant is set to the recipe, which its log says.</summary>
    public async Task<IActionResult> OnPostAsync()
    {
        var chosen = Plants.Where(a => Tags.Contains(a.Plant.Tag)).ToList();
        if (Shelf.Recipe(Recipe) is not { } recipe)
            Faults.Add("Choose the recipe to try.");
        else
            foreach (var plant in chosen)
                Faults.AddRange(
                    SetRecipe
                        .Objections(plant.Situation!, recipe, Shelf)
                        .Select(objection => $"{plant.Plant.Tag} cannot be on this trial. {objection}")
                );
        if (Shelf.Recipe(Recipe) is { } tried && !Shelf.Recipes.Any(other => other.Code != tried.Code && other.Bottle == tried.Bottle))
            Faults.Add($"{tried.Name} is the only recipe of the {tried.Bottle} bottle: write another for the plants it is compared with.");
        if (chosen.Count == 0)
            Faults.Add("Tick the plants that get it; the others of their kind are the comparison.");
        if (chosen.FirstOrDefault(a => Shelf.Trials.Any(trial => trial.Ended is null && trial.Plants.Contains(a.Plant.Tag))) is { } busy)
            Faults.Add($"{busy.Plant.Tag} is on a trial already: two at once tell nothing.");
        if (Faults.Count > 0)
            return Page();
        var trial = new Trial($"trial-{Shelf.Trials.Count + 1}", Recipe!, Today.Day, [.. chosen.Select(a => a.Plant.Tag)]);
        return await LogAsync(
            trial.Plants,
            new(EntryKinds.RecipeSet, Today.Day, null, $"on trial until {Dates.Short(trial.Until)}", Mix: trial.Recipe),
            Changes.NewOnShelf(trial)
        );
    }

    /// <summary>Ends a trial; its plants go by their stage again.</summary>
    public async Task<IActionResult> OnPostEndAsync(string code)
    {
        if (Shelf.Trials.FirstOrDefault(t => t.Code == code && t.Ended is null) is not { } trial)
            return NotFound();
        return await LogAsync(
            [.. trial.Plants.Where(tag => Today.Find(tag) is { Gone: false })],
            new(EntryKinds.RecipeSet, Today.Day, null, "by its stage again, trial ended"),
            Changes.Shelf(trial with { Ended = Today.Day })
        );
    }

    /// <summary>The trial and what its plants' logs say of it are one act.</summary>
    async Task<IActionResult> LogAsync(IReadOnlyList<string> tags, EntryDraft entry, Change trial)
    {
        var outcome = await Logbook.LogAsync(Act, tags, [entry], trial);
        if (outcome.Done)
            return Redirect("/mixing/trials");
        Faults.Add(outcome.Trouble!);
        return Page();
    }
}
