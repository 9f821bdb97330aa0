namespace BudClock.Core.Advising;

/// <summary>Feed is given in water, so feed that is due waits for the water: nobody waters a plant in order to feed it.</summary>
public static class FeedGoesWithWater
{
    /// <summary>The same advice, with each feed on the day of the water it goes with; feed without a water waits for one.</summary>
    public static IReadOnlyList<Advice> In(IReadOnlyList<Advice> settled, DateOnly today)
    {
        var water = settled.Where(advice => advice.Care.GivesWater()).MinBy(advice => advice.Verdict);
        return water is null or { Verdict: Verdict.Do }
            ? settled
            : [.. settled.Select(advice => Waits(advice) ? Wait(advice, water, today) : advice)];
    }

    static bool Waits(Advice advice) => advice is { Care: Care.Feed, Verdict: not Verdict.Hold };

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
