namespace BudClock.SimulatedPlants;

/// <summary>
/// The habits there are. Intervals and limits of cold are common practice of growers; degree-days follow from the usual dates of each
/// habit at the usual temperatures, and days in bloom from the same dates; what is marked so is assumed.
/// </summary>
public static class Habits
{
    // The columns: dries in, lives dry, bears wet (assumed throughout), rots below, kills below, grows above, degree-days of a season.
    // "Kills below" is taken two to four degrees under the night that growers call dangerous: assumed.

    /// <summary>Catasetum and kin: roots about four weeks after the growth (common practice), spikes from the ripe growth.</summary>
    public static readonly Habit LeaflessBulbs = new(
        "leafless-bulbs",
        "Catasetum",
        RestKind.LeaflessBulbs,
        BloomCue.RipeGrowth,
        6,
        160,
        9,
        12,
        5,
        10,
        1000
    )
    {
        LivesAsleepDays = 400, // through a winter, and a spring until its new roots drink (common practice)
        BloomDegreeDays = (100, 330),
        BloomDays = 48,
    };

    /// <summary>Cattleya and kin.</summary>
    public static readonly Habit EvergreenBulbs = new(
        "evergreen-bulbs",
        "Cattleya",
        RestKind.None,
        BloomCue.RipeGrowth,
        7,
        60,
        10,
        11,
        4,
        10,
        1500
    )
    {
        BloomDegreeDays = (200, 260),
        BloomDays = 38,
    };

    /// <summary>Phalaenopsis: cool days for five weeks (Blanchard and Runkle 2006, from memory).</summary>
    public static readonly Habit SingleStem = new(
        "single-stem",
        "Phalaenopsis",
        RestKind.None,
        BloomCue.CoolDays,
        8,
        30,
        10,
        15,
        8,
        12,
        900
    )
    {
        CueDays = 35,
        CueLimit = 26,
        BloomDegreeDays = (80, 490),
        BloomDays = 88,
    };

    /// <summary>Miltoniopsis and kin: thin leaves, cool nights.</summary>
    public static readonly Habit CoolBulbs = new("cool-bulbs", "Miltoniopsis", RestKind.None, BloomCue.RipeGrowth, 5, 20, 10, 8, 2, 7, 1500)
    {
        BloomDegreeDays = (150, 640),
        BloomDays = 56,
    };

    /// <summary>Caladium: leaves gone within five weeks, up in four to five weeks at 21 and 15 °C (common practice).</summary>
    public static readonly Habit Tuber = new("tuber", "Caladium", RestKind.Tuber, BloomCue.Seldom, 4, 12, 10, 14, 7, 14, 800);

    /// <summary>Sinningia: a tuber with flowers in summer.</summary>
    public static readonly Habit FloweringTuber = new(
        "flowering-tuber",
        "Sinningia",
        RestKind.Tuber,
        BloomCue.LightAndWarmth,
        5,
        15,
        9,
        13,
        6,
        13,
        700
    )
    {
        BloomDegreeDays = (150, 130),
        BloomDays = 80,
    };

    /// <summary>Alocasia: smaller leaves towards winter.</summary>
    public static readonly Habit Corm = new("corm", "Alocasia", RestKind.None, BloomCue.Seldom, 6, 18, 10, 14, 7, 13, 350);

    /// <summary>Clivia: thirty nights at or below 10 °C, four dry weeks (common practice).</summary>
    public static readonly Habit ThickRoots = new("thick-roots", "Clivia", RestKind.None, BloomCue.CoolThenDry, 12, 90, 14, 6, -1, 7, 1300)
    {
        Thick = true,
        CueDays = 28,
        CueLimit = 10.5,
        CueDryDays = 24,
        BloomDegreeDays = (100, 345),
        BloomDays = 41,
    };

    /// <summary>
    /// Tender narcissus: 28 days at 16 °C from planting, with a base of 2 °C, of which three days pass before the shoot moves.
    /// </summary>
    public static readonly Habit ForcedBulb = new(
        "forced-bulb",
        "Narcissus",
        RestKind.DryBulb,
        BloomCue.Planting,
        4,
        12,
        30,
        -5,
        -3,
        2,
        392
    )
    {
        LivesAsleepDays = 500,
        BloomDegreeDays = (222, 128),
        BloomDays = 21,
    };

