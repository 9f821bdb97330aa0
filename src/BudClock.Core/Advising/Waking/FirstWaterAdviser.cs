using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Waking;

/// <summary>Rule W2: how the first water goes on. A soak is complete in itself; a sip is followed by full amounts.</summary>
/// <remarks>Common practice: a little at first, full amounts 7 to 14 days later.</remarks>
public sealed class FirstWaterAdviser : IAdviser
{
    public string Rule => "W2";

    public IReadOnlyList<string> Thresholds => ["full-from", "full-to"];

    public Advice? Advise(Situation now)
    {
        if (now.Season.FirstWater is not { } sip || sip.Kind != EntryKinds.Watered) return null;
        var way = FirstWater.WayFor(now);
        if (way.Chosen.Name != FirstWater.Sip || FullSince(now, sip)) return null;

        var from = sip.On.AddDays((int)now.Needs(Rule, "full-from"));
        var to = sip.On.AddDays((int)now.Needs(Rule, "full-to"));
        var days = Condition.AtLeast("days since the first sip", new(now.Today.DayNumber - sip.On.DayNumber, sip.On), now.Needs(Rule, "full-from"), "days");
        var (verdict, reason) = now.Today < from
            ? (Verdict.Hold, $"First sip {Dates.Ago(sip.On, now.Today)}: full amounts from {Dates.Short(from)}.")
            : (Verdict.Do, $"First sip {Dates.Ago(sip.On, now.Today)}: full amounts now ({Dates.Range(from, to)}).");
        return new(Topics.Water, Rule, verdict, from, reason, [days])
        {
            School = FirstWater.Sip,
            Until = to,
            Others = [.. way.Others.Select(other => new OtherSchool(other.Name, "Would have given the full amount at once.", other.Risks))],
        };
    }

    /// <summary>A soak, or a second watering, is the full amount.</summary>
    static bool FullSince(Situation now, Entry sip) =>
        now.Journal.Waterings.Any(e => e.On >= sip.On && e.Id != sip.Id);
}
