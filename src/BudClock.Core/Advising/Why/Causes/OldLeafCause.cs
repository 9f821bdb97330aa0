using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rules G7 and G9: the oldest leaf goes, which is age.</summary>
public sealed class OldLeafCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "age";

    /// <inheritdoc/>
    public override int Order => 3;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(YellowQuestion), typeof(LeavesGoneQuestion)];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "See which leaf it is: the oldest alone is age.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var signs = about.Matter.Signs.DistinctBy(entry => entry.On).ToList();
        var several = about.Question is LeavesGoneQuestion ? LeavesGoneQuestion.Fast(about) : signs.Count > 2;
        return new(
            this,
            [
                Inquiry.By(
                    signs[^1],
                    several ? Strength.Hint : Strength.Likely,
                    signs.Count == 1 ? "one leaf, and the oldest go one by one" : $"{signs.Count} times, and the oldest go one by one"
                ),
            ],
            several ? [Inquiry.By(signs[^1], Strength.Likely, "several within days are more than age takes")] : [],
            about.Now.Sheet.Is(Traits.StandsInWater)
                ? "Keep it standing in water; drying it out would kill it."
                : "Nothing to do: take it off when it comes away by itself.",
            Normal: true
        );
    }
}
