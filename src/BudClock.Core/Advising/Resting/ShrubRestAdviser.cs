using BudClock.Core.Advising.Watering;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Resting;

/// <summary>
/// Rule D6: a leafless succulent shrub stays dry and warm through winter, and drinks again when it is moved out in spring and nights
/// are warm enough.
/// </summary>
/// <remarks>
/// Neither a warm day in winter nor a date nor a move indoors in autumn is the signal. If repotted, it was 30 to 60 days before that
/// first water.
/// </remarks>
public sealed class ShrubRestAdviser : IKeepsRest
{
    /// <inheritdoc/>
    public string Rule => "D6";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rest is not { Lifted: false } rest)
            yield break;
        if (MovedOut(now, rest) is not { } moved)
            yield return Hold(now, rest);
        else if (now.Journal.FirstSince(moved.On, Watered, Soaked) is not null)
            yield return new WaterAsked(Rule, "a little more than before, until leaves come", "feel the medium")
            {
                Care = Care.WetLightly,
            }.Judge(now);
        else
            yield return AfterMove(now, moved);
    }

    Advice Hold(Situation now, RestState rest)
    {
        var about = rest.Wakes is { } wakes ? $", about {Dates.Near(wakes, now.Today)}" : "";
        return new(
            Topics.Water,
            Rule,
            Care.GiveWater,
            Verdict.Hold,
            rest.Wakes,
            $"Leafless since {Dates.Near(rest.Since, now.Today)}: dry and warm, however warm a winter's day is. It drinks again when it "
                + $"moves out in spring{about}.",
            [new("moved out in spring", null, new("seen"), null, false, null)]
        )
        {
            Ground = Ground.Veto,
        };
    }

    /// <summary>
    /// A move while days lengthen towards summer; one in autumn or winter goes indoors. Where day length tells nothing, one that says
    /// "out".
    /// </summary>
    static Entry? MovedOut(Situation now, RestState rest) =>
        now.Journal.Of(Moved).FirstOrDefault(e => e.On > rest.Since && IsSpring(now, e));

    static bool IsSpring(Situation now, Entry moved)
    {
        if (moved.Said.Has(SaidFacts.Indoors))
            return false;
        var light = Daylight.Of(now.Around.Garden, moved.On);
        return light.Tells ? light.Falling == false && light.Hours >= now.Limits<ShrubRestLimits>().Spring : moved.Said.Has(SaidFacts.Out);
    }

    Advice AfterMove(Situation now, Entry moved)
    {
        var because = $"Moved out {Dates.Ago(moved.On, now.Today)}";
        var out_ = Condition.Sign("moved out in spring", moved.On);
        if (now.Journal.Last(Repotted) is { } repot && now.Today < repot.On.AddDays(now.Limits<ShrubRestLimits>().RepotFrom))
            return new(
                Topics.Water,
                Rule,
                Care.WetLightly,
                Verdict.Hold,
                repot.On.AddDays(now.Limits<ShrubRestLimits>().RepotFrom),
                $"Repotted {Dates.Ago(repot.On, now.Today)}: 30 to 60 days dry, then the first water.",
                [
                    out_,
                    new(
                        "days since the repot",
                        new(now.Today.DayNumber - repot.On.DayNumber),
                        new(now.Limits<ShrubRestLimits>().RepotFrom),
                        "days",
                        false,
                        repot.On
                    ),
                ]
            )
            {
                Ground = Ground.Veto,
            };
        var nights = Condition.AtLeast("coolest night", now.CoolestNightC, now.Temper.FeedC, "°C");
        if (now.CoolestNightC is null)
            return new(
                Topics.Water,
                Rule,
                Care.WetLightly,
                Verdict.Look,
                now.Today,
                $"{because}: the first water, once nights are {nights.Need!.Value.Number:0.#} °C or more. None is known here from the "
                    + $"last week.",
                [out_, nights]
            );
        return nights.Met
            ? new(
                Topics.Water,
                Rule,
                Care.WetLightly,
                Verdict.Do,
                now.Today,
                $"{because} and nights warm enough: the first water.",
                [out_, nights]
            )
            {
                Because = because,
            }
            : new(
                Topics.Water,
                Rule,
                Care.WetLightly,
                Verdict.Hold,
                null,
                $"{because}, but nights are down to {now.CoolestNightC.Value:0.#} °C: no first water before they are "
                    + $"{nights.Need!.Value.Number:0.#} °C.",
                [out_, nights]
            )
            {
                Ground = Ground.Veto,
            };
    }
}

/// <summary>Rule D6: a leafless succulent shrub.</summary>
[Rule("D6", "a leafless succulent shrub")]
public sealed record ShrubRestLimits(
    [Limit("days", 1, 90, "from a repot to its first water")] int RepotFrom,
    [Limit("hours", 8, 16, "days are long enough to begin again")] double Spring
);
