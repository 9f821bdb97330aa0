using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;
using BudClock.Core.States;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rules F1 and F5: which bottle a plant is in, by what shows.</summary>
/// <param name="Bottle">One of <see cref="Bottles.All"/>.</param>
/// <param name="Why">"in spike", as the beginning of a sentence.</param>
public sealed record BottleChoice(string Bottle, string Why, string? School = null)
{
    /// <summary>The question which bottle a plant in spike with a growth moving gets.</summary>
    public const string BothMoving = "both-moving";

    /// <summary>Its answer: the growth bottle.</summary>
    public const string OnGrowth = "growth";

    /// <summary>The question whether bloom asks for a feed of its own.</summary>
    public const string BloomFeed = "bloom-feed";

    /// <summary>Its answer: a balanced feed all year.</summary>
    public const string Balanced = "balanced";

    /// <summary>Bottles that are chosen by hand only.</summary>
    public IReadOnlyList<OtherSchool> Others { get; init; } = [];

    /// <summary>Roots come first, then stress, then what shows: flowers before growth, as the schools say.</summary>
    public static BottleChoice Of(Situation now)
    {
        if (now.Sheet.Is(Traits.Carnivore))
            return new(Bottles.Leaf, "carnivores are fed by the leaf only");
        if (now.Roots.State is RootState.None or RootState.Few)
            return new(Bottles.Recovery, now.Roots.State is RootState.None ? "no live root" : "few roots");
        if (now.TwoGrowths is not null)
            return new(Bottles.Growth, "two growths at once, a sign of stress: nitrogen or balanced, no bloom mix");
        if (now.Sheet.Is(Traits.Foliage))
            return new(Bottles.Growth, "grown for its leaves");
        return Open(now, LaneKind.Bloom) ? Showing(now, "in bloom")
            : Open(now, LaneKind.Spike) && now.In<Sheathed>() is null ? Showing(now, "in spike")
            : new(Bottles.Growth, "growing, nothing showing");
    }

    static BottleChoice Showing(Situation now, string what)
    {
        if (now.School(BloomFeed) is { Chosen: { Name: Balanced } balanced, Others: var weighted })
            return new(Bottles.Growth, $"{what}, balanced feed all year", balanced.Name) { Others = weighted };
        if (!Open(now, LaneKind.Growth) || now.School(BothMoving) is not { } school)
            return new(Bottles.Bloom, what);
        return new(school.Chosen.Name == OnGrowth ? Bottles.Growth : Bottles.Bloom, $"{what} with a growth moving too", school.Chosen.Name)
        {
            Others = school.Others,
        };
    }

    static bool Open(Situation now, LaneKind kind) => now.Open(kind);

    /// <summary>
    /// The recipe the plant gets of a bottle: the one it was set to by hand, else the one on the shelf that suits it best.
    /// </summary>
    public static Recipe? RecipeOf(Situation now, string bottle) =>
        bottle is Bottles.Plain or Bottles.Leaf
            ? now.Around.Shelf.For(bottle, 0, double.MaxValue)
            : SetByHand(now) ?? now.Around.Shelf.For(bottle, FeedStrength.Of(now, Of(now)).Percent, now.Limits<SaltLimits>().Tds);

    /// <summary>The recipe it was set to by hand; null when it goes by its stage.</summary>
    public static Recipe? SetByHand(Situation now) =>
        now.Journal.Last(EntryKinds.RecipeSet) is { Mix: { } code } ? now.Around.Shelf.Recipe(code) : null;
}
