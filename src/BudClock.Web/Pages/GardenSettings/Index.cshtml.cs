using System.Text;
using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Data;
using BudClock.Web.Pages.Plants;
using BudClock.Web.Photos;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.GardenSettings;

/// <summary>The garden itself, and its file out and in.</summary>
[RequestSizeLimit(LargestFile)]
[RequestFormLimits(MultipartBodyLengthLimit = LargestFile)]
public sealed class IndexModel(TodaysGarden glasshouse, GardenStore store, GardenImport import, PictureFolder pictures)
    : GardenPage(glasshouse)
{
    /// <summary>A garden with its pictures, in bytes.</summary>
    const long LargestFile = 1024L * 1024 * 1024;

    const int FaultsShown = 50;

    [BindProperty]
    public GardenForm Form { get; set; } = new();

    public IReadOnlyList<string> Faults { get; private set; } = [];

    public string? Done { get; private set; }

    public int PictureCount => pictures.All.Count;

    public void OnGet() => Form = GardenForm.Of(Today.Garden);

    public async Task<IActionResult> OnPostAsync()
    {
        if (Form.Read(ModelState) is not { } garden)
            return Page();
        await store.SaveGardenAsync(garden);
        TodaysGarden.Forget();
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
        var (garden, sent, faults) = await ReadAsync(file);
        if (garden is null)
        {
            var more = faults.Count - FaultsShown;
            Faults =
            [
                .. faults.Take(FaultsShown).Select(fault => fault.ToString()),
                .. more > 0 ? [$"and {more} more"] : Array.Empty<string>(),
            ];
            return Page();
        }
        // Pictures first: an entry never names a file that is still on its way.
        foreach (var (name, picture) in sent.Where(picture => pictures.Find(picture.Key) is null))
            await pictures.SaveAsync(name, picture.Full, picture.Small);
        var added = await import.ImportAsync(garden);
        TodaysGarden.Forget();
        Form = GardenForm.Of((await TodaysGarden.TodayAsync())!.Garden);
        Done = $"Taken in: {added.Plants} new plants, {added.Entries} new entries, {added.Readings} new readings.";
        return Page();
    }

    async Task<(GardenRecord? Garden, Dictionary<string, ReadyPicture> Pictures, IReadOnlyList<FileFault> Faults)> ReadAsync(IFormFile file)
    {
        var content = await PlantModel.ReadAsync(file);
        if (GardenZip.IsZip(content))
            return await GardenZip.ReadAsync(new MemoryStream(content), Today.Day);
        var read = GardenFileReader.Read(Encoding.UTF8.GetString(content).TrimStart('\uFEFF'), CultureSheets.Shipped, latest: Today.Day);
        return (read.Garden, [], read.Faults);
    }
}
