using BudClock.Core.Advising.Why;
using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising.Health;

/// <summary>
/// Rules G1, G2 and K5: a growth or leaf that came smaller than the one before is told with what the log holds against it, and with what
/// to do, which may be nothing.
/// </summary>
/// <remarks>It never asks for more feed or another pot: what is smaller is seldom hungry, what is disturbed comes smaller again.</remarks>
public sealed class SmallerAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "G2";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rot is { Open: true })
            yield break; // that comes first
        if (
            new SmallerQuestion().Read(now) is not { Growths: var (before, last) } matter
            || last.Done <= now.Today.AddDays(-now.Limits<ShrinkingLimits>().News)
            || now.Journal.FirstSince(last.Done, EntryKinds.Looked) is not null
        )
            yield break;
        yield return Say(now, before, last, Hearing.On(now, new SmallerQuestion(), matter).Standing);
    }

    Advice Say(Situation now, Grown before, Grown last, IReadOnlyList<Heard> causes)
    {
        var normal = causes.Count > 0 && causes.All(cause => cause.Normal);
        return new(
            Topics.GrowthCheck,
            Rule,
            normal ? Care.LeaveAlone : Care.Look,
            normal ? Verdict.Hold : Verdict.Look,
            normal ? null : now.Today,
            $"{SmallerQuestion.Numbers(before, last)}: {Why(causes)} {Then(now, last, causes, normal)}",
            [
                new(
                    last.By.Words.ToLowerInvariant(),
                    new(last.Cm),
                    new(Math.Round(before.Cm * now.Limits<ShrinkingLimits>().Smaller / 100, 1)),
                    "cm",
                    false,
                    last.Done
                ),
                .. causes.Select(cause => Condition.Known(cause.Cause.Name, null, null, cause.On ?? last.Began)),
            ]
        )
        {
            AnsweredBy = normal ? null : EntryKinds.Looked,
        };
    }

    static string Why(IReadOnlyList<Heard> causes) =>
        causes switch
        {
            [] => "nothing in the log says why.",
            [var one] => $"{one.First.Words}.",
            _ => $"{string.Join("; ", causes.Select(cause => cause.First.Words))}. With more than one difference the causes cannot be told "
                + "apart.",
        };

    /// <summary>What to do now, nothing among it; whether it makes roots decides whether it recovers.</summary>
    static string Then(Situation now, Grown last, IReadOnlyList<Heard> causes, bool normal)
    {
        var roots = now.Roots is { State: RootState.Alive or RootState.Few, Rests: { } seen } && seen.On >= last.Began;
        var recovers = roots ? "It makes roots, so it recovers." : "See whether it makes roots: then it recovers.";
        return normal
            ? $"{causes[0].Then} {(roots ? recovers : "Nothing to do.")}"
            : $"{string.Join(" ", causes.Where(cause => !cause.Normal).Select(cause => cause.Then))} {recovers} No stronger feed.".Trim();
    }
}
