using BudClock.Core.Culture;
using BudClock.Core.Measuring;
using BudClock.Core.Programmes;

namespace BudClock.Core.Evidence;

/// <summary>Rules B2 and B8: the first flower from the day of planting, and buds from a running programme.</summary>
public static class FlowerForecasts
{
    /// <summary>What is forecast today; nothing for a plant that has neither.</summary>
    public static IEnumerable<Forecast> Read(Situation now)
    {
        if (Planted(now) is { } planted)
            yield return planted;
        if (Programme(now) is { } programme)
            yield return programme;
    }

    static Forecast? Planted(Situation now)
    {
        if (!now.Sheet.Is(Traits.Forced) || now.Journal.Last(EntryKinds.Planted) is not { } planted)
            return null;
        if (now.Journal.FirstSince(planted.On, EntryKinds.BloomOpened, EntryKinds.Blooms, EntryKinds.Stored) is not null)
            return null;
        var took = BulbInterval.Of(now);
        if (!took.Learned && BulbInterval.ByWarmth(now.Sheet, now.Counted.RecordOf(now.Plant.Place), planted.On, now.Today) is { } warmth)
            took = warmth;
        return Forecasts.Said(Forecasts.PlantedToFlower, null, planted.On, now.Today, took.Days, took.Words);
    }

    static Forecast? Programme(Situation now)
    {
        if (now.Programme is not { State: RunState.Running, Programme.Done.Count: > 0 } run || now.Sheet.Is(Traits.Forced))
            return null;
        return now.Outlook.Of(run) is [.., { Earliest: { } from, Likely: { } likely, Latest: { } to }]
            ? new(Forecasts.ProgrammeDone, null, now.Today, from, likely, to, run.Programme.Title)
            : null;
    }
}
