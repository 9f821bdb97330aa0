using System.Globalization;

namespace BudClock.Core.Mixing;

/// <summary>Rule F1: the bottles that cover a mixed collection.</summary>
public static class Bottles
{
    /// <summary>Water without feed.</summary>
    public const string Plain = "plain";

    /// <summary>For plants in spike or bloom.</summary>
    public const string Bloom = "bloom";

    /// <summary>For plants in growth.</summary>
    public const string Growth = "growth";

    /// <summary>For plants with few roots.</summary>
    public const string Recovery = "recovery";

    /// <summary>Rule F8: a mist for the leaves of carnivores, never for their medium.</summary>
    public const string Leaf = "leaf";

    /// <summary>All bottles.</summary>
    public static readonly IReadOnlyList<string> All = [Plain, Bloom, Growth, Recovery, Leaf];

    /// <summary>What it is for, in a few words.</summary>
    public static string For(string bottle) =>
        bottle switch
        {
            Plain => "newcomers, rests, and waterings between feeds",
            Bloom => "a spike or flowers showing",
            Growth => "growing, nothing showing",
            Recovery => "few or no roots",
            Leaf => "a mist on the leaves of carnivores",
            _ => "",
        };
}

/// <summary>A bottle as the grower means it: which waters, which feeds, how strong.</summary>
/// <param name="Code">The name in files; never changed.</param>
/// <param name="Bottle">What it is for, one of <see cref="Bottles.All"/>.</param>
public sealed record Recipe(string Code, string Name, string Bottle)
{
    /// <summary>Codes of waters, with the percent of each; together 100.</summary>
    public IReadOnlyDictionary<string, double> Waters { get; init; } = new Dictionary<string, double>();

    /// <summary>Codes of feeds, each with its strength; none for plain water.</summary>
    public IReadOnlyDictionary<string, Strength> Feeds { get; init; } = new Dictionary<string, Strength>();

    /// <summary>What to mind with its waters and stimulants on a day, as sentences.</summary>
    public IEnumerable<string> Cautions(Shelf shelf, DateOnly today)
    {
        foreach (var caution in Waters.Keys.Select(shelf.Water).OfType<Water>().SelectMany(water => water.Cautions(today)))
            yield return caution;
        foreach (var dose in In(1, shelf).Mix?.Doses.Where(dose => dose.Feed.Stimulant && dose.LabelShare > MostStimulant) ?? [])
            yield return $"{dose.Feed.Name} is a stimulant: half its label's bare-root dose at most, and on trial (F11).";
    }

    const double MostStimulant = 0.5 + 1e-9;

    /// <summary>What goes into so many litres, or every fault as a sentence.</summary>
    /// <param name="litres">Above 0.</param>
    public (Mix? Mix, IReadOnlyList<string> Faults) In(double litres, Shelf shelf)
    {
        var faults = new List<string>();
        var waters = Waters.Select(part => (Water: shelf.Water(part.Key), Litres: litres * part.Value / 100, Code: part.Key)).ToList();
        var feeds = Feeds.Select(part => (Feed: shelf.Feed(part.Key), Strength: part.Value, Code: part.Key)).ToList();
        faults.AddRange(waters.Where(part => part.Water is null).Select(part => $"No water here is called \"{part.Code}\"."));
        faults.AddRange(feeds.Where(part => part.Feed is null).Select(part => $"No feed here is called \"{part.Code}\"."));
        if (Math.Abs(Waters.Values.Sum() - 100) > 0.5 || Waters.Values.Any(percent => percent <= 0))
            faults.Add(
                string.Create(CultureInfo.InvariantCulture, $"The waters make up {Waters.Values.Sum():0.#} %; together they are 100.")
            );
        faults.AddRange(
            feeds
                .Where(part => part.Feed?.Form == Feed.SlowRelease)
                .Select(part => $"{part.Feed!.Name} is slow release: it goes onto the medium once, not into a bottle.")
        );
        if (Bottle == Bottles.Plain && feeds.Count > 0)
            faults.Add("The plain bottle is water without feed.");
        faults.AddRange(
            feeds
                .Where(part => part.Feed is not null && part.Strength.In(litres, part.Feed) is null)
                .Select(part => part.Strength.Missing(part.Feed!))
        );
        return faults.Count > 0
            ? (null, faults)
            : (
                new(
                    [.. waters.Select(part => (part.Water!, part.Litres))],
                    [.. feeds.Select(part => part.Strength.In(litres, part.Feed!)!)]
                ),
                []
            );
    }
}
