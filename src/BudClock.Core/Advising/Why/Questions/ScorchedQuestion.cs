using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rule G5: scorched leaves.</summary>
public sealed class ScorchedQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "scorched";

    /// <inheritdoc/>
    public override string Asks => "What scorched its leaves?";

    /// <inheritdoc/>
    public override string Note => "Write down when it was moved, and where the sun stands at noon.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now) => Signs.OfLeaves(now, "scorched");
}
