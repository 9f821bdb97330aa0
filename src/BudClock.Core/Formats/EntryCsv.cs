using System.Globalization;
using System.Security.Cryptography;
using System.Text;
using BudClock.Core.Notes;
using CsvHelper;
using CsvHelper.Configuration;

namespace BudClock.Core.Formats;

/// <summary>What reading a CSV gave.</summary>
/// <param name="Headers">The file's columns in their order.</param>
/// <param name="Columns">Which column each of ours is read from; null when none is.</param>
/// <param name="Rows">The rows understood.</param>
/// <param name="Faults">Every fault, with its line.</param>
public sealed record CsvRead(
    IReadOnlyList<string> Headers,
    IReadOnlyDictionary<string, string?> Columns,
    IReadOnlyList<CsvRow> Rows,
    IReadOnlyList<FileFault> Faults
)
{
    /// <summary>Columns of which nothing is read.</summary>
    public IEnumerable<string> Left => Headers.Where(header => header.Trim().Length > 0 && !Columns.Values.Contains(header));
}

/// <summary>How the words of a CSV are read.</summary>
/// <param name="Notes">The garden's names and the words of the note line; null knows tags and kinds only.</param>
/// <param name="MonthFirst">"5/4/2031" is the 4th of May.</param>
public sealed record CsvWords(NoteContext? Notes = null, bool MonthFirst = false);

/// <summary>The entry.</summary>
public sealed record CsvRow(string Tag, Entry Entry);

/// <summary>Entries as CSV (RFC 4180): one line an entry. Commas, semicolons or tabs are read, with or without a byte-order mark.</summary>
public static class EntryCsv
{
    /// <summary>Names of the columns, in the order they are written.</summary>
    public static readonly IReadOnlyList<string> Columns =
    [
        "tag",
        "on",
        "kind",
        "organ",
        "value",
        "unit",
        "text",
        "logged",
        "struck",
        "id",
        "mix",
        "said",
    ];

    /// <summary>No file of entries has more columns than this.</summary>
    public const int MostColumns = 100;

    /// <summary>So many faults are enough to know that it is another file.</summary>
    const int MostFaults = 1000;

    /// <summary>A spreadsheet would run a cell that begins with one of these (OWASP, CSV injection).</summary>
    const string Runs = "=+-@\t\r'";

    static readonly string[] Required = ["tag", "on", "kind"];
    static readonly string[] DateFormats =
    [
        "yyyy-MM-dd",
        "d MMM yyyy",
        "d MMMM yyyy",
        "d.M.yyyy",
        "MMM d yyyy",
        "MMMM d yyyy",
        "MMMM d, yyyy",
    ];
    static readonly string[] DayFirst = [.. DateFormats, "d/M/yyyy", "d/M/yy"];
    static readonly string[] MonthFirst = [.. DateFormats, "M/d/yyyy", "M/d/yy"];

    /// <summary>A file that can be filled in: the usual columns, a line for each way of writing one.</summary>
    public const string Example =
        "tag,on,kind,value,unit,text\r\nLYC-01,2031-05-20,root-length,11,cm,\r\nLYC-01,2031-05-21,bulbs,,,wrinkled\r\n"
        + "LYC-01,2031-05-22,watered,300,mL,from below\r\nLYC-01,2031-05-23,repotted,,,\"into 12 cm clay, bark\"\r\n";

    // Lines end in CRLF by default; set by hand, a lone line feed within a field would not be quoted any more.
    static readonly CsvConfiguration Config = new(CultureInfo.InvariantCulture);

    /// <summary>All entries of the plants, oldest first.</summary>
    public static string Write(IEnumerable<Plant> plants)
    {
        using var text = new StringWriter();
        using (var csv = new CsvWriter(text, Config))
        {
            Line(csv, Columns);
            foreach (var plant in plants)
            foreach (var e in plant.Entries)
                Line(
                    csv,
                    [
                        plant.Tag,
                        Iso(e.On),
                        e.Kind.Name,
                        e.Organ,
                        e.Amount?.Value.ToString("R", CultureInfo.InvariantCulture),
                        e.Amount?.Unit?.Symbol,
                        e.Text,
                        e.Logged.UtcDateTime.ToString("O", CultureInfo.InvariantCulture),
                        e.Struck ? "true" : null,
                        e.Id.ToString(),
                        e.Mix,
                        e.Said.Words is { Count: > 0 } said ? string.Join("; ", said) : null,
                    ]
                );
        }
        return text.ToString();
    }

