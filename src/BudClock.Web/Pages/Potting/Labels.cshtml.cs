using BudClock.Web.Drawing;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Potting;

/// <summary>Tags to print: as a page of true size, or as a PDF.</summary>
public sealed class LabelsModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    /// <summary>So many labels are shown and printed at once.</summary>
    const int Most = 500;

    /// <summary>Plants to print; a place's, or all, where none is chosen.</summary>
    [BindProperty(SupportsGet = true)]
    public string[] Tags { get; set; } = [];

    [BindProperty(SupportsGet = true)]
    public string? Place { get; set; }

    [BindProperty(SupportsGet = true)]
    public string? Sheet { get; set; }

    /// <summary>Leaves so many labels free, where a sheet was begun.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Skip { get; set; }

    public LabelSheet On => LabelSheet.Find(Sheet);

    public IEnumerable<Plant> Plants => (
            Tags.Length > 0 ? Tags.Select(Today.Find).Where(plant => plant is not null).Select(plant => plant!)
            : string.IsNullOrEmpty(Place) ? []
            : Today.Plants.Where(plant => !plant.Gone && plant.Plant.Place == Place)
        ).Select(plant => plant.Plant).Take(Most);

    public IEnumerable<LabelWords> Labels => Plants.Select(Words);

    int Free => int.TryParse(Skip, out var free) ? Math.Clamp(free, 0, On.OnPage - 1) : 0;

    /// <summary>The address of the PDF with what is chosen.</summary>
    public string PdfAddress => $"/labels{Request.QueryString.ToUriComponent()}{(Request.QueryString.HasValue ? "&" : "?")}handler=Pdf";

    public void OnGet() { }

    public FileContentResult OnGetPdf() =>
        File(LabelPdf.Of(On, [.. Enumerable.Repeat(Nothing, Free), .. Labels]), "application/pdf", "labels.pdf");

    static readonly LabelWords Nothing = new("", "", "", "");

    LabelWords Words(Plant plant)
    {
        var potted = plant.Entries.LastOrDefault(entry => entry is { Struck: false } && entry.Kind == EntryKinds.Repotted)?.On;
        var line = new[] { plant.Name is null ? null : plant.Taxon, potted is { } on ? $"potted {on:MMM yyyy}" : null };
        return new(
            plant.Tag,
            plant.Called,
            string.Join(" · ", line.Where(part => part is not null)),
            $"{Request.Scheme}://{Request.Host}/plants/{plant.Tag}"
        );
    }
}
