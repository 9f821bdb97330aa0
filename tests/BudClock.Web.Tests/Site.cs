using System.Net;
using AngleSharp;
using AngleSharp.Dom;
using BudClock.Web.Hosting;
using Microsoft.AspNetCore.Builder;
using Microsoft.Data.Sqlite;

namespace BudClock.Web.Tests;

/// <summary>The application, started in this process on a free port with a data folder of its own.</summary>
public sealed class Site : IAsyncDisposable
{
    readonly WebApplication app;
    readonly DirectoryInfo folder;
    bool stopped;

    Site(WebApplication app, DirectoryInfo folder, bool shared = false)
    {
        (this.app, this.folder) = (app, folder);
        Address = app.Urls.Single();
        var handler = new HttpClientHandler { AllowAutoRedirect = true, CookieContainer = new() };
        Http = new(shared ? new OnlyReads { InnerHandler = handler } : handler) { BaseAddress = new(Address) };
    }

    public string Address { get; }

    public HttpClient Http { get; }

    public string Folder => folder.FullName;

    public IServiceProvider Services => app.Services;

    /// <summary>The lighthouse garden on its pretend day.</summary>
    public static Task<Site> DemoAsync(DateOnly? day = null) =>
        StartAsync(
            new()
            {
                DataFolder = "",
                Demo = true,
                Day = day,
            }
        );

    /// <summary>The lighthouse garden, which gives up soon on a service outside that does not answer.</summary>
    public static Task<Site> HastyAsync() =>
        StartAsync(
            new()
            {
                DataFolder = "",
                Demo = true,
                Patience = TimeSpan.FromMilliseconds(300),
            }
        );

    /// <summary>The lighthouse garden on its pretend day, for tests that only read: they share it, and nothing can be sent into it.</summary>
    public static Task<Site> ReadAsync() => Shared.Value;

    static readonly Lazy<Task<Site>> Shared = new(async () =>
    {
        var site = await DemoAsync();
        return new(site.app, site.folder, shared: true);
    });

    sealed class OnlyReads : DelegatingHandler
    {
        protected override Task<HttpResponseMessage> SendAsync(HttpRequestMessage request, CancellationToken cancellationToken) =>
            request.Method == HttpMethod.Get
                ? base.SendAsync(request, cancellationToken)
                : throw new InvalidOperationException("Others read this garden too: a test that writes begins one with DemoAsync.");
    }

    /// <summary>A garden that has not been set up.</summary>
    public static Task<Site> EmptyAsync(DateOnly? day = null) => StartAsync(new() { DataFolder = "", Day = day });

    /// <summary>The garden of a folder that is there already.</summary>
    public static Task<Site> InAsync(string folder, DateOnly day) => StartAsync(new() { DataFolder = "", Day = day }, new(folder));

    /// <summary>A garden that has not been set up, by a clock of the test's.</summary>
    public static Task<Site> AtAsync(TimeProvider time) => StartAsync(new() { DataFolder = "", Time = time });

    /// <summary>The same garden, stopped and started again on another day.</summary>
    public async Task<Site> AgainAsync(DateOnly? day)
    {
        await StopAsync();
        return await StartAsync(
            new()
            {
                DataFolder = "",
                Demo = true,
                Day = day,
            },
            folder
        );
    }

    static async Task<Site> StartAsync(ServerOptions options, DirectoryInfo? again = null)
    {
        var folder = again ?? Directory.CreateTempSubdirectory("bud-clock-");
        if (options.Demo && again is null)
            Copy(await Demo.Value, folder.FullName);
        // Near midnight the garden's day is another than the machine's: tests begin at noon, whatever the hour.
        var time = options.Time == TimeProvider.System || options.Time is null ? new FromNoon() : options.Time;
        var app = await Server.BuildAsync(options with { Time = time, Port = 0, DataFolder = folder.FullName, DemoDays = DemoDays });
        await app.StartAsync();
        return new(app, folder);
    }

    /// <summary>The machine's clock, put to noon of its day when it was made.</summary>
    sealed class FromNoon : TimeProvider
    {
        static readonly TimeSpan Ahead = System.GetUtcNow().Date.AddHours(12) - System.GetUtcNow().UtcDateTime;

        public override DateTimeOffset GetUtcNow() => System.GetUtcNow() + Ahead;
    }

    /// <summary>A month of weather is enough to learn from, and a year of it in every test is not.</summary>
    const int DemoDays = 30;

    /// <summary>The demo garden is planted once; every test starts from a copy of it.</summary>
    static readonly Lazy<Task<string>> Demo = new(async () =>
    {
        var folder = Directory.CreateTempSubdirectory("bud-clock-demo-").FullName;
        await using (
            var app = await Server.BuildAsync(
                new()
                {
                    DataFolder = folder,
                    Demo = true,
                    DemoDays = DemoDays,
                    Port = 0,
                }
            )
        )
        {
            await app.StartAsync();
            await app.StopAsync();
        }
        return Still(folder);
    });

    /// <summary>A copy that no connection holds: what lies beside an open database may go while it is being copied.</summary>
    static string Still(string folder)
    {
        var still = Directory.CreateTempSubdirectory("bud-clock-still-").FullName;
        using (var garden = new SqliteConnection($"Data Source={Path.Combine(folder, "garden.db")};Pooling=False"))
        {
            garden.Open();
            using var copy = garden.CreateCommand();
            copy.CommandText = "VACUUM INTO $to";
            copy.Parameters.AddWithValue("$to", Path.Combine(still, "garden.db"));
            copy.ExecuteNonQuery();
        }
        Copy(folder, still);
        return still;
    }

