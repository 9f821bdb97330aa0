using System.Globalization;
using BudClock.Core.Advising;
using BudClock.Core.Advising.Vessels;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Round;

/// <summary>
/// What can be left to a stranger for some days: plain water on the days on which a plant is likely to ask, how much, and which plants
/// to leave alone.
/// </summary>
/// <remarks>First soaks, rests, roots, feed, illness and anything that is decided by feel stay with the grower.</remarks>
public sealed record SitterSheet(DateOnly From, DateOnly To, IReadOnlyList<SitterPlace> Places, IReadOnlyList<SitterTray> Trays)
{
    /// <summary>Lays out the sheet.</summary>
    /// <param name="from">The first day, today or later.</param>
    /// <param name="days">How many days, 1 or more.</param>
    public static SitterSheet Of(
        IEnumerable<Assessment> plants,
        IReadOnlyList<Place> places,
        IReadOnlyList<SharedVessel> trays,
        DateOnly from,
        int days
    )
    {
        var to = from.AddDays(days - 1);
        var filled = trays.Where(tray => tray.Plants.Count > tray.Out.Count && tray.Vessel.Kind != Vessel.CoverPot).ToList();
        var inTrays = filled
            .SelectMany(tray => tray.Plants.Except(tray.Out.Select(pair => pair.Plant)))
            .Select(a => a.Plant.Tag)
            .ToHashSet();
        // What stands in a tray drinks from it: it is neither watered by itself nor left alone.
        var rows = plants.Where(a => !a.Gone && !inTrays.Contains(a.Plant.Tag)).Select(a => Row(a, from, to)).ToList();
        var walk = places.Select(p => (Code: (string?)p.Code, p.Name)).Append((null, "Unplaced"));
        return new(
            from,
            to,
            [
                .. walk.Select(place => Place(place.Name, [.. rows.Where(r => r.Plant.Plant.Place == place.Code)]))
                    .Where(place => place.Rows.Count + place.Leave.Count > 0),
            ],
            [.. filled.Select(tray => Tray(tray, from, to))]
        );
    }

    static SitterPlace Place(string name, List<SitterRow> rows) =>
        new(name, [.. rows.Where(r => r.Days.Count > 0)], [.. rows.Where(r => r.Days.Count == 0)]);

    static SitterTray Tray(SharedVessel tray, DateOnly from, DateOnly to)
    {
        var levels = tray.Plants[0].Situation.Levels;
        return new(tray, Days(levels.AsksOn ?? from, Math.Max(1, levels.RefillDays ?? EveryLook), from, to));
    }

    const int EveryLook = 3;

    static SitterRow Row(Assessment plant, DateOnly from, DateOnly to)
    {
        var now = plant.Situation;
        if (Unsafe(now) is { } why)
            return new(plant, [], why);
        if (
            plant.Of(Care.GiveWater) is not { } water
            || !water.Care.Facts().ForSitter
            || water.StoppedBy is not null
            || water.Topic == Topics.FirstSoak
        )
            return new(plant, [], "needs nothing");
        var every = Math.Max(
            1,
            (int)Math.Round(water.Care is Care.GiveWater ? now.Interval.Days : now.Levels.RefillDays ?? now.Limits<ReservoirLimits>().Every)
        );
        var first = water.Verdict is Verdict.Hold ? water.Due ?? to.AddDays(1) : plant.On;
        var days = Days(first, every, from, to);
        return new(plant, days, days.Count == 0 ? "asks for nothing in these days" : Words(now, water));
    }

    /// <summary>Why it is not left to a stranger, in few words; null where it may be.</summary>
    static string? Unsafe(Situation now) =>
        now.Rot is { Open: true } ? "ill, no water"
        : now.Thirst.Kind is ThirstKind.RootAlarm ? "its roots are in question, no water"
        : now.Roots.Dead || now.Roots.Unrooted ? "has no roots, no water"
        : now is { Resting: false, Sleep.Kind: SleepKind.Perhaps } ? "in leaf or asleep? nobody wrote it down; decide before you go"
        : now.Resting || now.Sleep.Kind is not SleepKind.None ? "rests, no water"
        : now.DryRest.Waking ? "waits dry for its first water"
        : now.Temper.Danger || now.Temper.Cold ? "stands cold, no water"
        : null;

    static List<DateOnly> Days(DateOnly first, int every, DateOnly from, DateOnly to)
    {
        var days = new List<DateOnly>();
        for (var day = first < from ? from : first; day <= to; day = day.AddDays(every))
            days.Add(day);
        return days;
    }

    static string Words(Situation now, Advice water)
    {
        if (water.Care is Care.FillTray)
            return string.Create(
                CultureInfo.InvariantCulture,
                $"refill its tray to {now.Limits<TrayLimits>().Depth:0.#} cm, rain water only"
            );
        if (water.Care is Care.TopUp)
            return "top up the reservoir to the mark";
        if (now.Sheet.Find<FromBelowLimits>() is { } below)
            return string.Create(CultureInfo.InvariantCulture, $"stand in water {below.Stand:0} minutes, drain; only if the pot is light");
        var amount = Advising.Watering.Amounts.Usual(now, water.Care);
        return $"{(amount is null ? "water" : amount)}, if dry two finger joints down";
    }
}

/// <summary>A place of the sheet.</summary>
/// <param name="Leave">Plants to leave alone, each with a word why.</param>
public sealed record SitterPlace(string Name, IReadOnlyList<SitterRow> Rows, IReadOnlyList<SitterRow> Leave);

/// <summary>A plant of the sheet.</summary>
/// <param name="Days">The days on which it is likely to ask; none for a plant to leave alone.</param>
/// <param name="Do">What to do, with the amount; or why it is left alone.</param>
public sealed record SitterRow(Assessment Plant, IReadOnlyList<DateOnly> Days, string Do);

/// <summary>A tray or reservoir of the sheet, with the days on which to look at it.</summary>
public sealed record SitterTray(SharedVessel Tray, IReadOnlyList<DateOnly> Days);
