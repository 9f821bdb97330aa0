using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Files;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.GardenSettings;

/// <summary>The garden itself, and its file out and in.</summary>
[RequestSizeLimit(SentFile.Largest)]
[RequestFormLimits(MultipartBodyLengthLimit = SentFile.Largest)]
public sealed class IndexModel(TodaysGarden todaysGarden, GardenStore store, Logbook logbook, PictureFolder pictures, ImportDesk desk)
    : GardenPage(todaysGarden)
{
    const int FaultsShown = 50;
    const int ActsShown = 12;

    [BindProperty]
    public GardenForm Form { get; set; } = new();

    /// <summary>How a file that was read is to be taken in.</summary>
    [BindProperty]
    public ImportWay Way { get; set; } = ImportWay.Merge;

    /// <summary>The file's name, place on earth and units are taken over too.</summary>
    [BindProperty]
    public bool GardenToo { get; set; }

    /// <summary>Which file that was read it is.</summary>
    [BindProperty]
    public Guid? Sent { get; set; }

    public IReadOnlyList<string> Faults { get; private set; } = [];

    public string? Done { get; private set; }

    /// <summary>What taking in the file that was read would do; null while none was.</summary>
    public ImportPlan? Plan { get; private set; }

    /// <summary>What was written last, the newest first.</summary>
    public IReadOnlyList<ActDone> Acts { get; private set; } = [];

    public int PictureCount => pictures.All.Count;

    public async Task OnGetAsync()
    {
        Form = GardenForm.Of(Today.Garden);
        Acts = await store.ActsAsync(ActsShown);
    }

    public async Task<IActionResult> OnPostAsync()
    {
        Acts = await store.ActsAsync(ActsShown);
        if (Form.Read(ModelState, Today.Garden) is not { } garden)
            return Page();
        if (garden == Today.Garden)
        {
            Done = "Nothing was changed.";
            return Page();
        }
        var outcome = await logbook.WriteAsync(Act, $"The garden {garden.Name}", Changes.Garden(garden));
        (Done, Faults) = outcome.Done ? ("Saved.", Faults) : (null, [outcome.Trouble!]);
        return Page();
    }

    /// <summary>Reads a garden file and shows what it would do. Nothing is written yet.</summary>
    public async Task<IActionResult> OnPostImportAsync(IFormFile? file, CancellationToken cancel)
    {
        if (file is null)
            return await RefusedAsync([new("file", "choose a garden file first")]);
        var (sent, faults) = await desk.ReadAsync(file.OpenReadStream(), file.Length, cancel);
        if (sent is null)
            return await RefusedAsync(faults);
        Sent = sent;
        return await ShowAsync();
    }

    /// <summary>Shows it again for another way of taking it in.</summary>
    public Task<IActionResult> OnPostWayAsync() => ShowAsync();

    /// <summary>Takes the file in as it was shown, as one act.</summary>
    public async Task<IActionResult> OnPostTakeAsync()
    {
        if (Sent is not { } id || desk.Find(id) is not { } file)
            return await RefusedAsync([new("file", "was read too long ago; choose it again")]);
        var (outcome, plan) = await desk.TakeAsync(id, file, Way, GardenToo, Act);
        if (!outcome.Done)
            return await RefusedAsync([new("file", outcome.Trouble!)]);
        await OnGetAsync();
        ModelState.Clear();
        Form = GardenForm.Of((await TodaysGarden.TodayAsync())!.Garden);
        Done =
            $"Taken in: {plan.NewPlants.Count()} new plants, {plan.NewEntries} new entries, {plan.Readings.Count} new readings. "
            + "Undo takes it all back.";
        return Page();
    }

    async Task<IActionResult> ShowAsync()
    {
        await OnGetAsync();
        ModelState.Clear();
        if (Sent is not { } id || desk.Find(id) is not { } file)
            return await RefusedAsync([new("file", "was read too long ago; choose it again")]);
        Plan = await desk.PlanAsync(file, Way, GardenToo);
        return Page();
    }

    async Task<IActionResult> RefusedAsync(IReadOnlyList<FileFault> faults)
    {
        await OnGetAsync();
        ModelState.Clear();
        var more = faults.Count - FaultsShown;
        Faults =
        [
            .. faults.Take(FaultsShown).Select(fault => fault.ToString()),
            .. more > 0 ? [$"and {more} more"] : Array.Empty<string>(),
        ];
        return Page();
    }
}
