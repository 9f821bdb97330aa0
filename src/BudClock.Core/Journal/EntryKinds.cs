namespace BudClock.Core.Journal;

/// <summary>The journal's whole vocabulary. Extend it; a name that is here stays.</summary>
public static class EntryKinds
{
    // Seen
    /// <summary>A new growth shows: a lane of its own begins (rule K1).</summary>
    public static readonly EntryKind GrowthStarted = new("growth-started", "New growth");

    /// <summary>How tall a growth stands above its base, 0 to 300 cm.</summary>
    public static readonly EntryKind GrowthHeight = new("growth-height", "Growth", Measure.LengthCm(300));

    /// <summary>A growth has reached its size; what it stores now decides next year.</summary>
    public static readonly EntryKind GrowthMatured = new("growth-matured", "Growth matured");

    /// <summary>A growth went no further, whatever the cause.</summary>
    public static readonly EntryKind GrowthStopped = new("growth-stopped", "Growth stopped");

    /// <summary>An eye swells, which is not yet a growth: nothing is watered for it (rule W1).</summary>
    public static readonly EntryKind EyeSwelling = new("eye-swelling", "Eye swelling");

    /// <summary>New roots show at the base of a growth.</summary>
    public static readonly EntryKind RootsStarted = new("roots-started", "New roots showing");

    /// <summary>
    /// The longest new root, 0 to 200 cm. It is what a first soak waits for (rule W1); what is older than it may be asks
    /// again.
    /// </summary>
    public static readonly EntryKind RootLength = new("root-length", "Roots", Measure.LengthCm(200));

    /// <summary>Roots are seen at the holes of the pot: they have found the bottom.</summary>
    public static readonly EntryKind RootsAtBase = new("roots-at-base", "Roots at the bottom of the pot");

    /// <summary>How many living roots there are; 0 is a plant without roots.</summary>
    public static readonly EntryKind RootCount = new("root-count", "Root count", Measure.Count);

    /// <summary>Roots that were there are dead or gone.</summary>
    public static readonly EntryKind RootsLost = new("roots-lost", "Roots lost");

    /// <summary>A sheath shows, in which a spike may form.</summary>
    public static readonly EntryKind SheathStarted = new("sheath-started", "Sheath showing");

    /// <summary>A spike shows: a lane of its own begins.</summary>
    public static readonly EntryKind SpikeStarted = new("spike-started", "Spike showing");

    /// <summary>How long a spike is, 0 to 400 cm.</summary>
    public static readonly EntryKind SpikeLength = new("spike-length", "Spike", Measure.LengthCm(400));

    /// <summary>How many buds are on a spike now.</summary>
    public static readonly EntryKind Buds = new("buds", "Buds", Measure.Count);

    /// <summary>How many buds dropped or dried since they were counted last.</summary>
    public static readonly EntryKind BudsLost = new("buds-lost", "Buds lost", Measure.Count);

    /// <summary>The first flower of a spike is open.</summary>
    public static readonly EntryKind BloomOpened = new("bloom-opened", "First flower open");

    /// <summary>How many flowers are open now.</summary>
    public static readonly EntryKind Blooms = new("blooms", "Flowers open", Measure.Count);

    /// <summary>The last flower of a spike has gone.</summary>
    public static readonly EntryKind BloomEnded = new("bloom-ended", "Bloom ended");

    /// <summary>A spike died before its flowers were over.</summary>
    public static readonly EntryKind SpikeLost = new("spike-lost", "Spike lost");

    /// <summary>A new leaf shows.</summary>
    public static readonly EntryKind LeafStarted = new("leaf-started", "New leaf");

    /// <summary>From leaf tip to leaf tip across a fan, 0 to 300 cm.</summary>
    public static readonly EntryKind LeafSpan = new("leaf-span", "Leaf span", Measure.LengthCm(300));

    /// <summary>How many leaves there are now.</summary>
    public static readonly EntryKind LeafCount = new("leaf-count", "Leaf count", Measure.Count);

    /// <summary>
    /// How the leaves feel and look. A sign never stands alone: limp over a dry pot is thirst, over a wet one it is the
    /// roots.
    /// </summary>
    public static readonly EntryKind Leaves = new("leaves", "Leaves", null, "firm", "limp", "pliable", "yellowing", "scorched", "pale");

    /// <summary>One leaf fell.</summary>
    public static readonly EntryKind LeafDropped = new("leaf-dropped", "Leaf dropped");

    /// <summary>It is leafless now, which for many kinds is the beginning of rest.</summary>
    public static readonly EntryKind LeavesGone = new("leaves-gone", "Leaves gone");

