using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule B3: the stalk that would have bloomed again was cut.</summary>
public sealed class StalkCutCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "its stalk was cut";

    /// <inheritdoc/>
    public override int Order => 2;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(NoBloomQuestion)];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about) =>
        about.Now.Sheet.Is(Traits.LastingStalks) && about.Newest(_ => true, CutSpike) is { } cut
            ? Found(
                Inquiry.By(cut, Strength.Sure, $"a stalk was cut on {about.Day(cut.On)}"),
                "Leave stalks on: they bloom again from there. A new one takes a year or two."
            )
            : null;
}
