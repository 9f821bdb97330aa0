using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rules D1 and G7: leaves that fall, one after the other or all at once.</summary>
public sealed class LeavesGoneQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "leaves-gone";

    /// <inheritdoc/>
    public override string Asks => "Why does it drop its leaves?";

    /// <inheritdoc/>
    public override string Note => "Write down each leaf that falls, whether it was the oldest, and how wet the medium is.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now)
    {
        var limits = now.Limits<CauseLimits>();
        var fell = now.Journal.Of(LeafDropped, LeavesGone).Where(e => e.On > now.Today.AddDays(-limits.Back)).ToList();
        return fell is [var first, .., var last] || (fell is [{ } only] && (first = last = only) is not null)
            ? new(
                fell.Count > 1
                    ? $"{fell.Count} times leaves went between {Dates.Near(first.On, now.Today)} and {Dates.Near(last.On, now.Today)}."
                    : $"{first} on {Dates.Near(first.On, now.Today)}.",
                first.On.AddDays(-limits.Back),
                last.On,
                fell
            )
            : null;
    }

    /// <summary>Several within days: more than age takes.</summary>
    public static bool Fast(Inquiry about)
    {
        var (days, several) = (about.Now.Limits<YellowLeafLimits>().Fast, about.Now.Limits<YellowLeafLimits>().Several);
        var fell = about.Matter.Signs;
        return fell.Any(one => fell.Count(other => other.On >= one.On && other.On < one.On.AddDays(days)) >= several)
            || fell.Any(one => one.Kind == LeavesGone);
    }
}
