using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rules V5 and D2: a rest that is on record, until it grows again.</summary>
public sealed class AtRest : State
{
    /// <inheritdoc/>
    public override string Name => "rest";

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } =
    [new(LeavesGone, "leaves gone"), new(Lifted, "lifted"), new(Stored, "put away"), new(WinterRosette, "a winter rosette")];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [
        new(GrowthStarted, "a new growth"),
        Mark.Some(GrowthHeight, "a growth is measured"),
        new(LeafStarted, "a new leaf"),
        new(SummerLeaves, "summer leaves"),
        new(Planted, "planted again"),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "It is watered by what it shows, from its first roots or leaves on.";
}
