namespace BudClock.Core.Advising;

/// <summary>What an advice means: the act of care that it orders, holds back, or asks to look at first. A closed kind.</summary>
/// <remarks>Taps, the day's mix, the sitter's sheet, guards and the JSON follow from it; nothing decodes the words.</remarks>
public enum Care
{
    /// <summary>Water into the pot, as much as it usually takes.</summary>
    GiveWater,

    /// <summary>A light wetting: a little at rest, a sprinkle on a winter rosette.</summary>
    WetLightly,

    /// <summary>Fill the reservoir, the jar or the wick's vessel.</summary>
    TopUp,

    /// <summary>Fill the tray it stands in.</summary>
    FillTray,

    /// <summary>Tip out water that stands, or take the plant out of it.</summary>
    TakeWaterAway,

    /// <summary>Take it out of a tray or reservoir that others share.</summary>
    TakeOut,

    /// <summary>Put it back into its tray.</summary>
    PutBack,

    /// <summary>Flush the medium from the top against salts.</summary>
    Flush,

    /// <summary>Feed in the water.</summary>
    Feed,

    /// <summary>A fine mist of feed on the leaves.</summary>
    Mist,

    /// <summary>Humid air around it.</summary>
    Humidify,

    /// <summary>Into another pot or medium.</summary>
    Repot,

    /// <summary>Into two.</summary>
    Divide,

    /// <summary>Out of the pot, for a dry rest.</summary>
    Lift,

    /// <summary>Into the bag, the dark, the store.</summary>
    Store,

    /// <summary>Less water, less light, out of the rain: let it go to rest.</summary>
    LetRest,

    /// <summary>Plant it, warm it: wake it.</summary>
    Wake,

    /// <summary>To another place.</summary>
    Move,

    /// <summary>Into warmth, out of a cold night.</summary>
    BringIn,

    /// <summary>Cooler: shade, air, water on the floor.</summary>
    Cool,

    /// <summary>Out of sun, wind or rain.</summary>
    Shelter,

    /// <summary>More light, in steps.</summary>
    Lighten,

    /// <summary>A quarter turn.</summary>
    Turn,

    /// <summary>Cut to firm tissue, save what is firm, dry it.</summary>
    CutOut,

    /// <summary>Against pests, by the label.</summary>
    Treat,

    /// <summary>Rinse leaves off with water.</summary>
    Rinse,

    /// <summary>Tip it out and look at the roots.</summary>
    LookAtRoots,

    /// <summary>Feel the base, the bulb, the tuber or the corm.</summary>
    Feel,

    /// <summary>Look closer: at leaves, a growth, a place.</summary>
    Look,

    /// <summary>Measure what moves.</summary>
    Measure,

    /// <summary>Compare with what was before a change.</summary>
    Compare,

    /// <summary>A step of a programme.</summary>
    Trigger,

    /// <summary>Nothing: it is normal, or wants to be left alone.</summary>
    LeaveAlone,
}

/// <summary>What follows from an act of care.</summary>
/// <param name="Name">The name in the open format: "give-water".</param>
/// <param name="Question">What it answers: acts of one question exclude each other, those of different questions stand side by
/// side.</param>
/// <param name="LoggedAs">The entry that it is usually logged as; null for none.</param>
/// <param name="Does">What it does to the plant, whatever it is called: guards ask for this.</param>
/// <param name="FromBottle">It is given from a bottle of the mixing shelf.</param>
/// <param name="ForSitter">It can be left to somebody who does not know the plants.</param>
/// <param name="ByHabit">It is due by habit and by no sign of the plant: a grower may not want to be asked for it.</param>
public sealed record CareFacts(
    string Name,
    string Question,
    EntryKind? LoggedAs = null,
    Effects Does = Effects.None,
    bool FromBottle = false,
    bool ForSitter = false,
    bool ByHabit = false
);

/// <summary>The one table of what follows from each act of care.</summary>
public static class Cares
{
    const string Water = "water";
    const string FeedIt = "feed";

    const Effects Soaks = Effects.WetsMedium | Effects.Drenches;

