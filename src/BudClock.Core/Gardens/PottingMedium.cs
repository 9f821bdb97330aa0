namespace BudClock.Core.Gardens;

/// <summary>What a plant stands in: the parts that its words name, and what they hold.</summary>
/// <param name="Parts">In the order of the table; none where the words name nothing that is known.</param>
public sealed record PottingMedium(IReadOnlyList<MediumPart> Parts)
{
    /// <summary>Nothing is known of it.</summary>
    public static readonly PottingMedium Unknown = new([]);

    /// <summary>A guess, where no part says how much one watering takes, percent of the pot.</summary>
    const double UsualPercent = 20;

    static readonly WordTable<MediumPart> Words = new("media", part => part.Says);

    /// <summary>Every part that is known.</summary>
    public static IReadOnlyList<MediumPart> Table => Words.Rows;

    /// <summary>How much one watering takes, as a share of the pot, 0 to 1.</summary>
    public double Holds => (Parts.Select(part => part.Holds).FirstOrDefault(holds => holds is not null) ?? UsualPercent) / 100;

    /// <summary>An open mix, which dries fast in heat.</summary>
    public bool Open => Parts.Any(part => part.Open);

    /// <summary>Over or in water, whose level is watched; plain water alone is too.</summary>
    public bool OverWater => Parts.Any(part => part.Water) || Parts is [{ Name: "water" }];

    /// <summary>On a mount or in a basket: nothing around the roots holds water.</summary>
    public bool Mounted => Parts.Any(part => part.Mount);

    /// <summary>There is feed in it.</summary>
    public bool Fed => Parts.Any(part => part.Fed);

    /// <summary>Whether a part is named in it.</summary>
    /// <param name="part">As the table calls it.</param>
    public bool Has(string part) => Parts.Any(one => one.Name == part);

    /// <summary>The medium that words name; the same words are read once.</summary>
    /// <param name="words">As the grower typed them; null for none.</param>
    public static PottingMedium Of(string? words) => Words.Named(words) is { Count: > 0 } parts ? new(parts) : Unknown;

    /// <summary>The same with the parts of mixes that the grower calls by a name of their own.</summary>
    /// <param name="words">As the grower typed them; null for none.</param>
    /// <param name="mixes">What each mix is called, and the names of its parts.</param>
    public static PottingMedium Of(string? words, IEnumerable<(string Name, IEnumerable<string> Parts)> mixes)
    {
        var named = mixes.Where(mix => words?.Contains(mix.Name, StringComparison.OrdinalIgnoreCase) == true).ToList();
        return named.Count == 0 ? Of(words) : Of(string.Join(", ", [words, .. named.SelectMany(mix => mix.Parts)]));
    }
}
