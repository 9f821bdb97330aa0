using BudClock.Data;
using BudClock.Web.Outside;
using Microsoft.AspNetCore.Mvc;
using MimeKit;

namespace BudClock.Web.Pages.Triggers;

/// <summary>The calendar's secret link, and the daily digest.</summary>
public sealed class CalendarModel(
    TodaysGarden todaysGarden,
    Logbook logbook,
    GardenStore store,
    OutsideSettings outside,
    DigestSender sender,
    Clock clock
) : GardenPage(todaysGarden)
{
    public NoticeSettings Settings { get; private set; } = new();
    public string? Link { get; private set; }
    public string? Fault { get; private set; }
    public string? LastSent => sender.Last;

    [BindProperty]
    public int Hour { get; set; }

    [BindProperty]
    public string? To { get; set; }

    [BindProperty]
    public string? From { get; set; }

    [BindProperty]
    public string? Folder { get; set; }

    [BindProperty]
    public string? Host { get; set; }

    [BindProperty]
    public int? Port { get; set; }

    [BindProperty]
    public string? Account { get; set; }

    [BindProperty]
    public string? Password { get; set; }

    public async Task OnGetAsync()
    {
        await ShowAsync();
        (Hour, To, From, Folder) = (Settings.Hour, Settings.Mail?.To, Settings.Mail?.From, Settings.Mail?.Folder);
        (Host, Port, Account) = (Settings.Mail?.Host, Settings.Mail?.Port, Settings.Mail?.User);
    }

    public async Task<IActionResult> OnPostLinkAsync()
    {
        await ShowAsync();
        return await KeepAsync(Settings with { CalendarToken = DeviceToken.New().Token }, "the new link to the calendar", secret: true);
    }

    public async Task<IActionResult> OnPostRevokeAsync()
    {
        await ShowAsync();
        return await KeepAsync(Settings with { CalendarToken = null }, "the calendar's link, which holds no more", secret: true);
    }

    public IActionResult OnPostFile() =>
        File(System.Text.Encoding.UTF8.GetBytes(GardenCalendar.Of(Today, clock)), "text/calendar", "bud-clock.ics");

    public async Task<IActionResult> OnPostNoticesAsync()
    {
        await ShowAsync();
        if (Hour is < 0 or > 23)
            Fault = "The hour: 0 to 23.";
        else if (To is { Length: > 0 } && !MailboxAddress.TryParse(To, out _))
            Fault = $"\"{To}\" is no e-mail address.";
        else if (From is { Length: > 0 } && !MailboxAddress.TryParse(From, out _))
            Fault = $"\"{From}\" is no e-mail address.";
        else if (To is { Length: > 0 } && string.IsNullOrWhiteSpace(Folder) && string.IsNullOrWhiteSpace(Host))
            Fault = "Name your mail server, or a folder on this machine that mails are put into.";
        else if (Port is < 1 or > 65535)
            Fault = "The port: 1 to 65535.";
        if (Fault is not null)
            return Page();
        var mail = To is not { Length: > 0 } to
            ? null
            : new MailSettings(
                to,
                From is { Length: > 0 } from ? from : to,
                string.IsNullOrWhiteSpace(Folder) ? null : Folder.Trim(),
                string.IsNullOrWhiteSpace(Host) ? null : Host.Trim(),
                Port ?? 587,
                Account,
                Password is { Length: > 0 } typed ? outside.Seal(typed) : Settings.Mail?.Password
            );
        return await KeepAsync(Settings with { Hour = Hour, Mail = mail, Sent = null }, "The daily digest");
    }

    public async Task<IActionResult> OnPostPushAsync()
    {
        await ShowAsync();
        var (open, secret) = PushKeys.New();
        return await KeepAsync(
            Settings.PushPublic is null ? Settings with { PushPublic = open, PushPrivate = outside.Seal(secret) } : Settings,
            "Keys for web notifications"
        );
    }

    public async Task<IActionResult> OnPostQuietAsync()
    {
        await ShowAsync();
        return await KeepAsync(Settings with { Push = [] }, "Web notifications ended");
    }

    async Task<IActionResult> KeepAsync(NoticeSettings settings, string words, bool secret = false)
    {
        var kept = secret ? logbook.SecretAsync(null, words, settings.Keep()) : logbook.AsideAsync(words, settings.Keep());
        Fault = (await kept).Trouble;
        return Fault is null ? Redirect("/triggers/calendar") : Page();
    }

    async Task ShowAsync()
    {
        Settings = await NoticeSettings.ReadAsync(store);
        Link = Settings.CalendarToken is { } token ? $"{Request.Scheme}://{Request.Host}/calendar/{token}.ics" : null;
    }
}
