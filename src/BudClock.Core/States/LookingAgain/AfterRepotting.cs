using BudClock.Core.Culture.Limits;

namespace BudClock.Core.States.LookingAgain;

/// <summary>Has it taken hold in its new pot?</summary>
public sealed class AfterRepotting : LookAfter
{
    /// <inheritdoc/>
    public override string Name => "repotted, and not looked at since";

    /// <inheritdoc/>
    protected override EntryKind Change => EntryKinds.Repotted;

    /// <inheritdoc/>
    public override string Question(Entry change) => "has it taken hold?";

    /// <inheritdoc/>
    public override (int From, int To) Due(Entry change, SecondLookLimits limits) => (limits.RepotFrom, limits.RepotTo);
}
