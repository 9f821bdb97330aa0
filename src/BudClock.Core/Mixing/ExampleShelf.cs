namespace BudClock.Core.Mixing;

/// <summary>What an empty shelf may begin with: usual waters, two generic feeds, a recipe for each bottle.</summary>
/// <remarks>
/// The labels and doses are of the usual order for soluble feeds (common practice), of no product. Each is named an example,
/// until the grower has changed its numbers to those of the own label and meter.
/// </remarks>
public static class ExampleShelf
{
    /// <summary>Made-up feeds, waters and recipes of the demo garden.</summary>
    public static readonly Shelf Shelf = new()
    {
        Waters =
        [
            new("Rain (example)", 10) { Code = "rain", Kind = Water.Rain },
            new("Tap (example)", 250) { Code = "tap", Kind = Water.Tap },
            new("Pure (example)", 0) { Code = "pure", Kind = Water.Pure },
        ],
        Feeds =
        [
            new("Balanced (example)", 20, 20, 20, GramsPerTeaspoon: 5, LabelGramsPerLitre: 1) { Code = "balanced", UreaNPercent = 10 },
            new("Bloom (example)", 5, 10, 3, LabelGramsPerLitre: 4.6)
            {
                Code = "bloom",
                Form = Feed.Liquid,
                DensityGPerMl = 1.15,
            },
        ],
        Recipes =
        [
            new("plain", "Plain water", Bottles.Plain) { Waters = Of("rain") },
            new("growth", "Growth mix", Bottles.Growth) { Waters = Of("rain"), Feeds = Of("balanced", new Strength.Share(0.25)) },
            new("bloom", "Bloom mix", Bottles.Bloom) { Waters = Of("rain"), Feeds = Of("bloom", new Strength.Share(0.25)) },
            new("recovery", "Recovery mix", Bottles.Recovery) { Waters = Of("rain"), Feeds = Of("balanced", new Strength.Nitrogen(20)) },
            new("mist", "Leaf mist", Bottles.Leaf) { Waters = Of("pure"), Feeds = Of("balanced", new Strength.Nitrogen(25)) },
        ],
    };

    static Dictionary<string, double> Of(string water) => new() { [water] = 100 };

    static Dictionary<string, Strength> Of(string feed, Strength strength) => new() { [feed] = strength };
}
