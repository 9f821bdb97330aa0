using System.Globalization;
using BudClock.Core.Advising.Watering;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D3: how a tuber or bulb rests, by its school; what comes after lifting; mould; and a store that is too cold.</summary>
/// <remarks>
/// Common practice: dried two days in warmth, then bag, dust, dark; dry tubers never below 15 °C; checked monthly for firm, soft,
/// mouldy, sprouting.
/// </remarks>
public sealed class TuberRestAdviser : IKeepsRest
{
    /// <summary>The question where a tuber rests.</summary>
    public const string Question = "tuber-rest";

    /// <summary>Its answer: in its pot, barely damp.</summary>
    public const string InPotDamp = "pot-barely-damp";

    /// <inheritdoc/>
    public string Rule => "D3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rest is not { } rest)
            yield break;
        if (rest.Feel is { Text: "mouldy" } mould)
            yield return Mouldy(now, mould);
        if (Drying(now) is { } drying)
            yield return drying;
        if (now.CoolestNightC is { } night && night.Value < now.Limits<TuberStoreLimits>().Warm)
            yield return TooCold(now, night);
        yield return Water(now, rest).By(now.School(Question));
    }

    Advice Mouldy(Situation now, Entry mould) =>
        new(
            Topics.Health,
            Rule,
            Care.Treat,
            Verdict.Do,
            now.Today,
            $"It was mouldy {Dates.Ago(mould.On, now.Today)}: out of the bag and apart from the others, wipe it clean, cut anything soft "
                + $"to firm tissue, dust it and let it dry; look again in three days.{Health.Neighbours.Words(now)}",
            [new("tuber", new("mouldy"), new("firm"), null, true, mould.On)]
        )
        {
            Ground = Ground.Emergency,
            LoggedAs = Treated,
        };

    Advice? Drying(Situation now)
    {
        if (now.Journal.Last(Lifted, Stored, Planted) is not { } lifted || lifted.Kind != Lifted || lifted.Said.Has(SaidFacts.ToStore))
            return null;
        var days = now.Today.DayNumber - lifted.On.DayNumber;
        var dried = new Condition(
            "days since it was lifted",
            new(days),
            new(now.Limits<TuberStoreLimits>().Drying),
            "days",
            days >= now.Limits<TuberStoreLimits>().Drying,
            lifted.On
        );
        var warm = now.Limits<TuberStoreLimits>().Warm;
        return days < now.Limits<TuberStoreLimits>().Drying
            ? new(
                Topics.Rest,
                Rule,
                Care.Store,
                Verdict.Hold,
                lifted.On.AddDays(now.Limits<TuberStoreLimits>().Drying),
                $"Lifted {Dates.Ago(lifted.On, now.Today)}: dry it for two days in warmth or sun, then bag, dust and dark.",
                [dried]
            )
            : new(
                Topics.Rest,
                Rule,
                Care.Store,
                Verdict.Do,
                now.Today,
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"Lifted {Dates.Ago(lifted.On, now.Today)} and dry by now: into a paper bag, dusted against mould, in the dark, never "
                        + $"below {warm:0} °C."
                ),
                [dried]
            );
    }

    Advice TooCold(Situation now, Seen<double> night) =>
        new(
            Topics.Rest,
            Rule,
            Care.BringIn,
            Verdict.Look,
            now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"A night where it rests was {night.Value:0.#} °C; below {now.Limits<TuberStoreLimits>().Warm:0} °C a tuber goes soft. "
                    + $"Find it a "
                    + $"warmer shelf, and feel it."
            ),
            [Condition.AtLeast("coolest night", night, now.Limits<TuberStoreLimits>().Warm, "°C")]
        )
        {
            LoggedAs = Moved,
        };

    Advice Water(Situation now, RestState rest)
    {
        if (now.School(Question)?.Chosen.Name == InPotDamp && !rest.Lifted)
            return new WaterAsked(Rule, "a light wetting, barely damp, so that it never shrivels", "feel whether it is still barely damp")
            {
                Care = Care.WetLightly,
                Every = now.Limits<TuberStoreLimits>().Damp,
                Since = rest.Since,
            }.Judge(now);
        var nights = Condition.AtLeast("coolest night", now.CoolestNightC, now.Limits<TuberStoreLimits>().Warm, "°C");
        return new(
            Topics.Water,
            Rule,
            Care.GiveWater,
            Verdict.Hold,
            null,
            string.Create(
                CultureInfo.InvariantCulture,
                $"Resting {(rest.Lifted ? "out of its pot" : "in its pot")} since {Dates.Near(rest.Since, now.Today)}: dry, dark, not "
                    + $"below {now.Limits<TuberStoreLimits>().Warm:0} °C."
            ),
            [nights]
        )
        {
            Ground = Ground.Veto,
        };
    }
}

/// <summary>Rule D3: a tuber at rest.</summary>
[Rule("D3", "a tuber at rest")]
public sealed record TuberStoreLimits(
    [Limit("°C", 0, 25, "below this a tuber goes soft", Stricter = Stricter.Higher)] double Warm,
    [Limit("days", 1, 60, "between looks at a medium that is kept barely damp")] double Damp,
    [Limit("days", 0, 14, "a lifted tuber lies to dry")] int Drying
);
