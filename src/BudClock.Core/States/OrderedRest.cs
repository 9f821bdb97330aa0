using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule D1: a plant that its grower sent to rest, at whatever date, until it shows that it is awake.</summary>
public sealed class OrderedRest : State
{
    /// <inheritdoc/>
    public override string Name => "ordered rest";

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } = [Mark.Saying(ProgrammeStarted, "sent to rest", SaidFacts.ToRest)];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [
        new(GrowthStarted, "a new growth"),
        new(LeafStarted, "a new leaf"),
        new(SummerLeaves, "summer leaves"),
        new(SpikeStarted, "a spike shows"),
        new(BloomOpened, "the first flower opens"),
        new(Planted, "planted again"),
        Mark.Of(Tuber, "the tuber sprouts", "sprouting"),
        new(ProgrammeEnded, "the programme was given up"),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "It is watered and fed by what it does.";
}
