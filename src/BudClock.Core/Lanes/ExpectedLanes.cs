using BudClock.Core.Culture;

namespace BudClock.Core.Lanes;

/// <summary>What the next three months usually bring: open lanes run on to their usual end, others begin at theirs.</summary>
public static class ExpectedLanes
{
    /// <summary>How far ahead of the hand anything is expected, in days.</summary>
    public const int DaysAhead = 91;

    public static IReadOnlyList<Lane> Ahead(CultureSheet sheet, IReadOnlyList<Lane> recorded, DateOnly today, bool southern) =>
    [
        .. from usual in sheet.Usual
           let open = recorded.Any(lane => lane.Kind == usual.Lane && lane.Open)
           from lane in Ahead(usual, open, today, southern)
           orderby lane.From, lane.Kind
           select lane,
    ];

    static IEnumerable<Lane> Ahead(UsualLane usual, bool open, DateOnly today, bool southern)
    {
        var horizon = today.AddDays(DaysAhead);
        var end = Next(usual.To, today, southern);
        if (open)
        {
            yield return new(usual.Lane, today.AddDays(1), Earlier(end, horizon), Expected: true);
            yield break;
        }
        var start = Next(usual.From, today, southern);
        if (start >= horizon) yield break;
        yield return new(usual.Lane, start, Earlier(Next(usual.To, start, southern), horizon), Expected: true);
    }

    /// <summary>The first such day after <paramref name="after"/>.</summary>
    static DateOnly Next(MonthDay day, DateOnly after, bool southern) =>
        Enumerable.Range(-1, 3).Select(offset => day.In(after.Year + offset, southern)).First(date => date > after);

    static DateOnly Earlier(DateOnly a, DateOnly b) => a < b ? a : b;
}
