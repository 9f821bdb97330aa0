using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule V1: leaves that hang. Whether that is thirst or an alarm of the roots is weighed with the medium beside it.</summary>
public sealed class Hanging : State
{
    /// <summary>How leaves that hang are written of.</summary>
    internal static readonly string[] Words = ["limp", "pliable"];

    /// <inheritdoc/>
    public override string Name => "limp leaves: thirst, or an alarm of the roots";

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } = [Mark.Of(Leaves, "leaves limp or pliable", Words)];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } = [Mark.Of(Leaves, "leaves seen firm", "firm"), .. Mark.Doing(Effects.WetsMedium)];

    /// <inheritdoc/>
    public override string Afterwards => "Limp again before it can have dried is an alarm of the roots.";

    /// <inheritdoc/>
    public override int? Lasts(CultureSheet sheet) => sheet.Limits<ThirstLimits>().Forgotten + 1;
}