    /// <summary>What is there already stays, and what lies beside the database is its own.</summary>
    static void Copy(string from, string to)
    {
        foreach (var file in Directory.GetFiles(from, "*", SearchOption.AllDirectories))
        {
            if (
                Path.GetFileName(file).StartsWith("garden.db-", StringComparison.Ordinal)
                || File.Exists(Path.Combine(to, Path.GetFileName(file)))
            )
                continue;
            var target = Path.Combine(to, Path.GetRelativePath(from, file));
            Directory.CreateDirectory(Path.GetDirectoryName(target)!);
            File.Copy(file, target);
        }
    }

    public Task<string> TextAsync(string path) => Http.GetStringAsync(path);

    public async Task<IDocument> PageAsync(string path) => await ParseAsync(await Http.GetAsync(path));

    /// <summary>Sends a form as a browser without script would, with the page's own anti-forgery token.</summary>
    public async Task<IDocument> PostAsync(string path, params (string Name, string Value)[] fields) =>
        await ParseAsync(await SendAsync(path, false, fields));

    /// <summary>Sends a form as htmx would.</summary>
    public Task<HttpResponseMessage> SendAsync(string path, bool htmx, params (string Name, string Value)[] fields) =>
        SendAsync(path, htmx, new FormUrlEncodedContent(fields.Select(f => KeyValuePair.Create(f.Name, f.Value))));

    public async Task<HttpResponseMessage> SendAsync(string path, bool htmx, HttpContent content)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, path) { Content = content };
        request.Headers.Add("RequestVerificationToken", await TokenAsync(path.StartsWith("/start", StringComparison.Ordinal)));
        if (htmx)
            request.Headers.Add("HX-Request", "true");
        return await Http.SendAsync(request);
    }

    string? token;
    readonly SemaphoreSlim gate = new(1, 1);

    /// <summary>The anti-forgery token of a form, which goes with the cookie that came with it; asked for once.</summary>
    async Task<string> TokenAsync(bool start)
    {
        await gate.WaitAsync();
        try
        {
            return token ??= (await PageAsync(start ? "/start" : "/garden"))
                .QuerySelector("input[name=__RequestVerificationToken]")!
                .GetAttribute("value")!;
        }
        finally
        {
            gate.Release();
        }
    }

    /// <summary>The field of a plant's form that says which version of the plant it shows.</summary>
    public async Task<(string Name, string Value)> VersionAsync(string tag) =>
        ("Form.Version", (await PageAsync($"/plants/{tag}/edit")).QuerySelector("#Form_Version")!.GetAttribute("value")!);

    /// <summary>The demo garden, from now on in inches, fluid ounces and degrees Fahrenheit.</summary>
    public Task<IDocument> SpeakUsUnitsAsync() =>
        PostAsync(
            "/garden",
            ("Form.Name", "Lighthouse glass"),
            ("Form.Where", "51.5 N 0.7 E"),
            ("Form.TimeZone", "Europe/London"),
            ("Form.UsUnits", "true")
        );

    /// <summary>Sends files in a form, as a browser without script would.</summary>
    public async Task<IDocument> UploadAsync(string path, string field, params (string Name, byte[] Content)[] files)
    {
        using var form = new MultipartFormDataContent();
        foreach (var (name, content) in files)
            form.Add(new ByteArrayContent(content), field, name);
        return await ParseAsync(await SendAsync(path, false, form));
    }

    /// <summary>Reads a garden file or zip in, and takes it in as it was shown; a refused one stays on its faults.</summary>
    public async Task<IDocument> ImportAsync(string name, byte[] content, string way = "Merge", bool gardenToo = false)
    {
        var shown = await UploadAsync("/garden?handler=Import", "file", (name, content));
        return shown.QuerySelector("input[name=Sent]")?.GetAttribute("value") is { } sent
            ? await PostAsync("/garden?handler=Take", ("Sent", sent), ("Way", way), ("GardenToo", gardenToo ? "true" : "false"))
            : shown;
    }

    public static async Task<IDocument> ParseAsync(HttpResponseMessage response)
    {
        var html = await response.Content.ReadAsStringAsync();
        Assert.True(
            response.StatusCode is HttpStatusCode.OK or HttpStatusCode.NotFound or HttpStatusCode.BadRequest,
            $"{response.StatusCode}: {html[..Math.Min(400, html.Length)]}"
        );
        return await BrowsingContext.New(Configuration.Default).OpenAsync(request => request.Content(html));
    }

    public async ValueTask DisposeAsync()
    {
        await StopAsync();
        await RemoveAsync();
    }

    /// <summary>A backup or a picture that was under way may still write its last file while the folder is emptied.</summary>
    async Task RemoveAsync()
    {
        for (var tries = 0; Directory.Exists(folder.FullName); tries++)
            try
            {
                folder.Delete(recursive: true);
            }
            catch (IOException) when (tries < 20)
            {
                await Task.Delay(100);
            }
    }

    async Task StopAsync()
    {
        if (stopped)
            return;
        stopped = true;
        Http.Dispose();
        await app.StopAsync();
        await app.DisposeAsync();
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
    }
}

static class Texts
{
    /// <summary>The words of an element with white space folded.</summary>
    public static string Words(this IElement? element) =>
        string.Join(' ', (element?.TextContent ?? "").Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));
}
