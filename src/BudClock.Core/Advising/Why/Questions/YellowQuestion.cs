using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rule G7: yellow leaves.</summary>
public sealed class YellowQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "yellow";

    /// <inheritdoc/>
    public override string Asks => "Why are its leaves yellow?";

    /// <inheritdoc/>
    public override string Note => "Write down which leaf it is, the oldest or a young one, and how wet the medium is below.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now) => Signs.OfLeaves(now, "yellowing");
}
