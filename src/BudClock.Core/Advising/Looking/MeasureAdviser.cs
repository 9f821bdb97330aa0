using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Looking;

/// <summary>
/// Rule K3: an organ that is measured and moves is due again after seven days, or in its grower's own rhythm. While the first water
/// waits for roots, those are looked at whether or not there are any yet.
/// </summary>
public sealed class MeasureAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "K3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (NextMeasure.Read(now) is not { } next)
            yield break;
        var (every, due) = (next.Every, next.Due);
        var days = now.Today.DayNumber - next.Last.DayNumber;
        var condition = new Condition("days since the last look", new Fact(days), new Fact(every), "days", days >= every, next.Last);
        yield return new(
            Topics.Measure,
            Rule,
            Care.Measure,
            now.Today >= due ? Verdict.Look : Verdict.Hold,
            due,
            Reason(now, next, due),
            [condition]
        )
        {
            Needed = next.Kind == EntryKinds.RootLength && now.DryRest.Waking,
        };
    }

    static string Reason(Situation now, NextMeasure next, DateOnly due)
    {
        var ago = Dates.Ago(next.Last, now.Today);
        if (now.Today < due)
            return $"{next.Name} looked at {ago}; again on {Dates.Short(due)}.";
        if (next.Kind == EntryKinds.RootLength && !now.NewRoots.Live && now.DryRest.Waking)
            return $"Look whether the new growth has made roots; last looked {ago}.";
        return $"{next.Name} last measured {ago}: measure {(next.Name == "Roots" ? "them" : "again")}.";
    }
}
