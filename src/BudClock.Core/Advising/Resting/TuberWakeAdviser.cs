using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D4: a tuber wakes by warmth; one that sprouts in its bag has woken.</summary>
/// <remarks>
/// Common practice: days about 21 °C, nights 15 °C or more; 4 to 5 cm of medium above it; shoots in 4 to 5 weeks where it is warm.
/// </remarks>
public sealed class TuberWakeAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "D4";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now) =>
        (now.Rest is { } rest ? Resting(now, rest) : Planted_(now)) is { } advice ? [advice] : [];

    Advice? Resting(Situation now, RestState rest)
    {
        var sprouts = now.Journal.Of(Tuber).Where(e => e.On >= rest.Since && e.Text == "sprouting").ToList();
        var sprouting = rest.Feel is { Text: "sprouting" } ? sprouts[0].On : (DateOnly?)null;
        if (sprouting is null && !(rest.Wakes <= now.Today))
            return null;
        var nights = Condition.AtLeast("coolest night", now.CoolestNightC, now.Limits<TuberWakeLimits>().Night, "°C");
        var each = sprouts.Select(e => e.Organ).Distinct().Count() > 1 ? ", each in a pot of its own," : "";
        var plant = string.Create(
            CultureInfo.InvariantCulture,
            $"plant it{each} with {now.Limits<TuberWakeLimits>().Depth:0.#} cm of medium above, and keep it warm. Feed and "
                + $"full light only once "
                + $"leaves come."
        );
        if (sprouting is not { } woke)
            return nights.Met ? Say(Verdict.Look, $"Its time to wake and warm enough: feel it, and {plant}", nights) : null;
        var because = $"It sprouts since {Dates.Near(woke, now.Today)}";
        return nights.Met
            ? Say(Verdict.Do, $"{because}: {plant}", Condition.Sign("sprouting", woke), nights) with
            {
                Because = because,
            }
            : Say(
                Verdict.Look,
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"It sprouts, but "
                        + $"{(now.CoolestNightC is { } night ? $"nights are down to {night.Value:0.#} °C" : "no night is known here")}: "
                        + $"find it {now.Limits<TuberWakeLimits>().Night:0} °C or more before you plant it."
                ),
                Condition.Sign("sprouting", woke),
                nights
            );
    }

    Advice? Planted_(Situation now)
    {
        if (now.Journal.Last(Planted, GrowthStarted, LeafStarted, LeavesGone, Leaves, LeafSpan) is not { } last || last.Kind != Planted)
            return null;
        var (from, to) = (
            last.On.AddDays(now.Limits<TuberWakeLimits>().ShootsFrom),
            last.On.AddDays(now.Limits<TuberWakeLimits>().ShootsTo)
        );
        Condition days = new(
            "days since planting",
            new(now.Today.DayNumber - last.On.DayNumber),
            new(now.Limits<TuberWakeLimits>().ShootsTo),
            "days",
            now.Today >= to,
            last.On
        );
        return now.Today >= to
            ? Say(
                Verdict.Look,
                $"Planted {Dates.Ago(last.On, now.Today)}, no shoot yet: is it warm enough below? Feel whether it is firm. Where it is "
                    + $"cool it takes months.",
                days
            )
            : Say(
                Verdict.Hold,
                $"Planted {Dates.Ago(last.On, now.Today)}: shoots about {Dates.Range(from, to)}, in 4 to 5 weeks, where it is warm.",
                days
            ) with
            {
                Due = from,
            };
    }

    Advice Say(Verdict verdict, string reason, params Condition[] conditions) =>
        new(Topics.Wake, Rule, Care.Wake, verdict, null, reason, conditions);
}

/// <summary>Rule D4: a tuber that wakes.</summary>
[Rule("D4", "a tuber that wakes")]
public sealed record TuberWakeLimits(
    [Limit("°C", 5, 25, "the coolest night in which it is planted", Stricter = Stricter.Higher)] double Night,
    [Limit("cm", 1, 15, "of medium above it")] double Depth,
    [Limit("days", 5, 120, "from planting to the first shoot, at the least")] int ShootsFrom,
    [Limit("days", 5, 200, "from planting to the first shoot, at the most")] int ShootsTo
);
