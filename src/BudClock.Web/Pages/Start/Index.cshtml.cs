using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Files;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace BudClock.Web.Pages.Start;

/// <summary>A new garden: its name and its place on earth, then its plants; or one that is taken up from its file.</summary>
[RequestSizeLimit(SentFile.Largest)]
[RequestFormLimits(MultipartBodyLengthLimit = SentFile.Largest)]
public sealed class IndexModel(TodaysGarden todaysGarden, Logbook logbook, ImportDesk desk) : PageModel
{
    const int FaultsShown = 20;

    [BindProperty]
    public GardenForm Form { get; set; } = new();

    /// <summary>Nothing was typed yet: the browser may propose its time zone.</summary>
    public bool Fresh { get; private set; }

    /// <summary>Why a file could not be taken up.</summary>
    public IReadOnlyList<string> Faults { get; private set; } = [];

    public async Task<IActionResult> OnGetAsync()
    {
        if (await todaysGarden.TodayAsync() is not null)
            return Redirect("/");
        Fresh = true;
        var tongue = Request.GetTypedHeaders().AcceptLanguage.FirstOrDefault()?.Value.Value;
        Form = new() { TimeZone = TimeZoneInfo.Local.Id, OfferUs = string.Equals(tongue, "en-US", StringComparison.OrdinalIgnoreCase) };
        return Page();
    }

    public async Task<IActionResult> OnPostPositionAsync()
    {
        if (await todaysGarden.TodayAsync() is not null)
            return Redirect("/");
        if (Form.Read(ModelState) is not { } garden)
            return Page();
        var begun = Changes.All(Changes.Garden(garden), Changes.Place(new("bench", "Bench")));
        await logbook.BeginAsync($"The garden {garden.Name} begun", begun);
        return Redirect("/plants/new?place=bench");
    }

    /// <summary>A garden from its file, whole: its name, its places, its plants with their logs, its pictures.</summary>
    public async Task<IActionResult> OnPostFileAsync(IFormFile? file, CancellationToken cancel)
    {
        if (await todaysGarden.TodayAsync() is not null)
            return Redirect("/");
        ModelState.Clear();
        Form = new() { TimeZone = TimeZoneInfo.Local.Id };
        var (id, faults) = file is null
            ? (null, [new FileFault("file", "choose a garden file first")])
            : await desk.ReadAsync(file.OpenReadStream(), file.Length, cancel);
        if (id is null || desk.Find(id.Value) is not { } sent)
        {
            Faults = [.. faults.Take(FaultsShown).Select(fault => fault.ToString())];
            return Page();
        }
        var (outcome, _) = await desk.TakeAsync(id.Value, sent, ImportWay.Replace, gardenToo: true, null);
        if (outcome.Done)
            return Redirect("/");
        Faults = [outcome.Trouble!];
        return Page();
    }
}
