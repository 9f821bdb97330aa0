using YamlDotNet.Serialization;

namespace BudClock.Core.Culture;

/// <summary>Rule V9: names as growers use them: botanical names of today and before, common English names, crosses of genera.</summary>
public sealed class PlantNames
{
    const int PrefixLetters = 4;
    const int SuffixLetters = 5;

    /// <summary>A shorthand of so many letters is no English word, and is read without its full stop too.</summary>
    const int ClearLabel = 4;

    readonly Dictionary<string, string> synonyms;
    readonly Dictionary<string, string> common;
    readonly Dictionary<string, string[]> crosses;
    readonly Dictionary<string, string> labels;
    readonly Dictionary<string, DoubtfulGenus> doubtful;
    readonly ILookup<string, string> byBotanical;

    PlantNames(NamesFile file) =>
        (synonyms, common, crosses, labels, doubtful, byBotanical) = (
            file.Synonyms,
            file.Common,
            file.Crosses,
            file.Labels,
            file.Doubtful,
            file.Common.ToLookup(pair => pair.Value, pair => pair.Key, StringComparer.OrdinalIgnoreCase)
        );

    /// <summary>The names that ship with Bud Clock.</summary>
    public static PlantNames Shipped { get; } = Read();

    /// <summary>Common names, for completion and near misses.</summary>
    public IEnumerable<string> Common => common.Keys;

    /// <summary>A name without its marks: crosses, quotes, doubled spaces; "× Laeliocattleya" is a Laeliocattleya.</summary>
    public static string Plain(string? name)
    {
        var words = (name ?? "")
            .Split(' ', StringSplitOptions.RemoveEmptyEntries)
            .Select(word => word.Trim('\'', '"', '‘', '’', '×'))
            .ToList();
        if (words.Count > 1 && words[0] is "x" or "X")
            words.RemoveAt(0);
        return string.Join(' ', words.Where(word => word.Length > 0));
    }

    /// <summary>The botanical name behind a common one or a synonym; the name itself where it is neither.</summary>
    public string Botanical(string name)
    {
        var key = name.ToLowerInvariant();
        if ((common.GetValueOrDefault(key) ?? common.GetValueOrDefault(Singular(key)) ?? synonyms.GetValueOrDefault(key)) is { } known)
            return known;
        var words = key.Split(' ');
        if (synonyms.GetValueOrDefault(string.Join(' ', words.Take(2))) is { } older)
            return older;
        if (Meant(words) is not { } genus)
            return name;
        return string.Join(' ', name.Split(' ').Skip(1).Prepend(genus));
    }

    /// <summary>The genus behind the shorthand of a label, or behind a name that is commonly used for another; null for none.</summary>
    string? Meant(string[] words) =>
        labels.GetValueOrDefault(words[0].TrimEnd('.')) is { } genus
        && (words[0].EndsWith('.') || (words[0].Length >= ClearLabel && words[0] is not "bulb"))
            ? genus
        : words.Length > 1 && doubtful.GetValueOrDefault(words[0]) is { Means: { } other } usual && !usual.Unless.Contains(words[1]) ? other
        : null;

    /// <summary>What is doubtful about the way of life behind a name, as a sentence; null for nothing.</summary>
    public string? Doubt(string? written) =>
        Plain(written).ToLowerInvariant().Split(' ')[0] is var first && doubtful.GetValueOrDefault(first) is { } doubt ? doubt.Why : null;

    /// <summary>The common names of a plant: those of its species and those of its genus.</summary>
    public IEnumerable<string> CommonOf(string taxon)
    {
        var words = Botanical(Plain(taxon)).Split(' ', StringSplitOptions.RemoveEmptyEntries);
        if (words.Length == 0)
            return [];
        var names = byBotanical[words[0]];
        return words.Length == 1 ? names : names.Concat(byBotanical[$"{words[0]} {words[1]}"]);
    }

    /// <summary>It is a common English name.</summary>
    public bool IsCommon(string name) =>
        common.ContainsKey(name.ToLowerInvariant()) || common.ContainsKey(Singular(name.ToLowerInvariant()));

    /// <summary>
    /// The parent genera of a cross: those on record, else those whose beginning and end its name is made of; none where it is no
    /// cross.
    /// </summary>
    /// <param name="genera">Genera that have a sheet.</param>
    public IReadOnlyList<string> Parents(string genus, IEnumerable<string> genera)
    {
        if (crosses.TryGetValue(genus.ToLowerInvariant(), out var known))
            return known;
        var name = genus.ToLowerInvariant();
        var all = genera.Where(g => !g.Contains(' ')).Order(StringComparer.Ordinal).ToList();
        var first = all.Select(g => (Genus: g, Shared: SharedStart(name, g.ToLowerInvariant())))
            .Where(g => g.Shared >= PrefixLetters)
            .OrderByDescending(g => g.Shared)
            .Select(g => g.Genus)
            .FirstOrDefault();
        var last = all.Select(g => (Genus: g, Shared: SharedEnd(name, g.ToLowerInvariant())))
            .Where(g => g.Shared >= SuffixLetters)
            .OrderByDescending(g => g.Shared)
            .Select(g => g.Genus)
            .FirstOrDefault();
        // A name near to one genus alone is a slip of the pen, not a cross.
        return first is null || last is null || first == last ? [] : [first, last];
    }

    static string Singular(string name) => name.EndsWith('s') && !name.EndsWith("ss", StringComparison.Ordinal) ? name[..^1] : name;

    static int SharedStart(string a, string b) => a.Zip(b).TakeWhile(pair => pair.First == pair.Second).Count();

    static int SharedEnd(string a, string b) => a.Reverse().Zip(b.Reverse()).TakeWhile(pair => pair.First == pair.Second).Count();

    sealed class NamesFile
    {
        /// <summary>An older or other botanical name, to the name in use here.</summary>
        public Dictionary<string, string> Synonyms { get; set; } = [];

        /// <summary>A common name, to the genus it means.</summary>
        public Dictionary<string, string> Common { get; set; } = [];

        /// <summary>A made genus, to the genera it was made of.</summary>
        public Dictionary<string, string[]> Crosses { get; set; } = [];

        /// <summary>The shorthand of a label, to the genus.</summary>
        public Dictionary<string, string> Labels { get; set; } = [];

        /// <summary>A genus, to what is doubtful about it.</summary>
        public Dictionary<string, DoubtfulGenus> Doubtful { get; set; } = [];
    }

    sealed class DoubtfulGenus
    {
        /// <summary>The genus that is usually meant, where it is another.</summary>
        public string? Means { get; set; }

        /// <summary>Species by which the genus itself is meant.</summary>
        public List<string> Unless { get; set; } = [];

        /// <summary>What to look at, as a sentence.</summary>
        public string Why { get; set; } = "";
    }

    static PlantNames Read()
    {
        using var text = new StreamReader(typeof(PlantNames).Assembly.GetManifestResourceStream("names")!);
        var file = new DeserializerBuilder()
            .WithNamingConvention(YamlDotNet.Serialization.NamingConventions.CamelCaseNamingConvention.Instance)
            .Build()
            .Deserialize<NamesFile>(text);
        return new(file);
    }
}

/// <summary>A name that a sheet was found for.</summary>
/// <param name="Taxon">The botanical name to keep.</param>
/// <param name="Sheet">The sheet it is grown by.</param>
/// <param name="How">How it was found, in words: "common name", "near to what was typed", "cross of Laelia and Cattleya".</param>
public sealed record NameFound(string Taxon, CultureSheet Sheet, string How);
