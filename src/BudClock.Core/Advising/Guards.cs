using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using static BudClock.Core.Advising.Sentence;

namespace BudClock.Core.Advising;

/// <summary>Runs every guard over every proposal before it is settled, so that no rule can order an act past the evidence.</summary>
public static class Guards
{
    /// <summary>Every guard, by rule and name.</summary>
    public static readonly IReadOnlyList<IGuard> All =
    [
        .. Parts
            .Of<IGuard>()
            .OrderBy(guard => guard.Order)
            .ThenBy(guard => guard.Rule, StringComparer.Ordinal)
            .ThenBy(guard => guard.Name, StringComparer.Ordinal),
    ];

    /// <summary>Acts of which a guard speaks even where no rule proposed them: silence about a danger is a fault.</summary>
    static readonly (string Topic, Care Care)[] Always = [(Topics.Water, Care.GiveWater), (Topics.Feed, Care.Feed)];

    /// <summary>The proposals as the guards leave them, and what guards say of water and feed where no rule did.</summary>
    public static IEnumerable<Advice> Over(RuleBook book, Situation now, IReadOnlyList<Advice> proposals)
    {
        foreach (var proposal in proposals)
            yield return Over(book, now, proposal);
        foreach (var (topic, care) in Always)
            if (
                proposals.All(p => p.Care.Facts().Question != care.Facts().Question) && Stopped(book, now, care, []) is { Count: > 0 } stops
            )
                yield return Stop(new(topic, "", care, Verdict.Do, null, "", []), stops);
    }

    /// <summary>What stops an act today, the strongest guard's words; null where none does.</summary>
    public static Stop? Against(RuleBook book, Situation now, Care care) =>
        Stopped(book, now, care, []) is [var first, ..] ? first.Stop : null;

    static Advice Over(RuleBook book, Situation now, Advice proposal)
    {
        if (proposal.Verdict is Verdict.Hold)
            return proposal;
        var stops = Stopped(book, now, proposal.Care, proposal.Overrides);
        if (stops.Count == 0)
            return proposal;
        // Who looks is not stopped from looking, only told what else to look at.
        return proposal.Verdict is Verdict.Look && stops[0].Stop.Verdict is Verdict.Look ? Beside(proposal, stops) : Stop(proposal, stops);
    }

    /// <summary>What is stopped altogether stands before what somebody who looks may do.</summary>
    static List<(IGuard Guard, Stop Stop)> Stopped(RuleBook book, Situation now, Care care, IReadOnlyList<string> overrides)
    {
        List<(IGuard Guard, Stop Stop)> stops = [];
        var holds = 0;
        foreach (var guard in book.Before(care))
        {
            if (overrides.Contains(guard.Name) || guard.Stop(now, care) is not { } stop)
                continue;
            if (stop.Verdict is Verdict.Hold)
                stops.Insert(holds++, (guard, stop));
            else
                stops.Add((guard, stop));
        }
        return stops;
    }

    /// <summary>The words say both: what was proposed, and what speaks against it.</summary>
    static Advice Stop(Advice proposal, List<(IGuard Guard, Stop Stop)> stops)
    {
        var (guard, first) = stops[0];
        var said = proposal.Because is null || first.Words.StartsWith(proposal.Because, StringComparison.OrdinalIgnoreCase);
        var because = said ? Capital(first.Words) : $"{proposal.Because}, but {first.Words}";
        return proposal with
        {
            Rule = first.Rule ?? guard.Rule,
            Verdict = first.Verdict,
            Ground = Ground.Veto,
            StoppedBy = guard.Name,
            Reason = $"{because}{(first.Then.Length > 0 ? $": {first.Then}" : ".")}",
            Due = first.Until,
            Until = null,
            Amount = null,
            Conditions = [.. proposal.Conditions, .. stops.SelectMany(stop => stop.Stop.Evidence)],
        };
    }

    static Advice Beside(Advice proposal, List<(IGuard Guard, Stop Stop)> stops) =>
        proposal with
        {
            Reason = $"{proposal.Reason} {Capital(stops[0].Stop.Words)}: {stops[0].Stop.Then}",
            Conditions = [.. proposal.Conditions, .. stops.SelectMany(stop => stop.Stop.Evidence)],
        };
}
