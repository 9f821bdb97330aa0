using BudClock.Core.Feeding;

namespace BudClock.Web.Pages.Mixing;

/// <summary>The salt watch: flushes due, run-off as measured, feeds since the last flush.</summary>
public sealed class SaltsModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    public IReadOnlyList<SaltWatch> Rows => SaltWatch.Of(Today.Plants);

    public void OnGet() { }
}
