using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Waking;

/// <summary>Rule W2: how the first water goes on. A soak is complete in itself; a sip is followed by full amounts.</summary>
/// <remarks>Common practice: a little at first, full amounts 7 to 14 days later. The days ask; a dry medium orders.</remarks>
public sealed class FirstWaterAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W2";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.DryRest.FirstWater is not { } sip || sip.Kind != EntryKinds.Watered)
            yield break;
        var way = FirstWater.WayFor(now);
        if (way.Chosen.Name != FirstWater.Sip || now.Journal.Waterings.Any(e => e.On >= sip.On && e.Id != sip.Id))
            yield break;

        var from = sip.On.AddDays(now.Limits<FirstWaterLimits>().FullFrom);
        var to = sip.On.AddDays(now.Limits<FirstWaterLimits>().FullTo);
        var days = Condition.AtLeast(
            "days since the first sip",
            new(now.Today.DayNumber - sip.On.DayNumber, sip.On),
            now.Limits<FirstWaterLimits>().FullFrom,
            "days"
        );
        var because = $"First sip {Dates.Ago(sip.On, now.Today)}";
        var (verdict, reason) =
            now.Today < from ? (Verdict.Hold, $"full amounts from {Dates.Short(from)}.")
            : now.Wetness.IsDry ? (Verdict.Do, $"dry again, so full amounts now ({Dates.Range(from, to)}).")
            : (Verdict.Look, $"full amounts now ({Dates.Range(from, to)}), where the medium has dried.");
        yield return new(Topics.Water, Rule, Care.GiveWater, verdict, from, $"{because}: {reason}", [days])
        {
            Because = because,
            School = FirstWater.Sip,
            Until = to,
            Others = [.. way.Others.Select(other => new OtherSchool(other.Name, "Would have given the full amount at once.", other.Risks))],
        };
    }
}

/// <summary>Rule W2: from the first sip to full water.</summary>
[Rule("W2", "from the first sip to full water")]
public sealed record FirstWaterLimits(
    [Limit("days", 1, 30, "at the least")] int FullFrom,
    [Limit("days", 1, 60, "at the most")] int FullTo
);
