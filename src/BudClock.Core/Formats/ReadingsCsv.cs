using System.Globalization;
using BudClock.Core.Climate;
using CsvHelper;
using CsvHelper.Configuration;

namespace BudClock.Core.Formats;

/// <summary>What reading a logger's CSV gave.</summary>
/// <param name="Headers">Its columns in their order; empty where no line of headings was found.</param>
/// <param name="Layout">How it was read, or is proposed to be read.</param>
/// <param name="Readings">Its readings, those that are not believed among them.</param>
/// <param name="Faults">Every fault with its line; with any of them nothing is to be taken in.</param>
public sealed record ReadingsRead(
    IReadOnlyList<string> Headers,
    LoggerLayout Layout,
    IReadOnlyList<ClimateReading> Readings,
    IReadOnlyList<FileFault> Faults
);

/// <summary>Readings as CSV: any logger's file in, our own columns out (RFC 4180).</summary>
public static class ReadingsCsv
{
    /// <summary>Columns of our own file, which is read back without being mapped; the last three are of thinned readings.</summary>
    public static readonly IReadOnlyList<string> Columns =
    [
        "place",
        "time",
        "temperature °C",
        "humidity %",
        "lux",
        "ppfd µmol",
        "device",
        "doubt",
        "hours",
        "lowest °C",
        "highest °C",
    ];

    /// <summary>A logger's file begins with a few lines about itself; so far its headings are looked for.</summary>
    const int MostPreamble = 30;

    /// <summary>So many faults are enough to know that it is read wrongly.</summary>
    const int MostFaults = 200;

    /// <summary>What loggers write where they measured nothing.</summary>
    static readonly HashSet<string> Nothing = new(StringComparer.OrdinalIgnoreCase)
    {
        "",
        "-",
        "--",
        "---",
        "nan",
        "n/a",
        "na",
        "null",
        "err",
        "error",
    };

    static readonly string[] Dates = ["yyyy-MM-dd", "yyyy/MM/dd", "d.M.yyyy", "d.M.yy", "d MMM yyyy", "MMM d yyyy"];
    static readonly string[] DayFirst = [.. Dates, "d/M/yyyy", "d/M/yy", "d-M-yyyy"];
    static readonly string[] MonthFirst = [.. Dates, "M/d/yyyy", "M/d/yy", "M-d-yyyy"];
    static readonly string[] Times = ["H:mm:ss", "H:mm", "H:mm:ss.fff", "h:mm:ss tt", "h:mm tt"];

    /// <summary>Reads a logger's file.</summary>
    /// <param name="layout">How it is laid out; proposed from its headings, and its dates, where it is null.</param>
    /// <param name="now">Times well after it are not believed.</param>
    public static ReadingsRead Read(string text, string place, string? device, Garden garden, LoggerLayout? layout, DateTimeOffset now)
    {
        var read = Once(text, place, device, garden, layout, now);
        if (layout is not null || read.Faults.Count == 0)
            return read;
        var monthFirst = Once(text, place, device, garden, read.Layout with { MonthFirst = true }, now);
        return monthFirst.Faults.Count == 0 ? monthFirst : read;
    }

