using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule G5: leaves that the sun has burnt, while the plant may still stand in it.</summary>
public sealed class Scorched : State
{
    /// <inheritdoc/>
    public override string Name => "scorched leaves";

    /// <inheritdoc/>
    public override Subject Of => Subject.Place;

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } = [Mark.Of(Leaves, "leaves seen scorched", "scorched")];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [
        Mark.Of(Leaves, "leaves seen firm", "firm"),
        new(Moved, "moved, not into more sun", entry => !entry.Said.Has(SaidFacts.FullSun)),
        new(LeafStarted, "a new leaf"),
        new(LeavesGone, "leaves gone"),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "The marks stay for as long as the leaf does; new leaves tell.";

    /// <inheritdoc/>
    public override int? Lasts(CultureSheet sheet) => sheet.Limits<Ages>().Colour;
}
