using BudClock.Core.Culture;

namespace BudClock.Core.Measuring;

/// <summary>
/// What the next three months usually bring: open lanes run on to their forecast or usual end, flowers follow the spike's
/// forecast, others begin at their usual time.
/// </summary>
public static class ExpectedLanes
{
    /// <summary>How far ahead of the hand anything is expected, in days.</summary>
    public const int DaysAhead = 91;

    /// <summary>What goes on or begins after today, by the forecasts, and where there is none by what is usual of the sheet.</summary>
    public static IReadOnlyList<Lane> Ahead(
        CultureSheet sheet,
        IReadOnlyList<Lane> recorded,
        IReadOnlyList<Forecast> forecasts,
        DateOnly today,
        bool southern
    ) =>
        [
            .. from usual in sheet.Usual
            let open = recorded.Any(lane => lane.Kind == usual.Lane && lane.Open)
            from lane in open ? RunsOn(usual, forecasts, today, southern) : Begins(usual, forecasts, today, southern)
            orderby lane.From, lane.Kind
            select lane,
        ];

    static IEnumerable<Lane> RunsOn(UsualLane usual, IReadOnlyList<Forecast> forecasts, DateOnly today, bool southern)
    {
        var turn = usual.Lane switch
        {
            LaneKind.Spike => Forecasts.FirstFlower,
            LaneKind.Growth => Forecasts.Matured,
            LaneKind.Bloom => Forecasts.Faded,
            _ => null,
        };
        var end = forecasts.Where(f => f.Of == turn).Select(f => (DateOnly?)f.Likely).Max() ?? Next(usual.To, today, southern);
        if (end > today)
            yield return new(usual.Lane, today.AddDays(1), Earlier(end, today.AddDays(DaysAhead)), Expected: true);
    }

    static IEnumerable<Lane> Begins(UsualLane usual, IReadOnlyList<Forecast> forecasts, DateOnly today, bool southern)
    {
        var horizon = today.AddDays(DaysAhead);
        var usually = Next(usual.From, today, southern);
        var start =
            usual.Lane is LaneKind.Bloom && forecasts.FirstOrDefault(f => f.Of == Forecasts.FirstFlower) is { } flower
                ? Later(flower.Likely, today.AddDays(1))
                : usually;
        if (start >= horizon)
            yield break;
        var length = Next(usual.To, usually, southern).DayNumber - usually.DayNumber;
        yield return new(usual.Lane, start, Earlier(start.AddDays(length), horizon), Expected: true);
    }

    /// <summary>The first such day after <paramref name="after"/>.</summary>
    static DateOnly Next(MonthDay day, DateOnly after, bool southern) =>
        Enumerable.Range(-1, 3).Select(offset => day.In(after.Year + offset, southern)).First(date => date > after);

    static DateOnly Earlier(DateOnly a, DateOnly b) => a < b ? a : b;

    static DateOnly Later(DateOnly a, DateOnly b) => a > b ? a : b;
}
