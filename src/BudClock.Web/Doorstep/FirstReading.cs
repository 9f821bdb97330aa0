using BudClock.Web.Outside;

namespace BudClock.Web.Doorstep;

/// <summary>Reads a large garden while the grower's browser still opens.</summary>
sealed class FirstReading(TodaysGarden garden) : Unending("The first reading")
{
    /// <inheritdoc/>
    protected override TimeSpan QuietStart => TimeSpan.Zero;

    /// <inheritdoc/>
    protected override string Unforeseen(Exception fault) => "The garden could not be read yet.";

    /// <inheritdoc/>
    protected override async Task<TimeSpan> TurnAsync(CancellationToken stop)
    {
        await garden.TodayAsync();
        return Timeout.InfiniteTimeSpan;
    }
}
