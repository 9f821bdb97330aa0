using BudClock.Core.Advising.Why.Questions;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rules R1 and G2: repotted out of step with its roots, so that it lived without any.</summary>
public sealed class RepottedCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "repotted";

    /// <inheritdoc/>
    public override int Order => 8;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [
        typeof(SmallerQuestion),
        typeof(ShrivelledQuestion),
        typeof(LimpQuestion),
        typeof(BudsLostQuestion),
        typeof(StalledSpikeQuestion),
        typeof(LeavesGoneQuestion),
        typeof(YellowQuestion),
        typeof(LostQuestion),
    ];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "See whether new roots show in the new medium.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        if (about.Newest(_ => true, Repotted) is not { } pot || about.Newest(_ => true, Divided) is not null)
            return null;
        var rooted = about
            .Now.Journal.Of(RootsStarted, RootLength, RootCount, RootsAtBase)
            .LastOrDefault(entry => entry.On >= (about.Matter.Growths?.Before.Done ?? pot.On) && entry.On <= about.Matter.To);
        var small = about.Question is SmallerQuestion;
        return new(
            this,
            [
                Inquiry.By(
                    pot,
                    small ? Strength.Sure
                        : pot.On <= about.Matter.To.AddDays(-about.Limits.Back) ? Strength.Hint
                        : Strength.Likely,
                    $"it was repotted on {about.Day(pot.On)}{(rooted is null ? ", and nobody wrote of a new root since" : "")}"
                ),
            ],
            rooted is null ? [] : [about.By(rooted, Strength.Likely)],
            "Leave it in this pot until new roots show."
        );
    }
}
