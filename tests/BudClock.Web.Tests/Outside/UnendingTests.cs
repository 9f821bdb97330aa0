using System.Net;
using System.Net.Sockets;
using System.Text;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Outside;
using Lib.Net.Http.WebPush;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests.Outside;

/// <summary>
/// Ways in which what lies outside answers wrongly: the application lives, the page says it, the waits grow, and nothing goes out twice.
/// </summary>
public class UnendingTests
{
    static CancellationToken Cancel => TestContext.Current.CancellationToken;

    // ---- the broker

    /// <summary>What a broker may send back to a call, in bytes; null hangs up at once.</summary>
    public static TheoryData<string, byte[]?> Brokers =>
        new()
        {
            { "hangs up", null },
            { "says nothing that is a packet", "HTTP/1.1 400 Bad Request\r\n\r\n"u8.ToArray() },
            { "an empty answer", [] },
            { "refuses the version", [0x20, 0x03, 0x00, 0x84, 0x00] },
            { "refuses by an old code", [0x20, 0x02, 0x00, 0x05] },
            { "a length without end", [0x20, 0xFF, 0xFF, 0xFF, 0xFF, 0xFF] },
            { "a packet of another kind", [0xD0, 0x00] },
            { "a reserved kind", [0x00, 0x02, 0x00, 0x00] },
            { "an answer cut short", [0x20, 0x0A, 0x00] },
            { "accepts, then sends what is no packet", [0x20, 0x02, 0x00, 0x00, 0xF0, 0x01, 0xFF, 0xFF, 0xFF] },
        };

    [Theory]
    [MemberData(nameof(Brokers))]
    public async Task A_broker_that_answers_wrongly_ends_nothing(string what, byte[]? answer)
    {
        await using var site = await Site.DemoAsync();
        using var server = new TcpListener(IPAddress.Loopback, 0);
        server.Start();
        var calls = 0;
        _ = Task.Run(
            async () =>
            {
                while (true)
                {
                    using var call = await server.AcceptTcpClientAsync(Cancel);
                    Interlocked.Increment(ref calls);
                    if (answer is null)
                        continue;
                    var stream = call.GetStream();
                    _ = await stream.ReadAsync(new byte[512], Cancel);
                    await stream.WriteAsync(answer, Cancel);
                }
            },
            Cancel
        );
        await DeviceAsync(site, "home/cold/climate");
        await BrokerAsync(site, ((IPEndPoint)server.LocalEndpoint).Port);
        var listener = site.Services.GetRequiredService<MqttListener>();
        await UntilAsync(() => listener.Trouble is not null && calls > 0);
        Assert.Contains("broker", listener.Trouble, StringComparison.Ordinal);
        Assert.Contains(
            "broker",
            (await site.PageAsync("/places/devices")).QuerySelector("main").Words(),
            StringComparison.OrdinalIgnoreCase
        );
        Assert.True(calls <= 3, $"{what}: called {calls} times at once");
        Assert.Equal(HttpStatusCode.OK, (await site.Http.GetAsync("/", Cancel)).StatusCode);
    }

    static Task DeviceAsync(Site site, string topic) =>
        site
            .Services.GetRequiredService<Logbook>()
            .WriteAsync(null, "a device", Changes.Device(new("cold", "Cold", "frame", Device.Mqtt) { Topic = topic }), Cancel);

    static async Task BrokerAsync(Site site, int port)
    {
        await site
            .Services.GetRequiredService<Logbook>()
            .WriteAsync(null, "the broker", OutsideSettings.Keep(new BrokerSettings("127.0.0.1", port)), Cancel);
        site.Services.GetRequiredService<OutsideSettings>().Tell();
    }

