using System.Globalization;
using System.Text.RegularExpressions;
using BudClock.Core.Culture;
using CsvHelper;
using CsvHelper.Configuration;

namespace BudClock.Core.Formats;

/// <summary>A plant of somebody's list, as it is proposed: every field can be mended before it is taken in.</summary>
/// <param name="Line">Its line in the list, from 1.</param>
/// <param name="Written">What stood there.</param>
public sealed record ListedPlant(int Line, string Written)
{
    /// <summary>The tag, given or proposed.</summary>
    public string Tag { get; init; } = "";

    /// <summary>What the grower calls it; empty for none.</summary>
    public string Name { get; init; } = "";

    /// <summary>Its botanical name as found; what was typed where nothing was.</summary>
    public string Taxon { get; init; } = "";

    /// <summary>The place in words; one that is not there yet is made.</summary>
    public string Place { get; init; } = "";

    /// <summary>The pot in words, such as "11 cm plastic".</summary>
    public string Pot { get; init; } = "";

    /// <summary>What it stands in.</summary>
    public string Medium { get; init; } = "";

    /// <summary>What it is doing now, in the words of the list.</summary>
    public string Stage { get; init; } = "";

    /// <summary>The day of its last repotting, as written.</summary>
    public string Repotted { get; init; } = "";

    /// <summary>The day it came, as written.</summary>
    public string Acquired { get; init; } = "";

    /// <summary>Whatever else the list says of it.</summary>
    public string Note { get; init; } = "";

    /// <summary>Names that were perhaps meant, the nearest first; empty where the name is known.</summary>
    public IReadOnlyList<string> Near { get; init; } = [];

    /// <summary>What to look at before it is taken in, as sentences.</summary>
    public IReadOnlyList<string> Doubts { get; init; } = [];
}

/// <summary>A list as it was read.</summary>
/// <param name="Left">Columns of which nothing is read.</param>
/// <param name="Trouble">Why nothing could be read; null where something was.</param>
public sealed record PlantListRead(IReadOnlyList<ListedPlant> Plants, IReadOnlyList<string> Left, string? Trouble = null);

/// <summary>
/// Lists of plants as people have them: names alone, one on a line, or the columns of somebody's spreadsheet, with commas, semicolons
/// or tabs. Nothing is taken in here: every row is a proposal, with what is doubtful about it.
/// </summary>
public static partial class PlantList
{
    /// <summary>Most plants of one list.</summary>
    public const int Most = 500;

    const int LongestText = 400_000;

    /// <summary>What a column is called in lists.</summary>
    static readonly Dictionary<string, string[]> Headings = new()
    {
        ["tag"] = ["tag", "label", "no", "nr", "number", "id", "code", "#", "plant no", "plant id"],
        ["name"] = ["name", "plant", "plant name", "common name", "cultivar", "called", "nickname"],
        ["taxon"] = ["species", "botanical name", "latin name", "latin", "taxon", "genus", "botanical", "scientific name"],
        ["place"] = ["place", "location", "where", "position", "bench", "room", "stands"],
        ["pot"] = ["pot", "pot size", "size", "pot diameter", "container", "diameter", "pot width"],
        ["medium"] = ["medium", "mix", "substrate", "soil", "compost", "potting mix", "media"],
        ["stage"] = ["stage", "state", "status", "doing", "phase", "now", "doing now"],
        ["repotted"] = ["repotted", "last repotting", "last repotted", "last repot", "repot date", "potted"],
        ["acquired"] = ["acquired", "since", "bought", "date", "got", "purchased", "date acquired", "came"],
        ["note"] = ["notes", "note", "remarks", "comment", "comments"],
    };

    /// <summary>A list that can be filled in, with a line for each way of writing one.</summary>
    public const string Example =
        "tag,name,species,place,pot,medium,stage,last repotting\r\n"
        + "LYC-01,\"Lycaste, yellow\",Lycaste aromatica,South bench,11 cm plastic,bark,resting,2030-04-20\r\n"
        + ",African violet,,Potting-room sill,9 cm,,in bloom,\r\n"
        + ",Hoya carnosa,,,,,,\r\n";

