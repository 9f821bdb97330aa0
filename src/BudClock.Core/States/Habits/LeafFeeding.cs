using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;

namespace BudClock.Core.States.Habits;

/// <summary>Rule F8: a fine mist of feed on the leaves of a carnivore.</summary>
public sealed class LeafFeeding : Habit
{
    /// <inheritdoc/>
    public override string Name => "a habit of feeding its leaves";

    /// <inheritdoc/>
    public override EntryKind Does => EntryKinds.Fed;

    /// <inheritdoc/>
    protected override double? Usual(CultureSheet sheet) => sheet.Find<LeafFeedLimits>()?.Every;
}
