using System.Text.RegularExpressions;

namespace BudClock.Core.Formats.Lists;

/// <summary>
/// Lists of plants as people have them: names alone, one on a line, or the columns of somebody's spreadsheet, with commas, semicolons
/// or tabs. Nothing is taken in here: every row is a proposal, with what is doubtful about it.
/// </summary>
public static partial class PlantList
{
    /// <summary>Most plants of one list.</summary>
    public const int Most = 500;

    /// <summary>Most plants that one line may count.</summary>
    public const int MostOfOne = 99;

    const int LongestText = 400_000;
    const int LongestTitle = 60;
    const int ShortNote = 24;

    /// <summary>A list that can be filled in, with a line for each way of writing one.</summary>
    public const string Example =
        "tag,name,species,place,pot,medium,stage,last repotting\r\n"
        + "LYC-01,\"Lycaste, yellow\",Lycaste aromatica,South bench,11 cm plastic,bark,resting,2030-04-20\r\n"
        + ",African violet,,Potting-room sill,9 cm,,in bloom,spring 2030\r\n"
        + ",Hoya carnosa,,,,,,\r\n";

    /// <summary>Reads a list.</summary>
    /// <param name="taken">Tags that are in use.</param>
    /// <param name="usUnits">A bare pot size is in inches, and dates have the month first.</param>
    /// <param name="chosen">What the grower says the columns hold, in their order; null to go by their headings.</param>
    public static PlantListRead Read(string text, IEnumerable<string> taken, bool usUnits, IReadOnlyList<string>? chosen = null)
    {
        if (string.IsNullOrWhiteSpace(text))
            return PlantListRead.Nothing("There is nothing in the list yet: one plant on a line.");
        if (text.Length > LongestText)
            return PlantListRead.Nothing($"The list is too long to be one of plants; {Most} at a time are taken in.");
        var table = ListTable.Of(text);
        if (table.Body.Count > Most)
            return PlantListRead.Nothing($"There are {table.Body.Count} lines; {Most} at a time are taken in.");
        var fields = Fields(table, chosen);
        var (plants, aside) = (new List<ListedPlant>(), new List<string>(table.Above));
        foreach (var (cells, line) in table.Body)
            if (IsAside(cells, table.Wide, fields))
                aside.Add(string.Join(", ", cells.Where(cell => cell.Length > 0)));
            else
                plants.AddRange(fields is null ? ByContent(cells, line, usUnits) : [ByColumns(cells, fields, line)]);
        if (plants.Count == 0)
            return PlantListRead.Nothing("No plant was found in it: one plant on a line, or a column with names.");
        return new(Proposed(plants, taken, usUnits), Columns(table, fields), aside);
    }

    /// <summary>What each column holds: as chosen, else by its heading; null where every cell has to tell what it is.</summary>
    static List<string>? Fields(ListTable table, IReadOnlyList<string>? chosen)
    {
        if (chosen is { Count: > 0 })
            return [.. Enumerable.Range(0, table.Wide).Select(at => at < chosen.Count ? chosen[at] : "")];
        if (table.Fields is null)
            return null;
        var fields = Enumerable.Range(0, table.Wide).Select(at => at < table.Fields.Count ? table.Fields[at] : "").ToList();
        for (var at = 0; at < fields.Count; at++)
            if (
                fields[at] is "number" or "tag"
                && (ListColumns.CountsLines(table.Cells(at)) || fields[at] == "number" && fields.Contains("tag"))
            )
                fields[at] = "";
            else if (fields[at] == "number")
                fields[at] = "tag";
        return fields;
    }

    static IReadOnlyList<ListColumn> Columns(ListTable table, List<string>? fields) =>
        table.Wide < 2
            ? []
            :
            [
                .. Enumerable
                    .Range(0, table.Wide)
                    .Select(at => new ListColumn(
                        table.Headings is { } heads && at < heads.Count ? heads[at] : "",
                        table.Cells(at).FirstOrDefault(cell => cell.Length > 0) ?? "",
                        fields?[at] ?? ""
                    )),
            ];

