using System.IO.Compression;
using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text;

namespace BudClock.Web.Tests.Keeping;

/// <summary>
/// Random input at every door that takes bytes from outside: no answer is a 5xx, nothing hangs, and whatever was taken in is read
/// again. Some tries each here; scripts/fuzz.sh runs it as long as one likes (BUDCLOCK_FUZZ_SECONDS, BUDCLOCK_FUZZ_SEED).
/// </summary>
public class FuzzTests
{
    static readonly double? Seconds = Setting("BUDCLOCK_FUZZ_SECONDS");

    /// <summary>How often each door is knocked at where no time is set.</summary>
    const int Tries = 60;

    static readonly int Seed = (int)(Setting("BUDCLOCK_FUZZ_SEED") ?? 7);
    static readonly TimeSpan Hang = TimeSpan.FromSeconds(10);

    static double? Setting(string name) => double.TryParse(Environment.GetEnvironmentVariable(name), out var set) ? set : null;

    static CancellationToken Stop => TestContext.Current.CancellationToken;

    static readonly string[] Odd =
    [
        "",
        " ",
        "\0",
        "\u202e\u2066abc",
        "\ud83c\udf3a\ud83c\udf3a",
        "\uffff",
        "\u2028",
        "\u001b[31m",
        "\u0130\u0131\u017f",
        "\u00bd",
        "\u221215",
        "<script>alert(1)</script>",
        "../../etc/passwd",
        "a\nb\r\nc",
        "'; DROP TABLE Plants;--",
        new string('x', 2500),
        "1e400",
        "NaN",
        "-0",
        "1e-320",
        "99999999999999999999",
        "1/0",
        "999/999",
        "true",
        "null",
        "[]",
        "0001-01-01",
        "9999-12-31",
        "2026-02-30",
        "0001-01-01T00:00:00Z",
        "00000000-0000-0000-0000-000000000000",
        "0.001 ppm N",
        "1 g in 1000000 L",
        "=1+1",
        "29 feb",
        "31/12/9999",
        "yesterday",
        "#new",
    ];

    static string Mutate(string text, Random random)
    {
        for (var times = random.Next(1, 5); times > 0; times--)
        {
            var (i, j) = (random.Next(text.Length + 1), random.Next(text.Length + 1));
            (i, j) = (Math.Min(i, j), Math.Max(i, j));
            text = random.Next(7) switch
            {
                0 => text[..i] + Odd[random.Next(Odd.Length)] + text[i..],
                1 => text[..i] + (char)random.Next(1, 0xD7FF) + text[i..],
                2 => text[..i] + text[j..],
                3 => text[..j] + text[i..j] + text[j..],
                4 => text.ToUpperInvariant(),
                5 => text[..i] + ",;:#.\n\"'%/&-"[random.Next(12)] + text[i..],
                _ => text.Replace("1", random.Next(2) == 0 ? "1000000000000" : "-1"),
            };
            if (text.Length > 20_000)
                text = text[..20_000];
        }
        return text;
    }

    static byte[] Mutate(byte[] content, Random random)
    {
        var bytes = content.ToArray();
        for (var times = random.Next(1, 8); times > 0 && bytes.Length > 0; times--)
        {
            var i = random.Next(bytes.Length);
            if (random.Next(4) == 0)
                bytes = bytes[..i];
            else if (random.Next(3) == 0)
                bytes = [.. bytes[..i], .. bytes[random.Next(bytes.Length)..]];
            else
                bytes[i] ^= (byte)(1 << random.Next(8));
        }
        return bytes;
    }

    static readonly string[] Notes =
    [
        "cal-02: roots 8.5 cm, bulbs wrinkled",
        "hoy-02, sai-04: soaked 400 ml yesterday",
        "eup-01 moved to the cold frame",
        "cat-01 fed 1/4 tsp 20 May",
        "south bench: watered",
        "lyc-04 repotted into 12 cm clay, bark",
    ];

    static readonly string[] Pages =
    [
        "/",
        "/bench",
        "/store",
        "/trays",
        "/places",
        "/garden",
        "/mixing",
        "/mixing/today",
        "/sitter?days=14",
        "/plants/CAL-02",
        "/api/garden",
        "/api/entries.csv",
    ];

    static readonly string[] Queries =
    [
        "/?place=south&selected=CAL-02&measure=true",
        "/bench?q=lyc&place=south&sort=due&p=1",
        "/plants/CAL-02?all=true",
        "/plants/CAL-02/log?kind=watered&amend=x",
        "/plants/CAL-02/compare?a=1&b=2",
        "/plants/CAL-02/edit?taxon=Lycaste",
        "/api/plants/CAL-02/advice?on=2031-05-24",
        "/mixing/bottle?batch=1+L&label=20-20-20&strength=50+ppm+N&spoon=5",
        "/mixing/recipes?waters=tap&shares=100",
        "/sitter?from=2031-05-24&days=9",
        "/pictures/a.jpg?small=true",
        "/trays/v1",
        "/sheets/clivia",
        "/trouble?code=500",
    ];

