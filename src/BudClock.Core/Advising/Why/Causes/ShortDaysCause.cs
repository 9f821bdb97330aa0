using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule G2: it grew in short, cool days, and the one before did not.</summary>
public sealed class ShortDaysCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "short days";

    /// <inheritdoc/>
    public override int Order => 9;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(SmallerQuestion)];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        if (about.Matter.Growths is not var (before, last) || !about.Now.Daylight.Tells)
            return null;
        var hours = Hours(about.Now, last);
        if (hours >= about.Now.Limits<ShrinkingLimits>().ShortDays || Hours(about.Now, before) <= hours)
            return null;
        return Found(
            Inquiry.That(Strength.Sure, $"it grew from {about.Day(last.Began)} to {about.Day(last.Done)}, in short, cool days", last.Began),
            "What grows before or in winter comes smaller, which is normal; in spring it is larger again.",
            normal: true
        ) with
        {
            Expect = "One that begins in spring is likely to come as large as before.",
        };
    }

    static double Hours(Situation now, Grown one) =>
        Enumerable
            .Range(0, 5)
            .Average(n =>
                Daylight.Of(now.Around.Garden, one.Began.AddDays((one.Done.DayNumber - one.Began.DayNumber) * n / 4)).Hours!.Value
            );
}
