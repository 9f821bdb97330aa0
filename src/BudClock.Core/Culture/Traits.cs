namespace BudClock.Core.Culture;

/// <summary>What a habit is, for rules that ask for it by name. A sheet lists its traits; an unknown one is a fault of the sheet.</summary>
public static class Traits
{
    /// <summary>Drops its leaves and rests on dry bulbs; waits for new roots before its first water (rules W1, D7).</summary>
    public const string DryRest = "dry-rest";

    /// <summary>Has no leaf through its rest, so that water then depends on whether it is leafless (rule V5).</summary>
    public const string LeaflessRest = "leafless-rest";

    /// <summary>Roots come in flushes, with each growth or leaf; repotting has a window (rule R1).</summary>
    public const string RootsInFlushes = "roots-in-flushes";

    /// <summary>Made for a reservoir, a jar or a wick: watered by its level, never by a finger (rule W9).</summary>
    public const string Reservoir = "reservoir";

    /// <summary>Stands in water as a bog plant does: wet is normal (rule W6).</summary>
    public const string StandsInWater = "stands-in-water";

    /// <summary>Nothing but pure water in the medium, ever (rule F8).</summary>
    public const string Carnivore = "carnivore";

    /// <summary>Rests as a tuber that can be lifted (rules D2 to D4).</summary>
    public const string Tuber = "tuber";

    /// <summary>Makes little corms beside its stem, which are the rescue when the stem rots (rules V2, P4).</summary>
    public const string Corms = "corms";

    /// <summary>Grown for its leaves: its flower does not make it a bloom-bottle plant (rule F4).</summary>
    public const string Foliage = "foliage";

    /// <summary>A bulb forced into flower on what it has stored: no feed (rule F4).</summary>
    public const string Forced = "forced";

    /// <summary>Blooms when its pot is full; potted on only when roots heave out or it declines (rule B7).</summary>
    public const string PotBound = "pot-bound";

    /// <summary>Vines that grow first and leaf later.</summary>
    public const string Vine = "vine";

    /// <summary>Flower stalks that bloom again year after year and are never cut (rule B3).</summary>
    public const string LastingStalks = "lasting-stalks";

    /// <summary>Stores water in its stem or leaves.</summary>
    public const string Succulent = "succulent";

    /// <summary>Suffers from warm nights (rule E3).</summary>
    public const string CoolGrower = "cool-grower";

    /// <summary>Rests in summer and grows through winter.</summary>
    public const string SummerRest = "summer-rest";

    /// <summary>Watered from below, so that its crown stays dry (rule W5).</summary>
    public const string FromBelow = "from-below";

    /// <summary>Kept evenly damp, never quite dry in growth (rule W4).</summary>
    public const string NeverDry = "never-dry";

    /// <summary>Over its water it gets a little, often, in place of a filling (rule W10).</summary>
    public const string LittleOften = "little-often";

    /// <summary>Repotted bare and dry, before it wakes (rule D6).</summary>
    public const string RepottedDry = "repotted-dry";

    /// <summary>Bears a repot in bud or flower (rule D8).</summary>
    public const string RepottedInFlower = "repotted-in-flower";

    /// <summary>Makes other leaves for the winter, which are not its end (rule W7).</summary>
    public const string WinterForm = "winter-form";

    /// <summary>Every trait, in the order of the documentation.</summary>
    public static readonly IReadOnlyList<string> All =
    [
        DryRest,
        LeaflessRest,
        RootsInFlushes,
        Reservoir,
        StandsInWater,
        Carnivore,
        Tuber,
        Corms,
        Foliage,
        Forced,
        PotBound,
        Vine,
        LastingStalks,
        Succulent,
        CoolGrower,
        SummerRest,
        FromBelow,
        NeverDry,
        LittleOften,
        RepottedDry,
        RepottedInFlower,
        WinterForm,
    ];
}

/// <summary>Rule E8: how much sun a habit bears; steps lead only up to it.</summary>
public enum LightClass
{
    /// <summary>No direct sun at all.</summary>
    Shade,

    /// <summary>Bright, without direct sun.</summary>
    Bright,

    /// <summary>Sun in the morning or evening.</summary>
    MorningSun,

    /// <summary>Sun all day.</summary>
    FullSun,
}

/// <summary>Words for light classes.</summary>
public static class LightWords
{
    /// <summary>The name on a sheet: "morning-sun".</summary>
    public static string Name(this LightClass light) =>
        light switch
        {
            LightClass.MorningSun => "morning-sun",
            LightClass.FullSun => "full-sun",
            _ => light.ToString().ToLowerInvariant(),
        };

    /// <summary>The light class of a name; null for any other word.</summary>
    public static LightClass? Read(string? name) =>
        name is not null && Enum.GetValues<LightClass>().FirstOrDefault(light => light.Name() == name) is var light && light.Name() == name
            ? light
            : null;

    /// <summary>In a sentence: "morning or evening sun".</summary>
    public static string Words(this LightClass light) =>
        light switch
        {
            LightClass.Shade => "shade, no direct sun",
            LightClass.Bright => "bright light without direct sun",
            LightClass.MorningSun => "morning or evening sun",
            _ => "full sun",
        };
}
