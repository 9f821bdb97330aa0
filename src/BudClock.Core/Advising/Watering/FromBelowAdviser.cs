using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rule W5: rosette gesneriads drink from below; droop is the sign, and too much water the commonest death.</summary>
/// <remarks>Common practice: stand in water about 30 minutes, then drain; every 5 days in high summer, weekly in winter.</remarks>
public sealed class FromBelowAdviser : IAdviser
{
    const double LongDayHours = 14;

    public string Rule => "W5";

    public IReadOnlyList<string> Thresholds => ["every-summer", "every-winter", "stand"];

    public Advice? Advise(Situation now)
    {
        if (!now.InGrowth) return null;
        var every = now.Needs(Rule, now.Around.DayHours(now.Today) >= LongDayHours ? "every-summer" : "every-winter");
        return new WaterAsked(Rule, every, every, "stand it in water, then let it drain", "lift the pot: light means thirst, heavy with limp leaves means roots")
        { Amount = $"{now.Needs(Rule, "stand"):0} minutes", Signs = [(EntryKinds.Medium, "dry"), (EntryKinds.Leaves, "limp")] }.Judge(now);
    }
}
