using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule F8: algae in the pot of a plant that is fed on the leaf.</summary>
public sealed class AlgaeSeen : State
{
    /// <inheritdoc/>
    public override string Name => "algae";

    /// <inheritdoc/>
    public override Subject Of => Subject.Pot;

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } =
    [
        Mark.Saying(Note, "a note of algae", SaidFacts.Algae),
        new(Pest, "algae seen", e => e.Said.Has(SaidFacts.Algae) && !e.Said.Has(SaidFacts.NoneSeen)),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [
        new(Repotted, "repotted into fresh medium"),
        new(Pest, "algae seen to be gone", e => e.Said.Has(SaidFacts.Algae) && e.Said.Has(SaidFacts.NoneSeen)),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "A mist on the leaves is possible again.";

    /// <inheritdoc/>
    public override int? Lasts(CultureSheet sheet) => sheet.Find<LeafFeedLimits>()?.Algae;
}
