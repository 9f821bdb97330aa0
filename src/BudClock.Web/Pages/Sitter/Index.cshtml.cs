using BudClock.Core.Round;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Sitter;

/// <summary>A round sheet to print for a plant-sitter: boxes to tick, and only what is safe to leave to a stranger.</summary>
public sealed class IndexModel(TodaysGarden glasshouse) : GardenPage(glasshouse)
{
    const int MostDays = 28;

    [BindProperty(SupportsGet = true)]
    public int Days { get; set; } = 7;

    public SitterSheet Sheet { get; private set; } = null!;

    public void OnGet()
    {
        Days = Math.Clamp(Days, 1, MostDays);
        Sheet = SitterSheet.Of(Today.Plants, Today.Places, Today.SharedVessels, Today.Day, Days);
    }
}
