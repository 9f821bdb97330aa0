using BudClock.Web.Stepping;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Practice;

/// <summary>Steps the clock of the demo or of a practice garden, and goes back to the page it was pressed on.</summary>
public sealed class StepModel(TodaysGarden todaysGarden, SteppingDesk desk) : GardenPage(todaysGarden)
{
    const int Week = 7;

    public IActionResult OnGet() => Redirect("/practice");

    public async Task<IActionResult> OnPostAsync(string? step, string? returnUrl, CancellationToken cancel)
    {
        if (!desk.CanStep)
            return NotFound();
        var turned = await desk.StepAsync(
            step switch
            {
                "week" => Week,
                "turn" => SteppingDesk.FurthestTurn,
                _ => 1,
            },
            toTurn: step == "turn",
            cancel
        );
        if ((await desk.StateAsync())?.End is not null)
            return Redirect("/practice/end");
        if (step == "turn")
            TempData["Said"] =
                turned.Count == 0 ? $"Nothing turned in {SteppingDesk.FurthestTurn} days." : string.Join(". ", turned.Take(3)) + ".";
        return Back(returnUrl);
    }
}