    /// <summary>Reads a list.</summary>
    /// <param name="taken">Tags that are in use.</param>
    /// <param name="usUnits">A bare pot size is in inches, and dates have the month first.</param>
    public static PlantListRead Read(string text, IEnumerable<string> taken, bool usUnits)
    {
        if (string.IsNullOrWhiteSpace(text))
            return new([], [], "There is nothing in the list yet: one plant on a line.");
        if (text.Length > LongestText)
            return new([], [], $"The list is too long to be one of plants; {Most} at a time are taken in.");
        var rows = Rows(text.TrimStart('\uFEFF'));
        var columns = Columns(rows[0]);
        var (headed, left) = (columns.Count > 0, columns.Count > 0 ? Left(rows[0], columns) : []);
        var body = headed ? rows[1..] : rows;
        if (body.Count > Most)
            return new([], left, $"There are {body.Count} lines; {Most} at a time are taken in.");
        var plants = body.Select((row, index) => headed ? ByColumns(row, columns, index + 2) : ByContent(row, index + 1, usUnits));
        return new(Proposed([.. plants], taken, usUnits), left);
    }

    /// <summary>Rows as they are proposed, or again after they were mended: with their doubts, and a tag where one has none.</summary>
    /// <param name="taken">Tags that are in use.</param>
    public static IReadOnlyList<ListedPlant> Proposed(IReadOnlyList<ListedPlant> plants, IEnumerable<string> taken, bool usUnits)
    {
        var used = taken.ToHashSet(StringComparer.OrdinalIgnoreCase);
        var given = plants.Select(plant => plant.Tag.Trim()).Where(tag => tag.Length > 0).ToList();
        var reserved = used.Concat(given).ToHashSet(StringComparer.OrdinalIgnoreCase);
        return [.. plants.Select(plant => Proposed(plant, used, reserved, usUnits))];
    }

    static ListedPlant Proposed(ListedPlant plant, HashSet<string> used, HashSet<string> reserved, bool usUnits)
    {
        plant = Found(plant);
        var doubts = new List<string>();
        if (plant.Near.Count > 0 || CultureSheets.Shipped.ForTaxon(plant.Taxon, Blank(plant.Medium)) is null)
            doubts.Add(
                plant.Taxon.Length == 0 ? "No name stands here." : $"No sheet is known for \"{plant.Taxon}\": general advice until it is."
            );
        var tag = plant.Tag.Trim();
        if (tag.Length > 0 && !Tags.Sound(tag))
            doubts.Add($"{Tags.Rule(tag)}.");
        else if (tag.Length > 0 && used.Contains(tag))
            doubts.Add($"{tag} is taken.");
        else if (tag.Length == 0)
            tag = Tags.Propose(plant.Taxon.Length > 0 ? plant.Taxon : plant.Name, reserved);
        used.Add(tag);
        reserved.Add(tag);
        if (plant.Pot.Length > 0 && PotOf(plant.Pot, usUnits) is null)
            doubts.Add($"\"{plant.Pot}\" is no pot, such as {(usUnits ? "4 in" : "11 cm")} plastic.");
        foreach (var day in new[] { plant.Repotted, plant.Acquired }.Where(day => day.Length > 0 && DayOf(day, usUnits) is null))
            doubts.Add($"\"{day}\" is no day, such as 2030-04-20.");
        if (plant.Stage.Length > 0 && StageOf(plant.Stage) is null)
            doubts.Add($"What is \"{plant.Stage}\"? Choose what it is doing now.");
        return plant with { Tag = tag, Doubts = doubts };
    }

    /// <summary>A pot by its words: "11 cm plastic", "4 1/2 in clay", "9"; null for no pot.</summary>
    public static Pot? PotOf(string words, bool usUnits)
    {
        var match = PotWords().Match(words.Trim());
        if (!match.Success)
            return null;
        var size = AmountReader.Read(match.Groups["size"].Value, Unit.Default(Dimension.Length, usUnits));
        var kind = Blank(match.Groups["kind"].Value.Trim(' ', ',').ToLowerInvariant());
        if (size is { Dimension: not Dimension.Length } or { InBase: < 1 or > 200 })
            return null;
        return size is null && kind is null ? null : new(size is { } across ? Math.Round(across.InBase, 2) : null, null, kind);
    }

