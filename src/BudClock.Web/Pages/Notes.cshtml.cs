using BudClock.Core.Notes;
using Htmx;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages;

/// <summary>Takes what is written down: the note line, one-tap entries, undo, strike and restore.</summary>
/// <remarks>With htmx it answers with the line under the note; without, with a whole page or the page one came from.</remarks>
public sealed class NotesModel(TodaysGarden todaysGarden, Logbook logbook, ServerOptions options) : GardenPage(todaysGarden)
{
    /// <summary>What the page shows when a line could not be logged: the text as typed, and why.</summary>
    public Said Said { get; private set; } = Said.Nothing;

    public void OnGet() { }

    /// <summary>The practice of the first day is wished away.</summary>
    public IActionResult OnPostPractised()
    {
        FirstDay.End(options);
        return Redirect("/");
    }

    /// <summary>The live reading of a line that is being typed.</summary>
    public IActionResult OnPostRead(string? text) =>
        Partial("_Said", string.IsNullOrWhiteSpace(text) ? Said.Nothing : Said.Reading(Read(text), Today));

    /// <summary>Logs a line whole, or nothing of it.</summary>
    /// <param name="keep">The line as a note, sent back by a second Enter on the same line.</param>
    /// <param name="kept">The line that this note was offered for.</param>
    public async Task<IActionResult> OnPostAsync(string? text, string? returnUrl, string? keep, string? kept)
    {
        if (string.IsNullOrWhiteSpace(text))
            return Answer(Said.Wrong("Write a plant's tag and what you saw, such as LYC-01 roots 8 cm."), returnUrl);
        var note = Read(text);
        if (!note.Complete && keep is not null && kept?.Trim() == text.Trim())
            note = Read(keep);
        if (!note.Complete)
            return Answer(Said.Refused(note), returnUrl);
        var outcome = await logbook.NoteAsync(Act, note);
        if (!outcome.Done)
            return Answer(Said.Wrong(outcome.Trouble!), returnUrl);
        return await LoggedAsync(note, returnUrl, clearNote: true);
    }

    /// <summary>Logs one entry from a button or a form.</summary>
    public async Task<IActionResult> OnPostEntryAsync(EntryForm? form, string? returnUrl)
    {
        if (form is null || Today.Find(form.Tag) is not { } plant)
            return Answer(Said.Wrong("That plant is not known here."), returnUrl);
        var (entry, fault) = form.Read(Today, plant);
        if (entry is null)
            return Answer(Said.Wrong(fault!), returnUrl);
        if (entry.Organ is null && plant.Book.Place([entry]).Questions.Count > 0)
            return Answer(Said.Refused(Read(new ReadNote("", [plant.Plant.Tag], [entry], []).Canonical)), returnUrl);

        var outcome = await logbook.LogAsync(Act, [plant.Plant.Tag], [entry]);
        if (!outcome.Done)
            return Answer(Said.Wrong(outcome.Trouble!), returnUrl);
        return await LoggedAsync(new("", [plant.Plant.Tag], [entry], []), returnUrl);
    }

    /// <summary>Takes back the last act, whatever it was, and says which.</summary>
    public async Task<IActionResult> OnPostUndoAsync(string? returnUrl)
    {
        var outcome = await logbook.UndoAsync(Act);
        return outcome.Done ? Changed(Said.Undone(outcome), returnUrl) : Answer(Said.Wrong(outcome.Trouble!), returnUrl);
    }

    /// <summary>Takes an undo back.</summary>
    public async Task<IActionResult> OnPostRedoAsync(Guid undo, string? returnUrl)
    {
        var outcome = await logbook.RedoAsync(Act, undo);
        return outcome.Done
            ? Changed(Said.Done($"It stands again: {outcome.Words}."), returnUrl)
            : Answer(Said.Wrong(outcome.Trouble!), returnUrl);
    }

    public async Task<IActionResult> OnPostStrikeAsync(string tag, Guid entry, bool struck, string? returnUrl)
    {
        var outcome = await logbook.StrikeAsync(Act, tag, entry, struck);
        return outcome.Done
            ? Changed(Said.Done(struck ? "Struck. It stays in the log and can be restored." : "Restored."), returnUrl)
            : Answer(Said.Wrong(outcome.Trouble!), returnUrl);
    }

    ReadNote Read(string text) => NoteReader.Read(text, Today.NoteContext());

    async Task<IActionResult> LoggedAsync(ReadNote note, string? returnUrl, bool clearNote = false)
    {
        if (clearNote && IsHtmx)
            Response.Htmx(headers => headers.WithTrigger("note-logged"));
        var said = Said.Logged(note, Today);
        if (IsHtmx && note is { Tags: [var tag], Readings.Count: 0 } && await PartAsync(tag, said) is { } part)
            return part;
        return Changed(said, returnUrl);
    }

    /// <summary>On the Round, only what one entry changes; null where the board has to be drawn anew.</summary>
    async Task<IActionResult?> PartAsync(string tag, Said said)
    {
        if (await TodaysGarden.TodayAsync() is not { } now || FirstDay.Of(Today, options) is not null)
            return null; // the practice is ticked on the board
        if (RoundPart.Of(Request.Headers["HX-Current-URL"], Today, now, tag, said) is not { } part)
            return null;
        Response.Headers["HX-Replace-Url"] = part.Round.Link(part.Round.Place, part.Round.ByDefault ? null : part.Round.Chosen?.Plant.Tag);
        return new CompactResult(Partial("_RoundPart", part));
    }

    IActionResult Changed(Said said, string? returnUrl)
    {
        if (!IsHtmx)
        {
            TempData["Said"] = said.Words;
            TempData["Undo"] = said.CanUndo;
            return Back(returnUrl);
        }
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
