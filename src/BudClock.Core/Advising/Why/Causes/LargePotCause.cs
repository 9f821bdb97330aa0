using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule B7: potted on, where its kind blooms when its pot is full.</summary>
public sealed class LargePotCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "potted on before its pot was full";

    /// <inheritdoc/>
    public override int Order => 4;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(NoBloomQuestion)];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about) =>
        about.Now.Sheet.Is(Traits.PotBound) && about.Newest(_ => true, Repotted, Divided) is { } pot
            ? new(
                this,
                [
                    Inquiry.By(
                        pot,
                        Strength.Likely,
                        $"{pot.Kind.Words.ToLowerInvariant()} on {about.Day(pot.On)}, and its kind blooms when its pot is full"
                    ),
                ],
                [],
                "Leave it in this pot, pups and all, until its roots heave out at the top."
            )
            : null;
}
