using static BudClock.Core.Journal.EntryKinds;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Years;

/// <summary>How a kind lives, by hand: what it does in eighteen months, and how its grower waters it. Common practice, from memory.</summary>
/// <param name="Wakes">Month and day on which growth begins: 410 is 10 April.</param>
/// <param name="Rests">Month and day on which it is bare, or slows down.</param>
/// <param name="Every">Days from water to water in growth.</param>
/// <param name="Slow">The same out of growth; 0 for none.</param>
sealed record Life(Way Way, int Wakes, int Rests, int Every, int Slow)
{
    /// <summary>What each sheet's kind does.</summary>
    public static readonly IReadOnlyDictionary<string, Life> Of = new Dictionary<string, Life>
    {
        ["acid-shrub"] = new(Way.Leafy, 310, 1031, 4, 9),
        ["arum-lily"] = new(Way.InItsPot, 310, 1101, 4, 0),
        ["begonia-tuber"] = new(Way.Lifted, 320, 1101, 4, 0),
        ["begonia"] = new(Way.Leafy, 310, 1031, 5, 9),
        ["bulb-summer-rest"] = new(Way.InItsPot, 910, 601, 6, 0),
        ["bulb-winter-rest"] = new(Way.InItsPot, 325, 1101, 6, 0),
        ["cape-primrose"] = new(Way.Leafy, 301, 1101, 5, 8),
        ["clivia"] = new(Way.Leafy, 320, 1001, 7, 20),
        ["corm-aroid-jewel"] = new(Way.Leafy, 405, 1201, 6, 12),
        ["corm-aroid-large"] = new(Way.Leafy, 415, 1101, 4, 10),
        ["corm-aroid-pellets"] = new(Way.OverWater, 415, 1101, 6, 10),
        ["cyclamen"] = new(Way.InItsPot, 905, 601, 5, 0),
        ["desert-cactus"] = new(Way.Leafy, 405, 1015, 12, 0),
        ["epiphytic-cactus"] = new(Way.Leafy, 310, 1015, 7, 14),
        ["evergreen-bulb"] = new(Way.Leafy, 310, 1015, 6, 10),
        ["evergreen-pseudobulb-cool"] = new(Way.Bulbed, 225, 1101, 5, 8),
        ["evergreen-pseudobulb-semi-hydro"] = new(Way.OverWater, 315, 1015, 7, 12),
        ["evergreen-pseudobulb-warm"] = new(Way.Bulbed, 325, 1015, 6, 10),
        ["evergreen-pseudobulb-water"] = new(Way.OverWater, 315, 1015, 6, 10),
        ["fire-lily"] = new(Way.Leafy, 310, 1031, 6, 14),
        ["flowering-climber"] = new(Way.Leafy, 325, 1015, 4, 9),
        ["fuchsia"] = new(Way.Leafy, 325, 1031, 4, 12),
        ["general"] = new(Way.Leafy, 310, 1015, 6, 10),
        ["holiday-cactus"] = new(Way.Leafy, 310, 901, 7, 10),
        ["leaf-succulent"] = new(Way.Leafy, 310, 1031, 12, 25),
        ["leafless-pseudobulb-thirsty"] = new(Way.DryBulbs, 410, 1115, 3, 0),
        ["leafless-pseudobulb"] = new(Way.DryBulbs, 410, 1115, 5, 0),
        ["monopodial-mount"] = new(Way.Leafy, 405, 1015, 2, 4),
        ["monopodial-pot"] = new(Way.Leafy, 405, 1001, 7, 10),
        ["monopodial-semi-hydro"] = new(Way.OverWater, 405, 1001, 7, 11),
        ["monopodial-water"] = new(Way.OverWater, 405, 1001, 6, 10),
        ["pelargonium"] = new(Way.Leafy, 310, 1015, 6, 16),
        ["pseudobulb-mount"] = new(Way.Bulbed, 325, 1015, 2, 5),
        ["rosette-gesneriad-wick"] = new(Way.OverWater, 201, 1130, 7, 9),
        ["rosette-gesneriad"] = new(Way.Leafy, 201, 1130, 6, 8),
        ["seasonal-butterwort"] = new(Way.Bog, 320, 1015, 6, 25),
        ["slipper-orchid"] = new(Way.Leafy, 310, 1001, 5, 7),
        ["spray-orchid"] = new(Way.Bulbed, 325, 1015, 4, 8),
        ["string-vine"] = new(Way.Leafy, 325, 1101, 11, 25),
        ["succulent-shrub"] = new(Way.InItsPot, 425, 1101, 7, 0),
        ["sundew"] = new(Way.Bog, 310, 1031, 5, 8),
        ["temperate-bog"] = new(Way.Bog, 320, 1031, 5, 12),
        ["tender-narcissus"] = new(Way.Forced, 1101, 120, 4, 0),
        ["tender-shrub"] = new(Way.Leafy, 325, 1031, 4, 12),
        ["thick-rooted-lily"] = new(Way.Leafy, 405, 1015, 5, 16),
        ["trailing-gesneriad"] = new(Way.Leafy, 310, 1031, 5, 9),
        ["tropical-aroid"] = new(Way.Leafy, 225, 1115, 6, 9),
        ["tropical-pitcher"] = new(Way.Leafy, 210, 1130, 3, 5),
        ["tuber-climber"] = new(Way.Lifted, 325, 1015, 4, 0),
        ["tuber-foliage"] = new(Way.Lifted, 325, 1101, 4, 0),
        ["tuber-gesneriad"] = new(Way.Lifted, 301, 1101, 4, 0),
        ["wax-vine-thick"] = new(Way.Leafy, 325, 1001, 9, 16),
        ["wax-vine-thin"] = new(Way.Leafy, 310, 1015, 6, 9),
        ["winter-bulb"] = new(Way.InItsPot, 920, 615, 5, 0),
    };

