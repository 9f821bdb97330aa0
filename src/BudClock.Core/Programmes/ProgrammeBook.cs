using BudClock.Core.Culture;

namespace BudClock.Core.Programmes;

/// <summary>The programmes that ship with Bud Clock, and those of the grower's own.</summary>
public sealed class ProgrammeBook
{
    const string Prefix = "programmes/";

    ProgrammeBook(IReadOnlyList<Programme> all) => All = all;

    /// <summary>Every programme, the grower's own first.</summary>
    public IReadOnlyList<Programme> All { get; }

    /// <summary>Those that ship.</summary>
    public static ProgrammeBook Shipped { get; } = new(ReadShipped());

    /// <summary>With the grower's own; one that cannot be read is left out, and <see cref="ProgrammeReader"/> says why.</summary>
    public static ProgrammeBook With(IReadOnlyList<OwnProgramme> own) =>
        own.Count == 0
            ? Shipped
            : new([
                .. own.Select(one => new ProgrammeReader(one.Name).Read(one.Yaml)).OfType<Programme>().Select(p => p with { Own = true }),
                .. Shipped.All,
            ]);

    /// <summary>A programme by its name; null for none.</summary>
    public Programme? Named(string? name) => All.FirstOrDefault(one => string.Equals(one.Name, name, StringComparison.OrdinalIgnoreCase));

    /// <summary>The programme that words of a log name, for a plant on a sheet; null for none.</summary>
    /// <remarks>
    /// Its name or title whole first, then the longest of its words that is found; one meant for the sheet before others.
    /// </remarks>
    public Programme? Find(string words, CultureSheet sheet)
    {
        var named = All.Where(one => Says(words, one.Name) || Says(words, one.Title)).MaxBy(one => one.Name.Length);
        return named
            ?? All.SelectMany(one => one.Words, (one, word) => (one, word))
                .Where(pair => Says(words, pair.word))
                .OrderByDescending(pair => pair.one.IsFor(sheet))
                .ThenByDescending(pair => pair.word.Length)
                .Select(pair => pair.one)
                .FirstOrDefault();
    }

    static bool Says(string words, string phrase)
    {
        var at = words.IndexOf(phrase, StringComparison.OrdinalIgnoreCase);
        if (at < 0)
            return false;
        var end = at + phrase.Length;
        return (at == 0 || !char.IsLetter(words[at - 1])) && (end == words.Length || !char.IsLetter(words[end]));
    }

    static List<Programme> ReadShipped()
    {
        var assembly = typeof(ProgrammeBook).Assembly;
        var all = new List<Programme>();
        foreach (var name in assembly.GetManifestResourceNames().Where(IsProgramme).Order(StringComparer.Ordinal))
        {
            using var text = new StreamReader(assembly.GetManifestResourceStream(name)!);
            var reader = new ProgrammeReader(name[Prefix.Length..]);
            all.Add(reader.Read(text.ReadToEnd()) ?? throw new InvalidDataException(string.Join(Environment.NewLine, reader.Faults)));
        }
        return all;
    }

    static bool IsProgramme(string resource) => resource.StartsWith(Prefix, StringComparison.Ordinal);

    /// <summary>The text of a programme that ships, to copy and change; null for a name that none has.</summary>
    public static string? TextOf(string name)
    {
        using var stream = typeof(ProgrammeBook).Assembly.GetManifestResourceStream($"{Prefix}{name}.yaml");
        if (stream is null)
            return null;
        using var text = new StreamReader(stream);
        return text.ReadToEnd();
    }
}
