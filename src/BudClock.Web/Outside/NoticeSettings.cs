using System.Text.Json;
using BudClock.Data;
using Lib.Net.Http.WebPush;

namespace BudClock.Web.Outside;

/// <summary>What goes out by itself: the calendar's link, and the daily digest.</summary>
/// <param name="CalendarToken">The secret in the calendar's link; null where there is none.</param>
/// <param name="Hour">The hour of the garden's day from which the digest is sent.</param>
/// <param name="Mail">By e-mail; null for none.</param>
/// <param name="PushPublic">This garden's own key for web notifications; null until the first subscription.</param>
/// <param name="PushPrivate">The other half, as it is kept.</param>
/// <param name="Push">The browsers that asked for notifications.</param>
/// <param name="Sent">The day of the last digest; null for none.</param>
public sealed record NoticeSettings(
    string? CalendarToken = null,
    int Hour = 8,
    MailSettings? Mail = null,
    string? PushPublic = null,
    string? PushPrivate = null,
    IReadOnlyList<PushSubscription>? Push = null,
    DateOnly? Sent = null
)
{
    const string Name = "notices";

    /// <summary>What is kept; nothing set where nothing is.</summary>
    public static async Task<NoticeSettings> ReadAsync(GardenStore store)
    {
        try
        {
            return await store.SettingAsync(Name) is { } json ? JsonSerializer.Deserialize<NoticeSettings>(json) ?? new() : new();
        }
        catch (JsonException)
        {
            return new();
        }
    }

    /// <summary>Keeps it.</summary>
    public Change Keep() => Changes.Setting(Name, JsonSerializer.Serialize(this));
}

/// <summary>Where the digest is written to.</summary>
/// <param name="Folder">A folder that mails are put into as files; null where they go to a server.</param>
/// <param name="Host">The grower's own mail server; null where they go into a folder.</param>
/// <param name="Password">As it is kept: unreadable without this machine's keys.</param>
public sealed record MailSettings(
    string To,
    string From,
    string? Folder = null,
    string? Host = null,
    int Port = 587,
    string? User = null,
    string? Password = null
);
