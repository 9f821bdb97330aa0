using BudClock.Core.Lanes;

namespace BudClock.Core.Advice;

/// <summary>All that is said of one plant on one day. Derived, never stored.</summary>
/// <param name="Lanes">Recorded ones, and those expected in the next three months.</param>
/// <param name="Situation">What the advice was read from; null for a plant without a culture sheet.</param>
public sealed record Assessment(
    Journal.Plant Plant,
    DateOnly On,
    PhaseRead Phase,
    IReadOnlyList<Lane> Lanes,
    IReadOnlyList<Advice> Advice,
    Situation? Situation)
{
    /// <summary>The advice to show first: Do before Look before Hold, then in the order of the rules.</summary>
    public Advice? Main => Advice.MinBy(advice => advice.Verdict);

    /// <summary>Its habit has no sheet of its own yet.</summary>
    public bool OnGeneralSheet => Situation is null || Situation.Sheet.Name == Culture.CultureSheets.General;

    /// <summary>Given away or dead: on record, and off the Round.</summary>
    public bool Gone { get; init; }
}
