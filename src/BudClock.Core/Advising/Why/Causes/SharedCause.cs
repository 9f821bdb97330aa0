using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rules G2 and G3: two growths at once share what there is.</summary>
public sealed class SharedCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "two growths";

    /// <inheritdoc/>
    public override int Order => 10;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(SmallerQuestion)];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var now = about.Now;
        if (now.Sheet.Organs.Shoot == Organ.Leaf || about.Matter.Growths is not var (before, last))
            return null;
        var other = now.Lanes.FirstOrDefault(lane =>
            lane.Kind is LaneKind.Growth
            && lane.Organ != last.Part
            && lane.From > before.Began
            && Beside(lane, last) >= now.Limits<ShrinkingLimits>().Shared
        );
        return other is null
            ? null
            : Found(
                Inquiry.That(Strength.Sure, "two growths were under way at once", other.From),
                "Two share what there is; the next has it alone.",
                normal: true
            ) with
            {
                Expect = "A growth that is alone is likely to come as large as before.",
            };
    }

    static int Beside(Lane lane, Grown last)
    {
        var from = lane.From > last.Began ? lane.From : last.Began;
        var to = lane.To is { } end && end < last.Done ? end : last.Done;
        return to.DayNumber - from.DayNumber;
    }
}
