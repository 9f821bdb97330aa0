using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rule F2: the end of the newcomer's 28 days is a task; the bottle it then goes to is that of its stage.</summary>
public sealed class NewcomerEndAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "F2";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Arrival is not { IsNewcomer: false } arrival || now.Today >= arrival.Until.AddDays(now.Limits<NewcomerLimits>().Said))
            yield break;
        if (!now.InGrowth || now.Sheet.Is(Traits.Carnivore) || now.Sheet.Is(Traits.Forced))
            yield break;
        if (now.Journal.Of(EntryKinds.Fed, EntryKinds.RecipeSet).Any(e => e.On >= arrival.Arrived))
            yield break;
        var because = $"Its newcomer's weeks ended {Dates.Ago(arrival.Until, now.Today)}";
        var bottle = BottleChoice.Of(now);
        yield return new(
            Topics.Feed,
            Rule,
            Care.Feed,
            Verdict.Look,
            arrival.Until,
            $"{because}: if it has settled, feed may begin, lightly, from the {bottle.Bottle} bottle ({bottle.Why}).",
            [Condition.AtLeast("days here", new(arrival.Day, arrival.Arrived), arrival.Days, "days")]
        )
        {
            Because = because,
            Bottle = bottle.Bottle,
        };
    }
}
