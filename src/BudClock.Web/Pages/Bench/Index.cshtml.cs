using BudClock.Core.Advising;
using BudClock.Core.Notes;
using BudClock.Core.Round;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Bench;

/// <summary>All plants: to find, to sort, and to log one entry for many.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden, Logbook logbook) : GardenPage(todaysGarden)
{
    public const int PageSize = 60;

    [BindProperty(SupportsGet = true)]
    public string? Q { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Place { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Phase { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Sheet { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Only { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Sort { get; set; }

    [BindProperty(SupportsGet = true, Name = "p")]
    public int Number { get; set; } = 1;

    /// <summary>All that fit, over all pages.</summary>
    public IReadOnlyList<Assessment> Found { get; private set; } = [];

    public IEnumerable<Assessment> Shown => Found.Skip((Number - 1) * PageSize).Take(PageSize);

    public int Pages => Math.Max(1, (Found.Count + PageSize - 1) / PageSize);

    public IActionResult OnGet()
    {
        Find();
        return IsHtmx ? Partial("_BenchList", this) : Page();
    }

    /// <summary>The live reading of the line for all plants that are ticked.</summary>
    public IActionResult OnPostRead(string[]? tags, string? text)
    {
        var known = Known(tags);
        if (string.IsNullOrWhiteSpace(text))
            return Partial("_Said", Said.Nothing);
        return Partial(
            "_Said",
            known.Count == 0
                ? Said.Wrong("Tick at least one plant first.")
                : Said.Reading(Read(known, text), Today) with
                {
                    Completions = [],
                }
        );
    }

    List<string> Known(string[]? tags) => [.. (tags ?? []).Select(tag => Today.Find(tag)?.Plant.Tag).OfType<string>().Distinct()];

    ReadNote Read(List<string> tags, string text) => NoteReader.Read(text, tags, Today.NoteContext());

    /// <summary>Logs one line for all plants that are ticked, as one act.</summary>
    public async Task<IActionResult> OnPostAsync(string[]? tags, string? text)
    {
        var known = Known(tags);
        if (known.Count == 0)
            return Answer(Said.Wrong("Tick at least one plant first."));
        if (string.IsNullOrWhiteSpace(text))
            return Answer(Said.Wrong("Write what you did, such as soaked 400 ml."));
        var note = Read(known, text);
        if (!note.Complete)
            return Answer(Said.Refused(note));
        var outcome = await logbook.NoteAsync(Act, note);
        if (!outcome.Done)
            return Answer(Said.Wrong(outcome.Trouble!));
        Response.Headers["HX-Trigger"] = "journal-changed";
        return Answer(Said.Logged(note, Today));
    }

    public string Link(int page) =>
        "/bench"
        + QueryString.Create(
            new Dictionary<string, string?>
            {
                ["q"] = Q,
                ["place"] = Place,
                ["phase"] = Phase,
                ["sheet"] = Sheet,
                ["only"] = Only,
                ["sort"] = Sort,
                ["p"] = page > 1 ? $"{page}" : null,
            }.Where(pair => !string.IsNullOrEmpty(pair.Value))
        );

    void Find()
    {
        var query = new BenchQuery
        {
            Search = Q,
            Place = Any(Place),
            Phase = Any(Phase),
            Sheet = Any(Sheet),
            Only = Any(Only),
            Sort = Sort,
        };
        Found = query.Of(Today.Plants, Today.Places);
        Number = Math.Clamp(Number, 1, Pages);
    }

    IActionResult Answer(Said said)
    {
        if (IsHtmx)
            return Partial("_Said", said);
        TempData["Said"] = said.Words;
        TempData["Undo"] = said.CanUndo;
        return Redirect("/bench");
    }

    static string? Any(string? chosen) => string.IsNullOrEmpty(chosen) ? null : chosen;
}
