using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Planning;

/// <summary>What is wished for: bulbs in bloom on a day.</summary>
/// <param name="Wanted">The day on which the first flowers are to be open.</param>
/// <param name="Bulbs">How many, from 1.</param>
public sealed record BulbWish(DateOnly Wanted, int Bulbs);

/// <summary>What the bulbs are planted in.</summary>
/// <param name="DiameterCm">Its inner width, cm, above 0.</param>
/// <param name="Pebbles">A bowl of pebbles rather than a pot of soil.</param>
public sealed record BulbVessel(double DiameterCm, bool Pebbles)
{
    /// <summary>Bulbs stand side by side and do not touch: about eight tenths of the room that circles of their width would fill.</summary>
    const double Packing = 0.8;

    /// <summary>How many bulbs of a width fit in; 1 at the least.</summary>
    public int Holds(double bulbCm) => Math.Max(1, (int)(Packing * (DiameterCm / bulbCm) * (DiameterCm / bulbCm)));

    /// <summary>"pebble bowl of 20 cm".</summary>
    public string Words =>
        string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{(Pebbles ? "pebble bowl" : "pot")} of {DiameterCm:0.#} cm");
}

/// <summary>One lot of bulbs: planted on one day, for one day.</summary>
/// <param name="OrderBy">The day by which bulbs that are not in the house are ordered.</param>
/// <param name="Plant">The planting day, which begins the dark week.</param>
/// <param name="DarkUntil">The day on which it goes into the light.</param>
/// <param name="BloomFrom">The early end of the days on which eight in ten lots open.</param>
/// <param name="BloomTo">The late end.</param>
/// <param name="Vessels">How many pots or bowls.</param>
public sealed record BulbLot(
    DateOnly Wanted,
    int Bulbs,
    DateOnly OrderBy,
    DateOnly Plant,
    DateOnly DarkUntil,
    DateOnly BloomFrom,
    DateOnly BloomTo,
    int Vessels
)
{
    /// <summary>What speaks against it, as sentences; empty for a sound one.</summary>
    public IReadOnlyList<string> Warnings { get; init; } = [];
}

/// <summary>Pots or bowls in one week, by where they stand.</summary>
/// <param name="Monday">The week's first day.</param>
/// <param name="Dark">In the cool dark.</param>
/// <param name="Bright">On the bright, cool sill.</param>
/// <param name="Bloom">In flower, where they are looked at.</param>
public sealed record BulbWeek(DateOnly Monday, int Dark, int Bright, int Bloom)
{
    /// <summary>All of them.</summary>
    public int Total => Dark + Bright + Bloom;
}

/// <summary>Rules B2 and D10: bulbs for a date, worked back from the day they are wanted.</summary>
/// <param name="Lots">In the order of planting.</param>
/// <param name="Took">How long from planting to the first flower, and where that is from.</param>
/// <param name="Weeks">Space by week, from the first planting to the last flower.</param>
public sealed record BulbPlan(IReadOnlyList<BulbLot> Lots, BulbInterval Took, IReadOnlyList<BulbWeek> Weeks)
{
    /// <summary>Flowers last about so long in a cool room, days (common practice).</summary>
    const int BloomDays = 14;

    /// <summary>A plan has so many lots at the most, however short the succession.</summary>
    public const int MostLots = 60;

