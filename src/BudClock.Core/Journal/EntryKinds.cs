namespace BudClock.Core.Journal;

/// <summary>The journal's whole vocabulary. Extend it; a name that is here stays.</summary>
public static class EntryKinds
{
    // Seen
    public static readonly EntryKind GrowthStarted = new("growth-started", "New growth");
    public static readonly EntryKind GrowthHeight = new("growth-height", "Growth", Measure.LengthCm(300));
    public static readonly EntryKind GrowthMatured = new("growth-matured", "Growth matured");
    public static readonly EntryKind GrowthStopped = new("growth-stopped", "Growth stopped");
    public static readonly EntryKind EyeSwelling = new("eye-swelling", "Eye swelling");
    public static readonly EntryKind RootsStarted = new("roots-started", "New roots showing");
    public static readonly EntryKind RootLength = new("root-length", "Roots", Measure.LengthCm(200));
    public static readonly EntryKind RootsAtBase = new("roots-at-base", "Roots at the bottom of the pot");
    public static readonly EntryKind RootCount = new("root-count", "Root count", Measure.Count);
    public static readonly EntryKind RootsLost = new("roots-lost", "Roots lost");
    public static readonly EntryKind SheathStarted = new("sheath-started", "Sheath showing");
    public static readonly EntryKind SpikeStarted = new("spike-started", "Spike showing");
    public static readonly EntryKind SpikeLength = new("spike-length", "Spike", Measure.LengthCm(400));
    public static readonly EntryKind Buds = new("buds", "Buds", Measure.Count);
    public static readonly EntryKind BudsLost = new("buds-lost", "Buds lost", Measure.Count);
    public static readonly EntryKind BloomOpened = new("bloom-opened", "First flower open");
    public static readonly EntryKind Blooms = new("blooms", "Flowers open", Measure.Count);
    public static readonly EntryKind BloomEnded = new("bloom-ended", "Bloom ended");
    public static readonly EntryKind SpikeLost = new("spike-lost", "Spike lost");
    public static readonly EntryKind LeafStarted = new("leaf-started", "New leaf");
    public static readonly EntryKind LeafSpan = new("leaf-span", "Leaf span", Measure.LengthCm(300));
    public static readonly EntryKind LeafCount = new("leaf-count", "Leaf count", Measure.Count);
    public static readonly EntryKind Leaves = new("leaves", "Leaves", null, "firm", "limp", "pliable", "yellowing", "scorched", "pale");
    public static readonly EntryKind LeafDropped = new("leaf-dropped", "Leaf dropped");
    public static readonly EntryKind LeavesGone = new("leaves-gone", "Leaves gone");
    public static readonly EntryKind SummerLeaves = new("summer-leaves", "Summer leaves");
    public static readonly EntryKind WinterRosette = new("winter-rosette", "Winter rosette");
    public static readonly EntryKind Bulbs = new("bulbs", "Bulbs", null, "plump", "wrinkled", "shrivelled");
    public static readonly EntryKind BulbSize = new("bulb-size", "Bulb size", Measure.LengthCm(50));
    public static readonly EntryKind Tuber = new("tuber", "Tuber", null, "firm", "soft", "mouldy", "sprouting");

    /// <summary>The base of the plant: what tells resting from rotting.</summary>
    public static readonly EntryKind Base = new("base", "Base", null, "firm", "soft", "smelling");
    public static readonly EntryKind Medium = new("medium", "Medium", null, "wet", "damp", "dry");
    public static readonly EntryKind Tray = new("tray", "Tray", new(Dimension.Length, 0, 30, Required: false), "empty");
    public static readonly EntryKind Reservoir = new("reservoir", "Reservoir", new(Dimension.Length, 0, 60, Required: false), "empty");
    public static readonly EntryKind Meter = new("meter", "Meter", new(Dimension.Count, 0, 100));

    /// <summary>What the water that runs out of the pot measures.</summary>
    public static readonly EntryKind RunOff = new("run-off", "Run-off", new(Dimension.DissolvedSolids, 0, 20_000));
    public static readonly EntryKind Weight = new("weight", "Weight", new(Dimension.Mass, 0, 100_000));

    /// <summary>The end of an organ that has no word of its own for it: a tuber, a leaf, a vine. Its text is the likely cause.</summary>
    public static readonly EntryKind Lost = new("lost", "Lost");
    public static readonly EntryKind Pest = new("pest", "Pest");
    public static readonly EntryKind Rot = new("rot", "Rot");

    /// <summary>A lamp burned in the night: it breaks a long night (rule B6).</summary>
    public static readonly EntryKind NightLit = new("night-lit", "Lit in the night");
    public static readonly EntryKind Note = new("note", "Note");
    public static readonly EntryKind Photo = new("photo", "Photo");

    /// <summary>The answer to a second look: what the change did.</summary>
    public static readonly EntryKind Looked = new("looked", "Second look", null, "better", "same", "worse");

