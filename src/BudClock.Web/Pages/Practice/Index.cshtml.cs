using BudClock.Practice;
using BudClock.Web.Stepping;
using Microsoft.AspNetCore.Mvc;

namespace BudClock.Web.Pages.Practice;

/// <summary>Set situations to practise, and what has come of the stepped garden so far.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden, SteppingDesk desk) : GardenPage(todaysGarden)
{
    public bool CanStep => desk.CanStep;

    /// <summary>A practice is open, and the lighthouse waits.</summary>
    public bool Away => desk.Away;
    public SteppedState? State { get; private set; }

    public async Task OnGetAsync() => State = await desk.StateAsync();

    public async Task<IActionResult> OnPostAsync(string name, CancellationToken cancel)
    {
        if (!desk.CanStep || PracticeSituations.Named(name) is not { } situation)
            return NotFound();
        await desk.BeginAsync(situation, cancel);
        return Redirect("/");
    }

    /// <summary>The lighthouse as it was at first, beside the one that is here.</summary>
    public async Task<IActionResult> OnPostDemoAsync(CancellationToken cancel)
    {
        if (!desk.CanStep)
            return NotFound();
        await desk.BeginAsync(null, cancel);
        return Redirect("/");
    }

    /// <summary>Back to the lighthouse as it was left.</summary>
    public async Task<IActionResult> OnPostHomeAsync()
    {
        if (!desk.CanStep)
            return NotFound();
        await desk.HomeAsync();
        return Redirect("/");
    }
}
