namespace BudClock.Core.Culture;

/// <summary>The sheets that ship with Bud Clock.</summary>
public sealed class CultureSheets
{
    /// <summary>The sheet for plants whose habit has none of its own.</summary>
    public const string General = "general";

    const string Prefix = "sheets/";

    readonly Dictionary<string, CultureSheet> byName;
    readonly ILookup<string, CultureSheet> byTaxon;

    /// <exception cref="InvalidDataException">Two sheets share a genus or species for the same medium.</exception>
    public CultureSheets(IReadOnlyList<CultureSheet> sheets)
    {
        var general = sheets.FirstOrDefault(sheet => sheet.Name == General);
        All = sheets = general is null ? sheets : [.. sheets.Select(sheet => sheet.Over(general))];
        byName = sheets.ToDictionary(sheet => sheet.Name);
        byTaxon = sheets.SelectMany(sheet => sheet.Genera, (sheet, taxon) => (sheet, taxon))
            .ToLookup(pair => pair.taxon, pair => pair.sheet, StringComparer.OrdinalIgnoreCase);
        var shared = byTaxon.FirstOrDefault(group => group.SelectMany(sheet => sheet.Media.DefaultIfEmpty("")).GroupBy(medium => medium).Any(medium => medium.Count() > 1));
        if (shared is not null) throw new InvalidDataException($"{shared.Key} stands on two sheets for the same medium.");
    }

    public static CultureSheets Shipped { get; } = new(ReadShipped());

    public IReadOnlyList<CultureSheet> All { get; }

    public CultureSheet? Find(string? name) => name is null ? null : byName.GetValueOrDefault(name);

    /// <summary>The sheet of a botanical name: the species' own before the genus's, the one for its medium before the usual one.</summary>
    public CultureSheet? ForTaxon(string? taxon, string? medium = null)
    {
        var words = taxon?.Split(' ', StringSplitOptions.RemoveEmptyEntries) ?? [];
        return words.Length == 0 ? null : InMedium(string.Join(' ', words.Take(2)), medium) ?? InMedium(words[0], medium);
    }

    CultureSheet? InMedium(string taxon, string? medium) =>
        byTaxon[taxon].FirstOrDefault(sheet => medium is not null && sheet.Media.Contains(medium, StringComparer.OrdinalIgnoreCase))
        ?? byTaxon[taxon].FirstOrDefault(sheet => sheet.Media.Count == 0)
        ?? byTaxon[taxon].FirstOrDefault();

    IReadOnlyDictionary<string, CultureSheet> ownSheets = new Dictionary<string, CultureSheet>();

    /// <summary>The sheets with a grower's changes in them; those for one plant hold for that plant alone.</summary>
    public CultureSheets With(IReadOnlyList<SheetChange> changes)
    {
        if (changes.Count == 0) return this;
        var changed = new CultureSheets([.. All.Select(sheet => changes.Where(c => c.Plant is null && c.Sheet == sheet.Name).Aggregate(sheet, (s, change) => change.On(s)))]);
        var own = changes.Where(c => c.Plant is not null).GroupBy(c => c.Plant!, StringComparer.OrdinalIgnoreCase);
        changed.ownSheets = own.Where(group => changed.Find(group.First().Sheet) is not null)
            .ToDictionary(group => group.Key, group => group.Aggregate(changed.Find(group.First().Sheet)!, (sheet, change) => change.On(sheet)), StringComparer.OrdinalIgnoreCase);
        return changed;
    }

    /// <summary>The sheet a plant is read by: the one it names, else that of its taxon and medium, else the general one.</summary>
    /// <returns>Null only where no general sheet is given.</returns>
    public CultureSheet? For(Plant plant) => ownSheets.GetValueOrDefault(plant.Tag) ?? Find(plant.Sheet) ?? ForTaxon(plant.Taxon, plant.Medium) ?? Find(General);

    static List<CultureSheet> ReadShipped()
    {
        var assembly = typeof(CultureSheets).Assembly;
        var sheets = new List<CultureSheet>();
        foreach (var resource in assembly.GetManifestResourceNames().Where(n => n.StartsWith(Prefix, StringComparison.Ordinal)).Order(StringComparer.Ordinal))
        {
            using var text = new StreamReader(assembly.GetManifestResourceStream(resource)!);
            var reader = new SheetReader(resource[Prefix.Length..]);
            sheets.Add(reader.Read(text.ReadToEnd())
                ?? throw new InvalidDataException(string.Join(Environment.NewLine, reader.Faults)));
        }
        return sheets;
    }
}
