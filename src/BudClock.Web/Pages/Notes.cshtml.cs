using BudClock.Core.Journal;
using BudClock.Core.Notes;
using Htmx;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages;

/// <summary>Takes what is written down: the note line, one-tap entries, undo, strike and restore.</summary>
/// <remarks>With htmx it answers with the line under the note; without, with a whole page or the page one came from.</remarks>
public sealed class NotesModel(Glasshouse glasshouse, Logbook logbook) : GardenPage(glasshouse)
{
    /// <summary>What the page shows when a line could not be logged: the text as typed, and why.</summary>
    public Said Said { get; private set; } = Said.Nothing;

    public void OnGet() { }

    /// <summary>The live reading of a line that is being typed.</summary>
    public IActionResult OnPostRead(string? text) =>
        Partial("_Said", string.IsNullOrWhiteSpace(text) ? Said.Nothing : Said.Reading(Read(text)));

    /// <summary>Logs a line whole, or nothing of it.</summary>
    public async Task<IActionResult> OnPostAsync(string? text, string? returnUrl)
    {
        if (string.IsNullOrWhiteSpace(text)) return Answer(Said.Wrong("Write a plant's tag and what you saw, such as LYC-01 roots 8 cm."), returnUrl);
        var note = Read(text);
        if (!note.Complete) return Answer(Said.Refused(note), returnUrl);
        if (!await logbook.LogAsync(note.Tags, note.Entries)) return Answer(Said.Wrong("One of these plants is not here any more. Nothing was logged."), returnUrl);
        return Logged(note.Tags, note.Entries, returnUrl, clearNote: true);
    }

    /// <summary>Logs one entry from a button or a form.</summary>
    public async Task<IActionResult> OnPostEntryAsync(string tag, string kind, string? amount, string? words, string? returnUrl)
    {
        if (Today.Find(tag) is not { } plant || EntryKinds.Find(kind) is not { } known) return Answer(Said.Wrong("That plant or entry is not known here."), returnUrl);
        var unit = known.Measure is { } measure ? Unit.Default(measure.Dimension, Today.Garden.UsUnits) : null;
        var quantity = AmountReader.Read(amount, unit);
        if (quantity is null && !string.IsNullOrWhiteSpace(amount))
            return Answer(Said.Wrong($"\"{Shortened(amount)}\" is not a number with a unit, such as 8.5 {unit}."), returnUrl);
        if (EntryCheck.Fault(known, Today.Day, quantity, words, Today.Day) is { } fault) return Answer(Said.Wrong(fault), returnUrl);

        NoteEntry[] entries = [new(known, Today.Day, quantity, words)];
        await logbook.LogAsync([plant.Plant.Tag], entries);
        return Logged([plant.Plant.Tag], entries, returnUrl);
    }

    public async Task<IActionResult> OnPostUndoAsync(string? returnUrl)
    {
        var tags = await logbook.UndoAsync();
        if (tags.Count == 0) return Answer(Said.Wrong("There is nothing of the last day left to undo."), returnUrl);
        return Changed(Said.Done($"Undone on {string.Join(", ", tags)}. The entry is struck, not lost: the plant's log can restore it."), returnUrl);
    }

    public async Task<IActionResult> OnPostStrikeAsync(string tag, Guid entry, bool struck, string? returnUrl)
    {
        if (!await logbook.StrikeAsync(tag, entry, struck)) return Answer(Said.Wrong("That entry is not in this plant's log."), returnUrl);
        return Changed(Said.Done(struck ? "Struck. It stays in the log and can be restored." : "Restored."), returnUrl);
    }

    ReadNote Read(string text) => NoteReader.Read(text, Today.NoteContext());

    IActionResult Logged(IReadOnlyList<string> tags, IReadOnlyList<NoteEntry> entries, string? returnUrl, bool clearNote = false)
    {
        if (clearNote && IsHtmx) Response.Htmx(headers => headers.WithTrigger("note-logged"));
        return Changed(Said.Logged(tags, entries, Today.Day), returnUrl);
    }

    IActionResult Changed(Said said, string? returnUrl)
    {
        if (!IsHtmx) return Back(returnUrl);
        Response.Htmx(headers => headers.WithTrigger("journal-changed"));
        return Partial("_Said", said);
    }

    IActionResult Answer(Said said, string? returnUrl)
    {
        if (IsHtmx) return Partial("_Said", said);
        Said = said;
        ViewData["ReturnUrl"] = returnUrl;
        return Page();
    }

    static string Shortened(string text) => text.Length <= 30 ? text : text[..30] + "…";
}

/// <summary>The line under the note: how a text is read, what was done, or what is wrong.</summary>
public sealed record Said(ReadNote? Note, string? Words, bool Trouble, bool CanUndo)
{
    public static readonly Said Nothing = new(null, null, false, false);

    public static Said Reading(ReadNote note) => new(note, null, false, false);

    public static Said Refused(ReadNote note) => new(note, "Nothing was logged yet.", true, false);

    public static Said Wrong(string words) => new(null, words, true, false);

    public static Said Done(string words) => new(null, words, false, false);

    public static Said Logged(IReadOnlyList<string> tags, IReadOnlyList<NoteEntry> entries, DateOnly today) => new(null,
        $"Logged on {Plants(tags)}: {string.Join(", ", entries.Select(e => e.Words + (e.On == today ? "" : $", {Dates.Near(e.On, today)}")))}.", false, true);

    /// <summary>One tag, or how many plants a line means.</summary>
    public static string Plants(IReadOnlyList<string> tags) => tags.Count == 1 ? tags[0] : $"{tags.Count} plants";
}
