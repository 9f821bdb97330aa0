using BudClock.Core.Potting;

namespace BudClock.Web.Pages.Young;

/// <summary>Young batches: what is due to be looked at, and what worked here.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden, Logbook logbook) : YoungPage(todaysGarden, logbook)
{
    /// <summary>Those that go on, the next look first.</summary>
    public IEnumerable<(YoungBatch Batch, DateOnly Look)> Open =>
        Today
            .Shed.Batches.Where(batch => batch.Ended is null)
            .Select(batch => (batch, batch.NextLook(Method(batch), Today.Day)!.Value))
            .OrderBy(pair => pair.Value);

    public IEnumerable<YoungBatch> Ended => Today.Shed.Batches.Where(batch => batch.Ended is not null).Reverse();

    /// <summary>What took of each method, and how often a rescue by it did.</summary>
    public IEnumerable<(string Title, Success All, Success Rescued)> ByMethod =>
        Today
            .Shed.Batches.GroupBy(batch => batch.Method)
            .Select(same => (PottingTable.Shipped.Method(same.Key)!.Title, Success.In(same), Success.In(same.Where(batch => batch.Rescue))))
            .Where(row => row.Item2.Of > 0)
            .OrderByDescending(row => row.Item2.Of);

    public void OnGet() { }
}
