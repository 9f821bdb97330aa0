using BudClock.Core.Advising;
using BudClock.Core.Advising.Feeding;
using BudClock.Core.Feeding;
using BudClock.Core.Mixing;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Plants;

/// <summary>Sets a plant to one recipe, whatever its stage, or back to its stage. What speaks against it has to be confirmed.</summary>
public sealed class RecipeModel(TodaysGarden todaysGarden, Logbook logbook) : GardenPage(todaysGarden)
{
    const int LongestWhy = 300;

    /// <summary>The recipe's code; empty for "by its stage".</summary>
    [BindProperty]
    public string? Recipe { get; set; }

    [BindProperty]
    public string? Why { get; set; }

    /// <summary>The plant's tag, typed to confirm.</summary>
    [BindProperty]
    public string? Confirm { get; set; }

    public Assessment Plant { get; private set; } = null!;

    public Recipe? SetNow => Plant.Situation is { } now ? BottleChoice.SetByHand(now) : null;

    public BottleChoice? ByStage => Plant.Situation is { } now ? BottleChoice.Of(now) : null;

    public IReadOnlyList<string> Objections { get; private set; } = [];

    public string? Fault { get; private set; }

    public IActionResult OnGet(string tag)
    {
        if (!Find(tag))
            return NotFound();
        Recipe = SetNow?.Code;
        return Page();
    }

    public async Task<IActionResult> OnPostAsync([FromRoute] string tag)
    {
        if (!Find(tag))
            return NotFound();
        var recipe = Today.Shelf.Recipe(Recipe);
        var why = Why?.Trim() ?? "";
        if (recipe is null && !string.IsNullOrEmpty(Recipe))
            Fault = "That recipe is not on the shelf any more.";
        if (why.Length > LongestWhy)
            Fault = $"The reason holds at most {LongestWhy} characters.";
        Objections = recipe is null ? [] : SetRecipe.Objections(Plant.Situation!, recipe, Today.Shelf);
        if (Objections.Count > 0 && Fault is null && Confirm is not null)
            Fault =
                !string.Equals(Confirm.Trim(), Plant.Plant.Tag, StringComparison.OrdinalIgnoreCase)
                    ? $"To do it all the same, type {Plant.Plant.Tag}."
                : why.Length == 0 ? "Say why: the reason stands in its log."
                : null;
        if (Fault is not null || (Objections.Count > 0 && Confirm is null))
            return Page();
        var words =
            Objections.Count > 0 ? $"against advice: {why}"
            : why.Length > 0 ? why
            : recipe is null ? "by its stage again"
            : null;
        var entry = new EntryDraft(EntryKinds.RecipeSet, Today.Day, null, words, Mix: recipe?.Code);
        var outcome = await logbook.LogAsync(Act, [Plant.Plant.Tag], [entry]);
        Fault = outcome.Trouble;
        if (!outcome.Done)
            return Page();
        return Redirect($"/plants/{Plant.Plant.Tag}");
    }

    bool Find(string tag)
    {
        if (Today.Find(tag) is not { Gone: false, Situation: not null } plant)
            return false;
        Plant = plant;
        return true;
    }
}
