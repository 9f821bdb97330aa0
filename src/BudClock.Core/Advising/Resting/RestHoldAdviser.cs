using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>
/// Rule D9 for any rest that no rule of its own keeps: dry until the plant itself shows that it wakes, whatever the date says.
/// </summary>
public sealed class RestHoldAdviser : IAdviser
{
    /// <summary>Rules of habits that keep their rest in a way of their own.</summary>
    static readonly string[] Own = [.. Parts.Of<IKeepsRest>().Select(rule => rule.Rule)];

    /// <inheritdoc/>
    public string Rule => "D9";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rest is not { } rest || now.DryRest.Asleep || Own.Any(rule => now.Sheet.Rule(rule) is not null))
            yield break;
        var usually = rest.Wakes is { } wakes ? $", usually about {Dates.Near(wakes, now.Today)}" : "";
        yield return new(
            Topics.Water,
            Rule,
            Care.GiveWater,
            Verdict.Hold,
            rest.Wakes,
            $"Resting since {Dates.Near(rest.Since, now.Today)}: dry until it shows a nose, a shoot or a stalk{usually}.",
            [Condition.Sign("it shows that it wakes", null)]
        )
        {
            Ground = Ground.Veto,
        };
    }
}

/// <summary>A rule that says itself how its habit is kept at rest, so that the general rule of rest is silent.</summary>
public interface IKeepsRest : IAdviser;