    /// <summary>By the rules of MQTT 5.0, section 4.7.</summary>
    [Theory]
    [InlineData("a#b")]
    [InlineData("#/a")]
    [InlineData("home/kit+chen")]
    [InlineData("a/#/b")]
    [InlineData("")]
    public async Task A_topic_that_is_none_is_refused_at_every_door_and_passed_over_where_it_is_kept(string topic)
    {
        await using var site = await Site.DemoAsync();
        var file = GardenFileReader.Read(
            $$"""
            {"format":"bud-clock-garden","version":1,"garden":{"name":"a"},"places":[{"code":"p","name":"P"}],"plants":[],
             "devices":[{"code":"d","name":"D","place":"p","way":"mqtt","topic":"{{topic}}"}]}
            """,
            Core.Culture.CultureSheets.Shipped
        );
        Assert.Contains(file.Faults, fault => fault.ToString().StartsWith("devices[0].topic: ", StringComparison.Ordinal));
        await DeviceAsync(site, topic);
        await BrokerAsync(site, 9);
        var listener = site.Services.GetRequiredService<MqttListener>();
        await UntilAsync(() => listener.Trouble is not null);
        Assert.Contains("is not listened to", listener.Trouble, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.OK, (await site.Http.GetAsync("/", Cancel)).StatusCode);
    }

    // ---- the forecast

    [Theory, Long]
    [InlineData("no charset of this world", "application/json; charset=bogus", Good)]
    [InlineData(
        "no number",
        "application/json",
        """{"daily":{"time":["2031-05-24"],"temperature_2m_min":[NaN],"temperature_2m_max":[20]}}"""
    )]
    [InlineData(
        "without end",
        "application/json",
        """{"daily":{"time":["2031-05-24"],"temperature_2m_min":[-Infinity],"temperature_2m_max":[Infinity]}}"""
    )]
    [InlineData("a page", "text/html", "<html>Sign in</html>")]
    [InlineData("nothing", "application/json", "")]
    [InlineData("nested without end", "application/json", "deep")]
    [InlineData("other members", "application/json", """{"hourly":{}}""")]
    [InlineData(
        "a humidity that cannot be",
        "application/json",
        """{"daily":{"time":["2031-05-24"],"temperature_2m_min":[9],"temperature_2m_max":[20],"relative_humidity_2m_mean":[101.5]}}"""
    )]
    [InlineData(
        "a sun of thirty hours",
        "application/json",
        """{"daily":{"time":["2031-05-24"],"temperature_2m_min":[9],"temperature_2m_max":[20],"sunshine_duration":[-1000000000]}}"""
    )]
    [InlineData(
        "texts for numbers",
        "application/json",
        """{"daily":{"time":["2031-05-24"],"temperature_2m_min":["nine"],"temperature_2m_max":["x"]}}"""
    )]
    public async Task A_forecast_service_that_answers_wrongly_is_said_and_asked_more_seldom(string what, string type, string body)
    {
        await using var site = await Site.DemoAsync();
        var asked = 0;
        await using var service = WebApplication.CreateSlimBuilder().Build();
        service.Urls.Add("http://127.0.0.1:0");
        service.MapGet("/", async (HttpResponse response) =>
        {
            Interlocked.Increment(ref asked);
            response.Headers.ContentType = type;
            await response.Body.WriteAsync(Encoding.UTF8.GetBytes(body == "deep" ? new string('[', 5000) : body), Cancel);
        });
        await service.StartAsync(Cancel);
        await site
            .Services.GetRequiredService<Logbook>()
            .WriteAsync(null, "forecast", OutsideSettings.Keep(new ForecastSettings(service.Urls.Single() + "/")), Cancel);
        var watcher = site.Services.GetRequiredService<ForecastWatcher>();
        var waits = new List<TimeSpan>();
        for (var turn = 0; turn < 3; turn++)
            waits.Add(await watcher.TakeTurnAsync(Cancel));
        Assert.True(watcher.Trouble is not null, what);
        Assert.True(waits[0] >= watcher.Soonest && waits[1] >= waits[0] * 2 && waits[2] >= waits[1] * 2, string.Join(" ", waits));
        Assert.Contains(
            watcher.Trouble,
            (await site.PageAsync("/places/forecast")).QuerySelector("main").Words(),
            StringComparison.Ordinal
        );
        Assert.Equal(HttpStatusCode.OK, (await site.Http.GetAsync("/api/garden", Cancel)).StatusCode);
        Assert.InRange(asked, 1, 6);
    }

