using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;

namespace BudClock.Core.States.Habits;

/// <summary>Rule H3: rinsing leaves off against pests.</summary>
public sealed class Rinsing : Habit
{
    /// <inheritdoc/>
    public override string Name => "a habit of rinsing its leaves";

    /// <inheritdoc/>
    public override EntryKind Does => EntryKinds.Rinsed;

    /// <inheritdoc/>
    protected override double? Usual(CultureSheet sheet) => sheet.Find<RinsingLimits>()?.Every;
}
