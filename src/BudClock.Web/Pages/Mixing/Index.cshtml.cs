using BudClock.Core.Feeding;
using BudClock.Core.Mixing;
using BudClock.Data;

namespace BudClock.Web.Pages.Mixing;

/// <summary>The mixing shelf: waters, feeds, recipes, the last batches, and what is to be mixed today.</summary>
public sealed class IndexModel(Glasshouse glasshouse, ShelfStore store) : MixingPage(glasshouse, store)
{
    const int Last = 5;

    public TodaysMix Mix => Today.Mix;

    public IEnumerable<Batch> LastBatches => Shelf.Batches.Reverse().Take(Last);

    public void OnGet() { }

    /// <summary>A litre of a recipe, in one line; what keeps it from being mixed where it cannot be.</summary>
    public string Litre(Recipe recipe) => recipe.In(1, Shelf) is { Mix: { } mix } ? mix.Words(Today.Garden.UsUnits) : string.Join(" ", recipe.In(1, Shelf).Faults);
}
