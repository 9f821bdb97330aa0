using System.Diagnostics;
using System.Net.Http.Json;
using BudClock.Core.Advising;

namespace BudClock.Web.Tests;

/// <summary>The executable itself: what it prints, how it ends, and what survives when it is killed.</summary>
public class CommandLineTests
{
    static readonly string Program = Path.Combine(AppContext.BaseDirectory, "BudClock.Web.dll");

    static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task The_command_line_gives_the_page_s_advice_to_the_byte_twice()
    {
        await using var site = await Site.DemoAsync();
        var file = Path.Combine(site.Folder, "garden.json");
        await File.WriteAllBytesAsync(file, await site.Http.GetByteArrayAsync("/api/garden", Stop), Stop);
        foreach (var tag in (string[])["CAL-02", "HOY-02"])
        {
            var api = await site.Http.GetStringAsync($"/api/plants/{tag}/advice", Stop);
            Assert.Equal((0, api, ""), await RunAsync("advise", file, "--on", "2031-05-24", "--tag", tag));
        }
        var all = await RunAsync("advise", file, "--on", "2031-05-24");
        Assert.Equal(all, await RunAsync("advise", file, "--on", "2031-05-24"));
        Assert.StartsWith("[", all.Out);
    }

    [Fact]
    public async Task Wrong_input_ends_with_two_and_a_line_that_names_the_place()
    {
        var file = Path.GetTempFileName();
        await File.WriteAllTextAsync(
            file,
            """{ "format": "bud-clock-garden", "version": 1, "plants": [ { "tag": "A-1", "taxon": "Lycaste", "entries": [ { "on": "2031-05-01", "kind": "root-length", "value": "long", "unit": "cm" } ] } ] }""",
            Stop
        );
        var advise = await RunAsync("advise", file);
        Assert.Equal(2, advise.Code);
        Assert.Contains("plants[0].entries[0].value: expected a number, got \"long\"", advise.Error);
        Assert.Equal((2, "", "--on: expected a date such as 2031-05-24, got \"soon\"\n"), await RunAsync("advise", file, "--on", "soon"));
        Assert.Equal(2, (await RunAsync("advise", file + ".none")).Code);
        Assert.Equal(2, (await RunAsync("frobnicate")).Code);
        File.Delete(file);
    }

    [Fact]
    public async Task A_backup_begins_a_garden_too_and_a_damaged_one_is_refused()
    {
        await using var site = await Site.DemoAsync();
        var folder = Directory.CreateTempSubdirectory("bud-clock-backup-").FullName;
        var file = Path.Combine(folder, "copy.zip");
        Assert.Equal(0, (await RunAsync("backup", file, "--data", site.Folder)).Code);
        await using var empty = await Site.EmptyAsync(new(2031, 5, 24));
        var whole = await File.ReadAllBytesAsync(file, Stop);
        byte[] damaged = [.. whole[..5000], (byte)~whole[5000], .. whole[5001..]];
        var refused = await empty.UploadAsync("/start?handler=File", "file", ("copy.zip", damaged));
        Assert.Contains("backup", refused.QuerySelector("[role=alert]").Words());
        await empty.UploadAsync("/start?handler=File", "file", ("copy.zip", whole));
        Assert.Equal(await site.Http.GetStringAsync("/api/garden", Stop), await empty.Http.GetStringAsync("/api/garden", Stop));
    }

    [Fact, Long]
    public async Task A_garden_goes_in_and_out_is_copied_and_put_back()
    {
        var site = await Site.ReadAsync();
        var folder = Directory.CreateTempSubdirectory("bud-clock-");
        string At(string name) => Path.Combine(folder.FullName, name);
        await File.WriteAllBytesAsync(At("in.json"), await site.Http.GetByteArrayAsync("/api/garden", Stop), Stop);

        Assert.StartsWith("Sound: 40 plants", (await RunAsync("check", At("in.json"))).Out);
        Assert.StartsWith("Added 40 plants", (await RunAsync("import", At("in.json"), "--data", At("a"))).Out);
        Assert.Equal("Added 0 plants, 0 entries, 0 readings.\n", (await RunAsync("import", At("in.json"), "--data", At("a"))).Out);
        Assert.Equal(0, (await RunAsync("backup", At("copy.zip"), "--data", At("a"))).Code);
        Assert.Equal(0, (await RunAsync("restore", At("copy.zip"), "--data", At("b"))).Code);
        Assert.Equal(await File.ReadAllTextAsync(At("in.json"), Stop), (await RunAsync("export", "--data", At("b"))).Out);
        Assert.Equal(2, (await RunAsync("restore", At("copy.zip"), "--data", At("b"))).Code);
        Assert.Equal(2, (await RunAsync("restore", At("in.json"), "--data", At("c"))).Code);
        folder.Delete(recursive: true);
    }

