using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;

namespace BudClock.Core.States.Habits;

/// <summary>Rule E6: turning a plant to the light.</summary>
public sealed class Turning : Habit
{
    /// <inheritdoc/>
    public override string Name => "a habit of turning it";

    /// <inheritdoc/>
    public override Subject Of => Subject.Place;

    /// <inheritdoc/>
    public override EntryKind Does => EntryKinds.Turned;

    /// <inheritdoc/>
    protected override double? Usual(CultureSheet sheet) => sheet.Find<TurningLimits>()?.Every;
}
