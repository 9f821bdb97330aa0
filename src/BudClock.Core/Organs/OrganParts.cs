using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Organs;

/// <summary>A family of organs, with the entries that start, measure and end one of them.</summary>
/// <param name="Lanes">Lanes in which such an organ is under way; a new one begins in the first.</param>
/// <param name="Kinds">Kinds of organ that belong to the family.</param>
public sealed record OrganPart(string Name, LaneKind[] Lanes, string[] Kinds, EntryKind[] Start, EntryKind[] Measure, EntryKind[] Other)
{
    /// <summary>The lane in which a new one begins.</summary>
    public LaneKind Lane => Lanes[0];

    /// <summary>Whether an entry of that kind begins such a part.</summary>
    public bool Starts(EntryKind kind) => Start.Contains(kind);

    /// <summary>Whether an entry of that kind measures such a part.</summary>
    public bool Measures(EntryKind kind) => Measure.Contains(kind);

    /// <summary>Whether the organ is of this part.</summary>
    public bool Has(Organ organ) => Kinds.Contains(organ.Kind);

    /// <summary>Every kind of entry that can belong to it.</summary>
    public IEnumerable<EntryKind> All => [.. Start, .. Measure, .. Other];
}

/// <summary>Which entries are about which organs.</summary>
public static class OrganParts
{
    /// <summary>New growths, fans and the bulbs they make.</summary>
    public static readonly OrganPart Shoot = new(
        "shoot",
        [LaneKind.Growth],
        [Organ.Growth, Organ.Vine, Organ.Bulb, Organ.Tuber, Organ.Corm],
        [GrowthStarted],
        [GrowthHeight],
        [GrowthMatured, GrowthStopped]
    );

    /// <summary>The roots of a growth.</summary>
    public static readonly OrganPart Roots = new(
        "roots",
        [LaneKind.Roots],
        [Organ.Roots, Organ.Growth, Organ.Vine, Organ.Bulb, Organ.Tuber, Organ.Corm],
        [RootsStarted],
        [RootLength],
        [RootsAtBase, RootCount, RootsLost]
    );

    /// <summary>Spikes, peduncles and what opens on them.</summary>
    public static readonly OrganPart Flower = new(
        "flower",
        [LaneKind.Spike, LaneKind.Bloom],
        [Organ.Spike, Organ.Peduncle],
        [SheathStarted, SpikeStarted],
        [SpikeLength],
        [Buds, BudsLost, BloomOpened, Blooms, BloomEnded, SpikeLost, CutSpike, SpikeKept, FlowerRemoved, Staked]
    );

    /// <summary>Leaves that are followed one by one.</summary>
    public static readonly OrganPart Leaf = new(
        "leaf",
        [LaneKind.Growth],
        [Organ.Leaf, Organ.Growth, Organ.Vine],
        [LeafStarted],
        [],
        [LeafSpan]
    );

    /// <summary>Several in a pot, each with its own state.</summary>
    public static readonly OrganPart Tuber = new("tuber", [LaneKind.Rest], [Organ.Tuber, Organ.Corm], [], [], [EntryKinds.Tuber]);

    static readonly Dictionary<EntryKind, OrganPart> ByKind = ((OrganPart[])[Shoot, Roots, Flower, Leaf, Tuber])
        .SelectMany(part => part.All, (part, kind) => (part, kind))
        .ToDictionary(pair => pair.kind, pair => pair.part);

    /// <summary>The family an entry is about; null when it is about the whole plant.</summary>
    public static OrganPart? Of(EntryKind kind) => ByKind.GetValueOrDefault(kind);
}

/// <summary>What a habit makes: growths or vines or leaves, spikes or lasting peduncles.</summary>
public sealed record OrganHabit(string Shoot, string Flower)
{
    /// <summary>What it keeps its stores in, from <see cref="Organ.Kinds"/>: bulbs, a tuber; none for most.</summary>
    public IReadOnlyList<string> Stores { get; init; } = [];

    /// <summary>A growth and a spike.</summary>
    public static readonly OrganHabit Usual = new(Organ.Growth, Organ.Spike);

    /// <summary>The kind of organ that a start in this family makes.</summary>
    public string KindOf(OrganPart part) =>
        part == OrganParts.Shoot
            ? Shoot is Organ.Leaf
                ? Organ.Growth
                : Shoot
            : part == OrganParts.Flower
                ? Flower
                : part == OrganParts.Roots
                    ? Organ.Roots
                    : part == OrganParts.Leaf
                        ? Organ.Leaf
                        : Organ.Tuber;
}