    static readonly Dictionary<Care, CareFacts> Table = new()
    {
        [Care.GiveWater] = new("give-water", Water, EntryKinds.Watered, Soaks, FromBottle: true, ForSitter: true),
        [Care.WetLightly] = new("wet-lightly", Water, EntryKinds.Watered, Effects.WetsMedium | Effects.WetsLeaf),
        [Care.TopUp] = new("top-up", Water, EntryKinds.ToppedUp, Effects.WetsMedium, FromBottle: true, ForSitter: true),
        [Care.FillTray] = new("fill-tray", Water, EntryKinds.Tray, Effects.WetsMedium, FromBottle: true, ForSitter: true),
        [Care.TakeWaterAway] = new("take-water-away", "drain", EntryKinds.Tray, Effects.TakesWater),
        [Care.TakeOut] = new("take-out", "vessel", EntryKinds.Moved, Effects.TakesWater),
        [Care.PutBack] = new("put-back", "vessel", EntryKinds.Tray, Effects.WetsMedium),
        [Care.Flush] = new("flush", "salts", EntryKinds.Flushed, Soaks | Effects.RinsesSalt),
        [Care.Feed] = new("feed", FeedIt, EntryKinds.Fed, Effects.Feeds, FromBottle: true),
        [Care.Mist] = new("mist", FeedIt, EntryKinds.Fed, Effects.Feeds | Effects.WetsLeaf, FromBottle: true),
        [Care.Humidify] = new("humidify", "air"),
        [Care.Repot] = new("repot", "repot", EntryKinds.Repotted, Effects.DisturbsRoots | Effects.Wounds),
        [Care.Divide] = new("divide", "divide", EntryKinds.Divided, Effects.DisturbsRoots | Effects.Wounds),
        [Care.Lift] = new("lift", "store", EntryKinds.Lifted, Effects.TakesWater),
        [Care.Store] = new("store", "store", EntryKinds.Stored, Effects.Darkens | Effects.Covers),
        [Care.LetRest] = new("let-rest", "rest", EntryKinds.Note, Effects.TakesWater | Effects.Covers),
        [Care.Wake] = new("wake", "wake", EntryKinds.Planted, Effects.Wakes),
        [Care.Move] = new("move", "place", EntryKinds.Moved, Effects.Moves),
        [Care.BringIn] = new("bring-in", "cold", EntryKinds.Moved, Effects.Moves | Effects.Warms),
        [Care.Cool] = new("cool", "heat", EntryKinds.Moved, Effects.Moves | Effects.Darkens),
        [Care.Shelter] = new("shelter", "shelter", EntryKinds.Moved, Effects.Moves | Effects.Covers | Effects.Darkens),
        [Care.Lighten] = new("lighten", "light", EntryKinds.Moved, Effects.Moves | Effects.Lights),
        [Care.Turn] = new("turn", "turn", EntryKinds.Turned, ByHabit: true),
        [Care.CutOut] = new("cut-out", "rot", EntryKinds.Treated, Effects.Wounds | Effects.DisturbsRoots),
        [Care.Treat] = new("treat", "pests", EntryKinds.Treated),
        [Care.Rinse] = new("rinse", "rinse", EntryKinds.Rinsed, Effects.WetsLeaf, ByHabit: true),
        [Care.LookAtRoots] = new("look-at-roots", "roots"),
        [Care.Feel] = new("feel", "feel"),
        [Care.Look] = new("look", "look"),
        [Care.Measure] = new("measure", "measure", ByHabit: true),
        [Care.Compare] = new("compare", "compare", EntryKinds.Looked),
        [Care.Trigger] = new("trigger", "trigger"),
        [Care.LeaveAlone] = new("leave-alone", "alone"),
    };

    /// <summary>What follows from an act of care.</summary>
    public static CareFacts Facts(this Care care) => Table[care];

    /// <summary>Whether it does any of these to the plant.</summary>
    public static bool Does(this Care care, Effects effects) => (Table[care].Does & effects) != Effects.None;

    /// <summary>It answers whether the plant is watered. A flush wets as much, and answers another question.</summary>
    public static bool AnswersWater(this Care care) => Table[care].Question == Water;
}
