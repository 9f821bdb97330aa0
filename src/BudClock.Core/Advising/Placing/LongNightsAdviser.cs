using System.Globalization;
using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Programmes;

namespace BudClock.Core.Advising.Placing;

/// <summary>
/// Rule B6: plants that set buds in long nights want them dark from end to end; a lamp at its place that breaks them is named, with the
/// hours that are left.
/// </summary>
/// <remarks>Asked from the day on which nights are long enough until buds show. Without a latitude it says what is missing (V8).</remarks>
public sealed class LongNightsAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "B6";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        var dark = now.Limits<LongNightsLimits>().Dark;
        if (
            now.Around.Place is not { LampHours: > 0 and var burn } place
            || now.Open(LaneKind.Spike)
            || now.Open(LaneKind.Bloom)
            || BudsSet(now)
            || now.Programme is { Rules.Measure: LongNights } // which says it itself
        )
            yield break;
        if (!now.Daylight.Tells)
            yield return Say(
                now,
                $"Lamps burn here for {Hours(burn)}, and it sets buds in long nights. The garden's latitude is not known, so whether "
                    + "nights are long now cannot be told: enter it under Garden.",
                new("latitude", null, new("known"), null, false, null)
            );
        else if (24 - now.Daylight.Hours < dark || now.Daylight.Falling != true)
            yield break;
        else if (place.LampsFrom is not { } from)
            yield return Say(
                now,
                $"Nights are long enough now to set buds, if they are dark from end to end. Lamps burn here for {Hours(burn)}: when "
                    + "do they come on? Set it on the place's page.",
                new("unbroken dark", null, new(dark), "h", false, null)
            );
        else if (Darkness.UnbrokenHours(now.Around.Days, now.Today, [(from, burn)]) is var left && left < dark)
            yield return Say(
                now,
                $"Lamps from {from:HH:mm} leave {Hours(left)} of unbroken dark, and it sets buds in {Hours(dark)} and more for some "
                    + "weeks: let them burn within the day, or move it to an unlit place.",
                new("unbroken dark", new(Math.Round(left, 1)), new(dark), "h", false, now.Today)
            );
    }

    /// <summary>Buds of this season are on record, open or not.</summary>
    static bool BudsSet(Situation now) =>
        now.Journal.Last(EntryKinds.Buds, EntryKinds.SpikeStarted) is { } buds && buds.On > now.Today.AddMonths(-3);

    Advice Say(Situation now, string reason, Condition condition) =>
        new(Topics.Trigger, Rule, Care.Trigger, Verdict.Look, now.Today, reason, [condition]) { Ground = Ground.Interval };

    static string Hours(double hours) => string.Create(CultureInfo.InvariantCulture, $"{hours:0.#} h");
}

/// <summary>Rule B6: long nights that set buds.</summary>
[Rule("B6", "long nights that set buds")]
public sealed record LongNightsLimits([Limit("hours", 8, 16, "how long its nights have to be")] double Dark);
