using BudClock.Core.Feeding;
using BudClock.Core.Mixing;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>The mixing shelf: waters, feeds, recipes, the last batches, and what is to be mixed today.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    const int Last = 5;

    public TodaysMix Mix => Today.Mix;

    public IEnumerable<Batch> LastBatches => Shelf.Batches.Reverse().Take(Last);

    public void OnGet() { }

    /// <summary>Begins an empty shelf with generic examples.</summary>
    public async Task<IActionResult> OnPostExamplesAsync()
    {
        return Shelf.IsBare
            ? await SaveAsync("The examples put on the shelf", Changes.WholeShelf(ExampleShelf.Shelf))
            : Redirect("/mixing");
    }

    /// <summary>A litre of a recipe, or in a US garden a gallon, in one line; what keeps it from being mixed where it cannot be.</summary>
    public string InOne(Recipe recipe)
    {
        var us = Today.Garden.UsUnits;
        var (mix, faults) = recipe.In(us ? Unit.Gal.Factor / 1000 : 1, Shelf);
        return mix is null ? string.Join(" ", faults) : $"In a {(us ? "gallon" : "litre")}: {mix.Words(us)}";
    }
}
