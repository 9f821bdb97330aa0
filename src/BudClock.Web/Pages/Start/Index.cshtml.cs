using BudClock.Data;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace BudClock.Web.Pages.Start;

/// <summary>A new garden in three steps: its name, its place on earth, its first plant.</summary>
/// <remarks>Nothing is kept before the second step is done; the third is the usual form for a plant.</remarks>
public sealed class IndexModel(TodaysGarden glasshouse, Logbook logbook) : PageModel
{
    [BindProperty]
    public GardenForm Form { get; set; } = new();

    public int Step { get; private set; } = 1;

    public async Task<IActionResult> OnGetAsync()
    {
        if (await glasshouse.TodayAsync() is not null)
            return Redirect("/");
        Form = new() { TimeZone = TimeZoneInfo.Local.Id };
        return Page();
    }

    public IActionResult OnPostName()
    {
        if (Form.ReadName(ModelState) is not null)
            Step = 2;
        return Page();
    }

    public async Task<IActionResult> OnPostPositionAsync()
    {
        if (await glasshouse.TodayAsync() is not null)
            return Redirect("/");
        if (Form.Read(ModelState) is not { } garden)
        {
            Step = Form.ReadName(ModelState) is null ? 1 : 2;
            return Page();
        }
        var begun = Changes.All(Changes.Garden(garden), Changes.Place(new("bench", "Bench")));
        await logbook.BeginAsync($"The garden {garden.Name} begun", begun);
        return Redirect("/plants/new?place=bench");
    }
}
