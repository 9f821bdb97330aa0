using System.Diagnostics;
using System.Net.Http.Json;
using BudClock.Web.Hosting;

namespace BudClock.Bench;

/// <summary>
/// How times and memory grow with the garden: from a sill to a nursery, fifteen entries a plant, each in a process of its own.
/// </summary>
static class Growth
{
    public const string One = "--growth-of";
    const int EntriesEach = 15;

    public static readonly IReadOnlyList<int> Sizes = [200, 2000, 20_000];

    public static async Task PrintAsync()
    {
        foreach (var plants in Sizes)
            await Itself.RunAsync(One, $"{plants}");
    }

    public static async Task MeasureAsync(int plants, DateOnly day)
    {
        var folder = Path.Combine(Path.GetTempPath(), $"bud-clock-growth-{plants}");
        if (!Directory.Exists(folder))
            await Itself.RunAsync(LargeGarden.Seed, folder, $"{plants}", $"{EntriesEach}");
        var options = new ServerOptions
        {
            Port = 0,
            DataFolder = folder,
            Day = day,
        };
        await using var app = await Server.BuildAsync(options);
        await app.StartAsync();
        using var http = new HttpClient { BaseAddress = new(app.Urls.Single()) };
        await http.GetStringAsync("/healthz");
        var cold = await TimeAsync(() => http.GetStringAsync("/"));
        await http.GetStringAsync("/");
        var warm = await TimeAsync(() => http.GetStringAsync("/"));
        for (var i = 0; i < 3; i++)
            await http.PostAsJsonAsync("/api/notes", new { text = "p-0007 growth 8 cm" });
        var note = await TimeAsync(() => http.PostAsJsonAsync("/api/notes", new { text = "p-0007 growth 8 cm" }));
        GC.Collect();
        Console.WriteLine(
            $"{plants, 7} plants   cold {cold, 8:0.0} ms   warm {warm, 7:0.0} ms   note {note, 6:0.0} ms   "
                + $"memory {Process.GetCurrentProcess().WorkingSet64 / 1048576, 5} MB"
        );
    }

    static async Task<double> TimeAsync(Func<Task> act)
    {
        var watch = Stopwatch.StartNew();
        await act();
        return watch.Elapsed.TotalMilliseconds;
    }
}

/// <summary>The bench, started again for what wants a process of its own.</summary>
static class Itself
{
    /// <exception cref="InvalidOperationException">It did not end well.</exception>
    public static async Task RunAsync(params string[] arguments)
    {
        var program = Environment.ProcessPath!;
        string[] first = program.EndsWith("dotnet", StringComparison.Ordinal) ? [typeof(Itself).Assembly.Location] : [];
        using var process = Process.Start(program, [.. first, .. arguments]);
        await process.WaitForExitAsync();
        if (process.ExitCode != 0)
            throw new InvalidOperationException($"{arguments[0]} did not end well.");
    }
}
