using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rule V9: a kind without a sheet still gets what holds for any plant, and is told once that its culture is not known.</summary>
public sealed class UnknownKindAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "V9";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Sheet.Name != CultureSheets.General)
            yield break;
        yield return new(
            Topics.GrowthCheck,
            Rule,
            Care.LeaveAlone,
            Verdict.Hold,
            null,
            $"There is no culture sheet for {now.Plant.Genus ?? "this plant"}: what is dangerous for any plant is watched. Choose a "
                + $"sheet that is near to it under Edit.",
            [Condition.Known("culture sheet", null, null, null)]
        )
        {
            Ground = Ground.Date,
        };
        if (now.DrinksFromAbove)
            yield return new WaterAsked(Rule, "water until it runs through, and let it drain", "feel the medium")
            {
                DryOnlyAsks = true,
            }.Judge(now);
    }
}
