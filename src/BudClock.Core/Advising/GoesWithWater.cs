namespace BudClock.Core.Advising;

/// <summary>
/// Feed is given in water, and a flush is water: what is due of either waits where water waits. Nobody waters a plant in order to feed it,
/// or against the roots that a flush is meant to spare.
/// </summary>
public static class GoesWithWater
{
    /// <summary>The same advice, with each feed and each flush no bolder than the answer on water that stands beside it.</summary>
    public static IReadOnlyList<Advice> In(IReadOnlyList<Advice> settled, DateOnly today)
    {
        var water = settled.Where(advice => advice.Care.AnswersWater()).MinBy(advice => advice.Verdict);
        if (water is null or { Verdict: Verdict.Do })
            return settled;
        return
        [
            .. settled.Select(advice =>
                advice.Verdict is Verdict.Hold ? advice
                : advice.Care is Care.Feed ? Wait(advice, water, today)
                : advice.Care is Care.Flush && SaysMore(water) ? Beside(advice, water)
                : advice
            ),
        ];
    }

    /// <summary>An interval that has not run out is no ground against a flush: run-off is measured on the day of a watering.</summary>
    static bool SaysMore(Advice water) => water.Ground is not (Ground.Interval or Ground.Date);

    static Advice Beside(Advice flush, Advice water) =>
        flush with
        {
            Verdict = water.Verdict,
            Due = water.Due,
            Reason =
                water.Verdict is Verdict.Look
                    ? $"{flush.Reason} Only if it asks for water."
                    : $"{flush.Because ?? "A flush is due"}: it waits until the plant may be watered. {water.Reason}",
        };

    static Advice Wait(Advice feed, Advice water, DateOnly today) =>
        water is { Verdict: Verdict.Look } ? feed with { Verdict = Verdict.Look, Reason = $"{feed.Reason} Only if it asks for water." }
        : water.Topic == Topics.FirstSoak ? feed with { Verdict = Verdict.Hold, Due = water.Due }
        : feed with
        {
            Verdict = Verdict.Hold,
            Due = water.Due,
            Reason = $"{feed.Reason} It goes with its next water{(water.Due > today ? $", about {Dates.Short(water.Due.Value)}" : "")}.",
        };
}