    static void Line(CsvWriter csv, IEnumerable<string?> fields)
    {
        foreach (var field in fields)
            csv.WriteField(field is [var first, ..] && Runs.Contains(first) ? $"'{field}" : field);
        csv.NextRecord();
    }

    /// <summary>Reads entries for the plants given. Nothing is guessed: a line that is not understood is a fault.</summary>
    /// <param name="chosen">Which of the file's columns each of ours is read from; by its own name where it is left out.</param>
    /// <param name="latest">The last day an entry may have.</param>
    public static CsvRead Read(
        string text,
        IReadOnlyDictionary<string, string?>? chosen,
        IReadOnlyDictionary<string, Plant> plants,
        DateOnly latest,
        CsvWords? words = null
    )
    {
        var faults = new List<FileFault>();
        var config = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            DetectDelimiter = true,
            DetectDelimiterValues = [",", ";", "\t"],
            BadDataFound = bad =>
            {
                if (faults.Count < MostFaults)
                    faults.Add(new($"line {bad.Context.Parser?.RawRow}", "a quote stands where none can"));
            },
            MissingFieldFound = null,
        };
        using var csv = new CsvReader(new StringReader(text.TrimStart('\uFEFF')), config);
        if (!csv.Read() || !csv.ReadHeader() || csv.HeaderRecord is not { } headers)
            return new([], Match([], null), [], [new("line 1", "there are no columns; expected tag, on, kind and others")]);
        var columns = Match(headers, chosen);
        if (headers.Length > MostColumns)
            return new([], Match([], null), [], [new("line 1", $"there are {headers.Length} columns; at most {MostColumns} are read")]);
        faults.AddRange(
            Required.Where(name => columns[name] is null).Select(name => new FileFault("line 1", $"no column is read as {name}"))
        );
        return faults.Count > 0
            ? new(headers, columns, [], faults)
            : new(headers, columns, new Rows(csv, columns, plants, latest, words ?? new(), faults).Read(), faults);
    }

    static Dictionary<string, string?> Match(string[] headers, IReadOnlyDictionary<string, string?>? chosen) =>
        Columns.ToDictionary(
            name => name,
            name =>
                chosen?.TryGetValue(name, out var own) == true
                    ? headers.FirstOrDefault(header => header == own)
                    : headers.FirstOrDefault(header => header.Trim().Equals(name, StringComparison.OrdinalIgnoreCase))
        );

    static string Iso(DateOnly day) => day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);

    /// <summary>One reading through the lines of a file.</summary>
    sealed class Rows(
        CsvReader csv,
        Dictionary<string, string?> columns,
        IReadOnlyDictionary<string, Plant> plants,
        DateOnly latest,
        CsvWords words,
        List<FileFault> faults
    )
    {
        readonly Dictionary<string, int> seen = [];
        readonly Dictionary<string, int> places = columns
            .Where(column => column.Value is not null)
            .ToDictionary(column => column.Key, column => Array.IndexOf(csv.HeaderRecord!, column.Value));

        public IReadOnlyList<CsvRow> Read()
        {
            var rows = new List<CsvRow>();
            while (faults.Count < MostFaults && csv.Read())
                if (Row() is { } row)
                    rows.Add(row);
            return rows;
        }

        CsvRow? Row()
        {
            var before = faults.Count;
            var (plant, on) = (Plant(), Day());
            var said = plant is null ? null : AsNote(plant);
            var kind = said?.Kind ?? Kind();
            var (amount, text) = said is null ? (Amount(kind), Field("text")) : (said.Amount, said.Text);
            if (faults.Count > before || plant is null || kind is null || on is not { } day)
                return null;
            if (EntryCheck.Fault(kind, day, amount, text, latest) is { } fault)
                return Wrong(fault);
            var organ = Field("organ");
            if (organ is not null && plant.Organs.All(o => o.Id != organ))
                return Wrong($"\"{organ}\" is not among the organs of {plant.Tag}");
            var told = Said.Read(Field("said")?.Split(';', StringSplitOptions.TrimEntries) ?? [], out var unknown);
            if (unknown is not null)
                return Wrong($"\"{unknown}\" is nothing that an entry says; known are {string.Join(", ", Said.Known)}");
            var entry = new Entry
            {
                Id = Guid.TryParse(Field("id"), out var id) ? id : NewId(plant.Tag, day, kind, organ, amount, text),
                On = day,
                Kind = kind,
                Organ = organ,
                Mix = Field("mix"),
                Amount = amount,
                Text = text,
                Logged = DateTimeOffset.TryParse(
                    Field("logged"),
                    CultureInfo.InvariantCulture,
                    DateTimeStyles.AssumeUniversal,
                    out var logged
                )
                    ? logged.ToUniversalTime()
                    : new(day, TimeOnly.MinValue, TimeSpan.Zero),
                Struck = Field("struck") is "true" or "yes" or "1",
            };
            return new(plant.Tag, Field("said") is null ? entry : entry with { Said = told });
        }

        Plant? Plant()
        {
            var tag = Field("tag") ?? "";
            var plant = plants.GetValueOrDefault(tag) ?? Named(tag);
            if (plant is null)
                Wrong(tag.Length == 0 ? "there is no tag" : $"no plant here is tagged \"{tag}\"");
            return plant;
        }

        /// <summary>The one plant of a name, where the garden's names are known.</summary>
        Plant? Named(string name) =>
            words.Notes?.Index is { } index && Subjects.Find(name, index) is [{ Tags: [var tag], Place: null }]
                ? plants.GetValueOrDefault(tag)
                : null;

        /// <summary>A row whose kind is a word of the note line, read as that line would be; null for a kind by its name.</summary>
        EntryDraft? AsNote(Plant plant)
        {
            var written = Field("kind") ?? "";
            if (words.Notes is not { } notes || Find(written) is not null || written.Length == 0)
                return null;
            var line = string.Join(' ', new[] { written, Field("value"), Field("unit"), Field("text") }.OfType<string>());
            var note = NoteReader.Read(line, [plant.Tag], notes with { Today = latest });
            return note is { Complete: true, Entries: [var entry] } ? entry : null;
        }

        static EntryKind? Find(string name) =>
            EntryKinds.Find(name.ToLowerInvariant())
            ?? EntryKinds.All.FirstOrDefault(k => k.Words.Equals(name, StringComparison.OrdinalIgnoreCase));

        EntryKind? Kind()
        {
            var name = Field("kind") ?? "";
            var kind = Find(name);
            if (kind is null)
                Wrong($"\"{name}\" is no kind of entry");
            return kind;
        }

        DateOnly? Day()
        {
            var written = Field("on") ?? "";
            if (
                DateOnly.TryParseExact(
                    written,
                    words.MonthFirst ? MonthFirst : DayFirst,
                    CultureInfo.InvariantCulture,
                    DateTimeStyles.None,
                    out var day
                )
            )
                return day;
            Wrong($"\"{written}\" is no date such as 2031-05-24");
            return null;
        }

        Quantity? Amount(EntryKind? kind)
        {
            if (Field("value") is not { } value)
                return null;
            var unit = Field("unit");
            var known = unit is null ? null : Unit.Find(unit);
            if (unit is not null && known is null)
                Wrong($"\"{unit}\" is no unit known here");
            var bare = known ?? (kind?.Measure is { } measure ? Unit.Default(measure.Dimension, us: false) : null);
            var amount = double.TryParse(value, NumberStyles.Float, CultureInfo.InvariantCulture, out var number)
                ? new Quantity(number, bare)
                : AmountReader.Read(value, bare);
            if (amount is null)
                Wrong($"\"{value}\" is no number");
            return amount;
        }

        string? Field(string name) =>
            places.TryGetValue(name, out var place) && csv.Parser.Count > place && !string.IsNullOrWhiteSpace(csv.Parser[place])
                ? Plain(csv.Parser[place].Trim())
                : null;

        /// <summary>What was defused when it was written is as it was.</summary>
        static string Plain(string field) => field is ['\'', var run, ..] && Runs.Contains(run) ? field[1..] : field;

        CsvRow? Wrong(string what)
        {
            faults.Add(new($"line {csv.Parser.RawRow}", what));
            return null;
        }

        /// <summary>The same line gets the same id in every reading, and its double in one file another.</summary>
        Guid NewId(string tag, DateOnly day, EntryKind kind, string? organ, Quantity? amount, string? text)
        {
            var content = string.Join('\n', tag.ToUpperInvariant(), day.DayNumber, kind.Name, organ, amount, text);
            var times = seen[content] = seen.GetValueOrDefault(content) + 1;
            return new(SHA256.HashData(Encoding.UTF8.GetBytes($"{content}\n{times}")).AsSpan(0, 16));
        }
    }
}
