using System.Net;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Text;
using BudClock.Web.Outside;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Http;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests.Outside;

/// <summary>
/// The daily digest: as a mail to a folder and to a server, as a web notification, once a day, and only where something asks.
/// </summary>
public class DigestTests
{
    static CancellationToken Cancel => TestContext.Current.CancellationToken;

    static DigestSender Sender(Site site) => site.Services.GetRequiredService<DigestSender>();

    static Task SetAsync(Site site, params (string Name, string Value)[] fields) =>
        site.PostAsync("/triggers/calendar?handler=Notices", [("Hour", "0"), ("To", "grower@example.org"), .. fields]);

    [Fact]
    public async Task It_goes_into_a_folder_once_a_day()
    {
        await using var site = await Site.DemoAsync();
        var folder = Path.Combine(site.Folder, "mails");
        Assert.False(await Sender(site).SendIfDueAsync(Cancel)); // nobody asked for it
        await SetAsync(site, ("Folder", folder));
        Assert.True(await Sender(site).SendIfDueAsync(Cancel));
        Assert.False(await Sender(site).SendIfDueAsync(Cancel)); // not twice
        var mail = MimeKit.MimeMessage.Load(Assert.Single(Directory.GetFiles(folder)), Cancel);
        Assert.Contains(" to do", mail.Subject, StringComparison.Ordinal);
        Assert.Contains("LYC-01", mail.TextBody, StringComparison.Ordinal);
        Assert.DoesNotContain("Hold", mail.TextBody, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Nothing_asks_and_nothing_is_sent()
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        await site.PostAsync(
            "/start?handler=Position",
            ("Form.Name", "Mine"),
            ("Form.Where", "51.5 N 0.7 E"),
            ("Form.TimeZone", "Europe/London")
        );
        var folder = Path.Combine(site.Folder, "mails");
        await SetAsync(site, ("Folder", folder));
        Assert.False(await Sender(site).SendIfDueAsync(Cancel));
        Assert.False(Directory.Exists(folder));
    }

    [Fact]
    public async Task A_mail_server_of_one_s_own_gets_it()
    {
        await using var site = await Site.DemoAsync();
        using var server = new TcpListener(IPAddress.Loopback, 0);
        server.Start();
        var received = TakeMailAsync(server);
        await SetAsync(site, ("Host", "127.0.0.1"), ("Port", ((IPEndPoint)server.LocalEndpoint).Port.ToString()));
        Assert.True(await Sender(site).SendIfDueAsync(Cancel));
        var mail = await received.WaitAsync(TimeSpan.FromSeconds(20), Cancel);
        Assert.Contains("RCPT TO:<grower@example.org>", mail, StringComparison.OrdinalIgnoreCase);
        Assert.Contains("Subject: Lighthouse glass:", mail, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_server_that_is_away_is_said_and_it_is_tried_again()
    {
        await using var site = await Site.DemoAsync();
        await SetAsync(site, ("Host", "127.0.0.1"), ("Port", "9"));
        await Sender(site).TrySendAsync(Cancel);
        Assert.StartsWith("Not sent: ", Sender(site).Last, StringComparison.Ordinal);
        Assert.Null((await NoticeSettings.ReadAsync(site.Services.GetRequiredService<Data.GardenStore>())).Sent);
    }

    [Fact]
    public async Task A_mail_server_that_never_answers_is_said_and_does_not_end_the_application()
    {
        await using var site = await Site.DemoAsync();
        using var silent = new TcpListener(IPAddress.Loopback, 0);
        silent.Start();
        await SetAsync(site, ("Host", "127.0.0.1"), ("Port", ((IPEndPoint)silent.LocalEndpoint).Port.ToString()));
        Sender(site).Patience = TimeSpan.FromMilliseconds(300);
        await Sender(site).TrySendAsync(Cancel);
        Assert.StartsWith("Not sent: no answer within", Sender(site).Last, StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.OK, (await site.Http.GetAsync("/", Cancel)).StatusCode);
    }

    [Theory]
    [InlineData("To", "nobody at all", "is no e-mail address")]
    [InlineData("Hour", "25", "0 to 23")]
    public async Task Bad_input_is_said(string field, string value, string says)
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/triggers/calendar?handler=Notices", ("Folder", "x"), (field, value));
        Assert.Contains(says, page.QuerySelector(".fault")!.TextContent, StringComparison.Ordinal);
    }

    [Fact]
    public async Task A_browser_that_asked_gets_a_notification_it_can_open_and_one_that_left_is_forgotten()
    {
        await using var site = await Site.DemoAsync();
        var pushed = new TaskCompletionSource<(string Path, string Authorization, int Bytes)>();
        await using var service = PushService(pushed);
        await service.StartAsync(Cancel);
        await site.PostAsync("/triggers/calendar?handler=Push");
        foreach (var path in (string[])["here", "gone"])
            (
                await site.Http.PostAsync(
                    "/api/push",
                    new StringContent(Subscription($"{service.Urls.Single()}/{path}"), Encoding.UTF8, "application/json"),
                    Cancel
                )
            ).EnsureSuccessStatusCode();
        await SetAsync(site, ("To", ""));
        Assert.True(await Sender(site).SendIfDueAsync(Cancel));
        var (_, authorization, bytes) = await pushed.Task.WaitAsync(TimeSpan.FromSeconds(20), Cancel);
        Assert.Contains("vapid", authorization, StringComparison.OrdinalIgnoreCase);
        Assert.True(bytes > 100); // encrypted for that browser's own key (RFC 8291)
        var left = (await NoticeSettings.ReadAsync(site.Services.GetRequiredService<Data.GardenStore>())).Push!;
        Assert.EndsWith("/here", Assert.Single(left).Endpoint, StringComparison.Ordinal);
    }

    [Fact]
    public async Task What_is_no_subscription_is_refused()
    {
        await using var site = await Site.DemoAsync();
        foreach (var json in (string[])["{}", """{"endpoint": "file:///etc/passwd", "keys": {"p256dh": "x", "auth": "y"}}"""])
            Assert.Equal(
                HttpStatusCode.BadRequest,
                (await site.Http.PostAsync("/api/push", new StringContent(json, Encoding.UTF8, "application/json"), Cancel)).StatusCode
            );
    }

    static WebApplication PushService(TaskCompletionSource<(string, string, int)> pushed)
    {
        var builder = WebApplication.CreateSlimBuilder();
        builder.WebHost.UseSetting("urls", "http://127.0.0.1:0");
        var service = builder.Build();
        service.MapPost("/here", async (HttpRequest request) =>
        {
            using var body = new MemoryStream();
            await request.Body.CopyToAsync(body);
            pushed.TrySetResult((request.Path, request.Headers.Authorization.ToString(), (int)body.Length));
            return Results.Created();
        });
        service.MapPost("/gone", () => Results.StatusCode(StatusCodes.Status410Gone));
        return service;
    }

    /// <summary>What a browser sends: a fresh key of its own and a secret.</summary>
    static string Subscription(string endpoint)
    {
        var (open, _) = PushKeys.New();
        var secret = System.Buffers.Text.Base64Url.EncodeToString(RandomNumberGenerator.GetBytes(16));
        return System.Text.Json.JsonSerializer.Serialize(new { endpoint, keys = new { p256dh = open, auth = secret } });
    }

    /// <summary>As much of SMTP (RFC 5321) as one mail needs.</summary>
    static async Task<string> TakeMailAsync(TcpListener server)
    {
        using var client = await server.AcceptTcpClientAsync();
        await using var stream = client.GetStream();
        using var reader = new StreamReader(stream, Encoding.ASCII);
        await using var writer = new StreamWriter(stream, Encoding.ASCII) { NewLine = "\r\n", AutoFlush = true };
        var all = new StringBuilder();
        await writer.WriteLineAsync("220 stand-in");
        var inData = false;
        while (await reader.ReadLineAsync() is { } line)
        {
            all.AppendLine(line);
            if (inData && line != ".")
                continue;
            var answer =
                line == "." ? "250 kept"
                : line == "DATA" ? "354 go on"
                : line == "QUIT" ? "221 bye"
                : "250 fine";
            inData = line == "DATA";
            await writer.WriteLineAsync(answer);
            if (line == "QUIT")
                break;
        }
        return all.ToString();
    }
}
