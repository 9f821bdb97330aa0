using BudClock.Core.Culture.Limits;

namespace BudClock.Core.States.LookingAgain;

/// <summary>Does it like its new place?</summary>
public sealed class AfterMoving : LookAfter
{
    /// <inheritdoc/>
    public override string Name => "moved, and not looked at since";

    /// <inheritdoc/>
    protected override EntryKind Change => EntryKinds.Moved;

    /// <inheritdoc/>
    public override string Question(Entry change) => "does it like the new place?";

    /// <inheritdoc/>
    public override (int From, int To) Due(Entry change, SecondLookLimits limits) => (limits.Feed, limits.Feed);
}