    /// <summary>Every form's address, with the fields it has.</summary>
    static readonly (string Path, string[] Fields)[] Forms =
    [
        ("/notes", ["text", "returnUrl", "act"]),
        ("/notes?handler=Entry", ["tag", "kind", "amount", "words", "organ", "on", "act"]),
        ("/notes?handler=Strike", ["tag", "entry", "struck", "returnUrl"]),
        ("/notes?handler=Redo", ["undo", "act"]),
        ("/bench", ["tags", "tags", "text"]),
        (
            "/plants/new",
            ["Form.Tag", "Form.Taxon", "Form.Name", "Form.Place", "Form.Acquired", "Form.PotDiameter", "Form.Doing", "Form.Medium"]
        ),
        ("/plants/CAL-02/edit", ["Form.Taxon", "Form.PotHeight", "Form.Holds", "Form.Always", "Form.Version", "Form.Schools[first-water]"]),
        ("/plants/CAL-02/edit?handler=Tag", ["newTag"]),
        ("/plants/CAL-02/log", ["Form.Kind", "Form.Amount", "Form.Words", "Form.Organ", "Form.On", "Amend"]),
        ("/plants/CAL-02/recipe", ["Recipe", "Why", "Confirm"]),
        ("/plants/CAL-02/look", ["Answer", "Rows[0].Kind", "Rows[0].Amount"]),
        ("/places", ["Code", "Name", "Setting", "Lamps"]),
        ("/places?handler=Night", ["Code", "Night"]),
        ("/places?handler=Move", ["Code", "step"]),
        ("/places?handler=Remove", ["Code"]),
        ("/trays", ["Name", "Kind", "Place", "Tags"]),
        ("/sheets/clivia?handler=Save", ["Name", "Value", "Plant", "School"]),
        ("/sheets/clivia?handler=Try", ["Name", "Value", "Plant"]),
        ("/garden", ["Form.Name", "Form.Where", "Form.TimeZone", "Form.UsUnits"]),
        ("/garden?handler=Way", ["Sent", "Way", "GardenToo"]),
        ("/garden/csv?handler=Write", ["Text", "Columns[tag]", "Columns[on]"]),
        ("/mixing/waters", ["Name", "Tds", "Ec", "Ph", "Kind", "Measured"]),
        ("/mixing/feeds", ["Name", "Label", "Form", "Spoon", "Full"]),
        ("/mixing/recipes", ["Name", "For", "Waters", "Waters", "Shares", "Feeds", "Strengths"]),
        ("/mixing/tools", ["Scale", "Spoon", "Syringe", "Bottle", "MeterScale", "Reserve"]),
        ("/mixing/today", ["Form.Bottle", "Form.Recipe", "Form.Litres", "Form.Measured", "Form.Ph", "Form.Tags"]),
        ("/mixing/trials", ["Recipe", "Tags"]),
        ("/mixing/trials?handler=End", ["code"]),
    ];

    static readonly string[] Values =
    [
        "CAL-02",
        "HOY-02",
        "south",
        "watered",
        "root-length",
        "8.5",
        "400 ml",
        "12 cm",
        "2031-05-20",
        "tap",
        "growth",
        "plastic",
        "20-20-20",
        "1/4 tsp in 1 gal",
        "100",
        "true",
        "tray",
        "W3.every-from",
        "Lycaste aromatica",
    ];

    public static TheoryData<string> Doors => ["note", "read", "garden", "csv", "zip", "picture", "query", "form"];

    [Theory, Long]
    [MemberData(nameof(Doors))]
    public async Task Whatever_comes_in_is_answered_and_leaves_the_garden_whole(string door)
    {
        await using var site = await Site.DemoAsync();
        site.Http.Timeout = Hang;
        var random = new Random(Seed);
        var garden = await site.Http.GetStringAsync("/api/garden", Stop);
        var zip = Zip(garden[..Math.Min(garden.Length, 4000)] + garden[^2..]);
        var token = (await site.PageAsync("/garden")).QuerySelector("input[name=__RequestVerificationToken]")!.GetAttribute("value")!;
        using var over = new CancellationTokenSource(TimeSpan.FromSeconds(Seconds ?? 0));
        for (var n = 0; Seconds is null ? n < Tries : !over.IsCancellationRequested; n++)
        {
            using var request = Next(door, random, garden, zip);
            request.Headers.Add("RequestVerificationToken", token);
            if (random.Next(3) == 0)
                request.Headers.Add("HX-Request", "true");
            using var answer = await site.Http.SendAsync(request, Stop);
            Assert.True((int)answer.StatusCode < 500, $"seed {Seed}, {door} {n}: {answer.StatusCode} at {request.RequestUri}");
            if (n % 25 == 24)
                await ReadAsync(site, random, $"seed {Seed}, {door} {n}");
        }
        foreach (var page in Pages)
            Assert.True(
                (await site.Http.GetAsync(page, Stop)).StatusCode is HttpStatusCode.OK or HttpStatusCode.NotFound,
                $"seed {Seed}: {page}"
            );
    }