    [Fact]
    public async Task A_folder_whose_garden_is_gone_is_told_in_sentences_and_the_demo_does_not_lie_down_over_it()
    {
        var folder = Directory.CreateTempSubdirectory("bud-clock-");
        await File.WriteAllTextAsync(Path.Combine(folder.FullName, "garden.made"), "", Stop);
        var serve = await RunAsync("serve", "--demo", "--data", folder.FullName, "--port", $"{ServerProcess.FreePort()}");
        Assert.Equal(2, serve.Code);
        Assert.StartsWith($"{folder.FullName}/garden.db is gone, although a garden was kept in this folder.", serve.Error);
        Assert.DoesNotContain("Exception", serve.Error + serve.Out);
        Assert.False(File.Exists(Path.Combine(folder.FullName, "garden.db")));
        folder.Delete(recursive: true);
    }

    [Fact, Long]
    public async Task An_acknowledged_entry_survives_a_kill()
    {
        var folder = Directory.CreateTempSubdirectory("bud-clock-");
        using (var server = await ServerProcess.StartAsync(folder.FullName))
        {
            for (var cm = 1; cm <= 5; cm++)
                (
                    await server.Http.PostAsJsonAsync("/api/notes", new { text = $"cal-02 roots {cm + 8.5} cm" }, Stop)
                ).EnsureSuccessStatusCode();
            server.Kill(); // SIGKILL: nothing gets to tidy up
        }
        using (var server = await ServerProcess.StartAsync(folder.FullName))
        {
            var garden = await server.Http.GetStringAsync("/api/garden", Stop);
            Assert.All(Enumerable.Range(1, 5), cm => Assert.Contains($"\"value\": {cm + 8.5}", garden));
            server.Kill();
        }
        folder.Delete(recursive: true);
    }

    static async Task<(int Code, string Out, string Error)> RunAsync(params string[] arguments)
    {
        using var process = Process.Start(
            new ProcessStartInfo("dotnet", [Program, .. arguments]) { RedirectStandardOutput = true, RedirectStandardError = true }
        )!;
        var (output, error) = (process.StandardOutput.ReadToEndAsync(Stop), process.StandardError.ReadToEndAsync(Stop));
        await process.WaitForExitAsync(Stop);
        return (process.ExitCode, await output, await error);
    }

    /// <summary>The demo served by a process of its own.</summary>
    sealed class ServerProcess(Process process, HttpClient http) : IDisposable
    {
        public HttpClient Http => http;

        public static async Task<ServerProcess> StartAsync(string folder)
        {
            var port = FreePort();
            var process = Process.Start(
                new ProcessStartInfo("dotnet", [Program, "serve", "--demo", "--data", folder, "--port", $"{port}"])
                {
                    RedirectStandardOutput = true,
                }
            )!;
            while (await process.StandardOutput.ReadLineAsync(Stop) is { } line)
                if (line.Contains($"http://127.0.0.1:{port}"))
                    return new(process, new() { BaseAddress = new($"http://127.0.0.1:{port}") });
            throw new InvalidOperationException("The server ended before it listened.");
        }

        public void Kill()
        {
            process.Kill();
            process.WaitForExit();
        }

        public void Dispose()
        {
            http.Dispose();
            process.Dispose();
        }

        public static int FreePort()
        {
            using var listener = new System.Net.Sockets.TcpListener(System.Net.IPAddress.Loopback, 0);
            listener.Start();
            return ((System.Net.IPEndPoint)listener.LocalEndpoint).Port;
        }
    }
}
