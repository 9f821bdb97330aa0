using System.Globalization;

namespace BudClock.Core.Formats.Lists;

/// <summary>What the columns of somebody's list hold, by their headings.</summary>
public static class ListColumns
{
    /// <summary>What a column can be taken for, with the words that are shown for it.</summary>
    public static readonly IReadOnlyDictionary<string, string> Fields = new Dictionary<string, string>
    {
        ["tag"] = "tag",
        ["name"] = "name",
        ["taxon"] = "species",
        ["genus"] = "genus alone",
        ["epithet"] = "species alone",
        ["count"] = "how many",
        ["place"] = "place",
        ["pot"] = "pot",
        ["medium"] = "medium",
        ["stage"] = "what it is doing",
        ["repotted"] = "last repotted",
        ["acquired"] = "with you since",
        ["note"] = "notes",
    };

    /// <summary>Whole headings, which say more than the words in them.</summary>
    static readonly Dictionary<string, string> Whole = new()
    {
        ["no"] = "number",
        ["nr"] = "number",
        ["#"] = "number",
        ["number"] = "number",
        ["id"] = "tag",
        ["date"] = "acquired",
        ["size"] = "pot",
        ["diameter"] = "pot",
        ["plants"] = "count",
    };

    /// <summary>Words of headings, the more particular first: "last repot" is no pot, a "potting mix" neither.</summary>
    static readonly (string Word, string Field)[] Words =
    [
        ("repot", "repotted"),
        ("last potted", "repotted"),
        ("potted", "repotted"),
        ("price", ""),
        ("cost", ""),
        ("paid", ""),
        ("qty", "count"),
        ("quantity", "count"),
        ("count", "count"),
        ("how many", "count"),
        ("pieces", "count"),
        ("medium", "medium"),
        ("media", "medium"),
        ("mix", "medium"),
        ("substrate", "medium"),
        ("soil", "medium"),
        ("compost", "medium"),
        ("bought", "acquired"),
        ("got", "acquired"),
        ("acquired", "acquired"),
        ("purchase", "acquired"),
        ("since", "acquired"),
        ("came", "acquired"),
        ("received", "acquired"),
        ("arrived", "acquired"),
        ("place", "place"),
        ("location", "place"),
        ("where", "place"),
        ("position", "place"),
        ("bench", "place"),
        ("room", "place"),
        ("stands", "place"),
        ("window", "place"),
        ("spot", "place"),
        ("pot", "pot"),
        ("container", "pot"),
        ("stage", "stage"),
        ("state", "stage"),
        ("status", "stage"),
        ("doing", "stage"),
        ("phase", "stage"),
        ("condition", "stage"),
        ("now", "stage"),
        ("note", "note"),
        ("remark", "note"),
        ("comment", "note"),
        ("genus", "genus"),
        ("species", "taxon"),
        ("botanical", "taxon"),
        ("latin", "taxon"),
        ("taxon", "taxon"),
        ("scientific", "taxon"),
        ("tag", "tag"),
        ("label", "tag"),
        ("code", "tag"),
        ("name", "name"),
        ("plant", "name"),
        ("cultivar", "name"),
        ("variety", "name"),
        ("called", "name"),
        ("orchid", "name"),
        ("what", "name"),
    ];

    /// <summary>What a heading says that its column holds.</summary>
    /// <returns>Null where it says nothing that is known, empty for what is left on purpose.</returns>
    public static string? Of(string heading)
    {
        var words = heading.Split('(')[0].Trim(' ', ':', '.', '*').ToLowerInvariant();
        if (words.Length is 0 or > 40)
            return null;
        if (Whole.TryGetValue(words, out var whole))
            return whole;
        var padded = $" {string.Join(' ', words.Split([' ', '_', '-', '/', '.'], StringSplitOptions.RemoveEmptyEntries))}";
        return Words.FirstOrDefault(known => padded.Contains($" {known.Word}", StringComparison.Ordinal)).Field;
    }

    /// <summary>The fields of a row of headings, column by column; null where the row is none.</summary>
    public static IReadOnlyList<string>? Header(IReadOnlyList<string> row)
    {
        var fields = row.Select(Of).ToList();
        var named = fields.Any(field => field is "name" or "taxon" or "genus");
        // One word that happens to be a heading, such as a plant called "Label", makes no header of a line.
        if (!named || (row.Count(cell => cell.Length > 0) > 1 && fields.Count(field => field is not null) < 2))
            return null;
        return Settled(fields);
    }

    /// <summary>Each field once, the first that claims it; a species beside a genus is the second word of the name.</summary>
    static List<string> Settled(List<string?> fields)
    {
        var (settled, used) = (new List<string>(), new HashSet<string>());
        foreach (var field in fields)
        {
            var meant = field == "taxon" && fields.Contains("genus") ? "epithet" : field ?? "";
            settled.Add(
                meant is "number" or "" ? meant
                : used.Add(meant) ? meant
                : meant is "name" or "note" ? "note"
                : ""
            );
        }
        return settled;
    }

    /// <summary>A column of numbers in order counts the lines, and is no column of tags.</summary>
    public static bool CountsLines(IEnumerable<string> cells)
    {
        var numbers = cells
            .Select(cell => int.TryParse(cell.TrimEnd('.', ')'), NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? n : -1)
            .ToList();
        return numbers.Count > 2 && numbers.Zip(numbers.Skip(1)).Count(pair => pair.Second == pair.First + 1) >= (numbers.Count - 1) * 0.8;
    }
}
