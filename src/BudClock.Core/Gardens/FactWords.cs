using System.Text.RegularExpressions;

namespace BudClock.Core.Gardens;

/// <summary>Reads what the words of an entry change: where a plant was moved to, what it was repotted into.</summary>
public static partial class FactWords
{
    /// <summary>Pots that people name by what they are made of.</summary>
    static readonly IReadOnlyList<string> PotKinds =
    [
        "plastic",
        "clay",
        "terracotta",
        "glass",
        "ceramic",
        "glazed",
        "net",
        "basket",
        "slotted",
        "mount",
        "reservoir",
        "jar",
        "bowl",
    ];

    /// <summary>What pots are filled with; a text without one of these names no medium.</summary>
    static readonly IReadOnlyList<string> Media =
    [
        "bark",
        "moss",
        "sphagnum",
        "perlite",
        "peat",
        "coir",
        "pumice",
        "lava",
        "pellets",
        "leca",
        "grit",
        "sand",
        "compost",
        "soil",
        "mix",
        "akadama",
        "kanuma",
        "charcoal",
        "vermiculite",
        "osmunda",
        "fern",
        "cork",
        "stone",
        "gravel",
        "water",
    ];

    /// <summary>Whether the words of such an entry can change something about the plant.</summary>
    public static bool Tells(EntryKind kind) => kind == EntryKinds.Moved || kind == EntryKinds.Repotted || kind == EntryKinds.Renamed;

    /// <summary>What the entry's words change; none where they name nothing known.</summary>
    /// <param name="before">What something was on that day, by its name in <see cref="Facts"/>.</param>
    public static IReadOnlyList<FactChange> Read(Entry entry, IReadOnlyList<Place> places, Func<string, string?> before) =>
        entry.Kind == EntryKinds.Moved ? Move(entry.Text, places, before)
        : entry.Kind == EntryKinds.Repotted ? Repot(entry.Text, before)
        : entry.Kind == EntryKinds.Renamed ? Rename(entry.Text, before)
        : [];

    static IReadOnlyList<FactChange> Move(string? text, IReadOnlyList<Place> places, Func<string, string?> before)
    {
        if (Moves.To(text, places) is { } to)
            return [new(Facts.Place, Moves.From(text, places)?.Code ?? before(Facts.Place), to.Code)];
        return text is not null && OutOfVessel().IsMatch(text) ? [new(Facts.Vessel, before(Facts.Vessel), null)] : [];
    }

    static List<FactChange> Repot(string? text, Func<string, string?> before)
    {
        var sets = new List<FactChange>();
        if (text is null)
            return sets;
        var words = text.ToLowerInvariant();
        if (Across().Match(words) is { Success: true } match && AmountReader.Read(match.Value, Unit.Cm) is { InBase: >= 1 and <= 200 } size)
        {
            sets.Add(new(Facts.PotDiameter, before(Facts.PotDiameter), Math.Round(size.InBase, 2).ToString("R", Invariant)));
            // A pot of another size has another height, which nobody measured.
            if (before(Facts.PotHeight) is { } height)
                sets.Add(new(Facts.PotHeight, height, null));
        }
        var named = Word().Matches(words).Select(word => word.Value).ToList();
        if (named.FirstOrDefault(PotKinds.Contains) is { } kind)
            sets.Add(new(Facts.PotKind, before(Facts.PotKind), kind));
        if (Medium(words) is { } medium)
            sets.Add(new(Facts.Medium, before(Facts.Medium), medium));
        return sets;
    }

    /// <summary>The clause that names a medium, without its size and its pot: "into 12 cm clay, bark and moss" is bark and moss.</summary>
    static string? Medium(string words) =>
        Across()
            .Replace(words, " ")
            .Split([',', ';', ':', '.'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .Where(clause => Word().Matches(clause).Any(word => Media.Contains(word.Value)))
            .Where(clause => !Word().Matches(clause).Any(word => OfTheOld.Contains(word.Value)))
            .Select(clause => string.Join(' ', Word().Matches(clause).Select(word => word.Value).Where(word => !Joins.Contains(word))))
            .Select(clause => clause.Length > 60 ? null : clause.Trim())
            .FirstOrDefault(clause => !string.IsNullOrEmpty(clause));

    /// <summary>A clause with one of these tells of the medium that was thrown out.</summary>
    static readonly IReadOnlyList<string> OfTheOld = ["old", "was", "were", "had", "has", "gone", "off", "out", "washed", "same"];

    /// <summary>Words that lead to a medium and are no part of it.</summary>
    static readonly IReadOnlyList<string> Joins =
    [
        "in",
        "into",
        "to",
        "with",
        "fresh",
        "new",
        "a",
        "an",
        "the",
        "pot",
        "potted",
        .. PotKinds,
    ];

    static IReadOnlyList<FactChange> Rename(string? text, Func<string, string?> before)
    {
        var name =
            text is null ? null
            : NewName().Match(text) is { Success: true } match ? match.Groups[1].Value.Trim()
            : text.Trim();
        return name is { Length: > 0 and <= 60 } && name != before(Facts.Name) ? [new(Facts.Name, before(Facts.Name), name)] : [];
    }

    static System.Globalization.CultureInfo Invariant => System.Globalization.CultureInfo.InvariantCulture;

    [GeneratedRegex(@"\d+(?:[.,]\d+)?(?:\s+\d/\d)?\s*(?:cm|mm|inch(?:es)?|in\b|"")", RegexOptions.CultureInvariant)]
    private static partial Regex Across();

    [GeneratedRegex(@"[\p{L}][\p{L}-]*|&|\+", RegexOptions.CultureInvariant)]
    private static partial Regex Word();

    [GeneratedRegex(@"\bout of the (?:tray|reservoir|cover pot|saucer)\b", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex OutOfVessel();

    [GeneratedRegex(@"(?:^|\s)to (.+)$", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex NewName();
}