    /// <summary>A day as lists have it; a month or a year alone is its first day. Null for none.</summary>
    public static DateOnly? DayOf(string written, bool usUnits)
    {
        string[] formats =
        [
            "yyyy-MM-dd",
            "d MMM yyyy",
            "d MMMM yyyy",
            "MMM d yyyy",
            "MMMM d yyyy",
            "MMM d, yyyy",
            "MMMM d, yyyy",
            "d.M.yyyy",
            "MMMM yyyy",
            "MMM yyyy",
            "yyyy-MM",
            "yyyy",
            .. usUnits ? (string[])["M/d/yyyy", "M/d/yy"] : ["d/M/yyyy", "d/M/yy"],
        ];
        return DateOnly.TryParseExact(written.Trim(), formats, CultureInfo.InvariantCulture, DateTimeStyles.None, out var day) ? day : null;
    }

    /// <summary>
    /// What it is doing now by the words of a list: growing, spike, bloom, resting, store; null where they say none of it.
    /// </summary>
    public static string? StageOf(string words) =>
        words.ToLowerInvariant() switch
        {
            var w when Store().IsMatch(w) => "store",
            var w when Resting().IsMatch(w) => "resting",
            var w when Spike().IsMatch(w) => "spike",
            var w when Bloom().IsMatch(w) => "bloom",
            var w when Growing().IsMatch(w) => "growing",
            _ => null,
        };

    // ---- lines and columns

