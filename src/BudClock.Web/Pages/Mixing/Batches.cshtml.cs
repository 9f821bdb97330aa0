using BudClock.Core.Mixing;
using BudClock.Web.Drawing;

namespace BudClock.Web.Pages.Mixing;

/// <summary>Every batch: what was meant, what was measured, who got it.</summary>
public sealed class BatchesModel(TodaysGarden todaysGarden, Logbook logbook) : MixingPage(todaysGarden, logbook)
{
    Dictionary<string, int>? given;

    public IEnumerable<Batch> Batches => Shelf.Batches.Reverse();

    public BatchHistory? History => BatchHistory.Of(Shelf.Batches);

    /// <summary>How many plants got a batch.</summary>
    public int Given(Batch batch) => (given ??= Count()).GetValueOrDefault(batch.Code);

    /// <summary>What was found of a batch, and when it was thrown away.</summary>
    public string CameOf(Batch batch) =>
        string.Join(
            "; ",
            new[] { batch.Found, batch.ThrownAway is { } thrown ? $"thrown away {Dates.Near(thrown, Today.Day)}" : null }.OfType<string>()
        );

    Dictionary<string, int> Count() =>
        Today
            .Plants.SelectMany(plant => plant.Plant.Entries.Where(e => e.Mix is not null && !e.Struck).Select(e => e.Mix!).Distinct())
            .CountBy(code => code)
            .ToDictionary();

    public void OnGet() { }
}