    const string Good = """{"daily":{"time":["2031-05-24"],"temperature_2m_min":[9],"temperature_2m_max":[20]}}""";

    // ---- mail and notifications

    [Theory]
    [InlineData("not a key", "not a key either")]
    [InlineData("", "")]
    public async Task A_malformed_subscription_is_forgotten_and_the_digest_goes_out_once(string p256dh, string auth)
    {
        await using var site = await Site.DemoAsync();
        var folder = Path.Combine(site.Folder, "mails");
        await site.PostAsync("/triggers/calendar?handler=Push");
        await site.PostAsync(
            "/triggers/calendar?handler=Notices",
            ("To", "grower@example.org"),
            ("From", "garden@example.org"),
            ("Folder", folder),
            ("Hour", "0")
        );
        var store = site.Services.GetRequiredService<GardenStore>();
        var bad = new PushSubscription
        {
            Endpoint = "https://127.0.0.1:9/push",
            Keys = new Dictionary<string, string> { ["p256dh"] = p256dh, ["auth"] = auth },
        };
        var kept = await NoticeSettings.ReadAsync(store);
        await site.Services.GetRequiredService<Logbook>().AsideAsync("bad", (kept with { Push = [bad], Sent = null }).Keep(), Cancel);
        var sender = site.Services.GetRequiredService<DigestSender>();
        for (var minute = 0; minute < 3; minute++)
        {
            await sender.TrySendAsync(Cancel);
            if (minute == 0)
                Assert.Single(Directory.GetFiles(folder));
            foreach (var mail in Directory.GetFiles(folder))
                File.Delete(mail); // a second one would stand here again
        }
        Assert.Empty(Directory.GetFiles(folder));
        Assert.Empty((await NoticeSettings.ReadAsync(store)).Push!);
    }

    [Theory]
    [InlineData("421 too busy")]
    [InlineData("220")]
    [InlineData("hello, who is there?")]
    [InlineData(null)]
    public async Task A_mail_server_that_answers_wrongly_is_tried_later_each_time(string? greeting)
    {
        await using var site = await Site.DemoAsync();
        using var server = new TcpListener(IPAddress.Loopback, 0);
        server.Start();
        _ = Task.Run(
            async () =>
            {
                while (true)
                {
                    using var call = await server.AcceptTcpClientAsync(Cancel);
                    if (greeting is not null)
                        await call.GetStream().WriteAsync(Encoding.ASCII.GetBytes(greeting + "\r\n"), Cancel);
                }
            },
            Cancel
        );
        await site.PostAsync(
            "/triggers/calendar?handler=Notices",
            ("To", "grower@example.org"),
            ("From", "garden@example.org"),
            ("Host", "127.0.0.1"),
            ("Port", $"{((IPEndPoint)server.LocalEndpoint).Port}"),
            ("Hour", "0")
        );
        var sender = site.Services.GetRequiredService<DigestSender>();
        sender.Patience = TimeSpan.FromMilliseconds(500);
        var (first, second) = (await sender.TakeTurnAsync(Cancel), await sender.TakeTurnAsync(Cancel));
        Assert.StartsWith("Not sent: ", sender.Last, StringComparison.Ordinal);
        Assert.True(second >= first * 2);
        Assert.Contains("Not sent", (await site.PageAsync("/triggers/calendar")).QuerySelector("main").Words(), StringComparison.Ordinal);
    }

    static async Task UntilAsync(Func<bool> holds)
    {
        for (var tries = 0; tries < 150 && !holds(); tries++)
            await Task.Delay(100, Cancel);
        Assert.True(holds());
    }
}
