using System.Collections.Concurrent;
using System.Text.RegularExpressions;
using YamlDotNet.Serialization;
using YamlDotNet.Serialization.NamingConventions;

namespace BudClock.Core.Gardens;

/// <summary>A table of things that words name, such as the parts of media; it finds those that are named in what a grower typed.</summary>
/// <typeparam name="T">A row.</typeparam>
sealed class WordTable<T>
{
    /// <summary>More words than any garden uses are not kept.</summary>
    const int MostKept = 5000;

    readonly ConcurrentDictionary<string, IReadOnlyList<T>> kept = new(StringComparer.OrdinalIgnoreCase);
    readonly (T Row, Regex Words)[] readers;

    /// <param name="resource">The table, a resource of this assembly in YAML.</param>
    /// <param name="says">The words that name a row.</param>
    public WordTable(string resource, Func<T, string[]> says)
    {
        using var text = new StreamReader(typeof(WordTable<>).Assembly.GetManifestResourceStream(resource)!);
        Rows = new DeserializerBuilder().WithNamingConvention(HyphenatedNamingConvention.Instance).Build().Deserialize<List<T>>(text);
        readers = [.. Rows.Select(row => (row, Whole(says(row))))];
    }

    /// <summary>Every row, in the order of the table.</summary>
    public IReadOnlyList<T> Rows { get; }

    /// <summary>The rows that words name, in the order of the table; the same words are read once.</summary>
    /// <param name="words">As they were typed; null for none.</param>
    public IReadOnlyList<T> Named(string? words)
    {
        if (string.IsNullOrWhiteSpace(words))
            return [];
        if (kept.TryGetValue(words, out var known))
            return known;
        if (kept.Count >= MostKept)
            kept.Clear();
        return kept[words] = [.. readers.Where(reader => reader.Words.IsMatch(words)).Select(reader => reader.Row)];
    }

    static Regex Whole(string[] words) =>
        new($@"\b({string.Join('|', words.Select(Regex.Escape))})\b", RegexOptions.IgnoreCase | RegexOptions.Compiled);
}
