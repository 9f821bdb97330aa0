using System.Collections.Concurrent;

namespace BudClock.Core.Culture;

/// <summary>The sheets that ship with Bud Clock.</summary>
public sealed class CultureSheets
{
    /// <summary>The sheet for plants whose habit has none of its own.</summary>
    public const string General = "general";

    const string Prefix = "sheets/";

    readonly Dictionary<string, CultureSheet> byName;
    readonly ILookup<string, CultureSheet> byTaxon;

    /// <exception cref="InvalidDataException">
    /// A number is missing, with its file and line; or two sheets share a genus or species for the same medium.
    /// </exception>
    public CultureSheets(IReadOnlyList<CultureSheet> sheets)
    {
        sheets = [.. sheets.Select(sheet => Whole(sheet, sheets, 0))];
        var general = sheets.FirstOrDefault(sheet => sheet.Name == General);
        All = sheets = general is null ? sheets : [.. sheets.Select(sheet => sheet.Over(general))];
        if (sheets.SelectMany(Missing).ToList() is { Count: > 0 } missing)
            throw new InvalidDataException(string.Join(Environment.NewLine, missing));
        byName = sheets.ToDictionary(sheet => sheet.Name);
        byTaxon = sheets
            .SelectMany(sheet => sheet.Genera, (sheet, taxon) => (sheet, taxon))
            .ToLookup(pair => pair.taxon, pair => pair.sheet, StringComparer.OrdinalIgnoreCase);
        var shared = byTaxon.FirstOrDefault(group =>
            group.SelectMany(sheet => sheet.Media.DefaultIfEmpty("")).GroupBy(medium => medium).Any(medium => medium.Count() > 1)
        );
        if (shared is not null)
            throw new InvalidDataException($"{shared.Key} stands on two sheets for the same medium.");
    }

    /// <summary>A sheet with what it takes from the one it is like.</summary>
    static CultureSheet Whole(CultureSheet sheet, IReadOnlyList<CultureSheet> all, int depth)
    {
        if (sheet.Like is not { } name)
            return sheet;
        var other = all.FirstOrDefault(s => s.Name == name)
            ?? throw new InvalidDataException($"Sheet {sheet.Name} is like {name}, which is no sheet.");
        if (depth > all.Count)
            throw new InvalidDataException($"Sheet {sheet.Name} is like itself.");
        return sheet.LikeSheet(Whole(other, all, depth + 1));
    }

    /// <summary>What a rule needs and a sheet that names it does not give, nor the sheets below it.</summary>
    static IEnumerable<SheetFault> Missing(CultureSheet sheet) =>
        from rule in sheet.Rules.All
        from limit in RuleLimits.Of(rule.Key)?.Limits ?? []
        let row = rule.Value.Thresholds.GetValueOrDefault(limit.Name)
        where row is null ? !limit.Optional : row.Reason.Length == 0
        select new SheetFault(
            rule.Value.At?.File ?? sheet.Name,
            rule.Value.At?.Line ?? 1,
            $"{rule.Key}: {(row is null ? $"{limit.Name} is missing" : $"{limit.Name} has no reason")}"
        );

    /// <summary>The sheets that ship with Bud Clock.</summary>
    public static CultureSheets Shipped { get; } = new(ReadShipped());

    /// <summary>All sheets, by file name.</summary>
    public IReadOnlyList<CultureSheet> All { get; }

    /// <summary>The sheet of a name; null where there is none.</summary>
    public CultureSheet? Find(string? name) => name is null ? null : byName.GetValueOrDefault(name);

