using BudClock.Core.Culture.Limits;

namespace BudClock.Core.States.LookingAgain;

/// <summary>A flag that the grower set, for a day of the grower's own; each stands by itself.</summary>
public sealed class Flag : LookAfter
{
    /// <inheritdoc/>
    public override string Name => "flagged";

    /// <inheritdoc/>
    protected override EntryKind Change => EntryKinds.Flagged;

    /// <inheritdoc/>
    public override string Question(Entry change) => change.Text ?? "What has changed?";

    /// <inheritdoc/>
    public override (int From, int To) Due(Entry change, SecondLookLimits limits) => (Days(change), Days(change));

    /// <inheritdoc/>
    protected override bool Shows => false;

    /// <inheritdoc/>
    protected override bool Apart(Span open, Entry entry, PlantLog log) => entry.Kind == EntryKinds.Flagged;

    static int Days(Entry flag) => (int)(flag.Amount?.Value ?? 1);
}
