namespace BudClock.Core.Culture;

/// <summary>The sheets that ship with Bud Clock.</summary>
public sealed class CultureSheets
{
    /// <summary>The sheet for plants whose habit has none of its own.</summary>
    public const string General = "general";

    const string Prefix = "sheets/";

    readonly Dictionary<string, CultureSheet> byName;
    readonly Dictionary<string, CultureSheet> byGenus;

    /// <exception cref="InvalidDataException">Two sheets share a genus.</exception>
    public CultureSheets(IReadOnlyList<CultureSheet> sheets)
    {
        All = sheets;
        byName = sheets.ToDictionary(sheet => sheet.Name);
        var shared = sheets.SelectMany(s => s.Genera).GroupBy(g => g).FirstOrDefault(g => g.Count() > 1);
        if (shared is not null) throw new InvalidDataException($"The genus {shared.Key} stands on two sheets.");
        byGenus = sheets.SelectMany(sheet => sheet.Genera, (sheet, genus) => (sheet, genus))
            .ToDictionary(pair => pair.genus, pair => pair.sheet, StringComparer.OrdinalIgnoreCase);
    }

    public static CultureSheets Shipped { get; } = new(ReadShipped());

    public IReadOnlyList<CultureSheet> All { get; }

    public CultureSheet? Find(string? name) => name is null ? null : byName.GetValueOrDefault(name);

    public CultureSheet? ForGenus(string? genus) => genus is null ? null : byGenus.GetValueOrDefault(genus);

    /// <summary>The sheet a plant is read by: the one it names, else that of its genus, else the general one.</summary>
    /// <returns>Null only where no general sheet is given.</returns>
    public CultureSheet? For(Journal.Plant plant) => Find(plant.Sheet) ?? ForGenus(plant.Genus) ?? Find(General);

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
