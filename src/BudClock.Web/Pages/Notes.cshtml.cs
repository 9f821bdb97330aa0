using BudClock.Core.Notes;
using Htmx;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages;

/// <summary>Takes what is written down: the note line, one-tap entries, undo, strike and restore.</summary>
/// <remarks>With htmx it answers with the line under the note; without, with a whole page or the page one came from.</remarks>
public sealed class NotesModel(TodaysGarden glasshouse, Logbook logbook) : GardenPage(glasshouse)
{
    /// <summary>What the page shows when a line could not be logged: the text as typed, and why.</summary>
    public Said Said { get; private set; } = Said.Nothing;

    public void OnGet() { }

    /// <summary>The live reading of a line that is being typed.</summary>
    public IActionResult OnPostRead(string? text) =>
        Partial("_Said", string.IsNullOrWhiteSpace(text) ? Said.Nothing : Said.Reading(Read(text), Today));

    /// <summary>Logs a line whole, or nothing of it.</summary>
    public async Task<IActionResult> OnPostAsync(string? text, string? returnUrl)
    {
        if (string.IsNullOrWhiteSpace(text))
            return Answer(Said.Wrong("Write a plant's tag and what you saw, such as LYC-01 roots 8 cm."), returnUrl);
        var note = Read(text);
        if (!note.Complete)
            return Answer(Said.Refused(note), returnUrl);
        if (!await logbook.LogAsync(note.Tags, note.Entries))
            return Answer(Said.Wrong("One of these plants is not here any more. Nothing was logged."), returnUrl);
        return Logged(note.Tags, note.Entries, returnUrl, clearNote: true);
    }

    /// <summary>Logs one entry from a button or a form.</summary>
    public async Task<IActionResult> OnPostEntryAsync(EntryForm form, string? returnUrl)
    {
        if (Today.Find(form.Tag) is not { } plant)
            return Answer(Said.Wrong("That plant is not known here."), returnUrl);
        var (entry, fault) = form.Read(Today, plant);
        if (entry is null)
            return Answer(Said.Wrong(fault!), returnUrl);
        if (entry.Organ is null && plant.Book.Place([entry]).Questions.Count > 0)
            return Answer(Said.Refused(Read(new ReadNote("", [plant.Plant.Tag], [entry], []).Canonical)), returnUrl);

        await logbook.LogAsync([plant.Plant.Tag], [entry]);
        return Logged([plant.Plant.Tag], [entry], returnUrl);
    }

    public async Task<IActionResult> OnPostUndoAsync(string? returnUrl)
    {
        var tags = await logbook.UndoAsync();
        if (tags.Count == 0)
            return Answer(Said.Wrong("There is nothing of the last day left to undo."), returnUrl);
        return Changed(
            Said.Done($"Undone on {string.Join(", ", tags)}. The entry is struck, not lost: the plant's log can restore it."),
            returnUrl
        );
    }

    public async Task<IActionResult> OnPostStrikeAsync(string tag, Guid entry, bool struck, string? returnUrl)
    {
        if (!await logbook.StrikeAsync(tag, entry, struck))
            return Answer(Said.Wrong("That entry is not in this plant's log."), returnUrl);
        return Changed(Said.Done(struck ? "Struck. It stays in the log and can be restored." : "Restored."), returnUrl);
    }

    ReadNote Read(string text) => NoteReader.Read(text, Today.NoteContext());

    IActionResult Logged(IReadOnlyList<string> tags, IReadOnlyList<EntryDraft> entries, string? returnUrl, bool clearNote = false)
    {
        if (clearNote && IsHtmx)
            Response.Htmx(headers => headers.WithTrigger("note-logged"));
        return Changed(Said.Logged(tags, entries, Today), returnUrl);
    }

    IActionResult Changed(Said said, string? returnUrl)
    {
        if (!IsHtmx)
            return Back(returnUrl);
        Response.Htmx(headers => headers.WithTrigger("journal-changed"));
        return Partial("_Said", said);
    }

    IActionResult Answer(Said said, string? returnUrl)
    {
        if (IsHtmx)
            return Partial("_Said", said);
        Said = said;
        ViewData["ReturnUrl"] = returnUrl;
        return Page();
    }
}
