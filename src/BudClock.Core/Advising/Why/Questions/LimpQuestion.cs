using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rule V1: thirst or roots.</summary>
public sealed class LimpQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "limp";

    /// <inheritdoc/>
    public override string Asks => "Limp: thirst or roots?";

    /// <inheritdoc/>
    public override string Note => "Lift it: is it light or heavy? Feel the medium a finger deep, and write down both.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now) => Signs.OfLeaves(now, "limp", "pliable");
}