    /// <summary>Works the plan out.</summary>
    /// <param name="sheet">A sheet with rule B2.</param>
    /// <param name="wishes">At least one.</param>
    /// <param name="everyDays">A succession: from the first wish on again each so many days, till early spring; null for none.</param>
    /// <param name="took">How long they take from planting to flower.</param>
    /// <param name="storedOn">Since when they are held back; null for bulbs that are still to be bought.</param>
    public static BulbPlan Of(
        CultureSheet sheet,
        IReadOnlyList<BulbWish> wishes,
        int? everyDays,
        BulbVessel vessel,
        BulbInterval took,
        DateOnly today,
        bool southern,
        DateOnly? storedOn = null
    )
    {
        var rule = sheet.Limits<ForcingLimits>();
        var all = wishes.Concat(everyDays is { } every && every > 0 ? Succession(sheet, wishes[0], every, took, southern) : []);
        var lots = all.DistinctBy(wish => wish.Wanted).OrderBy(wish => wish.Wanted).Take(MostLots).Select(Lot).ToList();
        return new(lots, took, [.. Space(lots)]);

        BulbLot Lot(BulbWish wish)
        {
            var plant = wish.Wanted.AddDays(-(int)Math.Round(took.Likely));
            var lot = new BulbLot(
                wish.Wanted,
                wish.Bulbs,
                plant.AddDays(-rule.Order),
                plant,
                plant.AddDays(rule.Dark),
                plant.AddDays((int)Math.Round(took.From)),
                plant.AddDays((int)Math.Round(took.To)),
                (int)Math.Ceiling(wish.Bulbs / (double)vessel.Holds(rule.Bulb))
            );
            return lot with { Warnings = [.. Against(lot)] };
        }

        IEnumerable<string> Against(BulbLot lot)
        {
            var last = rule.LastDay(lot.Plant, southern);
            if (lot.Plant < today)
                yield return "Its planting day is past. Planted today it would bloom about "
                    + $"{Dates.Near(today.AddDays((int)Math.Round(took.Likely)), today)}.";
            else if (storedOn is null && lot.OrderBy < today)
                yield return "The usual day to order is past: only bulbs that are in a shop nearby come in time.";
            if (lot.Plant > last)
                yield return $"Planted after {Dates.Short(last)} they run into long warm days, and stems grow weak.";
            if (storedOn is { } stored && lot.Plant.DayNumber - stored.DayNumber > rule.Keeps * 7)
                yield return $"By then they are held back for {(lot.Plant.DayNumber - stored.DayNumber) / 7} weeks, longer than bulbs stay "
                    + "sound: feel them first.";
        }
    }

    /// <summary>The same wish again and again, as long as its planting day lies before the end of early spring.</summary>
    static IEnumerable<BulbWish> Succession(CultureSheet sheet, BulbWish first, int every, BulbInterval took, bool southern)
    {
        var last = sheet.Limits<ForcingLimits>().LastDay(first.Wanted.AddDays(-(int)Math.Round(took.Likely)), southern);
        for (var lot = 1; lot < MostLots; lot++)
        {
            var wanted = first.Wanted.AddDays(lot * every);
            if (wanted.AddDays(-(int)Math.Round(took.Likely)) > last)
                yield break;
            yield return first with
            {
                Wanted = wanted,
            };
        }
    }

    static IEnumerable<BulbWeek> Space(IReadOnlyList<BulbLot> lots)
    {
        if (lots.Count == 0)
            yield break;
        var end = lots.Max(lot => lot.Wanted).AddDays(BloomDays);
        for (var monday = Monday(lots.Min(lot => lot.Plant)); monday <= end; monday = monday.AddDays(7))
        {
            var sunday = monday.AddDays(6);
            yield return new(
                monday,
                Sum(lot => (lot.Plant, lot.DarkUntil.AddDays(-1))),
                Sum(lot => (lot.DarkUntil, lot.Wanted.AddDays(-1))),
                Sum(lot => (lot.Wanted, lot.Wanted.AddDays(BloomDays)))
            );

            int Sum(Func<BulbLot, (DateOnly From, DateOnly To)> span) =>
                lots.Where(lot => span(lot) is var (from, to) && from <= sunday && to >= monday && to >= from).Sum(lot => lot.Vessels);
        }
    }

    /// <summary>The Monday of a day's week.</summary>
    internal static DateOnly Monday(DateOnly day) => day.AddDays(-(((int)day.DayOfWeek + 6) % 7));
}
