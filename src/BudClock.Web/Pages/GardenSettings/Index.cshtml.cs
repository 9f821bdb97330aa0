using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.GardenSettings;

/// <summary>The garden itself, and its file out and in.</summary>
public sealed class IndexModel(Glasshouse glasshouse, GardenStore store, GardenImport import) : GardenPage(glasshouse)
{
    const int FaultsShown = 50;

    [BindProperty]
    public GardenForm Form { get; set; } = new();

    public IReadOnlyList<string> Faults { get; private set; } = [];

    public string? Done { get; private set; }

    public void OnGet() => Form = GardenForm.Of(Today.Garden);

    public async Task<IActionResult> OnPostAsync()
    {
        if (Form.Read(ModelState) is not { } garden) return Page();
        await store.SaveGardenAsync(garden);
        Glasshouse.Forget();
        Done = "Saved.";
        return Page();
    }

    /// <summary>Takes a garden file in: whole, or not at all with every fault listed.</summary>
    public async Task<IActionResult> OnPostImportAsync(IFormFile? file)
    {
        Form = GardenForm.Of(Today.Garden);
        ModelState.Clear();
        if (file is null)
        {
            Faults = ["Choose a garden file first."];
            return Page();
        }
        using var text = new StreamReader(file.OpenReadStream());
        var read = GardenFileReader.Read(await text.ReadToEndAsync(), CultureSheets.Shipped, latest: Today.Day);
        if (read.Garden is not { } garden)
        {
            var more = read.Faults.Count - FaultsShown;
            Faults = [.. read.Faults.Take(FaultsShown).Select(fault => fault.ToString()), .. more > 0 ? [$"and {more} more"] : Array.Empty<string>()];
            return Page();
        }
        var added = await import.ImportAsync(garden);
        Glasshouse.Forget();
        Form = GardenForm.Of((await Glasshouse.TodayAsync())!.Garden);
        Done = $"Taken in: {added.Plants} new plants, {added.Entries} new entries, {added.Readings} new readings.";
        return Page();
    }
}
