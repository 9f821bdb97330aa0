using System.Diagnostics;
using System.Net.Http.Json;
using BudClock.Bench;
using BudClock.Core.Advising;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;
using BudClock.Core.Notes;
using BudClock.Data;
using BudClock.Web.Hosting;
using BudClock.Web.Outside;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.DependencyInjection;

// Measures Bud Clock on a large garden, as ratios to a plain ADO.NET read of every entry in the same run.
// Usage: dotnet run -c Release --project bench/BudClock.Bench [FOLDER]   (the folder keeps the seeded garden for the next run)
//        dotnet run -c Release --project bench/BudClock.Bench -- --growth   (200, 2,000 and 20,000 plants beside each other)
//        dotnet run -c Release --project bench/BudClock.Bench -- --advice   (advice for one plant alone)
//        dotnet run -c Release --project bench/BudClock.Bench -- --seasons [PLANTS [SEED SEED]]   (two simulated years, for docs/seasons.md)
//        dotnet run -c Release --project bench/BudClock.Bench -- --causes [PLANTS [SEED [-v]]]   (what hearings name, for docs/causes.md)
var day = new DateOnly(2031, 5, 24);
if (args is [LargeGarden.Seed, var into, var plants, var entries])
{
    await LargeGarden.SeedAsync(into, day, int.Parse(plants), int.Parse(entries));
    return;
}
if (args is ["--seasons", .. var many])
{
    var numbers = many.Select(int.Parse).ToList();
    Seasons.Run(numbers is [var count, ..] ? count : 200, numbers is [_, var north, var south] ? (north, south) : null);
    return;
}
if (args is ["--causes", .. var how])
{
    CauseTable.Run(int.Parse(how.ElementAtOrDefault(0) ?? "300"), int.Parse(how.ElementAtOrDefault(1) ?? "5"), how.Contains("-v"));
    return;
}
if (args is [Growth.One, var size])
{
    await Growth.MeasureAsync(int.Parse(size), day);
    return;
}
if (args is ["--advice"])
{
    SayAdvice(day);
    return;
}
if (args is ["--growth"])
{
    await Growth.PrintAsync();
    return;
}
var folder = Path.GetFullPath(args.FirstOrDefault() ?? Path.Combine(Path.GetTempPath(), "bud-clock-bench"));
if (!File.Exists(Path.Combine(folder, GardenDatabase.FileName)))
    // In a process of its own: what seeding takes is not what serving takes.
    await Itself.RunAsync(LargeGarden.Seed, folder, "2000", "150");

var plain = Best(5, () => PlainRead(Path.Combine(folder, GardenDatabase.FileName)));
Console.WriteLine($"plain ADO.NET read of every entry   {plain.TotalMilliseconds, 8:0.0} ms   (the measure)");

var options = new ServerOptions
{
    Port = 0,
    DataFolder = folder,
    Day = day,
};
await using var app = await Server.BuildAsync(options);
await app.StartAsync();
using var http = new HttpClient { BaseAddress = new(app.Urls.Single()) };
await http.GetStringAsync("/healthz"); // the server is up, and begins to read the garden

var worked = Process.GetCurrentProcess().TotalProcessorTime;
Say("Round, cold", await TimeAsync(() => http.GetStringAsync("/")), "at most 2.5");
Say("  processor time of it, all cores", Process.GetCurrentProcess().TotalProcessorTime - worked, "");
for (var i = 0; i < 3; i++)
    await http.GetStringAsync("/");
Say("Round, warm", await BestAsync(7, () => http.GetStringAsync("/")), "at most 0.05");
Say("Bench, first page", await BestAsync(7, () => http.GetStringAsync("/bench")), "");
Say("Bench, a word typed", await BestAsync(7, () => http.GetStringAsync("/bench?q=bark+p-1")), "");
await http.PostAsJsonAsync("/api/notes", new { text = "p-0007 growth 8 cm" });
Say("one note, logged", await BestAsync(7, () => http.PostAsJsonAsync("/api/notes", new { text = "p-0007 growth 8 cm" })), "at most 0.01");

