using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rule R2: the reasons that keep a plant in its pot for now.</summary>
public static class RepotVeto
{
    /// <summary>One reason: a clause, and what was seen.</summary>
    public sealed record Reason(string Words, Condition Evidence);

    /// <summary>The reasons that hold today; none for an emergency, and when nothing objects.</summary>
    public static IEnumerable<Reason> Reasons(Situation now)
    {
        if (now.Rot is { Open: true })
            yield break;
        if (now.Arrival is { IsNewcomer: true } arrival)
            yield return new(
                $"it is still settling in, until {Dates.Short(arrival.Until)}",
                Condition.AtLeast("days here", new(arrival.Day, arrival.Arrived), arrival.Days, "days")
            );
        if (Nights(now) is { } nights)
            yield return nights;
        if (now.Journal.Last(EntryKinds.Moved) is { } moved && moved.On > now.Today.AddDays(-now.Limits<RepotVetoLimits>().Settling))
            yield return new(
                $"it moved {Dates.Ago(moved.On, now.Today)}",
                Condition.AtLeast(
                    "days since it moved",
                    new(now.Today.DayNumber - moved.On.DayNumber, moved.On),
                    now.Limits<RepotVetoLimits>().Settling,
                    "days"
                )
            );
        if (
            now.Lanes.LastOrDefault(lane => lane is { Kind: LaneKind.Spike or LaneKind.Bloom, Open: true }) is { } flower
            && !now.Sheet.Is(Traits.RepottedInFlower)
        )
            yield return new("it is in bud or bloom", new("bud or bloom", new("seen"), new("none"), null, false, flower.From));
        if (Dim(now))
            yield return new(
                "days are short and it hardly grows",
                new(
                    "hours of daylight",
                    new(Math.Round(now.Daylight.Hours!.Value, 1)),
                    new(now.Limits<RepotVetoLimits>().Dim),
                    "h",
                    false,
                    now.Today
                )
            );
    }

    static Reason? Nights(Situation now)
    {
        var (temper, limit) = (now.Temper, now.Temper.FeedC);
        if (temper is { Cold: true, Night: { } night })
            return new(
                string.Create(CultureInfo.InvariantCulture, $"nights are down to {night.Value:0.#} °C"),
                Condition.AtLeast("coolest night", night, limit, "°C")
            );
        return temper.CoolAhead is { MinC: { } cold } ahead
            ? new(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"a night of {cold:0.#} °C is forecast for {Dates.Short(ahead.On)}, and the cold is over on "
                        + $"{Dates.Short(temper.LastCool!.On.AddDays(1))}"
                ),
                new("forecast night", new(cold), new(limit), "°C", false, ahead.On)
            )
            : null;
    }

    /// <summary>Vines and aroids repotted out of active growth were lost so; a bare shrub is repotted dry, before it wakes.</summary>
    static bool Dim(Situation now) =>
        now.Daylight.ShorterThan(now.Limits<RepotVetoLimits>().Dim)
        && !now.Around.Lamps(now.Limits<RepotVetoLimits>().Dim)
        && (now.Sheet.Is(Traits.Vine) || now.Sheet.Is(Traits.Corms));
}

/// <summary>Rule R2: what speaks against a repot.</summary>
[Rule("R2", "what speaks against a repot")]
public sealed record RepotVetoLimits(
    [Limit("days", 7, 120, "so long after a move it settles first")] int Settling,
    [Limit("hours", 0, 16, "in days this short it makes few roots")] double Dim
);
