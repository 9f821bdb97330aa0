using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rule D2: a tuber's leaves die back: out of the rain, less light, less water, until the last is gone.</summary>
/// <remarks>
/// Common practice: most leaves yellow in about 10 days and are gone in about 5 weeks. Two leaves in the season, or the grower's order,
/// begin it; one is age.
/// </remarks>
public sealed class DieBackAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "D2";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Sleep is not { Kind: SleepKind.Going, Since: { } first })
            yield break;
        var (yellow, gone) = (first.AddDays(now.Limits<DieBackLimits>().Yellow), first.AddDays(now.Limits<DieBackLimits>().Gone));
        var ahead =
            now.Today > gone
                ? "The last leaves are late; feel whether the tuber is firm."
                : $"Most leaves are yellow by about {Dates.Short(yellow)} and gone by about {Dates.Short(gone)}; that is normal.";
        yield return new(
            Topics.Water,
            Rule,
            Care.GiveWater,
            Verdict.Hold,
            gone,
            $"It dies back since {Dates.Short(first)}: no rain, less light, hardly any water. {ahead}",
            [Condition.Sign("leaves going in their season", first)]
        )
        {
            Ground = Ground.Veto,
        };
    }
}

/// <summary>Rule D2: how a tuber dies back.</summary>
[Rule("D2", "how a tuber dies back")]
public sealed record DieBackLimits(
    [Limit("days", 1, 60, "from the first yellow leaf until all are yellow")] int Yellow,
    [Limit("days", 5, 120, "from the first yellow leaf until all are gone")] int Gone
);
