using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>
/// Rule W11: water standing in a cover pot without drainage is an alarm until it is tipped out, or watered since. Tipping out is no
/// watering.
/// </summary>
public sealed class CoverPotAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W11";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        // A cover pot that several share has one advice for all (rule W8).
        if (now.Around.Vessel is not null || Evidence.Vessels.StandingInCoverPot(now) is not { } level)
            yield break;
        yield return new(
            Topics.Tray,
            Rule,
            Care.TakeWaterAway,
            Verdict.Do,
            now.Today,
            $"Water stood in the cover pot {Dates.Ago(level.On, now.Today)}: tip it out, let the pot drain, put it back dry.",
            [Condition.Sign("water in the cover pot", level.On)]
        )
        {
            Ground = Ground.Emergency,
        };
    }
}