    /// <summary>A carnivore makes its leaves of summer again.</summary>
    public static readonly EntryKind SummerLeaves = new("summer-leaves", "Summer leaves");

    /// <summary>A carnivore has gone into its winter form.</summary>
    public static readonly EntryKind WinterRosette = new("winter-rosette", "Winter rosette");

    /// <summary>How full the bulbs are: what a soak is judged by some days later.</summary>
    public static readonly EntryKind Bulbs = new("bulbs", "Bulbs", null, "plump", "wrinkled", "shrivelled");

    /// <summary>How thick the largest bulb is, 0 to 50 cm.</summary>
    public static readonly EntryKind BulbSize = new("bulb-size", "Bulb size", Measure.LengthCm(50));

    /// <summary>How a stored tuber feels under the thumb.</summary>
    public static readonly EntryKind Tuber = new("tuber", "Tuber", null, "firm", "soft", "mouldy", "sprouting");

    /// <summary>The base of the plant: what tells resting from rotting.</summary>
    public static readonly EntryKind Base = new("base", "Base", null, "firm", "soft", "smelling");

    /// <summary>How wet the medium feels, a finger deep.</summary>
    public static readonly EntryKind Medium = new("medium", "Medium", null, "wet", "damp", "dry");

    /// <summary>Water in the tray, 0 to 30 cm; the word is for one without any.</summary>
    public static readonly EntryKind Tray = new("tray", "Tray", new(Dimension.Length, 0, 30, Required: false), "empty");

    /// <summary>Water in the jar or reservoir, 0 to 60 cm; the word is for one without any.</summary>
    public static readonly EntryKind Reservoir = new("reservoir", "Reservoir", new(Dimension.Length, 0, 60, Required: false), "empty");

    /// <summary>What a moisture meter shows, 0 to 100; it knows nothing of salts or of bark.</summary>
    public static readonly EntryKind Meter = new("meter", "Meter", new(Dimension.Count, 0, 100));

    /// <summary>What the water that runs out of the pot measures.</summary>
    public static readonly EntryKind RunOff = new("run-off", "Run-off", new(Dimension.DissolvedSolids, 0, 20_000));

    /// <summary>The pot with all that is in it, 0 to 100 kg in grams.</summary>
    public static readonly EntryKind Weight = new("weight", "Weight", new(Dimension.Mass, 0, 100_000));

    /// <summary>The end of an organ that has no word of its own for it: a tuber, a leaf, a vine. Its text is the likely cause.</summary>
    public static readonly EntryKind Lost = new("lost", "Lost");

    /// <summary>A pest was seen; its text says which, or that none was found.</summary>
    public static readonly EntryKind Pest = new("pest", "Pest");

    /// <summary>Something is rotten; its text says what.</summary>
    public static readonly EntryKind Rot = new("rot", "Rot");

    /// <summary>A lamp burned in the night: it breaks a long night (rule B6).</summary>
    public static readonly EntryKind NightLit = new("night-lit", "Lit in the night");

    /// <summary>Free words. Nothing is judged by them.</summary>
    public static readonly EntryKind Note = new("note", "Note");

    /// <summary>A picture; its file lies beside the garden.</summary>
    public static readonly EntryKind Photo = new("photo", "Photo");

    /// <summary>The answer to a second look: what the change did.</summary>
    public static readonly EntryKind Looked = new("looked", "Second look", null, "better", "same", "worse");

    // Done
    /// <summary>Water was given, with how much where it is known.</summary>
    public static readonly EntryKind Watered = new("watered", "Watered", Measure.Water);

    /// <summary>Water until it ran through, or stood in water: the first drink after rest is one (rule W1).</summary>
    public static readonly EntryKind Soaked = new("soaked", "Soaked", Measure.Water);

    /// <summary>Water was put into the tray, jar or reservoir, and not into the medium.</summary>
    public static readonly EntryKind ToppedUp = new("topped-up", "Topped up", Measure.Water);

    /// <summary>Feed was given, with how much and from which batch.</summary>
    public static readonly EntryKind Fed = new("fed", "Fed", Measure.Water);

    /// <summary>It stands in another pot or medium from this day on.</summary>
    public static readonly EntryKind Repotted = new("repotted", "Repotted");

    /// <summary>It was parted; the parts are plants of their own.</summary>
    public static readonly EntryKind Divided = new("divided", "Divided");

    /// <summary>It stands at another place from this day on.</summary>
    public static readonly EntryKind Moved = new("moved", "Moved");

