using System.Collections.Concurrent;
using System.Text.RegularExpressions;
using YamlDotNet.Serialization;
using YamlDotNet.Serialization.NamingConventions;

namespace BudClock.Core.Gardens;

/// <summary>What a plant stands in: the parts that its words name, and what they hold.</summary>
/// <param name="Parts">In the order of the table; none where the words name nothing that is known.</param>
public sealed record PottingMedium(IReadOnlyList<MediumPart> Parts)
{
    /// <summary>Nothing is known of it.</summary>
    public static readonly PottingMedium Unknown = new([]);

    /// <summary>A guess, where no part says how much one watering takes, percent of the pot.</summary>
    const double UsualPercent = 20;

    /// <summary>More words than any garden uses are not kept.</summary>
    const int MostKept = 5000;

    static readonly ConcurrentDictionary<string, PottingMedium> Kept = new(StringComparer.OrdinalIgnoreCase);

    /// <summary>Every part that is known.</summary>
    public static IReadOnlyList<MediumPart> Table { get; } = ReadTable();

    static readonly (MediumPart Part, Regex Words)[] Readers =
    [
        .. Table.Select(part =>
            (part, new Regex($@"\b({string.Join('|', part.Says.Select(Regex.Escape))})\b", RegexOptions.IgnoreCase | RegexOptions.Compiled))
        ),
    ];

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
    public static PottingMedium Of(string? words)
    {
        if (string.IsNullOrWhiteSpace(words))
            return Unknown;
        if (Kept.TryGetValue(words, out var known))
            return known;
        if (Kept.Count >= MostKept)
            Kept.Clear();
        return Kept[words] = new([.. Readers.Where(reader => reader.Words.IsMatch(words)).Select(reader => reader.Part)]);
    }

    static List<MediumPart> ReadTable()
    {
        using var text = new StreamReader(typeof(PottingMedium).Assembly.GetManifestResourceStream("media")!);
        return new DeserializerBuilder()
            .WithNamingConvention(HyphenatedNamingConvention.Instance)
            .Build()
            .Deserialize<List<MediumPart>>(text);
    }
}