    // Done
    public static readonly EntryKind Watered = new("watered", "Watered", Measure.Water);
    public static readonly EntryKind Soaked = new("soaked", "Soaked", Measure.Water);
    public static readonly EntryKind ToppedUp = new("topped-up", "Topped up", Measure.Water);
    public static readonly EntryKind Fed = new("fed", "Fed", Measure.Water);
    public static readonly EntryKind Repotted = new("repotted", "Repotted");
    public static readonly EntryKind Divided = new("divided", "Divided");
    public static readonly EntryKind Moved = new("moved", "Moved");
    public static readonly EntryKind Lifted = new("lifted", "Lifted");
    public static readonly EntryKind Stored = new("stored", "Stored");
    public static readonly EntryKind Planted = new("planted", "Planted");
    public static readonly EntryKind CutSpike = new("cut-spike", "Spike cut");

    /// <summary>A leaf, a vine or a stem taken off.</summary>
    public static readonly EntryKind Cut = new("cut", "Cut");
    public static readonly EntryKind SpikeKept = new("spike-kept", "Spike kept");
    public static readonly EntryKind Staked = new("staked", "Staked");
    public static readonly EntryKind Treated = new("treated", "Treated");
    public static readonly EntryKind Rinsed = new("rinsed", "Rinsed");
    public static readonly EntryKind Turned = new("turned", "Turned");
    public static readonly EntryKind FlowerRemoved = new("flower-removed", "Flower removed");
    public static readonly EntryKind ProgrammeStarted = new("programme-started", "Programme started");

    /// <summary>From now on nothing is counted of the programme, and nothing forbidden.</summary>
    public static readonly EntryKind ProgrammePaused = new("programme-paused", "Programme paused");

    /// <summary>The programme goes on where it was.</summary>
    public static readonly EntryKind ProgrammeResumed = new("programme-resumed", "Programme goes on");

    /// <summary>The programme is given up.</summary>
    public static readonly EntryKind ProgrammeEnded = new("programme-ended", "Programme given up");
    public static readonly EntryKind Acquired = new("acquired", "Acquired");

    /// <summary>What was found when a newcomer was looked over.</summary>
    public static readonly EntryKind Inspected = new("inspected", "Inspected");
    public static readonly EntryKind GivenAway = new("given-away", "Given away");
    public static readonly EntryKind Died = new("died", "Died");

    /// <summary>Something else about the plant that holds from that day on: its sheet, its school, the tray it stands in.</summary>
    public static readonly EntryKind Changed = new("changed", "Details changed");
    public static readonly EntryKind Renamed = new("renamed", "Renamed");

    /// <summary>A second look set by hand: in so many days, with the question to ask then.</summary>
    public static readonly EntryKind Flagged = new("flagged", "Look again in days", new(Dimension.Count, 1, 365));

    /// <summary>
    /// From now on it gets one recipe, whatever its stage; without one, by its stage again. Its text is the grower's reason.
    /// </summary>
    public static readonly EntryKind RecipeSet = new("recipe-set", "Recipe");

    /// <summary>Set aside until tomorrow: the advice stands, the Round stops asking for the day.</summary>
    public static readonly EntryKind PutOff = new("put-off", "Put off until tomorrow");

    /// <summary>Every kind of the vocabulary, in the order of the contract.</summary>
    public static readonly IReadOnlyList<EntryKind> All =
    [
        GrowthStarted,
        GrowthHeight,
        GrowthMatured,
        GrowthStopped,
        EyeSwelling,
        RootsStarted,
        RootLength,
        RootsAtBase,
        RootCount,
        RootsLost,
        SheathStarted,
        SpikeStarted,
        SpikeLength,
        Buds,
        BudsLost,
        BloomOpened,
        Blooms,
        BloomEnded,
        SpikeLost,
        LeafStarted,
        LeafSpan,
        LeafCount,
        Leaves,
        LeafDropped,
        LeavesGone,
        SummerLeaves,
        WinterRosette,
        Bulbs,
        BulbSize,
        Tuber,
        Base,
        Medium,
        Tray,
        Reservoir,
        Meter,
        RunOff,
        Weight,
        Lost,
        Pest,
        Rot,
        NightLit,
        Note,
        Photo,
        Looked,
        Watered,
        Soaked,
        ToppedUp,
        Fed,
        Repotted,
        Divided,
        Moved,
        Lifted,
        Stored,
        Planted,
        CutSpike,
        Cut,
        SpikeKept,
        Staked,
        Treated,
        Rinsed,
        Turned,
        FlowerRemoved,
        ProgrammeStarted,
        ProgrammePaused,
        ProgrammeResumed,
        ProgrammeEnded,
        Acquired,
        Inspected,
        GivenAway,
        Died,
        Changed,
        Renamed,
        Flagged,
        RecipeSet,
        PutOff,
    ];

    /// <summary>Kinds of what was seen; the others were done.</summary>
    public static readonly IReadOnlyList<EntryKind> Seen = [.. All.TakeWhile(kind => kind != Watered)];

    static readonly Dictionary<string, EntryKind> ByName = All.ToDictionary(kind => kind.Name);

    /// <summary>The kind of that name, or null.</summary>
    public static EntryKind? Find(string name) => ByName.GetValueOrDefault(name);
}
