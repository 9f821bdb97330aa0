using System.Text.Json;
using BudClock.Core.Planning;
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
    TodaysGarden todaysGarden,
    Logbook logbook,
    OutsideSettings outside,
    Clock clock,
    ServerOptions options,
    IHttpClientFactory clients
) : Unending("The daily digest")
{
    static readonly TimeSpan Between = TimeSpan.FromMinutes(1);

    /// <summary>How long a mail server may take.</summary>
    public TimeSpan Patience { get; set; } = TimeSpan.FromSeconds(15);

    /// <summary>The name of its client for web notifications.</summary>
    public const string Client = "push";

    /// <summary>What became of the last digest, for the page; null before the first.</summary>
    public string? Last
    {
        get => Trouble ?? field;
        private set;
    }

    /// <inheritdoc/>
    protected override TimeSpan QuietStart => Between;

    /// <inheritdoc/>
    protected override TimeSpan Latest => TimeSpan.FromHours(1);

    /// <inheritdoc/>
    protected override string Unforeseen(Exception fault) =>
        $"Not sent: {(fault is OperationCanceledException ? $"no answer within {Patience.TotalSeconds:0.#} seconds" : fault.Message)}";

    /// <inheritdoc/>
    protected override async Task<TimeSpan> TurnAsync(CancellationToken stop)
    {
        await SendIfDueAsync(stop);
        return Between;
    }

    /// <summary>Sends it where it is due. Whatever a mail server does, silence among it, the application goes on.</summary>
    public async Task TrySendAsync(CancellationToken stop)
    {
        await TakeTurnAsync(stop);
        Last = Trouble ?? Last;
    }

    /// <summary>Sends today's digest where its hour has come, it was not sent yet, and anything asks.</summary>
    /// <returns>Whether one was sent.</returns>
    public async Task<bool> SendIfDueAsync(CancellationToken cancel)
    {
        var settings = await NoticeSettings.ReadAsync(store);
        if (settings is { Mail: null } and not { Push.Count: > 0 } || await todaysGarden.TodayAsync() is not { } today)
            return false;
        var hour = TimeZoneInfo.ConvertTime(clock.GetUtcNow(), today.Garden.Zone).Hour;
        if (hour < settings.Hour || settings.Sent >= today.Day)
            return false;
        if (Digest.Of(today.Round(null)) is not { } digest)
            return false;
        await SendAsync(settings, digest, today, cancel);
        return true;
    }

    /// <summary>Each way by itself; what went out is on record before the next one goes, so that nothing goes out twice.</summary>
    async Task SendAsync(NoticeSettings settings, Digest digest, GardenDay today, CancellationToken cancel)
    {
        if (settings.Mail is { } mail)
            await MailAsync(mail, digest, today, cancel);
        settings = await KeptAsync(kept => kept with { Sent = today.Day }, cancel);
        foreach (var one in settings.Push ?? [])
            if (!await PushAsync(settings, one, digest, cancel))
                await KeptAsync(kept => kept with { Push = [.. (kept.Push ?? []).Where(p => p.Endpoint != one.Endpoint)] }, cancel);
        Last = $"{digest.Title}, sent for {Dates.Long(today.Day)}.";
    }

    /// <summary>Changes what is kept as it stands now: a link that was taken back while a digest went out stays taken back.</summary>
    async Task<NoticeSettings> KeptAsync(Func<NoticeSettings, NoticeSettings> change, CancellationToken cancel)
    {
        var kept = change(await NoticeSettings.ReadAsync(store));
        await logbook.AsideAsync("Digest sent", kept.Keep(), cancel);
        return kept;
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

    /// <summary>One browser is told.</summary>
    /// <returns>False where it gave its subscription up, or where that cannot be used at all: it is forgotten.</returns>
    async Task<bool> PushAsync(NoticeSettings settings, PushSubscription to, Digest digest, CancellationToken cancel)
    {
        var text = JsonSerializer.Serialize(new { title = digest.Title, body = string.Join("\n", digest.Lines.Take(4)) });
        try
        {
            var push = new PushServiceClient(clients.CreateClient(Client))
            {
                DefaultAuthentication = new VapidAuthentication(settings.PushPublic, outside.Open(settings.PushPrivate))
                {
                    Subject = "mailto:bud-clock@localhost",
                },
            };
            var message = new PushMessage(text) { Urgency = PushMessageUrgency.Normal, TimeToLive = 12 * 3600 };
            await push.RequestPushMessageDeliveryAsync(to, message, cancel);
            return true;
        }
        catch (PushServiceClientException gone)
            when (gone.StatusCode is System.Net.HttpStatusCode.Gone or System.Net.HttpStatusCode.NotFound)
        {
            Log.Information("A browser does not want notifications any more.");
            return false;
        }
        catch (Exception fault)
            when (fault is HttpRequestException or PushServiceClientException or TaskCanceledException && !cancel.IsCancellationRequested)
        {
            Log.Warning("A web notification could not be delivered: {Why}", fault.Message);
            return true;
        }
        catch (Exception fault) when (!cancel.IsCancellationRequested)
        {
            Log.Warning("A subscription to notifications cannot be used, and is forgotten: {Why}", fault.Message);
            return false;
        }
    }
}
