using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rule W14: a moisture meter only asks for a finger; over a reservoir and in inert medium its number says nothing.</summary>
public sealed class MeterAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W14";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (
            now.Resting
            || now.Journal.Last(EntryKinds.Meter) is not { Amount: { } read } meter
            || meter.On <= now.Today.AddDays(-now.Ages.Meter)
        )
            yield break;
        var known = Condition.Known("meter", new(read.Value), null, meter.On);
        if (now.Levels.OverWater)
        {
            yield return new(
                Topics.Measure,
                Rule,
                Care.LeaveAlone,
                Verdict.Hold,
                null,
                $"The meter read {read} {Dates.Ago(meter.On, now.Today)}: ignored, since in inert or standing-wet medium its number says "
                    + $"nothing. The level counts.",
                [known]
            )
            {
                Ground = Ground.Date,
            };
            yield break;
        }
        if (
            now.DryRest.Waking
            || now.Journal.Of(EntryKinds.Medium, EntryKinds.Watered, EntryKinds.Soaked).Any(e => PlantJournal.IsAfter(e, meter))
        )
            yield break;
        yield return new(
            Topics.Water,
            Rule,
            Care.GiveWater,
            Verdict.Look,
            now.Today,
            $"The meter read {read} {Dates.Ago(meter.On, now.Today)}: feel with a finger before you believe it.",
            [known]
        )
        {
            Ground = Ground.Interval,
            LoggedAs = EntryKinds.Medium,
        };
    }
}
