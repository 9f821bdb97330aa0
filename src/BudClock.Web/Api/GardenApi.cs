using System.Text;
using System.Text.Json;
using BudClock.Core.Formats;
using BudClock.Core.Notes;
using BudClock.Data;
using BudClock.Web.CommandLine;
using Microsoft.Data.Sqlite;

namespace BudClock.Web.Api;

/// <summary>What other programs may ask and send.</summary>
static class GardenApi
{
    public static void MapGardenApi(this WebApplication app)
    {
        app.MapGet("/healthz", Health);
        app.MapGet("/api/plants/{tag}/advice", Advice);
        app.MapGet("/api/garden", Export);
        app.MapGet("/api/garden.schema.json", () => Results.Text(GardenSchema.Text, "application/schema+json", Encoding.UTF8));
        app.MapPost("/api/notes", TakeNote);
    }

    static async Task<IResult> Health(GardenStore store)
    {
        try
        {
            await store.CanWriteAsync();
            return Results.Text("ok");
        }
        catch (SqliteException)
        {
            return Results.Text("the database cannot be written", statusCode: StatusCodes.Status503ServiceUnavailable);
        }
    }

    static async Task<IResult> Advice(string tag, string? on, Glasshouse glasshouse)
    {
        if (Days.Read(on) is { Fault: { } fault }) return Wrong($"on: {fault}");
        if (await glasshouse.TodayAsync() is not { } today || today.Find(tag) is not { } plant)
            return Results.Json(new { error = $"No plant here is tagged \"{tag}\"." }, statusCode: StatusCodes.Status404NotFound);
        var assessment = await glasshouse.OnDayAsync(today, plant.Plant, Days.Read(on).Day ?? today.Day);
        return Results.Text(AdviceJson.Write(assessment), "application/json", Encoding.UTF8);
    }

    static async Task<IResult> Export(GardenStore store) => await store.ReadAsync() is { } garden
        ? Results.File(Encoding.UTF8.GetBytes(GardenFileWriter.Write(garden)), "application/json", "garden.json")
        : Results.NotFound();

    sealed record NoteIn(string? Text, DateOnly? On);

    /// <summary>Logs a note whole, or logs nothing and says what was not understood.</summary>
    static async Task<IResult> TakeNote(HttpRequest request, Glasshouse glasshouse, Logbook logbook)
    {
        NoteIn? sent;
        try
        {
            sent = await request.ReadFromJsonAsync<NoteIn>();
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException or BadHttpRequestException)
        {
            return Wrong("expected { \"text\": \"lyc-01 roots 11cm\", \"on\": \"2031-05-24\" }");
        }
        if (await glasshouse.TodayAsync() is not { } today) return Wrong("The garden has not been set up yet.");
        if (sent?.On > today.Day) return Wrong($"on: {sent.On:yyyy-MM-dd} is still to come");

        var note = NoteReader.Read(sent?.Text ?? "", today.NoteContext(sent?.On));
        if (note.Complete) await logbook.LogAsync(note.Tags, note.Entries);
        return Results.Json(Answer(note), statusCode: note.Complete ? StatusCodes.Status200OK : StatusCodes.Status422UnprocessableEntity);
    }

    static object Answer(ReadNote note) => new
    {
        tag = note.Tag,
        tags = note.Tags,
        logged = note.Complete,
        entries = note.Entries.Select(e => new { on = e.On, kind = e.Kind.Name, value = e.Amount?.Value, unit = e.Amount?.Unit?.Symbol, text = e.Text }),
        unread = note.Unread.Select(u => new { at = u.Start, fragment = u.Fragment, why = u.Why, nearest = u.Nearest }),
    };

    static IResult Wrong(string error) => Results.Json(new { error }, statusCode: StatusCodes.Status400BadRequest);
}