    static List<string[]> Rows(string text)
    {
        var config = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            HasHeaderRecord = false,
            Delimiter = Delimiter(text),
            BadDataFound = null,
            MissingFieldFound = null,
            IgnoreBlankLines = true,
        };
        using var csv = new CsvParser(new StringReader(text), config);
        var rows = new List<string[]>();
        while (csv.Read() && rows.Count <= Most + 1)
            if (csv.Record is { } record && record.Any(cell => !string.IsNullOrWhiteSpace(cell)))
                rows.Add([.. record.Select(cell => cell.Trim())]);
        return rows.Count == 0
            ?
            [
                [""],
            ]
            : rows;
    }

    /// <summary>Tabs as spreadsheets copy them, semicolons, commas; a list of names with commas in them has no columns.</summary>
    static string Delimiter(string text)
    {
        var first = text.TrimStart().Split('\n')[0];
        return text.Contains('\t') ? "\t"
            : text.Contains(';') ? ";"
            : first.Contains(',') && Columns(first.Split(',')).Count > 0 ? ","
            : first.Count(c => c == ',') > 1 ? ","
            : "\u0001";
    }

    static Dictionary<string, int> Columns(string[] first)
    {
        var columns = new Dictionary<string, int>();
        foreach (var (index, cell) in first.Index())
            if (Headings.FirstOrDefault(heading => heading.Value.Contains(Heading(cell))).Key is { } name)
                columns.TryAdd(name, index);
        // One word that happens to be a heading, such as a plant called "Label", makes no header of a line.
        return columns.ContainsKey("name") || columns.ContainsKey("taxon") ? columns : [];
    }

    static string Heading(string cell) => Bracket().Replace(cell, "").Trim().ToLowerInvariant();

    static List<string> Left(string[] header, Dictionary<string, int> columns) =>
        [.. header.Where((cell, index) => cell.Length > 0 && !columns.ContainsValue(index))];

    static ListedPlant ByColumns(string[] row, Dictionary<string, int> columns, int line)
    {
        string Cell(string name) => columns.TryGetValue(name, out var at) && at < row.Length ? row[at] : "";
        return new(line, string.Join(", ", row.Where(cell => cell.Length > 0)))
        {
            Tag = Cell("tag"),
            Name = Cell("name"),
            Taxon = Cell("taxon"),
            Place = Cell("place"),
            Pot = Cell("pot"),
            Medium = Cell("medium"),
            Stage = Cell("stage"),
            Repotted = Cell("repotted"),
            Acquired = Cell("acquired"),
            Note = Cell("note"),
        };
    }

    /// <summary>Without headings each cell tells what it is.</summary>
    static ListedPlant ByContent(string[] row, int line, bool usUnits)
    {
        var plant = new ListedPlant(line, string.Join(", ", row.Where(cell => cell.Length > 0)));
        foreach (var cell in row.Where(cell => cell.Length > 0))
            plant =
                plant.Tag.Length == 0 && TagLike().IsMatch(cell) ? plant with { Tag = cell }
                : plant.Name.Length == 0 ? plant with { Name = cell }
                : DayOf(cell, usUnits) is not null ? plant with { Repotted = cell }
                : plant.Pot.Length == 0 && char.IsAsciiDigit(cell[0]) && PotOf(cell, usUnits) is not null ? plant with { Pot = cell }
                : plant.Stage.Length == 0 && StageOf(cell) is not null ? plant with { Stage = cell }
                : plant.Place.Length == 0 ? plant with { Place = cell }
                : plant with { Note = $"{plant.Note} {cell}".Trim() };
        return plant;
    }

    // ---- names

    static ListedPlant Found(ListedPlant plant)
    {
        var written = Blank(plant.Taxon) ?? plant.Name;
        if (written.Length == 0)
            return plant with { Near = [] };
        if (Known(written) is { } taxon)
            return plant with
            {
                Taxon = taxon,
                Name =
                    plant.Name.Length == 0 && taxon != written ? written
                    : plant.Name == taxon ? ""
                    : plant.Name,
                Near = [],
            };
        var near = CultureSheets.Shipped.Search(written).Concat(written.Split(' ').SelectMany(word => CultureSheets.Shipped.Search(word)));
        return plant with
        {
            Taxon = written,
            Name = plant.Name == written ? "" : plant.Name,
            Near = [.. near.Select(found => found.Taxon).Distinct().Take(4)],
        };
    }

    /// <summary>A botanical or common name, or a name with a genus in it: "yellow Lycaste", "Phalaenopsis 'White'".</summary>
    static string? Known(string written)
    {
        var sheets = CultureSheets.Shipped;
        var plain = PlantNames.Plain(written);
        if (sheets.ForTaxon(plain) is not null)
            return PlantNames.Shipped.Botanical(plain) is var botanical && botanical != plain ? botanical : Capital(plain);
        var words = plain.Split([' ', ','], StringSplitOptions.RemoveEmptyEntries);
        for (var length = Math.Min(3, words.Length); length > 0; length--)
        for (var from = 0; from + length <= words.Length; from++)
        {
            var part = string.Join(' ', words.Skip(from).Take(length));
            if (part.Length > 3 && sheets.ForTaxon(part) is not null)
                return PlantNames.Shipped.Botanical(part) is var meant && meant != part ? meant : Capital(part);
        }
        return null;
    }

    static string Capital(string name) => char.ToUpperInvariant(name[0]) + name[1..];

    static string? Blank(string text) => string.IsNullOrWhiteSpace(text) ? null : text.Trim();

    [GeneratedRegex(
        """^(?<size>\d+(?:[.,]\d+)?(?:\s+\d/\d)?\s*(?:cm|mm|inch(?:es)?|in\b|")?)?\s*(?<kind>[\p{L}][\p{L} -]{0,30})?$""",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex PotWords();

    [GeneratedRegex(@"\([^)]*\)")]
    private static partial Regex Bracket();

    [GeneratedRegex(@"^[A-Za-z]{1,8}-?\d{1,4}[A-Za-z]?$")]
    private static partial Regex TagLike();

    [GeneratedRegex(@"\b(store|stored|storage|bag)\b")]
    private static partial Regex Store();

    [GeneratedRegex(@"\b(rest|resting|dormant|dormancy|asleep|leafless)\b")]
    private static partial Regex Resting();

    [GeneratedRegex(@"\b(spike|spikes|spiking|buds?|budding)\b")]
    private static partial Regex Spike();

    [GeneratedRegex(@"\b(bloom|blooms|blooming|flower|flowers|flowering)\b")]
    private static partial Regex Bloom();

    [GeneratedRegex(@"\b(growing|growth|active|leaf|leaves|awake|fine|ok)\b")]
    private static partial Regex Growing();
}