    /// <summary>Hoya: dries right out, blooms in its third year in good light.</summary>
    public static readonly Habit WaxyVine = new("waxy-vine", "Hoya", RestKind.None, BloomCue.LightAndWarmth, 9, 70, 9, 14, 6, 13, 700)
    {
        Thick = true,
        BloomDegreeDays = (300, 150),
        BloomDays = 60,
    };

    /// <summary>Saintpaulia: droops, perks up within hours, rots when soggy.</summary>
    public static readonly Habit Rosette = new("rosette", "Saintpaulia", RestKind.None, BloomCue.LightAndWarmth, 7, 12, 7, 15, 9, 13, 300)
    {
        BloomDegreeDays = (120, 250),
        BloomDays = 40,
    };

    /// <summary>Adenium and kin: leafless and dry in winter.</summary>
    public static readonly Habit LeaflessStem = new(
        "leafless-stem",
        "Adenium",
        RestKind.LeaflessStem,
        BloomCue.LightAndWarmth,
        6,
        150,
        6,
        13,
        5,
        13,
        600
    )
    {
        Thick = true,
        BloomDegreeDays = (250, 88),
        BloomDays = 72,
    };

    /// <summary>Butterworts of dry uplands.</summary>
    public static readonly Habit WinterRosette = new(
        "winter-rosette",
        "Pinguicula",
        RestKind.WinterRosette,
        BloomCue.LightAndWarmth,
        6,
        60,
        25,
        4,
        0,
        8,
        300
    )
    {
        InWater = true,
        BloomDegreeDays = (200, 217),
        BloomDays = 50,
    };

    /// <summary>Drosera: never dry.</summary>
    public static readonly Habit Bog = new("bog", "Drosera", RestKind.None, BloomCue.LightAndWarmth, 8, 4, 9999, -5, -2, 8, 250)
    {
        InWater = true,
        BloomDegreeDays = (250, 320),
        BloomDays = 70,
    };

    /// <summary>Holiday cactus: long nights for six weeks (published for Schlumbergera; from memory).</summary>
    public static readonly Habit HolidayCactus = new(
        "holiday-cactus",
        "Schlumbergera",
        RestKind.None,
        BloomCue.LongNights,
        8,
        45,
        9,
        8,
        2,
        8,
        700
    )
    {
        Thick = true,
        CueDays = 40,
        CueLimit = 12,
        BloomDegreeDays = (60, 270),
        BloomDays = 46,
    };

    /// <summary>Every habit.</summary>
    public static readonly IReadOnlyList<Habit> All =
    [
        LeaflessBulbs,
        EvergreenBulbs,
        SingleStem,
        CoolBulbs,
        Tuber,
        FloweringTuber,
        Corm,
        ThickRoots,
        ForcedBulb,
        WaxyVine,
        Rosette,
        LeaflessStem,
        WinterRosette,
        Bog,
        HolidayCactus,
    ];

    /// <summary>The habit of a genus; null for one that is not simulated.</summary>
    public static Habit? Of(string? genus) =>
        genus is null ? null
        : Kin.TryGetValue(genus, out var habit) ? habit
        : All.FirstOrDefault(one => string.Equals(one.Genus, genus, StringComparison.OrdinalIgnoreCase));

    /// <summary>Other genera that live as one of these do.</summary>
    static readonly Dictionary<string, Habit> Kin = new(StringComparer.OrdinalIgnoreCase)
    {
        ["Lycaste"] = LeaflessBulbs,
        ["Cycnoches"] = LeaflessBulbs,
        ["Mormodes"] = LeaflessBulbs,
        ["Calanthe"] = LeaflessBulbs,
        ["Oncidium"] = EvergreenBulbs,
        ["Gomesa"] = EvergreenBulbs,
        ["Dendrobium"] = EvergreenBulbs,
        ["Coelogyne"] = EvergreenBulbs,
        ["Laelia"] = EvergreenBulbs,
        ["Vanda"] = SingleStem,
        ["Neofinetia"] = SingleStem,
        ["Paphiopedilum"] = SingleStem,
        ["Masdevallia"] = CoolBulbs,
        ["Gloriosa"] = FloweringTuber,
        ["Achimenes"] = FloweringTuber,
        ["Zantedeschia"] = Corm,
        ["Ceropegia"] = WaxyVine,
        ["Dischidia"] = WaxyVine,
        ["Streptocarpus"] = Rosette,
        ["Euphorbia"] = LeaflessStem,
        ["Pachypodium"] = LeaflessStem,
        ["Hatiora"] = HolidayCactus,
        ["Hippeastrum"] = FloweringTuber,
        ["Eucharis"] = ThickRoots,
    };
}
