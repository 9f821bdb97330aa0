using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;

namespace BudClock.Core.Feeding;

/// <summary>Setting a plant to a recipe by hand: what speaks against it.</summary>
public static class SetRecipe
{
    /// <summary>Objections as sentences; with any, the grower confirms by typing the plant's tag, and says why.</summary>
    public static IReadOnlyList<string> Objections(Situation now, Recipe recipe, Shelf shelf)
    {
        var objections = new List<string>();
        var bears = SaltExcess.BornBy(now.Sheet).TdsPpm;
        if (now.Sheet.Is(Traits.Carnivore) && recipe.Feeds.Count > 0)
            objections.Add("A carnivore gets nothing in the medium, ever: feed there kills its roots (F8).");
        if (shelf.Litre(recipe) is { } mix && mix.TdsPpm > bears)
            objections.Add(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{recipe.Name} comes to {mix.TdsPpm:0} ppm; {now.Sheet.Title.ToLowerInvariant()} bear {bears:0} (F10)."
                )
            );
        if (recipe.Feeds.Count > 0 && now.Roots.Dead)
            objections.Add("It has no live roots: feed would only leave salt (F7).");
        return objections;
    }
}
