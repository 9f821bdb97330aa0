using BudClock.Core.Mixing;
using BudClock.Data;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Mixing;

/// <summary>What the grower measures with, and how bottles are filled.</summary>
public sealed class ToolsModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    [BindProperty]
    public string? Scale { get; set; }

    [BindProperty]
    public string? Spoon { get; set; }

    [BindProperty]
    public string? Syringe { get; set; }

    [BindProperty]
    public string? Bottle { get; set; }

    [BindProperty]
    public string? Reserve { get; set; }

    [BindProperty]
    public string? Meter { get; set; }

    public void OnGet()
    {
        var tools = Shelf.Tools;
        (Scale, Spoon, Syringe, Bottle, Reserve, Meter) = (
            Shown(tools.ScaleGrams),
            tools.SpoonTsp == 0.125 ? "1/8" : Shown(tools.SpoonTsp),
            Shown(tools.SyringeMl),
            Volumes.Typed(tools.BottleLitres, Today.Garden.UsUnits),
            Shown(tools.ReservePercent),
            Shown(tools.MeterScale)
        );
    }

    public async Task<IActionResult> OnPostAsync()
    {
        var tools = new Tools
        {
            ScaleGrams = Number(Scale, 0.001, 100, "What the scale tells apart"),
            SpoonTsp = Number(Spoon, 0.01, 3, "The smallest spoon"),
            SyringeMl = Number(Syringe, 0.01, 100, "The syringe's marks"),
            BottleLitres = Litres(Bottle),
            ReservePercent = Number(Reserve, 0, 200, "The spare"),
            MeterScale = Number(Meter, 500, 700, "The meter's scale"),
        };
        if (Faults.Count == 0 && tools.Fault() is { } fault)
            Faults.Add(fault);
        if (Faults.Count > 0)
            return Page();
        return await SaveAsync("What is measured with", Changes.Tools(tools));
    }
}
