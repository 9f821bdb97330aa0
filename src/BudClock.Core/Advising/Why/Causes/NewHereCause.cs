using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule G2: the first growth, and the first weeks, in a new place.</summary>
public sealed class NewHereCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "new here";

    /// <inheritdoc/>
    public override int Order => 2;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [
        typeof(SmallerQuestion),
        typeof(NoBloomQuestion),
        typeof(BudsLostQuestion),
        typeof(LeavesGoneQuestion),
        typeof(YellowQuestion),
        typeof(LostQuestion),
    ];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        if ((about.Now.Arrival?.Arrived ?? about.Now.Plant.Acquired) is not { } came || !InTime(about, came))
            return null;
        return about.Question is SmallerQuestion
                ? Found(
                    Inquiry.That(Strength.Sure, $"it came here on {about.Day(came)}", came),
                    "The first growth in a new place is often smaller.",
                    normal: true
                ) with
                {
                    Expect = "The next one is made here from its beginning, and tells more.",
                }
            : about.Question.OfTheDead
                ? Found(
                    Inquiry.That(Strength.Hint, $"it came here on {about.Day(came)}", came),
                    "Many plants arrive weaker than they look: a newcomer is looked over, roots too, on its first day."
                )
            : Found(
                Inquiry.That(Settling(about, came) ? Strength.Likely : Strength.Hint, $"it came here on {about.Day(came)}", came),
                "It gets used to the place: leave it where it stands, and change nothing else.",
                normal: true
            );
    }

    /// <summary>A first half year without a flower is no wonder; a whole one is only a hint.</summary>
    static bool Settling(Inquiry about, DateOnly came) =>
        about.Question is not NoBloomQuestion || came > about.Matter.To.AddDays(-about.Limits.BloomBack / 2);

    /// <summary>A growth that was under way when it came was made elsewhere; anything else is felt for some weeks.</summary>
    static bool InTime(Inquiry about, DateOnly came) =>
        about.Matter.Growths is var (before, last)
            ? came > before.Began.AddDays(-about.Now.Limits<ShrinkingLimits>().Next) && came <= last.Done
        : about.Question.OfTheDead ? came > about.Matter.From
        : about.Question is NoBloomQuestion ? came > about.Matter.From
        : came <= about.Matter.To && came > about.Matter.To.AddDays(-2 * about.Limits.Unsettled);
}
