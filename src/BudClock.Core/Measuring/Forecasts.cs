using BudClock.Core.Culture;

namespace BudClock.Core.Measuring;

/// <summary>Forecasts the ends of open lanes from how long such lanes lasted before.</summary>
/// <remarks>
/// The plant's own earlier organs come first, then those of its kind in this garden, then the sheet's usual year. An organ
/// that came with the plant teaches nothing about this place; one under seven days old is only told the sheet's range.
/// </remarks>
public static class Forecasts
{
    /// <summary>The first flower opens.</summary>
    public const string FirstFlower = "first-flower";

    /// <summary>The growth is done.</summary>
    public const string Matured = "matured";

    /// <summary>The last flower goes.</summary>
    public const string Faded = "faded";

    static readonly EntryKind[] Open = [EntryKinds.BloomOpened];
    static readonly EntryKind[] Buds = [EntryKinds.SpikeStarted, EntryKinds.SpikeLength, EntryKinds.Buds];

    const int YoungDays = 7;

    /// <summary>The sheet's usual year tells of no place: a third of its days either way, and two weeks at the least.</summary>
    const int SheetSpreadDays = 14;
    const double SheetSpreadShare = 0.32;

    /// <summary>Each turn with the lane that leads to it and the ending that reached it.</summary>
    /// <param name="Share">How much one differs from another, as a share of its days: what grows in the open season varies most.</param>
    sealed record Turn(string Of, LaneKind Lane, string Ending, LaneKind? Next, string One, double Share);

    /// <summary>Other plants of the kind stand elsewhere and began at another time.</summary>
    const double KinApart = 1.4;

    static readonly Turn[] All =
    [
        new(FirstFlower, LaneKind.Spike, "opened", LaneKind.Bloom, "spike", 0.18),
        new(Matured, LaneKind.Growth, "matured", null, "growth", 0.1),
        new(Faded, LaneKind.Bloom, "faded", null, "bloom", 0.1),
    ];

    /// <summary>Days from planting to the first open flower: how long lots of a forced bulb took (rule B2).</summary>
    public const string PlantedToFlower = "planted-to-flower";

    /// <summary>Days from each planting to the first flower that opened after it, within half a year; oldest first.</summary>
    public static IReadOnlyList<int> FromPlanting(PlantJournal journal) =>
        [
            .. from planted in journal.Of(EntryKinds.Planted)
            let next = journal.Of(EntryKinds.Planted).FirstOrDefault(other => other.On > planted.On)
            let opened = journal.FirstSince(planted.On, EntryKinds.BloomOpened)
            where opened is not null && !(next?.On < opened.On) && opened.On < planted.On.AddDays(180)
            select opened.On.DayNumber - planted.On.DayNumber,
        ];

    /// <summary>What a running programme is for has come: buds or a spike.</summary>
    public const string ProgrammeDone = "programme-done";

    /// <summary>What can be forecast.</summary>
    public static readonly IReadOnlyList<string> Turns = [.. All.Select(turn => turn.Of), PlantedToFlower, ProgrammeDone];

    /// <summary>Days that lanes of a turn took here, oldest first.</summary>
    public static IReadOnlyList<int> Intervals(string of, IEnumerable<Lane> lanes, DateOnly? acquired)
    {
        var turn = All.First(t => t.Of == of);
        return
        [
            .. lanes
                .Where(lane =>
                    lane.Kind == turn.Lane
                    && lane.Ending == turn.Ending
                    && lane.To is not null
                    && (acquired is null || lane.From >= acquired)
                )
                .Select(lane => lane.To!.Value.DayNumber - lane.From.DayNumber),
        ];
    }

