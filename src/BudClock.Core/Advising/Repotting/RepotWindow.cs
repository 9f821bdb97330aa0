using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Where the repot window of a plant stands (rule R1), the most urgent first.</summary>
public enum WindowState
{
    /// <summary>Rot, a collapsed or a wrong medium: at once, in the window or out of it.</summary>
    AtOnce,

    /// <summary>Open, and it closes within a week.</summary>
    Closing,

    /// <summary>Open.</summary>
    Open,

    /// <summary>Open by its roots, and something speaks against it today.</summary>
    Held,

    /// <summary>Shut until it makes new roots, or until it wakes.</summary>
    Shut,

    /// <summary>Its roots are too long: not before the next ones.</summary>
    Missed,
}

/// <summary>The repot window of one plant on one day, for all that shows it.</summary>
/// <param name="Wanted">Why it wants a repot; null where it wants none.</param>
/// <param name="Words">What there is to say, as sentences.</param>
/// <param name="From">Open from that day, or expected to open; null where nobody knows.</param>
/// <param name="To">Closed after that day, or expected to; null for a window that does not close by roots.</param>
/// <param name="Roots">The roots it goes by; null where none show.</param>
public sealed record RepotWindow(WindowState State, string? Wanted, string Words, DateOnly? From, DateOnly? To, RootTips? Roots)
{
    /// <summary>A window that shuts so soon is closing, days.</summary>
    const int Soon = 7;

    /// <summary>How long a flush stays short enough, where nobody knows better, days.</summary>
    const int UsualDays = 28;

    /// <summary>Its day after the forecast cold, where that keeps it and its roots bear the wait; null otherwise.</summary>
    public DateOnly? AfterCold { get; init; }

    /// <summary>What helps until it can be done; null where nothing is wanted, or it can be done now.</summary>
    public string? TideOver =>
        Wanted is null || State is WindowState.AtOnce or WindowState.Closing or WindowState.Open
            ? null
            : "Until then: water it only when it has dried right through, for an old medium stays wet below; plain water once a month "
                + "till it runs off; no stronger feed; loose bark or pebbles on top where it has sunk.";

    /// <summary>Days until it closes; null where it is not open or does not close.</summary>
    public int? DaysLeft(DateOnly today) =>
        State is WindowState.Open or WindowState.Closing && To is { } to ? Math.Max(0, to.DayNumber - today.DayNumber) : null;

    /// <summary>The window of a plant as it was assessed.</summary>
    public static RepotWindow Read(Assessment plant)
    {
        var now = plant.Situation;
        var wanted = RepotWant.Read(now);
        if (plant.Settled.FirstOrDefault(advice => advice.Topic == Topics.Repot && advice.Ground is Ground.Emergency) is { } urgent)
            return new(WindowState.AtOnce, urgent.Because ?? "It cannot stay in what it is in", urgent.Reason, now.Today, null, null);
        if (now.Rot is { Open: true } rot)
            return new(
                WindowState.AtOnce,
                "It rots",
                $"{Sentence.Capital(rot.Words)}: out of its pot now, and only what is firm goes back.",
                now.Today,
                null,
                null
            );
        var said = plant.Settled.Where(advice => advice.Topic == Topics.Repot).MinBy(advice => advice.Verdict);
        var window =
            now.Roots.Unrooted ? new(WindowState.Shut, null, "Its first roots are still to come: not before it has them.", null, null, null)
            : now.Sheet.Is(Traits.RootsInFlushes) ? ByRoots(now)
            : ByGrowth(now);
        // Whatever its roots say, nothing is open that the rules hold back, such as what blooms in a full pot.
        var heldBack = wanted is not null && said?.Verdict is not (Verdict.Do or Verdict.Look);
        if (heldBack && window.State is (WindowState.Open or WindowState.Closing))
            window = window with { State = WindowState.Held };
        return window with { Wanted = wanted?.Words, Words = said?.Reason ?? (wanted is null ? "It wants no repot now." : window.Words) };
    }

    static RepotWindow ByRoots(Situation now)
    {
        var limits = now.Limits<RepotWindowLimits>();
        if (RootTips.Read(now) is not { } roots || now.Resting)
            return Next(now);
        var closes = roots.Reach(limits.Late);
        if (roots.At(now.Today) > limits.Late)
            return Next(now) with { State = WindowState.Missed, Words = "Its roots are too long by now.", Roots = roots };
        var first = now.Lanes.LastOrDefault(lane => lane is { Kind: LaneKind.Roots, Open: true })?.From ?? roots.Last.On;
        var held = RepotVeto.Reasons(now).Any();
        return new(
            held ? WindowState.Held
                : closes <= now.Today.AddDays(Soon) ? WindowState.Closing
                : WindowState.Open,
            null,
            string.Create(CultureInfo.InvariantCulture, $"New roots of {roots.Last.Cm:0.#} cm: open until about {Dates.Short(closes)}."),
            first,
            closes,
            roots
        )
        {
            AfterCold = AfterTheCold(now, roots, limits.Late),
        };
    }

    static DateOnly? AfterTheCold(Situation now, RootTips roots, double late) =>
        now.Temper is { CoolAhead: not null, LastCool.On: var last } && roots.At(last.AddDays(1)) <= late ? last.AddDays(1) : null;

    /// <summary>Shut until the next roots, which come about when this plant made them in its own past.</summary>
    static RepotWindow Next(Situation now)
    {
        var next = now
            .Lanes.Where(lane => lane.Kind == LaneKind.Roots && lane.From < now.Today.AddDays(-now.Limits<RepotWindowLimits>().Recent))
            .Select(lane => Ahead(lane.From, now.Today))
            .Order()
            .ToList();
        return next.Count == 0
            ? new(WindowState.Shut, null, "Shut until new root tips show.", null, null, null)
            : new(
                WindowState.Shut,
                null,
                $"Shut until new root tips show; in its own past from {Dates.Short(next[0])} on.",
                next[0],
                next[^1].AddDays(UsualDays),
                null
            );
    }

    static DateOnly Ahead(DateOnly day, DateOnly today)
    {
        var next = day;
        while (next <= today)
            next = next.AddYears(1);
        return next;
    }

    /// <summary>What does not root in flushes is repotted in growth; some bare and dry, before they wake.</summary>
    static RepotWindow ByGrowth(Situation now)
    {
        var dry = now.Sheet.Is(Traits.RepottedDry);
        if (now.Resting && !dry)
            return new(WindowState.Shut, null, "It rests: not before it wakes.", null, null, null);
        var open = RepotVeto.Reasons(now).ToList();
        return open.Count > 0
            ? new(WindowState.Held, null, $"Not now: {string.Join(", and ", open.Select(reason => reason.Words))}.", null, null, null)
            {
                AfterCold = now.Temper is { CoolAhead: not null, LastCool.On: var last } ? last.AddDays(1) : null,
            }
            : new(
                WindowState.Open,
                null,
                now.Resting ? "Bare and dry, before it wakes: now." : "In growth: any time now.",
                now.Today,
                null,
                null
            );
    }
}
