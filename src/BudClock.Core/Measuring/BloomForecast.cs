using BudClock.Core.Culture;
using BudClock.Core.Lanes;

namespace BudClock.Core.Measuring;

/// <summary>Rule B8: when a spike is likely to open its first flower, as a range, and what the range is taken from.</summary>
/// <remarks>
/// The plant's own earlier spikes come first, then those of its kind in this garden, then the sheet's usual year. A spike
/// that came with the plant teaches nothing about this place; one under seven days old is only told the sheet's range.
/// </remarks>
/// <param name="Source">For the page: "this plant's 2 earlier spikes".</param>
public sealed record BloomForecast(DateOnly From, DateOnly Likely, DateOnly To, string Source)
{
    const int YoungDays = 7;
    const int LeastSpreadDays = 4; // no plant is as punctual as one or two earlier spikes look
    const int SheetSpreadDays = 14;

    /// <summary>Days from spike to first flower of the spikes that grew here, oldest first.</summary>
    public static IReadOnlyList<int> Intervals(IEnumerable<Lane> lanes, DateOnly? acquired) =>
    [
        .. lanes.Where(lane => lane is { Kind: LaneKind.Spike, Ending: "opened", To: not null } && (acquired is null || lane.From >= acquired))
            .Select(lane => lane.To!.Value.DayNumber - lane.From.DayNumber),
    ];

    /// <summary>The forecast for the newest open spike; null without one, and where nothing is known to go by.</summary>
    /// <param name="own">The plant's own intervals in days.</param>
    /// <param name="kin">Those of other plants of its kind here.</param>
    /// <param name="kind">What to call the kind, such as Lycaste.</param>
    public static BloomForecast? Of(IReadOnlyList<Lane> lanes, IReadOnlyList<int> own, IReadOnlyList<int> kin, string? kind, CultureSheet? sheet, DateOnly today)
    {
        if (lanes.LastOrDefault(lane => lane is { Kind: LaneKind.Spike, Open: true }) is not { } spike) return null;
        var young = today.DayNumber - spike.From.DayNumber < YoungDays;
        if (!young && own.Count > 0) return FromRecord(spike.From, own, own.Count == 1 ? "this plant's earlier spike" : $"this plant's {own.Count} earlier spikes");
        if (!young && kin.Count > 0) return FromRecord(spike.From, kin, $"{kin.Count} {(kin.Count == 1 ? "spike" : "spikes")} of other {kind} here");
        return Usual(sheet) is { } usual
            ? new(spike.From.AddDays(usual - SheetSpreadDays), spike.From.AddDays(usual), spike.From.AddDays(usual + SheetSpreadDays), "the sheet's usual year")
            : null;
    }

    static BloomForecast FromRecord(DateOnly start, IReadOnlyList<int> days, string source)
    {
        var sorted = days.Order().ToList();
        var middle = (sorted[(sorted.Count - 1) / 2] + sorted[sorted.Count / 2]) / 2;
        return new(
            start.AddDays(Math.Min(sorted[0], middle - LeastSpreadDays)), start.AddDays(middle),
            start.AddDays(Math.Max(sorted[^1], middle + LeastSpreadDays)), source);
    }

    /// <summary>The sheet's days from spike to bloom.</summary>
    static int? Usual(CultureSheet? sheet)
    {
        var (spike, bloom) = (sheet?.Usual.FirstOrDefault(u => u.Lane is LaneKind.Spike), sheet?.Usual.FirstOrDefault(u => u.Lane is LaneKind.Bloom));
        if (spike is null || bloom is null) return null;
        var days = bloom.From.In(2031, false).DayNumber - spike.From.In(2031, false).DayNumber;
        return days < 0 ? days + 365 : days;
    }
}
