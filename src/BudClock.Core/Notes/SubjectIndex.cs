using System.Text;
using BudClock.Core.Culture;

namespace BudClock.Core.Notes;

/// <summary>A plant as a line can name it.</summary>
/// <param name="Name">What the grower calls it.</param>
/// <param name="Taxon">Its botanical name.</param>
/// <param name="Gone">It died or was given away: a genus or a place does not mean it.</param>
public sealed record NamedPlant(string Tag, string? Name = null, string? Taxon = null, bool Gone = false);

/// <summary>A place as a line can name it, with the tags of what stands there.</summary>
public sealed record NamedPlace(string Code, string Name, IReadOnlyList<string> Tags);

/// <summary>
/// Everything that a line can be about: tags in any spelling, plants by name, genus or common name, places. Made once for a garden.
/// </summary>
public sealed class SubjectIndex
{
    const int ShortestHead = 3;

    readonly Dictionary<string, string> exact = new(StringComparer.OrdinalIgnoreCase);
    readonly Dictionary<string, string?> bySpelling = [];
    readonly Dictionary<string, HashSet<int>> byWord = [];
    readonly Dictionary<string, HashSet<int>> byKind = [];
    readonly HashSet<string> heads = [];
    readonly IReadOnlyList<NamedPlant> plants;

    /// <param name="plants">The plants that can be written about.</param>
    /// <param name="former">Tags of before, to those of now.</param>
    public SubjectIndex(
        IReadOnlyList<NamedPlant> plants,
        IReadOnlyList<NamedPlace>? places = null,
        IReadOnlyDictionary<string, string>? former = null
    )
    {
        this.plants = plants;
        Places = places ?? [];
        foreach (var plant in plants)
            AddTag(plant.Tag, plant.Tag);
        foreach (var (old, now) in former ?? new Dictionary<string, string>())
            AddTag(old, now);
        foreach (var (number, plant) in plants.Index())
            AddNames(number, plant);
    }

    /// <summary>The places of the garden.</summary>
    public IReadOnlyList<NamedPlace> Places { get; }

    /// <summary>All tags, those of before too.</summary>
    public IReadOnlyCollection<string> Tags => exact.Keys;

    /// <summary>The plants.</summary>
    public IReadOnlyList<NamedPlant> Plants => plants;

    /// <summary>The tag as the garden writes it; null for none.</summary>
    public string? Tag(string written) => exact.GetValueOrDefault(written);

    /// <summary>The one plant whose tag is spelled so, case, dashes, spaces and leading zeros aside; null for none or several.</summary>
    internal string? Spelled(string key) => bySpelling.GetValueOrDefault(key);

    /// <summary>Words of plants' names that say by themselves which plant or genus is meant.</summary>
    internal bool IsHead(string word) => heads.Contains(Singular(word));

    internal IReadOnlyCollection<string> Heads => heads;

    /// <summary>The plants of which the names have all these words.</summary>
    internal IReadOnlyList<NamedPlant> Named(IEnumerable<string> words)
    {
        HashSet<int>? found = null;
        foreach (var word in words)
        {
            if (!byWord.TryGetValue(Singular(word), out var with))
                return [];
            found = found is null ? [.. with] : [.. found.Intersect(with)];
        }
        return found is null ? [] : [.. found.Order().Select(number => plants[number]).Where(plant => !plant.Gone)];
    }

    /// <summary>Whether the words are a genus, or a common name for one, rather than a name of one plant.</summary>
    internal bool IsKind(string words) => byKind.ContainsKey(string.Join(' ', words.Split(' ').Select(Singular)));

    /// <summary>Letters and numbers alone, without leading zeros: "LYC-01" is lyc1.</summary>
    internal static string Spelling(string tag)
    {
        var key = new StringBuilder();
        foreach (var c in tag.ToLowerInvariant().Where(char.IsLetterOrDigit))
        {
            if (key.Length > 0 && key[^1] == '0' && char.IsDigit(c) && (key.Length == 1 || !char.IsDigit(key[^2])))
                key.Length--;
            key.Append(c);
        }
        return key.ToString();
    }

    internal static string Singular(string word) =>
        word.Length > 3
        && word.EndsWith('s')
        && !word.EndsWith("ss", StringComparison.Ordinal)
        && !word.EndsWith("is", StringComparison.Ordinal)
            ? word[..^1]
            : word;

    internal static string[] WordsOf(string? name) =>
        (name ?? "").ToLowerInvariant().Split([' ', ',', '(', ')', '×', '"', '\'', '‘', '’'], StringSplitOptions.RemoveEmptyEntries);

    void AddTag(string written, string tag)
    {
        exact.TryAdd(written, tag);
        var key = Spelling(written);
        bySpelling[key] = bySpelling.TryGetValue(key, out var other) && other != tag ? null : tag;
    }

    void AddNames(int number, NamedPlant plant)
    {
        foreach (var word in WordsOf(plant.Name).Concat(WordsOf(plant.Taxon)))
            Add(number, word);
        var genus = WordsOf(plant.Taxon).FirstOrDefault();
        if (genus is null)
            return;
        AddKind(number, genus);
        foreach (var common in PlantNames.Shipped.CommonOf(plant.Taxon!))
        {
            AddKind(number, common);
            var words = WordsOf(common);
            foreach (var word in words)
                Add(number, word, names: word == words[^1] || !Lexicon.Shipped.MeansItself(word)); // "florist" alone is no gloxinia
        }
    }

    void AddKind(int number, string name)
    {
        var key = string.Join(' ', WordsOf(name).Select(Singular));
        if (!byKind.TryGetValue(key, out var all))
            byKind.Add(key, all = []);
        all.Add(number);
    }

    void Add(int number, string written, bool names = true)
    {
        var word = Singular(written);
        if (!byWord.TryGetValue(word, out var all))
            byWord.Add(word, all = []);
        all.Add(number);
        var known = Lexicon.Shipped.Begins(word) || Lexicon.Shipped.Begins(written) || Plain.Contains(word);
        if (names && word.Length >= ShortestHead && !known)
            heads.Add(word);
    }

    /// <summary>It can say how something looks, so that "lycaste yellow leaf" may be a yellow leaf.</summary>
    internal static bool Describes(string word) => Plain.Contains(word);

    /// <summary>Words that names share, which name no plant by themselves.</summary>
    static readonly HashSet<string> Plain =
    [
        "yellow",
        "white",
        "red",
        "pink",
        "blue",
        "green",
        "orange",
        "violet",
        "purple",
        "lilac",
        "rose",
        "cream",
        "black",
        "brown",
        "from",
        "the",
        "and",
        "with",
        "large",
        "small",
        "big",
        "little",
        "old",
        "new",
        "spotted",
        "hybrid",
        "cape",
        "cross",
        "seedling",
        "winter",
        "summer",
        "holiday",
        "evening",
        "sp",
        "cv",
        "var",
        "subsp",
        "form",
        "group",
        "hood",
        "lip",
        "hot",
        "water",
        "plant",
    ];
}
