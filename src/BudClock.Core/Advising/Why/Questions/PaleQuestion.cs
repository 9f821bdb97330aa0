using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rule G5: pale leaves, long gaps between them, lost colour.</summary>
public sealed class PaleQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "pale";

    /// <inheritdoc/>
    public override string Asks => "Why is it pale or leggy?";

    /// <inheritdoc/>
    public override string Note => "Write down where it stands, hours of sun or lamp, and the gap between two leaves.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now) => Signs.OfLeaves(now, "pale");
}
