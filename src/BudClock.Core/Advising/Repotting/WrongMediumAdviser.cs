using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rule F2: a plant that came in a medium it must not stay in is repotted now, newcomer or not.</summary>
public sealed class WrongMediumAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "F2";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Arrival is not { WrongMedium: { } wrong } arrival || now.Rot is { Open: true })
            yield break;
        yield return new(
            Topics.Repot,
            Rule,
            Care.Repot,
            Verdict.Do,
            now.Today,
            $"It came {Dates.Ago(arrival.Arrived, now.Today)} in a medium it must not stay in ({wrong}): repot it now, newcomer or not. "
                + $"Wash the old medium off, look at the roots, and note a plug that has to stay.",
            [new("medium on arrival", new(wrong), new("one for its roots"), null, true, arrival.Found?.On ?? arrival.Arrived)]
        )
        {
            Ground = Ground.Emergency,
            Overrides = ["repot", "cold", "heat"],
        };
    }
}