    /// <summary>It is watered by its medium, so that any pot will do; else the vessel is part of how it lives.</summary>
    public bool AnyPot => Way is not (Way.OverWater or Way.Bog or Way.Forced) && Every > 2;

    /// <summary>In leaf and watered: the days on which no water is a fault.</summary>
    public bool Grows(DateOnly day)
    {
        var (at, water) = ((day.Month * 100) + day.Day, Wakes + (Way is Way.DryBulbs ? 115 : 40));
        return Way is not Way.Forced && (water < Rests ? at >= water && at < Rests - 90 : at >= water || at < Rests - 90);
    }
}

/// <summary>A way of life.</summary>
enum Way
{
    Leafy,
    Bulbed,
    DryBulbs,
    InItsPot,
    Lifted,
    Bog,
    OverWater,
    Forced,
}

/// <summary>How much of it is written down.</summary>
enum Kept
{
    Fully,
    ByHalf,

    /// <summary>Ten summer weeks without a word.</summary>
    WithAGap,
}

/// <summary>The log of a life, as its grower keeps it.</summary>
sealed class LifeLog(Life life, bool wellBelow, Kept kept)
{
    public static readonly DateOnly First = new(2029, 10, 1);
    public static readonly DateOnly Last = new(2031, 3, 31);
    public static readonly DateOnly GapFrom = new(2030, 6, 1);
    public static readonly DateOnly GapTo = new(2030, 8, 10);

    readonly List<Entry> log = [];
    int waters;

    public static Plant Plant((string Taxon, string? Medium, string Sheet) kind, Pot pot, Kept kept)
    {
        var life = Life.Of[kind.Sheet];
        return new()
        {
            Tag = "L-1",
            Taxon = kind.Taxon,
            Medium = kind.Medium,
            Place = "here",
            Pot = pot,
            Acquired = new(2027, 5, 1),
            Organs = life.Way is Way.Bulbed or Way.DryBulbs
                ? [new("g1", Organ.Growth, "growth 1"), new("g2", Organ.Growth, "growth 2"), new("s1", Organ.Spike, "spike")]
                : [],
            Entries = new LifeLog(life, pot.Form.WaterBelow, kept).Written(),
        };
    }

    Entry[] Written()
    {
        for (var day = First; day <= Last; day = day.AddDays(1))
            Live(day, (day.Month * 100) + day.Day);
        return
        [
            .. log.Where(e => kept is not Kept.WithAGap || e.On < GapFrom || e.On >= GapTo)
                .Select((e, order) => e with { Logged = e.Logged.AddSeconds(order) }),
        ];
    }

    void Live(DateOnly day, int at)
    {
        if (life.Way is Way.Forced)
            Force(day);
        else if (life.Way is Way.Lifted or Way.InItsPot or Way.DryBulbs)
            Turn(day, at);
        else if (life.Way is Way.Bog && at == life.Rests)
            Write(day, Note, "older leaves brown");
        Grow(day);
        Drink(day, at);
    }

    /// <summary>Falling asleep, sleeping and waking.</summary>
    void Turn(DateOnly day, int at)
    {
        if (at == life.Rests)
            Write(day, LeavesGone);
        if (life.Way is Way.Lifted && day.AddDays(-4) is var before && (before.Month * 100) + before.Day == life.Rests)
        {
            Write(day, Lifted);
            Write(day, Stored, "dry, in a box");
        }
        if (Asleep(day) && day.Day == 15)
            Felt(day);
        if (at != life.Wakes)
            return;
        if (life.Way is Way.Lifted)
        {
            Write(day, Tuber, "sprouting");
            Write(day, Planted);
        }
        else
            Write(day, GrowthStarted, organ: life.Way is Way.DryBulbs ? "g1" : null);
    }

