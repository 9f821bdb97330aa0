using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Bulbs that shrink, although it was watered or because it was not.</summary>
public sealed class ShrivelledQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "shrivelled";

    /// <inheritdoc/>
    public override string Asks => "Why do its bulbs shrivel?";

    /// <inheritdoc/>
    public override string Note => "Write down how wet the medium is, and look at the roots once.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now) =>
        Signs.Of(now, EntryKinds.Bulbs, "shrivelled", "wrinkled") is { } matter
            ? matter with
            {
                Normal =
                    matter.Signs[^1].Text == "wrinkled" && (now.Resting || now.DryRest.Waking)
                        ? "At rest, and until its new roots drink, bulbs wrinkle: that is normal."
                        : null,
            }
            : null;
}
