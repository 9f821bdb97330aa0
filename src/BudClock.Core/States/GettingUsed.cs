using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule E8: a plant that was moved, while it gets used to the light of its new place.</summary>
public sealed class GettingUsed : State
{
    /// <inheritdoc/>
    public override string Name => "getting used to a new place";

    /// <inheritdoc/>
    public override Subject Of => Subject.Place;

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } = [new(Moved, "moved")];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [Mark.Of(Leaves, "leaves seen scorched: it had too much", "scorched"), new(LeavesGone, "leaves gone")];

    /// <inheritdoc/>
    public override string Afterwards => "It has the light that its kind bears.";

    /// <inheritdoc/>
    public override int? Lasts(CultureSheet sheet) => sheet.Find<HardeningLimits>() is { } limits ? limits.Step * limits.Steps : null;
}