    /// <summary>
    /// The sheet of a name: the species' own before the genus's, the one for its medium before the usual one. Common names and
    /// synonyms are read as what they mean; a cross of genera takes its parents' sheets, the stricter threshold of each.
    /// </summary>
    /// <returns>Null where nothing is known of the name.</returns>
    public CultureSheet? ForTaxon(string? taxon, string? medium = null)
    {
        if (string.IsNullOrWhiteSpace(taxon))
            return null;
        var words = PlantNames.Shipped.Botanical(PlantNames.Plain(taxon)).Split(' ', StringSplitOptions.RemoveEmptyEntries);
        if (words.Length == 0)
            return null;
        return InMedium(string.Join(' ', words.Take(2)), medium) ?? InMedium(words[0], medium) ?? OfParents(words[0], medium);
    }

    CultureSheet? OfParents(string genus, string? medium) =>
        PlantNames
            .Shipped.Parents(genus, byTaxon.Select(group => group.Key))
            .Select(parent => InMedium(parent, medium))
            .OfType<CultureSheet>()
            .ToList()
            is [var first, ..] parents
            ? parents.Aggregate(first, (a, b) => a.Stricter(b))
            : null;

    /// <summary>What a typed name may mean, the likeliest first: known names, names that begin so, and the nearest ones.</summary>
    public IReadOnlyList<NameFound> Search(string? typed, string? medium = null)
    {
        var name = PlantNames.Plain(typed);
        if (name.Length < 2)
            return [];
        var names = PlantNames.Shipped;
        var found = new List<NameFound>();
        if (ForTaxon(name, medium) is { } exact)
            found.Add(new(Botanical(name), exact, How(name)));
        var all = byTaxon.Select(group => group.Key).Concat(names.Common).ToList();
        foreach (
            var near in all.Where(known => known.StartsWith(name, StringComparison.OrdinalIgnoreCase))
                .Order(StringComparer.OrdinalIgnoreCase)
                .Take(5)
        )
            Add(near, How(near));
        if (found.Count == 0 && (Nearest.To(name, all) ?? Nearest.To(name.Split(' ')[0], all)) is { } slip)
            Add(slip, "near to what was typed");
        return [.. found.DistinctBy(f => f.Taxon)];

        void Add(string known, string how)
        {
            if (ForTaxon(known, medium) is { } sheet)
                found.Add(new(Botanical(known), sheet, how));
        }

        string Botanical(string text) =>
            names.Botanical(text) is var taxon && taxon != text ? taxon : char.ToUpperInvariant(text[0]) + text[1..];

        string How(string text) =>
            names.IsCommon(text) ? $"common name {text.ToLowerInvariant()}"
            : names.Botanical(text) != text ? $"today's or earlier name {text}"
            : byTaxon.Contains(text.Split(' ')[0]) ? "genus"
            : $"cross of {string.Join(" and ", names.Parents(text.Split(' ')[0], byTaxon.Select(group => group.Key)))}";
    }

    CultureSheet? InMedium(string taxon, string? medium) =>
        byTaxon[taxon].FirstOrDefault(sheet => medium is not null && sheet.Media.Contains(medium, StringComparer.OrdinalIgnoreCase))
        ?? byTaxon[taxon].FirstOrDefault(sheet => sheet.Media.Count == 0)
        ?? byTaxon[taxon].FirstOrDefault();

    IReadOnlyDictionary<string, CultureSheet> ownSheets = new Dictionary<string, CultureSheet>();

    /// <summary>The sheets with a grower's changes in them; those for one plant hold for that plant alone.</summary>
    public CultureSheets With(IReadOnlyList<SheetChange> changes)
    {
        if (changes.Count == 0)
            return this;
        var changed = new CultureSheets([
            .. All.Select(sheet =>
                changes.Where(c => c.Plant is null && c.Sheet == sheet.Name).Aggregate(sheet, (s, change) => change.On(s))
            ),
        ]);
        var own = changes.Where(c => c.Plant is not null).GroupBy(c => c.Plant!, StringComparer.OrdinalIgnoreCase);
        changed.ownSheets = own.Where(group => changed.Find(group.First().Sheet) is not null)
            .ToDictionary(
                group => group.Key,
                group => group.Aggregate(changed.Find(group.First().Sheet)!, (sheet, change) => change.On(sheet)),
                StringComparer.OrdinalIgnoreCase
            );
        return changed;
    }