    /// <summary>A forecast for each open lane that has one.</summary>
    /// <param name="kin">The intervals of other plants of its kind here, by turn.</param>
    /// <param name="kind">What to call the kind, such as Lycaste.</param>
    public static IReadOnlyList<Forecast> Read(
        IReadOnlyList<Lane> lanes,
        DateOnly? acquired,
        Func<string, IReadOnlyList<int>> kin,
        string? kind,
        CultureSheet? sheet,
        DateOnly today
    ) =>
        [
            .. from turn in All
            where turn.Of != Matured || sheet?.Organs.Shoot is not Organ.Leaf // a leaf is followed by the next, not finished
            from lane in lanes
            where lane.Kind == turn.Lane && lane.Open
            let forecast = Of(turn, lane, Intervals(turn.Of, lanes, acquired), kin, kind, sheet, today)
            where forecast is not null
            select forecast,
        ];

    static Forecast? Of(
        Turn turn,
        Lane lane,
        IReadOnlyList<int> own,
        Func<string, IReadOnlyList<int>> kin,
        string? kind,
        CultureSheet? sheet,
        DateOnly today
    )
    {
        var young = today.DayNumber - lane.From.DayNumber < YoungDays;
        if (!young && own.Count > 0)
            return FromRecord(
                turn,
                lane,
                own,
                turn.Share,
                today,
                own.Count == 1 ? $"this plant's earlier {turn.One}" : $"this plant's {own.Count} earlier {turn.One}s"
            );
        if (!young && kind is not null && kin(turn.Of) is { Count: > 0 } others)
            return FromRecord(
                turn,
                lane,
                others,
                turn.Share * KinApart,
                today,
                $"{others.Count} {turn.One}{(others.Count == 1 ? "" : "s")} of other {kind} here"
            );
        if (Usual(turn, sheet) is not { } days)
            return null;
        var half = Math.Max(SheetSpreadDays, (int)(SheetSpreadShare * days));
        return new(
            turn.Of,
            lane.Organ,
            today,
            lane.From.AddDays(Math.Max(0, days - half)),
            lane.From.AddDays(days),
            lane.From.AddDays(days + half),
            "the sheet's usual year"
        );
    }

    static Forecast FromRecord(Turn turn, Lane lane, IReadOnlyList<int> days, double share, DateOnly today, string source)
    {
        var spread = Spread.Of(days, share);
        return new(
            turn.Of,
            lane.Organ,
            today,
            lane.From.AddDays((int)Math.Floor(spread.From)),
            lane.From.AddDays((int)Math.Round(spread.Likely)),
            lane.From.AddDays((int)Math.Ceiling(spread.To)),
            source
        );
    }

    /// <summary>The sheet's days from the start of a lane to its turn.</summary>
    static int? Usual(Turn turn, CultureSheet? sheet)
    {
        var lane = sheet?.Usual.FirstOrDefault(u => u.Lane == turn.Lane);
        var end = turn.Next is { } next ? sheet?.Usual.FirstOrDefault(u => u.Lane == next)?.From : lane?.To;
        if (lane is null || end is not { } until)
            return null;
        var days = until.In(2031, false).DayNumber - lane.From.In(2031, false).DayNumber;
        return days <= 0 ? days + 365 : days;
    }

    /// <summary>How a kept forecast turned out: the day it happened, and how many days later than said (earlier is negative).</summary>
    public static (DateOnly Happened, int DaysLate)? Outcome(Forecast forecast, IEnumerable<Lane> lanes, PlantJournal journal)
    {
        if (forecast.Of is PlantedToFlower or ProgrammeDone)
            return journal.FirstSince(forecast.Made.AddDays(1), forecast.Of is PlantedToFlower ? Open : Buds) is { } seen
                ? (seen.On, seen.On.DayNumber - forecast.Likely.DayNumber)
                : null;
        var turn = All.FirstOrDefault(t => t.Of == forecast.Of);
        var lane = lanes.FirstOrDefault(l =>
            l.Kind == turn?.Lane && l.Ending == turn.Ending && l.Organ == forecast.Organ && l.From <= forecast.Made && l.To >= forecast.Made
        );
        return lane?.To is { } happened ? (happened, happened.DayNumber - forecast.Likely.DayNumber) : null;
    }
}
