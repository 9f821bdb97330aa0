using System.Globalization;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>Rule W10: a semi-hydro monopodial in winter root growth: a little twice a week, or the week's water at once.</summary>
/// <remarks>
/// Common practice: about 30 mL twice a week instead of 60 once; the weekly volume is the same and is shown. The level decides, the
/// days only ask.
/// </remarks>
public sealed class LittleOftenAdviser : IAdviser
{
    /// <summary>The question how often a small pot is watered.</summary>
    public const string Question = "winter-roots";
    const string LittleOften = "little-often";

    /// <inheritdoc/>
    public string Rule => "W10";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.WinterRoots is not { } roots || now.School(Question) is not { } school)
            yield break;
        var (weekly, small) = (now.Limits<LittleOftenLimits>().Weekly, now.Limits<LittleOftenLimits>().Small);
        var dose = school.Chosen.Name == LittleOften ? small : weekly;
        var every = Math.Max(1, (int)Math.Round(7 * dose / weekly));
        var days = now.Wetness.DaysSince(now.Today);
        var low = now.Levels.Low;
        var seen = now.Levels.Level?.On;
        // A level that its grower looks at evenly, and that was not low, stands for the doses.
        var again = Math.Max(every, now.Levels.SeenEvery ?? 0);
        var due = low is not null || !(days < every || now.Today < seen?.AddDays(again));
        Condition[] conditions =
        [
            Condition.Sign("winter roots under way", roots.From),
            new("days since water", days is { } d ? new(d) : null, new(every), "days", days >= every, now.Wetness.LastWater?.On),
        ];
        var amount = string.Create(CultureInfo.InvariantCulture, $"{dose:0} mL");
        var last = now.Wetness.LastWater?.On is { } water && !(seen > water) ? water : seen;
        var next = last?.AddDays(last == seen ? again : every) ?? now.Today;
        var way = string.Create(CultureInfo.InvariantCulture, $"Winter roots: {dose:0} mL every {every} days, {weekly:0} mL a week");
        var advice = low is not null
            ? new Advice(
                Topics.Water,
                Rule,
                Care.TopUp,
                Verdict.Do,
                now.Today,
                $"{way}; the reservoir was {low.Words} {Dates.Ago(low.On, now.Today)}: top up.",
                [conditions[0], Condition.Sign("reservoir low", low.On)]
            )
            : new(
                Topics.Water,
                Rule,
                Care.TopUp,
                due ? Verdict.Look : Verdict.Hold,
                next,
                due ? $"{way}: look at the level, and give it where it has fallen." : $"{way}; next {Dates.Short(next)}.",
                conditions
            );
        yield return (advice with { Because = way, Amount = amount }).By(school);
    }
}
