using System.Security.Cryptography;
using System.Text;
using BudClock.Data;
using BudClock.Web.Outside;
using Lib.Net.Http.WebPush;

namespace BudClock.Web.Api;

/// <summary>The calendar by its secret link, and what a browser sends to get notifications.</summary>
static class CalendarApi
{
    const int MostSubscriptions = 20;

    public static void MapCalendarApi(this WebApplication app)
    {
        app.MapGet("/calendar/{token}.ics", Give);
        app.MapGet("/api/push", async (GardenStore store) =>
            Results.Json(new { key = (await NoticeSettings.ReadAsync(store)).PushPublic })
        );
        app.MapPost("/api/push", Subscribe);
    }

    static async Task<IResult> Give(string token, HttpResponse response, GardenStore store, TodaysGarden todaysGarden, Clock clock)
    {
        var known = (await NoticeSettings.ReadAsync(store)).CalendarToken;
        var right =
            known is not null && CryptographicOperations.FixedTimeEquals(Encoding.UTF8.GetBytes(known), Encoding.UTF8.GetBytes(token));
        if (!right || await todaysGarden.TodayAsync() is not { } today)
            return Results.NotFound();
        response.Headers.CacheControl = "private, no-cache";
        return Results.Text(GardenCalendar.Of(today, clock), "text/calendar; charset=utf-8");
    }

    static async Task<IResult> Subscribe(PushSubscription subscription, GardenStore store, Logbook logbook)
    {
        var sound =
            Uri.TryCreate(subscription.Endpoint, UriKind.Absolute, out var address)
            && address.Scheme is "https" or "http"
            && subscription.Keys?.Count >= 2;
        if (!sound)
            return Problems.Say(400, "A browser sends its address and its two keys for notifications.");
        var settings = await NoticeSettings.ReadAsync(store);
        var others = (settings.Push ?? []).Where(one => one.Endpoint != subscription.Endpoint).TakeLast(MostSubscriptions - 1);
        await logbook.AsideAsync("Web notifications asked for", (settings with { Push = [.. others, subscription] }).Keep());
        return Results.NoContent();
    }
}
