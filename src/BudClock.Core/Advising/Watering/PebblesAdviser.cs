using System.Globalization;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>
/// Rule W16: bulbs over pebbles: water just below the base of the bulb, never touching it; in a pot, when the medium is dry.
/// </summary>
public sealed class PebblesAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W16";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (
            now.Rest is not null
            || now.Journal.Last(EntryKinds.Planted, EntryKinds.LeavesGone) is not { } last
            || last.Kind != EntryKinds.Planted
        )
            yield break;
        if (!now.StandsIn.Has("pebbles"))
        {
            yield return new WaterAsked(Rule, "water; a flat hand fits between medium and rim", "feel the medium").Judge(now);
            yield break;
        }
        var gap = string.Create(
            CultureInfo.InvariantCulture,
            $"fill to {now.Limits<PebblesLimits>().Gap:0.#} cm below the base of the bulb, never touching it"
        );
        if (
            now.Journal.Last(EntryKinds.Reservoir) is { Text: "empty" } empty
            && !now.Journal.Waterings.Any(water => PlantJournal.IsAfter(water, empty))
        )
        {
            var because = $"Empty {Dates.Ago(empty.On, now.Today)}";
            yield return new(
                Topics.Water,
                Rule,
                Care.TopUp,
                Verdict.Do,
                now.Today,
                $"{because}: {gap}.",
                [Condition.Sign("water gone", empty.On)]
            )
            {
                Because = because,
            };
            yield break;
        }
        yield return new WaterAsked(Rule, gap, "look at the water below the bulb")
        {
            Care = Care.TopUp,
            Every = now.Limits<PebblesLimits>().Every,
        }.Judge(now);
    }
}
