using System.Globalization;
using System.Text.RegularExpressions;
using BudClock.Core.Culture;

namespace BudClock.Core.Formats.Lists;

/// <summary>The names of a list: how many of each, what they mean, what is doubtful about them.</summary>
static partial class ListNames
{
    /// <summary>A shorter word lies near to too many names to be worth an offer.</summary>
    const int ShortestNear = 6;

    /// <summary>The plant with its count taken out of its name, or from a column of counts.</summary>
    public static ListedPlant Counted(ListedPlant plant, string column)
    {
        if (
            int.TryParse(column.Trim(' ', 'x', '×'), NumberStyles.None, CultureInfo.InvariantCulture, out var many)
            && many is > 0 and <= PlantList.MostOfOne
        )
            plant = plant with { Count = many };
        var (name, ofName) = Count(plant.Name);
        var (taxon, ofTaxon) = Count(plant.Taxon);
        return plant with { Name = name, Taxon = taxon, Count = Math.Max(plant.Count, Math.Max(ofName, ofTaxon)) };
    }

    static (string Name, int Count) Count(string name)
    {
        foreach (var form in (Regex[])[Before(), Behind(), InBrackets()])
            if (
                form.Match(name) is { Success: true } match
                && int.Parse(match.Groups["n"].Value, CultureInfo.InvariantCulture) is > 0 and <= PlantList.MostOfOne and var count
            )
                return (match.Groups["name"].Value.Trim(), count);
        return (name, 1);
    }

    /// <summary>The plant with the botanical name that its words lead to, or with those that were perhaps meant.</summary>
    public static ListedPlant Found(ListedPlant plant)
    {
        var written = Blank(plant.Taxon) ?? plant.Name;
        if (written.Length == 0)
            return plant with { Near = [], Doubts = [], Doubtful = true };
        if (Known(written) is { } taxon)
        {
            var doubt = PlantNames.Shipped.Doubt(written) ?? PlantNames.Shipped.Doubt(taxon);
            return plant with
            {
                Taxon = taxon,
                Name =
                    plant.Name.Length == 0 && taxon != written && !IsShorthand(written, taxon) ? written
                    : plant.Name == taxon ? ""
                    : plant.Name,
                Near = [],
                Doubtful = doubt is not null,
                Doubts = doubt is null ? [] : [doubt],
            };
        }
        return plant with
        {
            Taxon = written,
            Name = plant.Name == written ? "" : plant.Name,
            Near = Near(written),
            Doubtful = true,
            Doubts = [$"No sheet is known for \"{written}\": general advice until it is."],
        };
    }

    /// <summary>"Phal. amabilis" says no more than its name in full.</summary>
    static bool IsShorthand(string written, string taxon) =>
        written.Split(' ', 2) is [_, var rest]
        && taxon.EndsWith($" {PlantNames.Plain(rest)}", StringComparison.OrdinalIgnoreCase)
        && PlantNames.Shipped.Doubt(written) is null;

    static IReadOnlyList<string> Near(string written) =>
        [
            .. written
                .Split(' ')
                .Prepend(written)
                .Where(part => part.Length >= ShortestNear)
                .SelectMany(part => CultureSheets.Shipped.Search(part))
                .Select(found => found.Taxon)
                .Distinct()
                .Take(4),
        ];

    /// <summary>A botanical or common name, or a name with a genus in it: "yellow Lycaste", "Phal. 'White'"; null for none.</summary>
    public static string? Known(string written)
    {
        var sheets = CultureSheets.Shipped;
        var plain = PlantNames.Plain(Aside().Replace(written, ""));
        if (plain.Length == 0)
            return null;
        if (plain.EndsWith('s') && sheets.ForTaxon(plain) is null && !plain.Contains(' '))
            plain = plain[..^1];
        if (sheets.ForTaxon(plain) is not null)
            return PlantNames.Shipped.Botanical(plain) is var botanical && botanical != plain ? botanical : Capital(plain);
        var words = plain.Split([' ', ','], StringSplitOptions.RemoveEmptyEntries);
        for (var length = Math.Min(3, words.Length); length > 0; length--)
        for (var from = 0; from + length <= words.Length; from++)
        {
            var part = string.Join(' ', words.Skip(from).Take(length));
            if ((part.Length > 3 || part.EndsWith('.')) && sheets.ForTaxon(part) is not null)
                return PlantNames.Shipped.Botanical(part) is var meant && meant != part ? meant : Capital(part);
        }
        return null;
    }

    [GeneratedRegex(@"\s*\([^)]*\)")]
    private static partial Regex Aside();

    static string Capital(string name) => char.ToUpperInvariant(name[0]) + name[1..];

    static string? Blank(string text) => string.IsNullOrWhiteSpace(text) ? null : text.Trim();

    [GeneratedRegex(@"^(?<n>\d{1,2})\s*(?:[x×]\s*|\s(?:pcs?\.?|pots? of)?\s*)(?<name>\p{L}.{2,})$", RegexOptions.IgnoreCase)]
    private static partial Regex Before();

    [GeneratedRegex(@"^(?<name>.{3,}?)[\s,]*[x×]\s*(?<n>\d{1,2})$", RegexOptions.IgnoreCase)]
    private static partial Regex Behind();

    [GeneratedRegex(@"^(?<name>.{3,}?)\s*[\(\[](?<n>\d{1,2})(?:\s*(?:x|×|pcs?\.?|plants?|pots?))?[\)\]]$", RegexOptions.IgnoreCase)]
    private static partial Regex InBrackets();
}
