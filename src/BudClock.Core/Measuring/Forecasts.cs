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

    /// <summary>The sheet's usual year tells of no place: two weeks either way at the least.</summary>
    const int SheetSpreadDays = 14;

    /// <summary>Each turn with the lane that leads to it and the ending that reached it.</summary>
    /// <param name="Share">How much one differs from another, as a share of its days: a standard deviation, assumed.</param>
    /// <param name="SheetShare">How far the sheet's usual days may be off for eight in ten, as a share of them; assumed.</param>
    sealed record Turn(string Of, LaneKind Lane, string Ending, LaneKind? Next, string One, double Share, double SheetShare);

    /// <summary>Other plants of the kind stand elsewhere and began at another time.</summary>
    const double KinApart = 1.5;

    /// <summary>What began in another season grew in other warmth and light.</summary>
    const double OtherSeason = 2.2;

    static readonly Turn[] All =
    [
        new(FirstFlower, LaneKind.Spike, "opened", LaneKind.Bloom, "spike", 0.16, 0.3),
        new(Matured, LaneKind.Growth, "matured", null, "growth", 0.1, 0.23),
        new(Faded, LaneKind.Bloom, "faded", null, "bloom", 0.08, 0.2),
    ];

    /// <summary>Days from planting to the first open flower: how long lots of a forced bulb took (rule B2).</summary>
    public const string PlantedToFlower = "planted-to-flower";

    /// <summary>Each planting to the first flower that opened after it, within half a year; oldest first.</summary>
    public static IReadOnlyList<Took> FromPlanting(PlantJournal journal) =>
        [
            .. from planted in journal.Of(EntryKinds.Planted)
            let next = journal.Of(EntryKinds.Planted).FirstOrDefault(other => other.On > planted.On)
            let opened = journal.FirstSince(planted.On, EntryKinds.BloomOpened)
            where opened is not null && !(next?.On < opened.On) && opened.On < planted.On.AddDays(180)
            select new Took(planted.On, opened.On.DayNumber - planted.On.DayNumber),
        ];

    /// <summary>What a running programme is for has come: buds or a spike.</summary>
    public const string ProgrammeDone = "programme-done";

    /// <summary>What can be forecast.</summary>
    public static readonly IReadOnlyList<string> Turns = [.. All.Select(turn => turn.Of), PlantedToFlower, ProgrammeDone];

    /// <summary>Lanes that came to a turn here, oldest first.</summary>
    public static IReadOnlyList<Took> Before(string of, IEnumerable<Lane> lanes, DateOnly? acquired)
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
                .Select(lane => new Took(lane.From, lane.To!.Value.DayNumber - lane.From.DayNumber)),
        ];
    }

    /// <summary>A forecast for each open lane that has one.</summary>
    /// <param name="kin">Those of other plants of its kind here, by turn.</param>
    /// <param name="kind">What to call the kind, such as Lycaste.</param>
    public static IReadOnlyList<Forecast> Read(
        IReadOnlyList<Lane> lanes,
        DateOnly? acquired,
        Func<string, IReadOnlyList<Took>> kin,
        string? kind,
        CultureSheet? sheet,
        DateOnly today
    ) =>
        [
            .. from turn in All
            where turn.Of != Matured || sheet?.Organs.Shoot is not Organ.Leaf // a leaf is followed by the next, not finished
            from lane in lanes
            where lane.Kind == turn.Lane && lane.Open
            let forecast = Of(turn, lane, Before(turn.Of, lanes, acquired), kin, kind, sheet, today)
            where forecast is not null
            select forecast,
        ];

    static Forecast? Of(
        Turn turn,
        Lane lane,
        IReadOnlyList<Took> own,
        Func<string, IReadOnlyList<Took>> kin,
        string? kind,
        CultureSheet? sheet,
        DateOnly today
    )
    {
        var record =
            today.DayNumber - lane.From.DayNumber < YoungDays
                ? null
                : Record(turn, lane, own, kind is null ? [] : kin(turn.Of), kind, today);
        if (record is not null)
            return record;
        if (Usual(turn, sheet) is not { } days)
            return null;
        var half = Math.Max(SheetSpreadDays, turn.SheetShare * days);
        return Said(turn.Of, lane.Organ, lane.From, today, Spread.Around(days, half), "the sheet's usual year");
    }

    /// <summary>The forecast for something that began on a day and has not come to its turn yet.</summary>
    public static Forecast Said(string of, string? organ, DateOnly began, DateOnly today, Spread days, string source)
    {
        var left = days.After(today.DayNumber - began.DayNumber);
        return new(
            of,
            organ,
            today,
            began.AddDays((int)Math.Floor(left.From)),
            began.AddDays((int)Math.Round(left.Likely)),
            began.AddDays((int)Math.Ceiling(left.To)),
            source
        )
        {
            Late = left.Late,
        };
    }

    /// <summary>From the plant's own that began in this season, then from its kind's; else from what began at another time.</summary>
    static Forecast? Record(Turn turn, Lane lane, IReadOnlyList<Took> own, IReadOnlyList<Took> kin, string? kind, DateOnly today)
    {
        var (mine, others) = (Heard(own), Heard(kin));
        return From(mine.Where(InSeason), turn.Share, Own)
            ?? From(others.Where(InSeason), turn.Share * KinApart, Kin)
            ?? From(mine, turn.Share * OtherSeason, Own)
            ?? From(others, turn.Share * OtherSeason, Kin);

        List<Took> Heard(IEnumerable<Took> some) => [.. some.Where(one => one.Heard(today))];
        bool InSeason(Took one) => one.InSeason(lane.From);
        string Own(int count) => count == 1 ? $"this plant's earlier {turn.One}" : $"this plant's {count} earlier {turn.One}s";
        string Kin(int count) => $"{count} {turn.One}{(count == 1 ? "" : "s")} of other {kind} here";

        Forecast? From(IEnumerable<Took> some, double share, Func<int, string> source)
        {
            int[] days = [.. some.Select(one => one.Days)];
            if (days.Length == 0)
                return null;
            return Said(turn.Of, lane.Organ, lane.From, today, Spread.Of(days, share), source(days.Length));
        }
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
