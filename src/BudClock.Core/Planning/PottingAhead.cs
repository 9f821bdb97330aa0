using BudClock.Core.Advising;
using BudClock.Core.Advising.Repotting;
using BudClock.Core.Potting;

namespace BudClock.Core.Planning;

/// <summary>What potting wants in the next weeks: repot windows that close, days after the cold, and looks at young batches.</summary>
static class PottingAhead
{
    /// <summary>The items, in no order.</summary>
    public static IEnumerable<AgendaItem> Of(IEnumerable<Assessment> plants, PottingShed shed, DateOnly today) =>
        RepotBoard.Of(plants, today).Wanted.SelectMany(Windows).Concat(shed.Batches.SelectMany(batch => Looks(batch, today)));

    static IEnumerable<AgendaItem> Windows(RepotRow row)
    {
        var (tag, window) = (row.Plant.Plant.Tag, row.Window);
        if (row.CanBeDone && window.To is { } closes)
            yield return new(
                $"{tag.ToLowerInvariant()}/repot/closes",
                AgendaKind.LastDay,
                closes,
                "Its repot window closes about now: longer roots break.",
                [tag]
            );
        else if (window is { State: WindowState.Held, AfterCold: { } day })
            yield return new($"{tag.ToLowerInvariant()}/repot/after-cold", AgendaKind.Start, day, "The cold is over: repot it.", [tag]);
    }

    static IEnumerable<AgendaItem> Looks(YoungBatch batch, DateOnly today)
    {
        if (PottingTable.Shipped.Method(batch.Method) is not { } method || batch.NextLook(method, today) is not { } look)
            yield break;
        var dries = batch.DriesUntil >= today;
        yield return new(
            $"batch/{batch.Code.ToLowerInvariant()}/{(dries ? "set" : "look")}",
            AgendaKind.Look,
            look < today ? today : look,
            dries
                ? $"Batch {batch.Code}, {batch.Name}: the cut has dried, set it."
                : $"Batch {batch.Code}, {batch.Name}: look for {method.Shows}.",
            []
        );
    }
}
