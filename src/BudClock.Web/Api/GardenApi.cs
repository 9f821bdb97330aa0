using System.Text;
using System.Text.Json;
using BudClock.Core.Formats;
using BudClock.Core.Notes;
using BudClock.Data;
using BudClock.Web.Files;

namespace BudClock.Web.Api;

/// <summary>What other programs may ask and send.</summary>
static class GardenApi
{
    public static void MapGardenApi(this WebApplication app)
    {
        app.MapGet("/healthz", Health);
        app.MapGet("/readyz", Ready);
        app.MapGet("/api/plants/{tag}/advice", Advice);
        app.MapGet("/api/garden", Export);
        app.MapGet("/api/garden.zip", Zip);
        app.MapGet("/api/entries.csv", Csv);
        app.MapGet("/api/garden.schema.json", () => Results.Text(GardenSchema.Text, "application/schema+json", Encoding.UTF8));
        app.MapPost("/api/notes", TakeNote);
    }

    /// <summary>Alive and able to write: a page is written to the database and a file beside it.</summary>
    static async Task<IResult> Health(GardenStore store, ServerOptions options)
    {
        try
        {
            await store.ProbeAsync();
            Durably.Probe(options.DataFolder);
            return Results.Text("ok");
        }
        catch (Exception fault) when (StorageTrouble.Say(fault) is { } trouble)
        {
            return Results.Text(trouble, statusCode: StatusCodes.Status503ServiceUnavailable);
        }
    }

    /// <summary>Ready to be used: as health, and the whole garden can be read.</summary>
    static async Task<IResult> Ready(GardenStore store, ServerOptions options, TodaysGarden todaysGarden)
    {
        if (await Health(store, options) is IStatusCodeHttpResult { StatusCode: not (null or StatusCodes.Status200OK) } bad)
            return (IResult)bad;
        await todaysGarden.TodayAsync();
        return Results.Text("ready");
    }

    static async Task<IResult> Advice(string tag, string? on, TodaysGarden todaysGarden)
    {
        if (DayReader.Read(on) is { Fault: { } fault })
            return Wrong($"on: {fault}");
        if (await todaysGarden.TodayAsync() is not { } today || today.Find(tag) is not { } plant)
            return Problems.Say(StatusCodes.Status404NotFound, $"No plant here is tagged \"{tag}\".");
        var day = DayReader.Read(on).Day ?? today.Day;
        var assessment = day == today.Day ? today.WithShared(plant.Plant.Tag)! : await todaysGarden.OnDayAsync(today, plant.Plant, day);
        return Results.Text(AdviceJson.Write(assessment), "application/json", Encoding.UTF8);
    }

    static async Task<IResult> Export(GardenStore store) =>
        await store.ReadAsync() is { } garden
            ? Results.File(Encoding.UTF8.GetBytes(GardenFileWriter.Write(garden)), "application/json", "garden.json")
            : Problems.Say(StatusCodes.Status404NotFound, "There is no garden here yet.");

    static async Task<IResult> Zip(GardenStore store, PictureFolder pictures)
    {
        if (await store.ReadAsync() is not { } garden)
            return Problems.Say(StatusCodes.Status404NotFound, "There is no garden here yet.");
        // Through a file, so that a large garden does not lie in memory; it goes when it has been sent.
        var file = new FileStream(
            Path.GetTempFileName(),
            FileMode.Create,
            FileAccess.ReadWrite,
            FileShare.None,
            1 << 16,
            FileOptions.DeleteOnClose
        );
        await GardenZip.WriteAsync(file, garden, pictures);
        file.Position = 0;
        return Results.File(file, "application/zip", "garden.zip");
    }

    static async Task<IResult> Csv(GardenStore store) =>
        await store.ReadAsync() is { } garden
            ? Results.File(Encoding.UTF8.GetBytes(EntryCsv.Write(garden.Plants)), "text/csv", "entries.csv")
            : Problems.Say(StatusCodes.Status404NotFound, "There is no garden here yet.");

    /// <param name="Act">An id of the sender's own: the same note sent twice is then written once.</param>
    /// <param name="AsNote">Keep what is not understood as a note.</param>
    sealed record NoteIn(string? Text, DateOnly? On, Guid? Act, bool? AsNote);

    /// <summary>Logs a note whole, or logs nothing and says what was not understood.</summary>
    static async Task<IResult> TakeNote(HttpRequest request, TodaysGarden todaysGarden, Logbook logbook)
    {
        NoteIn? sent;
        try
        {
            sent = await request.ReadFromJsonAsync<NoteIn>();
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException or BadHttpRequestException or IOException)
        {
            return Wrong("expected { \"text\": \"lyc-01 roots 11cm\", \"on\": \"2031-05-24\" }");
        }
        if (await todaysGarden.TodayAsync() is not { } today)
            return Wrong("The garden has not been set up yet.");
        if (sent?.On is { Year: < 1900 or > 2200 })
            return Wrong("on: expected a day between 1900 and 2200");
        if (sent?.On > today.Day)
            return Wrong($"on: {sent.On:yyyy-MM-dd} is still to come");

        var note = NoteReader.Read(sent?.Text ?? "", today.NoteContext(sent?.On));
        if (!note.Complete && sent?.AsNote == true && note.AsNote is { } again)
            note = NoteReader.Read(again, today.NoteContext(sent.On));
        var outcome = note.Complete ? await logbook.NoteAsync(sent?.Act, note) : null;
        if (outcome is { Done: false, Trouble: { } trouble })
            return Problems.Say(StatusCodes.Status409Conflict, trouble);
        return Results.Json(
            Answer(note, outcome?.Act),
            statusCode: note.Complete ? StatusCodes.Status200OK : StatusCodes.Status422UnprocessableEntity
        );
    }

    static object Answer(ReadNote note, Guid? act) =>
        new
        {
            tag = note.Tag,
            tags = note.Tags,
            logged = note.Complete,
            act,
            entries = note.Groups.SelectMany(group => group.Tags.SelectMany(tag => group.Entries.Select(entry => Answer(tag, entry)))),
            readings = note.Readings.Select(r => new
            {
                place = r.Place,
                on = r.On,
                of = r.Sort.ToString().ToLowerInvariant(),
                temperatureC = r.TemperatureC,
                humidityPct = r.HumidityPct,
            }),
            taken = note.Taken.Select(t => new { written = t.Written, @as = t.As }),
            asNote = note.AsNote,
            questions = note.Questions.Select(q => new
            {
                entry = q.Entry,
                ask = q.Ask,
                answers = q.Answers.Select(a => new { words = a.Words, text = a.Text }),
            }),
            unread = note.Unread.Select(u => new
            {
                at = u.Start,
                fragment = u.Fragment,
                why = u.Why,
                nearest = u.Nearest,
            }),
        };

    /// <summary>What was given stands in the text too, for programs that know of no batches.</summary>
    static object Answer(string tag, EntryDraft entry) =>
        new
        {
            tag,
            on = entry.On,
            kind = entry.Kind.Name,
            value = entry.Amount?.Value,
            unit = entry.Amount?.Unit?.Symbol,
            text = entry.Mix is null ? entry.Text : $"{entry.Mix} {entry.Text}".TrimEnd(),
            mix = entry.Mix,
        };

    static IResult Wrong(string error) => Problems.Say(StatusCodes.Status400BadRequest, error);
}
