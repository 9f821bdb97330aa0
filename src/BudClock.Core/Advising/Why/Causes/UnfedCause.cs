using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule G2: fed while the one before grew, and not this time; or not fed at all in a log that tells of feed.</summary>
public sealed class UnfedCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "not fed";

    /// <inheritdoc/>
    public override int Order => 12;

    /// <inheritdoc/>
    public override Care? Act => Care.Feed;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(SmallerQuestion), typeof(NoBloomQuestion), typeof(PaleQuestion)];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        if (about.Now.Sheet.Is(Traits.Carnivore) || about.Now.Sheet.Is(Traits.Forced))
            return null;
        const string Then = "Feed the next as it grows, at its usual strength; more makes up for nothing.";
        if (about.Matter.Growths is var (before, last))
        {
            var (then, since) = (FedWhile(about.Now, before), FedWhile(about.Now, last));
            return then >= about.Now.Limits<ShrinkingLimits>().Feeds && since == 0
                ? Found(
                    Inquiry.That(Strength.Sure, $"it was fed {then} times while the one before grew, and not at all this time", last.Began),
                    Then
                )
                : null;
        }
        var fed = about.In(Fed);
        if (fed.Count > 0)
            return new(
                this,
                [],
                [Inquiry.By(fed[^1], Strength.Likely, $"it was fed {Times(fed.Count)}, last on {about.Day(fed[^1].On)}")],
                Then
            );
        return about.Now.Journal.Has(Fed)
            ? new(this, [Inquiry.That(Strength.Likely, "it was fed before, and not in this time", about.Matter.From)], [], Then)
            : new(this, [Inquiry.That(Strength.Hint, "no feed was ever written down", null)], [], Then);
    }

    static string Times(int count) => count == 1 ? "once" : $"{count} times";

    static int FedWhile(Situation now, Grown one) => now.Journal.Of(Fed).Count(e => e.On >= one.Began && e.On <= one.Done);
}
