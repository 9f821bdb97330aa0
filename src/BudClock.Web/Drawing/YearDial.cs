using System.Globalization;
using BudClock.Core.Advising;
using BudClock.Core.Advising.Repotting;
using BudClock.Core.Culture;

namespace BudClock.Web.Drawing;

/// <summary>The numbers of the year dial. Behind the hand about nine months as recorded, ahead three as expected.</summary>
public sealed record YearDial(
    IReadOnlyList<DialMonth> Months,
    IReadOnlyList<DialRing> Rings,
    IReadOnlyList<DialArc> Arcs,
    string? DayBand,
    Point HandFrom,
    Point HandTo,
    string Word,
    string Under
)
{
    public const double NightRadius = 157;

    /// <summary>Between the outermost lane and the night.</summary>
    const double WindowRadius = 145.5;
    public const double BandWidth = 18;
    const double OuterLane = 136.5;
    const double LaneStep = 17;
    public const double LaneWidth = 13;
    const double RecordedDays = 274;

    /// <summary>When it can be repotted, where it wants to be and the days are known; null otherwise.</summary>
    public DialWindow? Repot { get; private init; }

    public static YearDial Of(Assessment plant, Garden garden)
    {
        var dial = new DialGeometry(garden.Southern);
        var today = plant.Ended?.On ?? plant.On; // a plant that is gone shows its last year
        return new(
            [.. Enumerable.Range(1, 12).Select(month => DialMonth.Of(dial, today.Year, month))],
            [.. Enum.GetValues<LaneKind>().Select(kind => new DialRing(kind, Radius(kind)))],
            [.. plant.Lanes.Select(lane => Arc(dial, lane, today)).OfType<DialArc>()],
            garden.Latitude is { } latitude ? dial.DayBand(today.Year, latitude, NightRadius - (BandWidth / 2), BandWidth) : null,
            dial.At(today, 50),
            dial.At(today, 169),
            plant.Ended is { } end ? end.Kind.Words : plant.Phase.Phase.Words(),
            plant.Ended is { } ended ? Dates.Long(ended.On) : WordsUnder(plant)
        )
        {
            Repot = plant.Ended is null && plant.Fault is null ? Window(dial, plant) : null,
        };
    }

    static DialWindow? Window(DialGeometry dial, Assessment plant) =>
        RepotWindow.Read(plant) is { Wanted: not null, From: { } from, To: { } to } && to > from
            ? new(dial.Arc(from, to, WindowRadius), from, to)
            : null;

    /// <summary>The usual year of a sheet, with today's hand in it.</summary>
    public static YearDial Of(CultureSheet sheet, Garden garden, DateOnly today)
    {
        var dial = new DialGeometry(garden.Southern);
        var phase = sheet.PhaseOn(today, garden.Southern);
        return new(
            [.. Enumerable.Range(1, 12).Select(month => DialMonth.Of(dial, today.Year, month))],
            [.. Enum.GetValues<LaneKind>().Select(kind => new DialRing(kind, Radius(kind)))],
            [.. sheet.Usual.Select(lane => Arc(dial, lane, garden.Southern, today))],
            garden.Latitude is { } latitude ? dial.DayBand(today.Year, latitude, NightRadius - (BandWidth / 2), BandWidth) : null,
            dial.At(today, 50),
            dial.At(today, 169),
            phase?.Phase.Phase.Words() ?? "",
            "is usual now"
        );
    }

    static DialArc Arc(DialGeometry dial, UsualLane lane, bool southern, DateOnly today)
    {
        var (from, to) = (lane.From.In(today.Year, southern), lane.To.In(today.Year, southern));
        if (to < from)
            to = to.AddYears(1);
        return new(lane.Lane, false, dial.Arc(from, to, Radius(lane.Lane)), from, to, today) { Usual = true };
    }

    static double Radius(LaneKind kind) => OuterLane - (LaneStep * (int)kind);

    static DialArc? Arc(DialGeometry dial, Lane lane, DateOnly today)
    {
        var to = lane.To ?? today;
        var from = lane.From < today.AddDays(-(int)RecordedDays) ? today.AddDays(-(int)RecordedDays) : lane.From;
        if (to <= from && to < today)
            return null;
        return new(
            lane.Kind,
            lane.Expected,
            dial.Arc(from, to, Radius(lane.Kind)),
            lane.From,
            lane.Expected ? lane.To
                : lane.Open ? null
                : lane.To,
            today
        );
    }

    /// <summary>"day 42 · roots 8.5 cm".</summary>
    static string WordsUnder(Assessment plant)
    {
        var days = plant.Phase.Since is { } since ? $"day {plant.On.DayNumber - since.DayNumber}" : "";
        var roots = plant.Situation is { DryRest.Waking: true, NewRoots.Longest: { } longest }
            ? string.Create(CultureInfo.InvariantCulture, $"roots {longest.Value:0.#} cm")
            : "";
        return string.Join(" · ", new[] { days, roots }.Where(part => part.Length > 0));
    }
}

public sealed record DialMonth(string Name, Point Label, Point TickFrom, Point TickTo)
{
    public static DialMonth Of(DialGeometry dial, int year, int month)
    {
        var first = new DateOnly(year, month, 1);
        return new(
            first.ToString("MMM", CultureInfo.InvariantCulture),
            dial.At(first.AddDays(14), 178),
            dial.At(first, 60),
            dial.At(first, 166)
        );
    }
}

/// <summary>The repot window on the dial.</summary>
public sealed record DialWindow(string Path, DateOnly From, DateOnly To)
{
    /// <summary>For its title: "Repot window, 2 to 9 May".</summary>
    public string Words => $"Repot window, {Dates.Range(From, To)}";
}

public sealed record DialRing(LaneKind Kind, double Radius);

/// <param name="To">Null while the lane is open.</param>
public sealed record DialArc(LaneKind Kind, bool Expected, string Path, DateOnly From, DateOnly? To, DateOnly Today)
{
    /// <summary>It is of the sheet's usual year, and nobody's record.</summary>
    public bool Usual { get; init; }

    /// <summary>For its title and its table row: "Roots, 23 Apr to now".</summary>
    public string Words =>
        Usual ? $"{Kind}, usually {Dates.Short(From)} to {Dates.Short(To!.Value)}"
        : Expected ? $"{Kind} expected, {Dates.Near(From, Today)} to {(To is { } end ? Dates.Near(end, Today) : "later")}"
        : $"{Kind}, {Dates.Near(From, Today)} to {(To is { } until ? Dates.Near(until, Today) : "now")}";
}
