using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule F4: feed that is released slowly and still lasts.</summary>
public sealed class SlowlyFed : State
{
    /// <inheritdoc/>
    public override string Name => "slow release";

    /// <inheritdoc/>
    public override Subject Of => Subject.Pot;

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } = [Mark.Saying(Fed, "fed with slow release", SaidFacts.SlowRelease)];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [new(Repotted, "repotted into other medium"), new(LeavesGone, "leaves gone"), new(Lifted, "lifted")];

    /// <inheritdoc/>
    public override string Afterwards => "It has no feed left in the pot; what grows is fed in its usual rhythm.";

    /// <inheritdoc/>
    public override int? Lasts(CultureSheet sheet) => (int)sheet.Limits<FeedRhythmLimits>().SlowRelease;
}