    /// <summary>A title, a rule, a total: a line of a table with one cell that names no plant, or that says it is a sum.</summary>
    static bool IsAside(string[] cells, int wide, List<string>? fields)
    {
        var full = cells.Where(cell => cell.Length > 0).ToList();
        if (full.All(cell => Rule().IsMatch(cell)) || Total().IsMatch(full[0]))
            return true;
        var named =
            fields is null
            || cells.Where((_, at) => at < fields.Count && fields[at] is "name" or "taxon" or "genus").Any(cell => cell.Length > 0);
        if (full is [var only] && (only.EndsWith(':') || (wide > 2 && only.Length <= LongestTitle)))
            return !named || ListNames.Known(only.TrimEnd(':')) is null;
        return !named;
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
        plant = ListNames.Found(plant);
        var (doubts, faults, says, kept) = (new List<string>(plant.Doubts), new List<string>(), new List<string>(), new List<string>());
        // "leafless" in the column of notes says what it is doing.
        if (plant is { Stage: "", Note.Length: > 0 and <= ShortNote } && StageOf(plant.Note) is not null)
            plant = plant with { Stage = plant.Note };
        if (plant.Taxon.Length == 0)
            faults.Add("No name stands here.");
        var tag = plant.Tag.Trim();
        if (tag.Length > 0 && !Tags.Sound(tag))
            faults.Add($"{Tags.Rule(tag)}.");
        else if (tag.Length > 0 && used.Contains(tag))
            faults.Add($"{tag} is taken.");
        else if (tag.Length == 0)
            tag = Tags.Propose(plant.Taxon.Length > 0 ? plant.Taxon : plant.Name, reserved);
        used.Add(tag);
        reserved.Add(tag);
        if (plant.Count > 1)
            says.Add(
                plant.OnePot ? $"{plant.Count} in one pot: one plant on record." : $"{plant.Count} plants, each with a tag of its own."
            );
        if (plant.Pot.Length > 0 && ListPot.Read(plant.Pot, usUnits) is not { } pot)
            Keep("Pot", plant.Pot);
        else if (plant.Pot.Length > 0 && ListPot.Read(plant.Pot, usUnits) is { Litres: { } litres, Pot.DiameterCm: { } across })
            says.Add(string.Create(Invariant, $"{litres:0.##} L is a pot of about {across:0} cm across."));
        foreach (var (what, when) in new[] { ("Last repotted", plant.Repotted), ("With you since", plant.Acquired) })
            if (when.Length > 0 && ListDate.Read(when, usUnits) is var date)
            {
                if (date is null)
                    Keep(what, when);
                else if (date.Rest.Length > 0)
                    kept.Add($"{what}: {when}");
                if (date?.About is { } about)
                    says.Add($"{what}: {about}, kept as rough as it is.");
            }
        if (plant.Stage.Length > 0 && StageOf(plant.Stage) is null)
            Keep("Now", plant.Stage);
        return plant with { Tag = tag, Doubts = doubts, Faults = faults, Says = says, Kept = string.Join("; ", kept) };

        void Keep(string what, string words)
        {
            kept.Add($"{what}: {words}");
            doubts.Add($"{what}: \"{words}\" is not read; it goes into the log as a note.");
        }
    }

    static readonly System.Globalization.CultureInfo Invariant = System.Globalization.CultureInfo.InvariantCulture;

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

    static ListedPlant ByColumns(string[] row, List<string> fields, int line)
    {
        string Cell(string name) => string.Join("; ", row.Where((cell, at) => at < fields.Count && fields[at] == name && cell.Length > 0));
        var (genus, epithet) = (Cell("genus"), Cell("epithet"));
        var plant = new ListedPlant(line, string.Join(", ", row.Where(cell => cell.Length > 0)))
        {
            Tag = Cell("tag"),
            Name = Cell("name"),
            Taxon =
                genus.Length > 0 ? $"{genus} {epithet}".Trim()
                : Cell("taxon").Length > 0 ? Cell("taxon")
                : epithet,
            Place = Cell("place"),
            Pot = Cell("pot"),
            Medium = Cell("medium"),
            Stage = Cell("stage"),
            Repotted = Cell("repotted"),
            Acquired = Cell("acquired"),
            Note = Cell("note"),
        };
        return ListNames.Counted(plant, Cell("count"));
    }

    /// <summary>Without headings each cell tells what it is; several names on a line are as many plants.</summary>
    static IEnumerable<ListedPlant> ByContent(string[] row, int line, bool usUnits)
    {
        var cells = row.Where(cell => cell.Length > 0).ToList();
        if (
            cells.Count > 1
            && cells.TrueForAll(cell => ListNames.Known(ListNames.Counted(new(line, cell) { Name = cell }, "").Name) is not null)
        )
            return cells.Select(cell => ListNames.Counted(new(line, cell) { Name = cell }, ""));
        var plant = new ListedPlant(line, string.Join(", ", cells));
        foreach (var cell in cells)
            plant =
                plant.Tag.Length == 0 && plant.Name.Length == 0 && TagLike().IsMatch(cell) ? plant with { Tag = cell }
                : plant.Name.Length == 0 ? plant with { Name = cell }
                : ListDate.Read(cell, usUnits) is { Rest: "" } ? plant with { Repotted = cell }
                : plant.Pot.Length == 0 && cell.Any(char.IsAsciiDigit) && ListPot.Read(cell, usUnits) is not null
                    ? plant with
                    {
                        Pot = cell,
                    }
                : plant.Stage.Length == 0 && StageOf(cell) is not null ? plant with { Stage = cell }
                : plant.Place.Length == 0 ? plant with { Place = cell }
                : plant with { Note = $"{plant.Note} {cell}".Trim() };
        return [ListNames.Counted(plant, "")];
    }

    [GeneratedRegex(@"^[-=_*~.\s|+:]{3,}$")]
    private static partial Regex Rule();

    [GeneratedRegex(@"^(?:sub)?(?:grand )?(?:total|sum|altogether|count)s?\b", RegexOptions.IgnoreCase)]
    private static partial Regex Total();

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
