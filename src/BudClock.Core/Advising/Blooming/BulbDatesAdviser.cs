using System.Globalization;
using BudClock.Core.Climate;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Programmes;

namespace BudClock.Core.Advising.Blooming;

/// <summary>
/// Rules B2 and D10: when bulbs that are held back for a date are planted, what a late planting means, warm sills, and what becomes of a
/// spent bulb.
/// </summary>
/// <remarks>A date only says when to look: the bulb is felt before it is planted. Common practice: in bloom about 28 days after.</remarks>
public sealed class BulbDatesAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "B2";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rot is { Open: true } || now.Rest?.Feel is { Text: "soft" or "mouldy" })
            yield break;
        if (now is { HeldBack: true, Programme: { } run })
            yield return Planting(now, run.Order);
        else if (now.Rest is null && Spent(now) is { } spent)
            yield return spent;
        if (now.Rest is null && TooWarm(now) is { } warm)
            yield return warm;
    }

    Advice Planting(Situation now, ProgrammeOrder order)
    {
        var took = BulbInterval.Of(now);
        var planting = order.BloomOn?.AddDays(-(int)Math.Round(took.Likely));
        var last = now.Limits<ForcingLimits>().LastDay(planting ?? now.Today, now.Around.Garden.Southern);
        if ((planting ?? now.Today) > last)
            return Say(
                now,
                Verdict.Hold,
                null,
                $"After {Dates.Short(last)} days are too long and warm for another lot: leave it dry until autumn, or give it to the "
                    + $"garden.",
                new("last day of planting", new(Dates.Short(last)), null, null, true, now.Today)
            );
        if (order.BloomOn is not { } wanted)
            return Say(
                now,
                Verdict.Hold,
                null,
                $"Held back for a later lot{(order.EveryDays is { } every ? $", every {every} days" : "")}: no date is on record for "
                    + "this one. Name the day it is wanted for, and its planting day follows.",
                Condition.Known("programme", new(order.Text), null, order.Entry.On)
            );
        var plant = planting!.Value;
        var condition = new Condition(
            "planting day",
            new(Dates.Short(plant)),
            null,
            null,
            now.Today >= plant.AddDays(-now.Limits<ForcingLimits>().Leeway),
            now.Today
        );
        var span = Dates.Range(now.Today.AddDays((int)Math.Round(took.From)), now.Today.AddDays((int)Math.Round(took.To)));
        if (now.Today < plant.AddDays(-now.Limits<ForcingLimits>().Leeway))
            return Say(
                now,
                Verdict.Hold,
                plant,
                $"Wanted in bloom on {Dates.Near(wanted, now.Today)}, {took.Words}: plant it on {Dates.Near(plant, now.Today)}. "
                    + "Until then cool, dark and dry.",
                condition
            );
        if (now.Today > wanted.AddDays(-(int)Math.Round(took.From)))
            return Say(
                now,
                Verdict.Look,
                now.Today,
                $"Its planting day for {Dates.Short(wanted)} was {Dates.Short(plant)}. Planted today it would bloom about "
                    + $"{Dates.Short(now.Today.AddDays((int)Math.Round(took.Likely)))} ({span}): plant it for that, or keep it for "
                    + "another date.",
                condition
            );
        return Say(
            now,
            Verdict.Look,
            now.Today,
            $"Its planting day for {Dates.Short(wanted)} is here ({took.Words}): feel the bulbs, and where they are firm plant them: "
                + $"half the bulb out over pebbles, the tip showing in soil; water once, then a week dark at "
                + $"{Degrees.Of(now.Limits<ForcingLimits>().DarkC)}.",
            condition
        ) with
        {
            LoggedAs = EntryKinds.Planted,
            Since = now.Today >= plant ? plant : plant.AddDays(-now.Limits<ForcingLimits>().Leeway),
        };
    }

    Advice? Spent(Situation now) =>
        now.Lanes.LastOrDefault(lane => lane is { Kind: LaneKind.Bloom, To: not null }) is { To: { } over }
        && over > now.Today.AddDays(-now.Limits<ForcingLimits>().Spent)
        && !now.Open(LaneKind.Bloom)
        && !now.Open(LaneKind.Spike)
            ? Say(
                now,
                Verdict.Hold,
                null,
                $"Flowers over {Dates.Ago(over, now.Today)}. A forced bulb is not counted on again: discard it, or grow it on for "
                    + "its leaves, as you like; no feed either way.",
                Condition.Sign("flowers over", over)
            )
            : null;

    Advice? TooWarm(Situation now)
    {
        if (now.Journal.Last(EntryKinds.Planted) is not { } planted || planted.On < now.Today.AddMonths(-3) || now.Open(LaneKind.Bloom))
            return null;
        var weak = now.Limits<ForcingLimits>().Weak;
        return now.Around.Weather.HotDays(now.Today, 3, weak) is (>= 2, { } warmest)
            ? new(
                Topics.Move,
                Rule,
                Care.Cool,
                Verdict.Look,
                now.Today,
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"Days here reach {Degrees.Of(warmest.Value)}; above {weak:0} °C stems grow weak. A cooler, bright place; twigs "
                        + $"or a tie hold them, and a few that lean are normal."
                ),
                [new("warmest day", new(warmest.Value), new(weak), "°C", false, warmest.On)]
            )
            : null;
    }

    Advice Say(Situation now, Verdict verdict, DateOnly? due, string reason, Condition condition) =>
        new(Topics.Trigger, Rule, Care.Trigger, verdict, due, reason, [condition]);
}