    static ReadingsRead Once(string content, string place, string? device, Garden garden, LoggerLayout? layout, DateTimeOffset now)
    {
        using var text = new StringReader(content);
        using var csv = new CsvParser(
            text,
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                DetectDelimiter = true,
                DetectDelimiterValues = [",", ";", "\t"],
                BadDataFound = null,
                TrimOptions = TrimOptions.Trim,
            }
        );
        var faults = new List<FileFault>();
        var headers = Headers(csv, layout);
        layout ??= LoggerLayout.Propose(headers);
        if (headers.Count == 0)
            return new(
                [],
                layout,
                [],
                [new("file", "no line with headings such as time and temperature was found; is it a CSV of readings?")]
            );
        if (layout.Columns.FirstOrDefault(column => !headers.Contains(column)) is { } lost)
            return new(
                headers,
                layout,
                [],
                [new("columns", $"there is no column \"{lost}\"; its columns are {string.Join(", ", headers)}")]
            );
        if (!layout.Complete)
            return new(headers, layout, [], [new("columns", "choose the column of the time, and at least one of a measure")]);
        var rows = new Rows(layout, headers, new(garden, layout.Clock), place, device, now, faults);
        while (faults.Count < MostFaults && csv.Read())
            rows.Take(csv.Record!, csv.RawRow);
        return new(headers, layout, faults.Count > 0 ? [] : rows.Readings(), faults);
    }

    /// <summary>
    /// The line that names the columns: the first that has those of the layout, or a time and a measure; else the first of several
    /// cells that are no numbers, whose columns are then asked.
    /// </summary>
    static List<string> Headers(CsvParser csv, LoggerLayout? layout)
    {
        List<string> perhaps = [];
        for (var line = 0; line < MostPreamble && csv.Read(); line++)
        {
            var cells = csv.Record!.Select(cell => cell.Trim().TrimStart('\uFEFF')).ToList();
            if (cells.Distinct().Count() < 2)
                continue;
            if (LoggerLayout.Propose(cells).Complete || (layout?.Complete == true && layout.Columns.All(cells.Contains)))
                return cells;
            if (perhaps.Count == 0 && !cells.Exists(IsNumber))
                perhaps = cells;
        }
        return perhaps;
    }

    static bool IsNumber(string cell) => double.TryParse(cell, NumberStyles.Float, CultureInfo.InvariantCulture, out _);

    /// <summary>Readings in our own columns, times by the garden's clock with their offset.</summary>
    public static void Write(TextWriter text, IEnumerable<ClimateReading> readings, TimeZoneInfo zone)
    {
        using var csv = new CsvWriter(text, new CsvConfiguration(CultureInfo.InvariantCulture), leaveOpen: true);
        foreach (var column in Columns)
            csv.WriteField(column);
        csv.NextRecord();
        foreach (var r in readings)
        {
            csv.WriteField(r.Place);
            csv.WriteField(TimeZoneInfo.ConvertTime(r.At, zone).ToString("yyyy-MM-dd'T'HH:mm:sszzz", CultureInfo.InvariantCulture));
            foreach (var number in (double?[])[r.TemperatureC, r.HumidityPct, r.Lux, r.Ppfd])
                csv.WriteField(number?.ToString("R", CultureInfo.InvariantCulture));
            csv.WriteField(r.Device);
            csv.WriteField(r.Doubt);
            foreach (var number in (double?[])[r.Hours, r.MinC, r.MaxC])
                csv.WriteField(number?.ToString("R", CultureInfo.InvariantCulture));
            csv.NextRecord();
        }
    }

    /// <summary>The rows of one file.</summary>
    sealed class Rows(
        LoggerLayout layout,
        List<string> headers,
        LoggerClock clock,
        string place,
        string? device,
        DateTimeOffset now,
        List<FileFault> faults
    )
    {
        readonly List<(int Line, DateTime? Wall, DateTimeOffset? At, ClimateReading Reading)> rows = [];

        public void Take(string[] cells, int line)
        {
            if (cells.All(cell => cell.Trim().Length == 0))
                return;
            var written = $"{Cell(cells, layout.Date)} {Cell(cells, layout.Time)}".Trim();
            var (wall, at) = Time(written);
            if (wall is null && at is null)
            {
                faults.Add(new($"line {line}", written.Length == 0 ? "has no time" : $"\"{written}\" is no date and time; {Hint}"));
                return;
            }
            rows.Add(
                (
                    line,
                    wall,
                    at,
                    new(place, default, Number(cells, layout.Temperature, line, warm: true), Number(cells, layout.Humidity, line))
                    {
                        Lux = Number(cells, layout.Lux, line),
                        Ppfd = Number(cells, layout.Ppfd, line),
                        Device = device,
                    }
                )
            );
        }

        string Hint => layout.MonthFirst ? "is the day written first?" : "is the month written first?";

        /// <summary>All of them with their moments, once it is seen which way time runs in the file.</summary>
        public IReadOnlyList<ClimateReading> Readings()
        {
            var walls = rows.Where(row => row.Wall is not null).ToList();
            var steps = walls.Zip(walls.Skip(1)).Select(pair => pair.Second.Wall!.Value.CompareTo(pair.First.Wall!.Value)).Sum();
            if (steps < 0)
                rows.Reverse();
            var readings = new List<ClimateReading>(rows.Count);
            foreach (var (line, wall, at, reading) in rows)
            {
                if ((at ?? clock.Moment(wall!.Value)) is not { } moment)
                {
                    faults.Add(
                        new(
                            $"line {line}",
                            $"{wall:d MMM yyyy HH:mm} was skipped when the clock went forward: this logger's clock was not put forward, so "
                                + "choose \"the garden's time without summer time\""
                        )
                    );
                    continue;
                }
                if (reading is { TemperatureC: null, HumidityPct: null, Lux: null, Ppfd: null })
                    continue;
                var timed = reading with { At = moment };
                readings.Add(timed with { Doubt = Believed.Doubt(timed, now) });
            }
            return faults.Count > 0 ? [] : readings;
        }

        string Cell(string[] cells, string? column)
        {
            var index = column is null ? -1 : headers.IndexOf(column);
            return index >= 0 && index < cells.Length ? cells[index].Trim() : "";
        }

        (DateTime? Wall, DateTimeOffset? At) Time(string written)
        {
            // A time with an offset of its own needs no clock to read it by.
            if (written.Length > 10 && (written[^1] is 'Z' || written.LastIndexOfAny(['+', '-']) > 12))
                return DateTimeOffset.TryParse(written, CultureInfo.InvariantCulture, DateTimeStyles.None, out var own)
                    ? (null, own)
                    : (null, null);
            var cut = written.IndexOf('T') is > 7 and var t ? t : TimeStart(written);
            if (cut < 0)
                return (null, null);
            return
                DateOnly.TryParseExact(
                    written[..cut].Trim(),
                    layout.MonthFirst ? MonthFirst : DayFirst,
                    CultureInfo.InvariantCulture,
                    DateTimeStyles.None,
                    out var day
                )
                && TimeOnly.TryParseExact(
                    written[(cut + 1)..].Trim(),
                    Times,
                    CultureInfo.InvariantCulture,
                    DateTimeStyles.None,
                    out var time
                )
                ? (day.ToDateTime(time), null)
                : (null, null);
        }

        /// <summary>The space before the hour.</summary>
        static int TimeStart(string written) => written.IndexOf(':') is > 0 and var colon ? written.LastIndexOf(' ', colon) : -1;

        double? Number(string[] cells, string? column, int line, bool warm = false)
        {
            var written = Cell(cells, column);
            if (column is null || Nothing.Contains(written))
                return null;
            var (digits, fahrenheit) = (
                written.TrimEnd('%', '°', ' ', 'C', 'F', 'x', 'l', 'u'),
                written.EndsWith('F') || (layout.Fahrenheit && !written.EndsWith('C'))
            );
            if (digits.Contains(',', StringComparison.Ordinal) && !digits.Contains('.', StringComparison.Ordinal))
                digits = digits.Replace(',', '.');
            if (!double.TryParse(digits, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) || !double.IsFinite(number))
            {
                faults.Add(new($"line {line}, {column}", $"\"{written}\" is no number"));
                return null;
            }
            return warm && fahrenheit ? Math.Round((number - 32) / 1.8, 3) : number;
        }
    }
}
