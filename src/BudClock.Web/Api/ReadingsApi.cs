using System.Text;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Outside;

namespace BudClock.Web.Api;

/// <summary>Readings in from devices, and out for other programs.</summary>
static class ReadingsApi
{
    const int LargestMessage = 2 * 1024 * 1024;
    const int MostReadings = 10_000;

    public static void MapReadingsApi(this WebApplication app)
    {
        app.MapPost("/api/readings", Take);
        app.MapGet("/api/readings.json", (string? place, string? from, string? to, GardenStore store, TodaysGarden todaysGarden) =>
            Give(false, place, from, to, store, todaysGarden)
        );
        app.MapGet("/api/readings.csv", (string? place, string? from, string? to, GardenStore store, TodaysGarden todaysGarden) =>
            Give(true, place, from, to, store, todaysGarden)
        );
    }

    /// <summary>Takes a reading, or a list of them, from the device whose token it is.</summary>
    static async Task<IResult> Take(HttpRequest request, DeviceDoor door, ReadingIntake intake, Clock clock)
    {
        if (request.Headers.Authorization.ToString() is not ['B', 'e', 'a', 'r', 'e', 'r', ' ', .. var token])
            return Problems.Say(
                401,
                "Send the device's token as \"Authorization: Bearer TOKEN\". A new one is made on the page of devices."
            );
        if (await door.FindAsync(token.Trim()) is not { } device)
            return Problems.Say(401, "No device has that token. Make a new one on the page of devices.");
        if (await Streams.ReadAsync(request.Body, LargestMessage, request.HttpContext.RequestAborted) is not { } body)
            return Problems.Say(413, $"More than {LargestMessage >> 20} MB; send readings in smaller parts.");
        var readings = new List<ClimateReading>();
        foreach (var message in Messages(Encoding.UTF8.GetString(body)))
        {
            var read = MessageReader.Read(device, message, clock.GetUtcNow());
            if (read.Reading is not { } reading)
            {
                intake.NotRead(device, read.Fault!);
                return Problems.Say(400, $"Reading {readings.Count + 1}: {read.Fault}. Nothing was kept.");
            }
            readings.Add(reading);
            if (readings.Count > MostReadings)
                return Problems.Say(413, $"More than {MostReadings} readings; send them in smaller parts. Nothing was kept.");
        }
        if (readings.Count == 0)
            return Problems.Say(
                400,
                "Expected { \"temperatureC\": 14.2, \"humidityPct\": 78, \"at\": \"2031-05-20T03:00:00Z\" }, or a list of such."
            );
        var taken = await intake.TakeAsync(device, readings, request.HttpContext.RequestAborted);
        return taken.Kept == 0
            ? Problems.Say(409, $"The place of {device.Name} is not there any more. Nothing was kept.")
            : Results.Json(new { kept = taken.Kept, notBelieved = taken.Doubts });
    }

    /// <summary>A list's own messages, each as text; a single one as it is, whatever it is.</summary>
    static IEnumerable<string> Messages(string body)
    {
        if (!body.AsSpan().TrimStart().StartsWith("["))
            return string.IsNullOrWhiteSpace(body) ? [] : [body];
        try
        {
            using var list = System.Text.Json.JsonDocument.Parse(body);
            return [.. list.RootElement.EnumerateArray().Select(item => item.GetRawText())];
        }
        catch (System.Text.Json.JsonException)
        {
            return [body];
        }
    }

    static async Task<IResult> Give(bool csv, string? place, string? from, string? to, GardenStore store, TodaysGarden todaysGarden)
    {
        if (await todaysGarden.TodayAsync() is not { } today)
            return Problems.Say(404, "There is no garden here yet.");
        if (place is not null && today.PlaceAt(place) is null)
            return Problems.Say(404, $"No place here has the code \"{place}\".");
        var (first, last) = (DayReader.Read(from), DayReader.Read(to));
        if ((first.Fault ?? last.Fault) is { } fault)
            return Problems.Say(400, $"from, to: {fault}");
        var calendar = today.Weather.Calendar;
        var start = first.Day is { } day ? new DateTimeOffset(calendar.Of(day).From, TimeSpan.Zero) : DateTimeOffset.MinValue;
        var end = last.Day is { } until ? new DateTimeOffset(calendar.Of(until).To, TimeSpan.Zero) : DateTimeOffset.MaxValue;
        var readings = new List<ClimateReading>();
        foreach (var code in place is null ? today.Places.Select(p => p.Code) : [place])
            readings.AddRange(await store.ReadingsAsync(code, start, end));
        if (!csv)
            return Results.File(Encoding.UTF8.GetBytes(GardenFileWriter.Readings(readings)), "application/json", "readings.json");
        using var text = new StringWriter();
        ReadingsCsv.Write(text, readings, today.Garden.Zone);
        return Results.File(Encoding.UTF8.GetBytes(text.ToString()), "text/csv", "readings.csv");
    }
}
