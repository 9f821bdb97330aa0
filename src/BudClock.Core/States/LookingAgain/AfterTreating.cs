using BudClock.Core.Culture.Limits;

namespace BudClock.Core.States.LookingAgain;

/// <summary>Did the treatment work? Of pests and rot their own cases ask.</summary>
public sealed class AfterTreating : LookAfter
{
    /// <inheritdoc/>
    public override string Name => "treated, and not looked at since";

    /// <inheritdoc/>
    protected override EntryKind Change => EntryKinds.Treated;

    /// <inheritdoc/>
    public override string Question(Entry change) => "did the treatment work?";

    /// <inheritdoc/>
    public override (int From, int To) Due(Entry change, SecondLookLimits limits) => (limits.Treat, limits.Treat);

    /// <inheritdoc/>
    protected override bool Shows => false;
}
