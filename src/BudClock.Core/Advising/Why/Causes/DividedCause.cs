using BudClock.Core.Advising.Why.Questions;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule R8: the growth after a division is smaller.</summary>
public sealed class DividedCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "divided";

    /// <inheritdoc/>
    public override int Order => 1;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(SmallerQuestion), typeof(NoBloomQuestion)];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about) =>
        about.Newest(_ => true, Divided) is { } cut
            ? Found(
                Inquiry.By(cut, Strength.Sure, $"it was divided on {about.Day(cut.On)}"),
                "The growth after a division is smaller, which is normal.",
                normal: true
            ) with
            {
                Expect = "The next growth is likely to come as large as before, if this one makes roots.",
            }
            : null;
}
