using System.Text.Json;
using BudClock.Core.Planning;
using BudClock.Core.Round;
using BudClock.Data;
using Lib.Net.Http.WebPush;
using Lib.Net.Http.WebPush.Authentication;
using MailKit.Net.Smtp;
using MailKit.Security;
using MimeKit;
using Serilog;

namespace BudClock.Web.Outside;

/// <summary>
/// Sends the daily digest at the hour that the grower chose, where anything asks: as an e-mail and as a web notification.
/// </summary>
public sealed class DigestSender(
    GardenStore store,
    TodaysGarden glasshouse,
    Logbook logbook,
    OutsideSettings outside,
    Clock clock,
    ServerOptions options,
    IHttpClientFactory clients
) : BackgroundService
{
    static readonly TimeSpan Between = TimeSpan.FromMinutes(1);

    /// <summary>How long a mail server may take.</summary>
    public TimeSpan Patience { get; set; } = TimeSpan.FromSeconds(15);

    /// <summary>The name of its client for web notifications.</summary>
    public const string Client = "push";

    /// <summary>What became of the last digest, for the page; null before the first.</summary>
    public string? Last { get; private set; }

    protected override async Task ExecuteAsync(CancellationToken stop)
    {
        using var timer = new PeriodicTimer(Between);
        try
        {
            while (await timer.WaitForNextTickAsync(stop).ConfigureAwait(false))
                await TrySendAsync(stop);
        }
        catch (OperationCanceledException) when (stop.IsCancellationRequested)
        {
            // the application ends
        }
    }

    /// <summary>Sends it where it is due. Whatever a mail server does, silence among it, the application goes on.</summary>
    public async Task TrySendAsync(CancellationToken stop)
    {
        try
        {
            await SendIfDueAsync(stop);
        }
        catch (Exception fault) when (!stop.IsCancellationRequested)
        {
            var why = fault is OperationCanceledException ? $"no answer within {Patience.TotalSeconds:0} seconds" : fault.Message;
            Log.Warning("The daily digest could not be sent: {Why}", why);
            Last = $"Not sent: {why}";
        }
    }

    /// <summary>Sends today's digest where its hour has come, it was not sent yet, and anything asks.</summary>
    /// <returns>Whether one was sent.</returns>
    public async Task<bool> SendIfDueAsync(CancellationToken cancel)
    {
        var settings = await NoticeSettings.ReadAsync(store);
        if (settings is { Mail: null } and not { Push.Count: > 0 } || await glasshouse.TodayAsync() is not { } today)
            return false;
        var hour = TimeZoneInfo.ConvertTime(clock.GetUtcNow(), today.Garden.Zone).Hour;
        if (hour < settings.Hour || settings.Sent >= today.Day)
            return false;
        if (Digest.Of(RoundOfDay.Of(today.Places, today.Plants)) is not { } digest)
            return false;
        await SendAsync(settings, digest, today, cancel);
        return true;
    }

    async Task SendAsync(NoticeSettings settings, Digest digest, GardenDay today, CancellationToken cancel)
    {
        if (settings.Mail is { } mail)
            await MailAsync(mail, digest, today, cancel);
        IReadOnlyList<PushSubscription> left = settings.Push is { Count: > 0 } push ? await PushAsync(settings, push, digest, cancel) : [];
        await logbook.AsideAsync("Digest sent", (settings with { Sent = today.Day, Push = left }).Keep(), cancel);
        Last = $"{digest.Title}, sent for {Dates.Long(today.Day)}.";
    }

    async Task MailAsync(MailSettings mail, Digest digest, GardenDay today, CancellationToken cancel)
    {
        var message = new MimeMessage { Subject = $"{today.Garden.Name}: {digest.Title}", Date = clock.GetUtcNow() };
        message.From.Add(MailboxAddress.Parse(mail.From));
        message.To.Add(MailboxAddress.Parse(mail.To));
        message.Body = new TextPart("plain") { Text = $"{string.Join("\n\n", digest.Lines)}\n\n{options.Address}/\n" };
        if (mail.Folder is { } folder)
        {
            Directory.CreateDirectory(folder);
            await message.WriteToAsync(Path.Combine(folder, $"bud-clock-{today.Day:yyyy-MM-dd}.eml"), cancel);
            return;
        }
        using var patience = CancellationTokenSource.CreateLinkedTokenSource(cancel);
        patience.CancelAfter(Patience);
        using var server = new SmtpClient();
        await server.ConnectAsync(mail.Host ?? "localhost", mail.Port, SecureSocketOptions.Auto, patience.Token);
        if (mail.User is { Length: > 0 } user)
            await server.AuthenticateAsync(user, outside.Open(mail.Password) ?? "", patience.Token);
        await server.SendAsync(message, patience.Token);
        await server.DisconnectAsync(quit: true, patience.Token);
    }

    /// <summary>The subscriptions that still stand: one that its browser gave up is forgotten.</summary>
    async Task<IReadOnlyList<PushSubscription>> PushAsync(
        NoticeSettings settings,
        IReadOnlyList<PushSubscription> subscriptions,
        Digest digest,
        CancellationToken cancel
    )
    {
        var push = new PushServiceClient(clients.CreateClient(Client))
        {
            DefaultAuthentication = new VapidAuthentication(settings.PushPublic, outside.Open(settings.PushPrivate))
            {
                Subject = "mailto:bud-clock@localhost",
            },
        };
        var text = JsonSerializer.Serialize(new { title = digest.Title, body = string.Join("\n", digest.Lines.Take(4)) });
        var left = new List<PushSubscription>();
        foreach (var one in subscriptions)
            try
            {
                await push.RequestPushMessageDeliveryAsync(
                    one,
                    new PushMessage(text) { Urgency = PushMessageUrgency.Normal, TimeToLive = 12 * 3600 },
                    cancel
                );
                left.Add(one);
            }
            catch (PushServiceClientException gone)
                when (gone.StatusCode is System.Net.HttpStatusCode.Gone or System.Net.HttpStatusCode.NotFound)
            {
                Log.Information("A browser does not want notifications any more.");
            }
            catch (Exception fault) when (fault is HttpRequestException or PushServiceClientException or TaskCanceledException)
            {
                Log.Warning("A web notification could not be delivered: {Why}", fault.Message);
                left.Add(one);
            }
        return left;
    }
}
