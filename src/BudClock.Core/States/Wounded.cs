using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule L8: a fresh wound of the roots: repotted, divided, cut, or roots lost. Feed burns it until it has settled.</summary>
public sealed class Wounded : State
{
    /// <inheritdoc/>
    public override string Name => "open wound";

    /// <inheritdoc/>
    public override Subject Of => Subject.Pot;

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } =
    [
        new(Repotted, "repotted"),
        new(Divided, "divided"),
        new(RootsLost, "roots lost"),
        new(Treated, "cut clean while treating", entry => entry.Does.HasFlag(Effects.Wounds)),
    ];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } = [new(RootsStarted, "new roots show")];

    /// <inheritdoc/>
    public override string Afterwards => "It is fed again, lightly at first.";

    /// <inheritdoc/>
    public override int? Lasts(CultureSheet sheet) => sheet.Limits<WoundLimits>().Settles;
}
