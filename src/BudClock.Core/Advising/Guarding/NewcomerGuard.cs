using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule F2: plain water and no feed for the newcomer's 28 days.</summary>
public sealed class NewcomerGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "F2";

    /// <inheritdoc/>
    public string Name => "newcomer";

    /// <inheritdoc/>
    public Effects Before => Effects.Feeds;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        now.Arrival is { IsNewcomer: true } arrival
            ? new(
                Verdict.Hold,
                $"newcomer, day {arrival.Day} of {arrival.Days}",
                $"plain water and no feed until {Dates.Short(arrival.Until)}.",
                Condition.AtLeast("days here", new(arrival.Day, arrival.Arrived), arrival.Days, "days")
            )
            {
                Until = arrival.Until,
            }
            : null;
}
