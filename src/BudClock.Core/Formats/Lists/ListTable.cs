using System.Globalization;
using System.Text.RegularExpressions;
using CsvHelper;
using CsvHelper.Configuration;

namespace BudClock.Core.Formats.Lists;

/// <summary>The lines and cells of a list, with its headings apart from its body.</summary>
/// <param name="Headings">The row of headings; null where the list has none.</param>
/// <param name="Fields">What the headings say; null where the list has none.</param>
/// <param name="Above">Lines above the headings, such as a title.</param>
/// <param name="Body">The rows below, with their line from 1.</param>
sealed partial record ListTable(
    IReadOnlyList<string>? Headings,
    IReadOnlyList<string>? Fields,
    IReadOnlyList<string> Above,
    IReadOnlyList<(string[] Cells, int Line)> Body
)
{
    /// <summary>Headings stand among the first lines; further down they are plants.</summary>
    const int HeadingsWithin = 8;

    /// <summary>Columns of the widest row.</summary>
    public int Wide => Math.Max(Headings?.Count ?? 0, Body.Select(row => row.Cells.Length).DefaultIfEmpty(0).Max());

    /// <summary>The cells of a column.</summary>
    public IEnumerable<string> Cells(int column) => Body.Select(row => column < row.Cells.Length ? row.Cells[column] : "");

    /// <summary>Reads the cells of a text that is not blank.</summary>
    public static ListTable Of(string text)
    {
        var rows = Rows(Unnumbered(text.TrimStart('\uFEFF').Trim('\n', '\r')));
        var wide = rows.Select(row => row.Cells.Length).DefaultIfEmpty(0).Max();
        // The row that names the most columns is the header; a title above it may hold a word that is a heading too.
        var best = rows.Take(HeadingsWithin)
            .Select((row, at) => (At: at, Fields: ListColumns.Header(row.Cells)))
            .Where(row => row.Fields is not null)
            .Select(row => (row.At, Fields: row.Fields!, Named: row.Fields!.Count(field => field.Length > 0)))
            .Where(row => row.Named > 1 || wide == 1)
            .OrderByDescending(row => row.Named)
            .Select(row => ((int At, IReadOnlyList<string> Fields)?)(row.At, row.Fields))
            .FirstOrDefault();
        return best is not { } header
            ? new(null, null, [], rows)
            : new(
                rows[header.At].Cells,
                header.Fields,
                [.. rows.Take(header.At).Select(row => string.Join(", ", row.Cells.Where(cell => cell.Length > 0)))],
                rows[(header.At + 1)..]
            );
    }

    static List<(string[] Cells, int Line)> Rows(string text)
    {
        var config = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            HasHeaderRecord = false,
            Delimiter = Delimiter(text),
            BadDataFound = null,
            MissingFieldFound = null,
            IgnoreBlankLines = false,
        };
        using var csv = new CsvParser(new StringReader(text), config);
        var rows = new List<(string[], int)>();
        while (csv.Read() && rows.Count <= PlantList.Most + HeadingsWithin)
            if (csv.Record is { } record && record.Any(cell => !string.IsNullOrWhiteSpace(cell)))
                rows.Add(([.. record.Select(cell => cell.Trim(' ', '\u00A0', '|'))], csv.RawRow));
        return rows;
    }

    /// <summary>Tabs as spreadsheets copy them, semicolons, commas; a list of names with commas in them has no columns.</summary>
    static string Delimiter(string text)
    {
        var lines = text.Split('\n').Where(line => line.Trim().Length > 0).Take(30).ToList();
        if (text.Contains('\t'))
            return "\t";
        foreach (var mark in (string[])[";", "|"])
            if (lines.Count(line => line.Contains(mark, StringComparison.Ordinal)) > lines.Count / 2)
                return mark;
        var headed = lines.Take(HeadingsWithin).Any(line => line.Contains(',') && ListColumns.Header(line.Split(',')) is not null);
        return headed || lines.Count(line => line.Count(c => c == ',') > 1) > lines.Count / 2 ? "," : "\u0001";
    }

    /// <summary>Names that somebody numbered, one after the other, without their numbers.</summary>
    static string Unnumbered(string text)
    {
        var lines = text.Split('\n');
        var numbers = lines.Where(line => line.Trim().Length > 0).Select(line => Number().Match(line)).ToList();
        return numbers.TrueForAll(number => number.Success) && ListColumns.CountsLines(numbers.Select(number => number.Groups["n"].Value))
            ? string.Join('\n', lines.Select(line => Number().Replace(line, "")))
            : text;
    }

    [GeneratedRegex(@"^\s*(?<n>\d{1,3})[.)]?\s+(?=\p{L})")]
    private static partial Regex Number();
}