    static async Task ReadAsync(Site site, Random random, string what)
    {
        var page = Pages[random.Next(Pages.Length)];
        Assert.True((int)(await site.Http.GetAsync(page, Stop)).StatusCode < 500, $"{what}: then {page}");
    }

    static HttpRequestMessage Next(string door, Random random, string garden, byte[] zip)
    {
        var note = Mutate(Notes[random.Next(Notes.Length)], random);
        return door switch
        {
            "note" => new(HttpMethod.Post, "/api/notes")
            {
                Content =
                    random.Next(4) == 0
                        ? Raw(Mutate($$"""{ "text": "{{note}}", "on": "2031-05-24" }""", random))
                        : JsonContent.Create(new { text = note }),
            },
            "read" => new(HttpMethod.Post, "/notes?handler=Read") { Content = Form([("text", note)]) },
            "garden" => Upload("/garden?handler=Import", "garden.json", Encoding.UTF8.GetBytes(Piece(garden, random))),
            "csv" => Upload(
                "/garden/csv?handler=Read",
                "e.csv",
                Encoding.UTF8.GetBytes(Mutate("tag,on,kind,value,unit\nCAL-02,2031-05-20,root-length,8,cm\n", random))
            ),
            "zip" => Upload("/garden?handler=Import", "garden.zip", Mutate(zip, random)),
            "picture" => Upload("/plants/CAL-02?handler=Picture", "p.png", Mutate(Picture(random), random), "files"),
            "query" => new(HttpMethod.Get, new Uri(Safe(Mutate(Queries[random.Next(Queries.Length)], random)), UriKind.Relative)),
            _ => FormOf(random),
        };
    }

    /// <summary>Any text as an address of this site.</summary>
    static string Safe(string text) =>
        "/"
        + string.Concat(text.TrimStart('/').Select(c => c is > ' ' and < '\u007f' and not '\\' ? $"{c}" : Uri.EscapeDataString($"{c}")));

    static string Piece(string garden, Random random)
    {
        const string small = """
            { "format": "bud-clock-garden", "version": 1, "places": [ { "code": "p", "name": "P" } ], "plants": [ { "tag": "Z-1", "taxon": "Hoya",
              "place": "p", "pot": { "diameterCm": 11 }, "organs": [ { "id": "g", "kind": "growth" } ],
              "entries": [ { "on": "2031-05-01", "kind": "root-length", "organ": "g", "value": 1, "unit": "cm" } ] } ],
              "readings": [ { "place": "p", "at": "2031-05-20T03:00:00Z", "temperatureC": 14 } ] }
            """;
        return Mutate(random.Next(5) == 0 ? garden[..Math.Min(garden.Length, 15_000)] : small, random);
    }

    static HttpRequestMessage FormOf(Random random)
    {
        var (path, fields) = Forms[random.Next(Forms.Length)];
        var typed = fields.Where(_ => random.Next(8) > 0).Select(field => (field, Value()));
        return new(HttpMethod.Post, path) { Content = Form([.. typed]) };

        string Value() =>
            random.Next(3) switch
            {
                0 => Odd[random.Next(Odd.Length)],
                1 => Mutate(Values[random.Next(Values.Length)], random),
                _ => Values[random.Next(Values.Length)],
            };
    }

    static FormUrlEncodedContent Form(IEnumerable<(string Name, string Value)> fields) =>
        new(fields.Select(field => KeyValuePair.Create(field.Name, field.Value)));

    static StringContent Raw(string json) => new(json, Encoding.UTF8, new MediaTypeHeaderValue("application/json"));

    static HttpRequestMessage Upload(string path, string name, byte[] content, string field = "file") =>
        new(HttpMethod.Post, path) { Content = new MultipartFormDataContent { { new ByteArrayContent(content), field, name } } };

    static byte[] Zip(string json)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        using (var entry = zip.CreateEntry("garden.json").Open())
            entry.Write(Encoding.UTF8.GetBytes(json));
        return stream.ToArray();
    }

    static byte[] Picture(Random random)
    {
        using var bitmap = new SkiaSharp.SKBitmap(random.Next(1, 80), random.Next(1, 60));
        using var data = bitmap.Encode(random.Next(2) == 0 ? SkiaSharp.SKEncodedImageFormat.Png : SkiaSharp.SKEncodedImageFormat.Jpeg, 80);
        return data.ToArray();
    }
}
