using BudClock.Core.Culture.Limits;

namespace BudClock.Core.States.LookingAgain;

/// <summary>Have the parts taken hold?</summary>
public sealed class AfterDividing : LookAfter
{
    /// <inheritdoc/>
    public override string Name => "divided, and not looked at since";

    /// <inheritdoc/>
    protected override EntryKind Change => EntryKinds.Divided;

    /// <inheritdoc/>
    public override string Question(Entry change) => "have the parts taken hold? Lay them side by side.";

    /// <inheritdoc/>
    public override (int From, int To) Due(Entry change, SecondLookLimits limits) => (limits.RepotFrom, limits.RepotTo);
}
