using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.States;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Salts above what its roots bear.</summary>
public sealed class SaltsCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "salts";

    /// <inheritdoc/>
    public override int Order => 17;

    /// <inheritdoc/>
    public override Care? Act => Care.Flush;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [typeof(YellowQuestion), typeof(LeavesGoneQuestion), typeof(LimpQuestion), typeof(SmallerQuestion), typeof(BudsLostQuestion)];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "Measure the water that runs out of the pot.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about) =>
        about.Now.Spans<Salted>().LastOrDefault(span => span.Sign.On >= about.Matter.From && span.Sign.On <= about.Matter.To) is { } span
            ? new(
                this,
                [about.By(span.Sign, Strength.Likely)],
                span.End is { } end && end.On < about.Matter.To ? [about.By(end, Strength.Hint)] : [],
                "Flush it with pure water while it grows, and feed weaker afterwards."
            )
            : null;
}