// A device's own reading among a million: what it takes to keep it, and what it takes to see it.
var (token, hash) = DeviceToken.New();
var device = new Device("bench", "Bench sensor", "place-1", Device.Http);
await app.Services.GetRequiredService<Logbook>().WriteAsync(null, "A token", Changes.Device(device, hash));
http.DefaultRequestHeaders.Authorization = new("Bearer", token);
await http.PostAsJsonAsync("/api/readings", new { temperatureC = 14.2 });
Say(
    "one more reading among a million",
    await BestAsync(15, () => http.PostAsJsonAsync("/api/readings", new { temperatureC = 14.2 })),
    "at most 0.002"
);
Say("Round, after a reading", await TimeAsync(() => http.GetStringAsync("/")), "");
await http.GetStringAsync("/places/place-7"); // the page is compiled
Say("a place's year, read from the disk", await TimeAsync(() => http.GetStringAsync("/places/place-8")), "at most 0.1");
Say("a place's year, again", await BestAsync(5, () => http.GetStringAsync("/places/place-8")), "");
await ReadAndShowAsync();
Say("a place's year, after a reading", await ReadAndShowAsync(), "at most 0.1");

async Task<TimeSpan> ReadAndShowAsync()
{
    await http.GetStringAsync("/places/place-1");
    await http.PostAsJsonAsync("/api/readings", new { temperatureC = 3.1 });
    return await TimeAsync(() => http.GetStringAsync("/places/place-1"));
}

var reading = (await app.Services.GetRequiredService<TodaysGarden>().TodayAsync())!.NoteContext();
foreach (var line in (string[])["p-0007 growth 8 cm, bulbs wrinkled yesterday", "p-0007 rotos 8 cm", "the lycaste watered", "p-00"])
    Aim($"reading \"{line}\"", Best(50, () => Read(line)), "below 20 ms");

GC.Collect();
Console.WriteLine($"resident memory                     {Process.GetCurrentProcess().WorkingSet64 / 1048576, 8} MB   (below 400 MB)");

SayAdvice(day);

static void SayAdvice(DateOnly day)
{
    var (advice, bytes) = OnePlant(LargeGarden.Plant(7, day, 150), day);
    Console.WriteLine(
        $"advice for one plant, 150 entries   {advice.TotalMilliseconds, 8:0.000} ms   (below 0.1 ms), "
            + $"{bytes / 1024} kB allocated (below 80 kB)"
    );
}

void Say(string what, TimeSpan time, string aim) =>
    Console.WriteLine($"{what, -35} {time.TotalMilliseconds, 8:0.0} ms   ratio {time / plain:0.000}{(aim.Length > 0 ? $" ({aim})" : "")}");

void Aim(string what, TimeSpan time, string aim) => Console.WriteLine($"{what, -60} {time.TotalMilliseconds, 8:0.00} ms   ({aim})");

// As the line is read at each pause of the typing, with what it could become.
void Read(string line)
{
    NoteReader.Read(line, reading);
    NoteCompletion.Of(line, reading);
}

static void PlainRead(string file)
{
    using var connection = new SqliteConnection($"Data Source={file};Mode=ReadOnly");
    connection.Open();
    using var command = connection.CreateCommand();
    command.CommandText = "SELECT Id, PlantId, \"On\", Kind, Organ, Value, Unit, Text, Logged, Act, Struck FROM Entries";
    using var reader = command.ExecuteReader();
    var values = new object[reader.FieldCount];
    while (reader.Read())
        reader.GetValues(values);
}

// Warm: the compiler has had its time, as in a server that has run for a minute.
static (TimeSpan Time, long Bytes) OnePlant(Plant plant, DateOnly day)
{
    var around = new Surroundings(new("Bench", 51.5, 0.7, "Europe/London"))
    {
        Weather = new([new(14, day)], [], [], []),
        Shelf = ExampleShelf.Shelf,
    };
    for (var i = 0; i < 30_000; i++)
        Assessor.Shipped.Assess(plant, around, day);
    const int rounds = 2000;
    var before = GC.GetAllocatedBytesForCurrentThread();
    var time = Best(5, () =>
        {
            for (var i = 0; i < rounds; i++)
                Assessor.Shipped.Assess(plant, around, day);
        }) / rounds;
    return (time, (GC.GetAllocatedBytesForCurrentThread() - before) / rounds / 5);
}

static TimeSpan Best(int times, Action act) =>
    Enumerable
        .Range(0, times)
        .Min(_ =>
        {
            var watch = Stopwatch.StartNew();
            act();
            return watch.Elapsed;
        });

static async Task<TimeSpan> TimeAsync(Func<Task> act)
{
    var watch = Stopwatch.StartNew();
    await act();
    return watch.Elapsed;
}

static async Task<TimeSpan> BestAsync(int times, Func<Task> act)
{
    var best = TimeSpan.MaxValue;
    for (var i = 0; i < times; i++)
        best = await TimeAsync(act) is var time && time < best ? time : best;
    return best;
}