    void Felt(DateOnly day)
    {
        if (life.Way is Way.DryBulbs)
            Write(day, EntryKinds.Bulbs, "plump");
        else
            Write(day, life.Way is Way.Lifted ? Tuber : Base, "firm");
    }

    /// <summary>What it shows in growth: two growths where it has them, its roots, its spike and its flowers.</summary>
    void Grow(DateOnly day)
    {
        var age = day.DayNumber - Woke(day).DayNumber;
        if (Asleep(day) || age < 0)
            return;
        if (life.Way is Way.Bulbed && age == 0)
            Write(day, GrowthStarted, organ: "g1");
        if (life.Way is Way.Bulbed or Way.DryBulbs)
        {
            if (age == 12)
                Write(day, GrowthStarted, organ: "g2");
            if (age is > 14 and < 120 && age % 14 == 0)
            {
                Write(day, GrowthHeight, cm: 2 + (age / 5.0), organ: "g1");
                Write(day, GrowthHeight, cm: 1 + (age / 6.0), organ: "g2");
            }
            if (age == 14)
                Write(day, RootsStarted);
            if (age is 16 or 23 or 30 or 37 or 40)
                Write(day, RootLength, cm: (age - 12) * 0.55);
            if (age == 160)
                Write(day, GrowthMatured, organ: "g1");
            if (age == 165)
                Write(day, GrowthMatured, organ: "g2");
        }
        else if (age is > 0 and < 180 && age % 24 == 0)
            Write(day, LeafStarted);
        if (age == 70)
            Write(day, SpikeStarted);
        if (age == 85)
            Write(day, Buds, number: 6);
        if (age == 100)
            Write(day, BloomOpened);
        if (age == 125)
            Write(day, BloomEnded);
    }

    void Drink(DateOnly day, int at)
    {
        var grows = !Asleep(day) && InLeaf(at);
        var every = grows ? life.Every : life.Slow;
        if (every == 0 || Asleep(day) || day.DayNumber % every != 0 || (life.Way is Way.DryBulbs && !Soaked(day)))
            return;
        waters++;
        if (kept is Kept.ByHalf && waters % 2 == 0)
            return;
        var below = life.Way is Way.OverWater or Way.Bog || wellBelow;
        if (below)
        {
            var level = life.Way is Way.Bog ? Tray : Reservoir;
            if (kept is Kept.Fully)
                Write(day, level, cm: 0.8);
            Write(day, ToppedUp);
            Write(day, level, cm: 3);
        }
        else
        {
            if (kept is Kept.Fully)
                Write(day, Medium, "dry");
            Write(day, Watered, number: 200);
        }
        if (grows && waters % 3 == 0 && life.Way is not Way.Bog)
            Write(day, Fed);
    }

    /// <summary>Bulbs over pebbles in November, thrown away when they have flowered.</summary>
    void Force(DateOnly day)
    {
        if (day == new DateOnly(2029, 11, 1))
            Write(day, Planted);
        if (day == new DateOnly(2029, 11, 12))
            Write(day, LeafStarted);
        if (day == new DateOnly(2029, 12, 5))
            Write(day, BloomOpened);
        if (day == new DateOnly(2030, 1, 5))
            Write(day, BloomEnded);
        if (day == new DateOnly(2030, 1, 20))
            Write(day, Died, "thrown out after its flowers");
    }

    /// <summary>New roots have their length 43 days after the growth shows.</summary>
    bool Soaked(DateOnly day)
    {
        var age = day.DayNumber - Woke(day).DayNumber;
        if (age == 40)
        {
            Write(day, EntryKinds.Soaked);
            return false;
        }
        return age > 40;
    }

    bool InLeaf(int at) => life.Wakes < life.Rests ? at >= life.Wakes && at < life.Rests : at >= life.Wakes || at < life.Rests;

    bool Asleep(DateOnly day) => life.Way is Way.DryBulbs or Way.InItsPot or Way.Lifted && !InLeaf((day.Month * 100) + day.Day);

    DateOnly Woke(DateOnly day)
    {
        var year = new DateOnly(day.Year, life.Wakes / 100, life.Wakes % 100);
        return year <= day ? year : year.AddYears(-1);
    }

    void Write(DateOnly day, EntryKind kind, string? text = null, double? cm = null, double? number = null, string? organ = null)
    {
        var amount =
            cm is { } length ? Cm(length)
            : number is { } n ? new Quantity(n, kind == Watered ? Unit.Ml : null)
            : (Quantity?)null;
        log.Add(At(day, kind, amount, text) with { Organ = organ });
    }
}