    /// <summary>The same names are asked about at each assessment of a plant; they are taken apart once.</summary>
    CultureSheet? Named(string? taxon, string? medium)
    {
        if (known.TryGetValue((taxon, medium), out var sheet))
            return sheet;
        if (known.Count >= MostKnown)
            known.Clear();
        return known[(taxon, medium)] = ForTaxon(taxon, medium) is { } found ? Narrowed(found, taxon) : null;
    }

    /// <summary>The sheet that a plant names, narrowed to its kind.</summary>
    CultureSheet OfKind(CultureSheet sheet, string? taxon)
    {
        if (sheet.Media.Count == 0 || taxon is null)
            return sheet;
        if (known.TryGetValue((taxon, sheet.Name), out var narrowed) && narrowed is not null)
            return narrowed;
        return (known[(taxon, sheet.Name)] = Narrowed(sheet, taxon))!;
    }

    /// <summary>
    /// A way of growing, such as in water, narrows what the kind bears and never silences it: of cold, heat and light the stricter of
    /// both holds (rule L1).
    /// </summary>
    CultureSheet Narrowed(CultureSheet sheet, string? taxon) =>
        sheet.Media.Count > 0 && ForTaxon(taxon) is { Media.Count: 0 } kind ? sheet.Narrowed(kind) : sheet;

    /// <summary>More names than any garden has are not kept.</summary>
    const int MostKnown = 5000;

    readonly ConcurrentDictionary<(string? Taxon, string? Medium), CultureSheet?> known = new();

    /// <summary>The sheet a plant is read by: the one it names, else that of its taxon and medium, else the general one.</summary>
    /// <exception cref="InvalidDataException">No sheet fits, and there is no general one.</exception>
    public CultureSheet For(Plant plant) =>
        ownSheets.GetValueOrDefault(plant.Tag)
        ?? (Find(plant.Sheet) is { } sheet ? OfKind(sheet, plant.Taxon) : null)
        ?? Named(plant.Taxon, plant.Medium)
        ?? Find(General)
        ?? throw new InvalidDataException("There is no general sheet.");

    /// <summary>What is wrong with a chosen school: a question that no sheet asks, or an answer that none gives to it.</summary>
    /// <returns>Null when it is sound. A question of another sheet is kept: a plant may be read by that sheet again.</returns>
    public string? SchoolFault(string question, string school)
    {
        var asked = All.Select(sheet => sheet.Schools.GetValueOrDefault(question)).OfType<SchoolQuestion>().ToList();
        if (asked.Count == 0)
            return $"no sheet asks \"{question}\"; they ask "
                + $"{string.Join(", ", All.SelectMany(sheet => sheet.Schools.Keys).Distinct().Order(StringComparer.Ordinal))}";
        var answers = asked.SelectMany(q => q.Answers.Keys).Distinct().Order(StringComparer.Ordinal).ToList();
        return answers.Contains(school) ? null : $"\"{school}\" is no answer to {question}; expected {string.Join(" or ", answers)}";
    }

    static List<CultureSheet> ReadShipped()
    {
        var assembly = typeof(CultureSheets).Assembly;
        var (sheets, faults) = (new List<CultureSheet>(), new List<SheetFault>());
        foreach (
            var resource in assembly
                .GetManifestResourceNames()
                .Where(n => n.StartsWith(Prefix, StringComparison.Ordinal))
                .Order(StringComparer.Ordinal)
        )
        {
            using var text = new StreamReader(assembly.GetManifestResourceStream(resource)!);
            var reader = new SheetReader(resource[Prefix.Length..]);
            if (reader.Read(text.ReadToEnd()) is { } sheet)
                sheets.Add(sheet);
            faults.AddRange(reader.Faults);
        }
        return faults.Count == 0 ? sheets : throw new InvalidDataException(string.Join(Environment.NewLine, faults));
    }
}