    /// <summary>A bulb or tuber was taken out of its pot.</summary>
    public static readonly EntryKind Lifted = new("lifted", "Lifted");

    /// <summary>It was put away to rest, out of the light.</summary>
    public static readonly EntryKind Stored = new("stored", "Stored");

    /// <summary>A bulb or tuber was put into a pot.</summary>
    public static readonly EntryKind Planted = new("planted", "Planted");

    /// <summary>A spike was cut off.</summary>
    public static readonly EntryKind CutSpike = new("cut-spike", "Spike cut");

    /// <summary>A leaf, a vine or a stem taken off.</summary>
    public static readonly EntryKind Cut = new("cut", "Cut");

    /// <summary>A spent spike was left on, since it may flower again.</summary>
    public static readonly EntryKind SpikeKept = new("spike-kept", "Spike kept");

    /// <summary>A growth or spike was tied to a stake.</summary>
    public static readonly EntryKind Staked = new("staked", "Staked");

    /// <summary>Something was used against a pest or a rot; its text says what.</summary>
    public static readonly EntryKind Treated = new("treated", "Treated");

    /// <summary>Leaves were rinsed off. Older logs write a flush so too, and their words tell which.</summary>
    public static readonly EntryKind Rinsed = new("rinsed", "Rinsed");

    /// <summary>Salts were flushed out of the medium with plain water from the top.</summary>
    public static readonly EntryKind Flushed = new("flushed", "Flushed", Measure.Water);

    /// <summary>It was turned on its place.</summary>
    public static readonly EntryKind Turned = new("turned", "Turned");

    /// <summary>A spent flower was taken off.</summary>
    public static readonly EntryKind FlowerRemoved = new("flower-removed", "Flower removed");

    /// <summary>A programme that brings on bloom began; its text is the name of the programme.</summary>
    public static readonly EntryKind ProgrammeStarted = new("programme-started", "Programme started");

    /// <summary>From now on nothing is counted of the programme, and nothing forbidden.</summary>
    public static readonly EntryKind ProgrammePaused = new("programme-paused", "Programme paused");

    /// <summary>The programme goes on where it was.</summary>
    public static readonly EntryKind ProgrammeResumed = new("programme-resumed", "Programme goes on");

    /// <summary>The programme is given up.</summary>
    public static readonly EntryKind ProgrammeEnded = new("programme-ended", "Programme given up");

    /// <summary>It came here: what a newcomer may not have yet is counted from this day.</summary>
    public static readonly EntryKind Acquired = new("acquired", "Acquired");

    /// <summary>What was found when a newcomer was looked over.</summary>
    public static readonly EntryKind Inspected = new("inspected", "Inspected");

    /// <summary>It went to somebody else; its log stays.</summary>
    public static readonly EntryKind GivenAway = new("given-away", "Given away");

    /// <summary>It is dead; its text is the likely cause. Its log stays.</summary>
    public static readonly EntryKind Died = new("died", "Died");

    /// <summary>Something else about the plant that holds from that day on: its sheet, its school, the tray it stands in.</summary>
    public static readonly EntryKind Changed = new("changed", "Details changed");

    /// <summary>It is called otherwise from this day on; the older name still finds it.</summary>
    public static readonly EntryKind Renamed = new("renamed", "Renamed");

    /// <summary>A second look set by hand: in so many days, with the question to ask then.</summary>
    public static readonly EntryKind Flagged = new("flagged", "Look again in days", new(Dimension.Count, 1, 365));

    /// <summary>
    /// From now on it gets one recipe, whatever its stage; without one, by its stage again. Its text is the grower's reason.
    /// </summary>
    public static readonly EntryKind RecipeSet = new("recipe-set", "Recipe");

    /// <summary>Set aside until tomorrow: the advice stands, the Round stops asking for the day.</summary>
    public static readonly EntryKind PutOff = new("put-off", "Put off until tomorrow");

    /// <summary>What is due by habit is not asked of this plant any more: its text is what, such as "turn", "rinse" or "measure".</summary>
    public static readonly EntryKind NotAsked = new("not-asked", "Wished away");

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
        Flushed,
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
        NotAsked,
    ];

    /// <summary>Kinds of what was seen; the others were done.</summary>
    public static readonly IReadOnlyList<EntryKind> Seen = [.. All.TakeWhile(kind => kind != Watered)];

    static readonly Dictionary<string, EntryKind> ByName = All.ToDictionary(kind => kind.Name);

    /// <summary>The kind of that name, or null.</summary>
    public static EntryKind? Find(string name) => ByName.GetValueOrDefault(name);
}
