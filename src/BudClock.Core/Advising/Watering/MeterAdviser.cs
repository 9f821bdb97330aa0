using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rule W14: a moisture meter only asks for a finger; in semi-hydro its number says nothing.</summary>
public sealed class MeterAdviser : IAdviser
{
    const int SaysForDays = 2;

    public string Rule => "W14";

    public IReadOnlyList<string> Thresholds => [];

    public Advice? Advise(Situation now)
    {
        if (!now.InGrowth || now.Sheet.Rule("W9") is not null || now.Journal.Last(EntryKinds.Meter) is not { } meter || meter.On <= now.Today.AddDays(-SaysForDays)) return null;
        if (now.Journal.Of(EntryKinds.Medium, EntryKinds.Watered, EntryKinds.Soaked).Any(e => e.On >= meter.On)) return null;
        return new(Topics.Water, Rule, Verdict.Look, now.Today, $"The meter read {meter.Amount} {Dates.Ago(meter.On, now.Today)}: feel with a finger before you believe it.", [Condition.Known("meter", new(meter.Amount!.Value.Value), null, meter.On)]) { Ground = Ground.Interval, LoggedAs = EntryKinds.Medium };
    }
}
