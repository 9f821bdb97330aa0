using BudClock.Core.Mixing;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>A recipe: which bottle, which waters, which feeds, how strong; what it comes to is shown as it is written.</summary>
public sealed class RecipeModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    const int Rows = 3;

    [BindProperty(SupportsGet = true)]
    public string? Name { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? For { get; set; }

    [BindProperty(SupportsGet = true)]
    public List<string?> Waters { get; set; } = [];

    [BindProperty(SupportsGet = true)]
    public List<string?> Shares { get; set; } = [];

    [BindProperty(SupportsGet = true)]
    public List<string?> Feeds { get; set; } = [];

    [BindProperty(SupportsGet = true)]
    public List<string?> Strengths { get; set; } = [];

    /// <summary>How much to work out on this page.</summary>
    [BindProperty(SupportsGet = true)]
    public string Batch { get; set; } = "1 L";

    public Recipe? Known { get; private set; }

    public MixFacts? Facts { get; private set; }

    /// <summary>What to mind with its waters and stimulants.</summary>
    public IReadOnlyList<string> Cautions { get; private set; } = [];

    public string Title => Known?.Name ?? "Write a recipe";

    public IActionResult OnGet(string? code)
    {
        Known = Shelf.Recipe(code);
        if (code is not null && Known is null)
            return NotFound();
        if (For is null)
            Fill();
        Pad();
        if (Read(code) is { } recipe)
            WorkOut(recipe);
        if (Known is null && !Request.Query.ContainsKey(nameof(Waters)))
            Faults.Clear(); // nothing was typed yet
        return Page();
    }

    public async Task<IActionResult> OnPostAsync([FromRoute] string? code)
    {
        Known = Shelf.Recipe(code);
        if (code is not null && Known is null)
            return NotFound();
        Pad();
        var name = ReadName(Name, "A recipe", Shelf.Recipes.Where(r => r.Code != code).Select(r => r.Name));
        var recipe = Read(code);
        if (recipe is not null)
            WorkOut(recipe);
        if (Faults.Count > 0)
            return Page();
        var named = recipe! with { Name = name };
        return await SaveAsync($"Recipe {name}", Known is null ? Changes.NewOnShelf(named) : Changes.Shelf(named));
    }

    public async Task<IActionResult> OnPostRemoveAsync([FromRoute] string code)
    {
        if (Shelf.Trials.Any(trial => trial.Recipe == code && trial.Ended is null))
        {
            OnGet(code);
            Faults.Add("It is on trial: end the trial first.");
            return Page();
        }
        return await SaveAsync("Recipe off the shelf", Changes.OffShelf<Recipe>(r => r.Code == code));
    }

    void Fill()
    {
        (Name, For) = (Known?.Name, Known?.Bottle ?? Bottles.Growth);
        if (Known is null)
            return;
        (Waters, Shares) = ([.. Known.Waters.Keys], [.. Known.Waters.Values.Select(percent => Shown(percent))]);
        (Feeds, Strengths) = ([.. Known.Feeds.Keys], [.. Known.Feeds.Values.Select(strength => strength.ToString())]);
    }

    void Pad()
    {
        List<string?>[] lists = [Waters, Shares, Feeds, Strengths];
        var rows = Math.Max(Rows, lists.Max(list => list.Count));
        foreach (var list in lists)
            while (list.Count < rows)
                list.Add(null);
    }

    Recipe? Read(string? code)
    {
        if (!Bottles.All.Contains(For))
            Faults.Add("Choose which bottle it fills.");
        var waters = new Dictionary<string, double>();
        foreach (var (water, share) in Waters.Zip(Shares).Where(row => !string.IsNullOrEmpty(row.First)))
            if (!waters.TryAdd(water!, Number(share, 0.1, 100, $"The share of {Shelf.Water(water)?.Name ?? water}")))
                Faults.Add($"{Shelf.Water(water)?.Name} stands there twice.");
        var feeds = new Dictionary<string, Strength>();
        foreach (var (feed, typed) in Feeds.Zip(Strengths).Where(row => !string.IsNullOrEmpty(row.First)))
            if (Strength.Read(typed) is not { } strength)
                Faults.Add($"\"{typed}\" is no strength of {Shelf.Feed(feed)?.Name ?? feed}; write 25 %, 100 ppm N, or 1/8 tsp in 1 gal.");
            else if (!feeds.TryAdd(feed!, strength))
                Faults.Add($"{Shelf.Feed(feed)?.Name} stands there twice.");
        if (Faults.Count > 0)
            return null;
        var recipe = new Recipe(code ?? Codes.For(Name ?? "", "recipe", Shelf.Recipes.Select(r => r.Code)), Name?.Trim() ?? "", For!)
        {
            Waters = waters,
            Feeds = feeds,
        };
        Faults.AddRange(recipe.In(1, Shelf).Faults);
        return Faults.Count == 0 ? recipe : null;
    }

    void WorkOut(Recipe recipe)
    {
        Cautions = [.. recipe.Cautions(Shelf, Today.Day)];
        if (Litres(Batch) is var litres && Faults.Count == 0 && recipe.In(litres, Shelf).Mix is { } mix)
            Facts = new(mix, Shelf.Tools, Today.Garden.UsUnits);
    }
}
