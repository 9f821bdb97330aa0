using System.Collections.Concurrent;
using System.Runtime.CompilerServices;

namespace BudClock.Core.Mixing;

/// <summary>All that stands on the mixing shelf of a garden: waters, feeds, recipes, batches, trials, and what one measures with.</summary>
public sealed record Shelf
{
    /// <summary>A shelf with nothing on it.</summary>
    public static readonly Shelf Empty = new();

    /// <summary>What one measures with.</summary>
    public Tools Tools { get; init; } = Tools.Usual;

    /// <summary>Waters.</summary>
    public IReadOnlyList<Water> Waters { get; init; } = [];

    /// <summary>Feeds.</summary>
    public IReadOnlyList<Feed> Feeds { get; init; } = [];

    /// <summary>Recipes.</summary>
    public IReadOnlyList<Recipe> Recipes { get; init; } = [];

    /// <summary>Oldest first.</summary>
    public IReadOnlyList<Batch> Batches { get; init; } = [];

    /// <summary>Trials.</summary>
    public IReadOnlyList<Trial> Trials { get; init; } = [];

    /// <summary>Nothing stands on it yet; what one measures with may be known.</summary>
    public bool IsBare => Waters.Count + Feeds.Count + Recipes.Count + Batches.Count + Trials.Count == 0;

    /// <summary>Nothing is on it.</summary>
    public bool IsEmpty => IsBare && Tools == Tools.Usual;

    /// <summary>The water of that code; null where there is none.</summary>
    public Water? Water(string? code) => Waters.FirstOrDefault(water => water.Code == code);

    /// <summary>The feed of that code; null where there is none.</summary>
    public Feed? Feed(string? code) => Feeds.FirstOrDefault(feed => feed.Code == code);

    /// <summary>The recipe of that code; null where there is none.</summary>
    public Recipe? Recipe(string? code) => Recipes.FirstOrDefault(recipe => recipe.Code == code);

    /// <summary>The batch of that code; null where there is none.</summary>
    public Batch? Batch(string? code) =>
        Batches.FirstOrDefault(batch => string.Equals(batch.Code, code, StringComparison.OrdinalIgnoreCase));

    /// <summary>
    /// The recipe that fills a bottle for a plant: of those that its roots bear, the one nearest to its strength. What is on trial
    /// or holds a stimulant goes only to the plants that were chosen for it.
    /// </summary>
    /// <param name="percent">The wanted share of the label's dose, percent.</param>
    /// <param name="bearsPpm">What the roots bear, ppm; where nothing on the shelf is below, the purest is taken.</param>
    public Recipe? For(string bottle, double percent, double bearsPpm) =>
        Recipes
            .Where(recipe => recipe.Bottle == bottle && !ForChosenOnly(recipe))
            .Select(recipe => (Recipe: recipe, Mix: Litre(recipe)))
            .OrderBy(pair => pair.Mix is null)
            .ThenBy(pair => Math.Max(0, (pair.Mix?.TdsPpm ?? 0) - bearsPpm))
            .ThenBy(pair => Math.Abs(((pair.Mix?.LabelShare ?? 0) * 100) - percent))
            .ThenBy(pair => pair.Recipe.Code, StringComparer.Ordinal)
            .Select(pair => pair.Recipe)
            .FirstOrDefault();

    bool ForChosenOnly(Recipe recipe) =>
        recipe.Feeds.Keys.Any(code => Feed(code)?.Stimulant == true)
        || Trials.Any(trial => trial.Recipe == recipe.Code && trial.Ended is null);

    /// <summary>One litre of a recipe; null while it cannot be mixed.</summary>
    public Mix? Litre(Recipe? recipe) =>
        recipe is null ? null : Litres.GetOrCreateValue(this).GetOrAdd(recipe, known => known.In(1, this).Mix);

    /// <summary>Each recipe of each shelf is worked out once; every plant of a garden asks for it.</summary>
    static readonly ConditionalWeakTable<Shelf, Worked> Litres = [];

    sealed class Worked() : ConcurrentDictionary<Recipe, Mix?>(ReferenceEqualityComparer.Instance);

    /// <summary>
    /// The next free code for a batch of a recipe: the bottle's first letter, the day, and a letter where it is not the first of that
    /// day.
    /// </summary>
    public string NextBatch(Recipe recipe, DateOnly day)
    {
        var stem = FormattableString.Invariant($"{char.ToUpperInvariant(recipe.Bottle[0])}{day:yyMMdd}");
        return Enumerable
            .Range(0, 1000)
            .Select(n => n == 0 ? stem : FormattableString.Invariant($"{stem}-{n + 1}"))
            .First(code => Batch(code) is null);
    }
}
