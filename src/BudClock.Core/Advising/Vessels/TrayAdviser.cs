using System.Globalization;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Vessels;

/// <summary>Rule W6: a plant that stands in a tray of mineral-poor water. Refill when the tray is dry, before the medium is.</summary>
/// <remarks>
/// Common practice: 2.5 to 5 cm of water (2.5 for butterworts), below 100 ppm dissolved solids; flushed from the top every two months.
/// </remarks>
public sealed class TrayAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W6";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (!now.InGrowth)
            yield break;
        if (Flush(now) is { } flush)
            yield return flush;
        // A shared tray has one advice for all that stand in it (rule W8).
        if (now.Around.Vessel?.Kind != Vessel.Tray)
            yield return Fill(now, now.Levels);
    }

    /// <summary>Whether the tray is to be filled, by the plant's own medium and the levels of its tray.</summary>
    public static Advice Fill(Situation now, Levels levels)
    {
        var (depth, tds) = (now.Limits<TrayLimits>().Depth, now.Limits<TrayLimits>().Tds);
        var fill = string.Create(CultureInfo.InvariantCulture, $"refill to {depth:0.#} cm with water below {tds:0} ppm");
        if (
            now.Wetness is { IsDry: true, Felt: { } dry }
            && !(levels.Level is { Cm: > Levels.EmptyCm } seen && seen.On > dry.On)
            && !(levels.Filled?.On > dry.On)
        )
            return Say(
                now,
                Verdict.Do,
                Ground.Sign,
                $"The medium was dry {Dates.Ago(dry.On, now.Today)}",
                $"{fill} now",
                Condition.Sign("medium dry", dry.On)
            );
        if (levels.Low is { } low)
            return Say(
                now,
                Verdict.Do,
                Ground.Sign,
                $"The tray was {(low.Cm <= 0 ? "empty" : $"down to {low.Words}")} {Dates.Ago(low.On, now.Today)}",
                fill,
                Condition.Sign("tray empty", low.On)
            );
        if ((levels.Level?.On ?? levels.Filled?.On) is not { } day)
            return Say(
                now,
                Verdict.Look,
                Ground.Interval,
                "No level of its tray is on record",
                $"look, and {fill}",
                new("water in the tray", null, new(0), "cm", false, null)
            );
        var empty = levels.AsksOn ?? day.AddDays(now.Limits<TrayLimits>().Every);
        var left = levels.Level is { } level
            ? new("water in the tray", new(level.Cm), new(depth), "cm", level.Cm >= depth, level.On)
            : Condition.Known("tray filled", null, null, day);
        return empty <= now.Today
            ? Say(now, Verdict.Look, Ground.Interval, "At its rate the tray is empty by now", $"look, and {fill}", left) with
            {
                // It arose as the tray ran out, not when somebody last saw water in it.
                Since = empty,
            }
            : new(
                Topics.Water,
                "W6",
                Care.FillTray,
                Verdict.Hold,
                empty,
                $"The tray {levels.LastKnown!.Value.Words} {Dates.Ago(day, now.Today)}; empty about {Dates.Short(empty)}.",
                [left]
            )
            {
                Ground = Ground.Interval,
                Until = empty,
            };
    }

    /// <summary>
    /// Salts stay behind where water only leaves by the leaves; without a flush on record it counts from arrival or repot.
    /// </summary>
    static Advice? Flush(Situation now)
    {
        if (now.Limits<TrayLimits>().Flush is not (> 0 and var every) || now.Roots.Dead)
            return null;
        var rinsed = Flushes.Last(now);
        var last = rinsed?.On ?? now.Arrival?.Arrived;
        if (last is not { } since)
            return null;
        var days = now.Today.DayNumber - since.DayNumber;
        var what = rinsed is not null && rinsed.Kind != EntryKinds.Repotted ? "Flushed" : "Not flushed since";
        return days < every
            ? null
            : new(
                Topics.Water,
                "W6",
                Care.Flush,
                Verdict.Look,
                now.Today,
                $"{what} {Dates.Near(since, now.Today)}: flush it from the top with pure water, against salts and for air at the roots.",
                [new("days since the last flush", new(days), new(every), "days", true, since)]
            )
            {
                Ground = Ground.Interval,
            };
    }

    static Advice Say(Situation now, Verdict verdict, Ground ground, string because, string then, Condition condition) =>
        new(Topics.Water, "W6", Care.FillTray, verdict, now.Today, $"{because}: {then}.", [condition])
        {
            Ground = ground,
            Because = because,
        };
}
