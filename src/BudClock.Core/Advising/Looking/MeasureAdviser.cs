using BudClock.Core.Advising.Waking;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Looking;

/// <summary>
/// Rule K3: an organ that is measured and moves is due again every seven days. While the first water waits for roots,
/// those are looked at whether or not there are any yet.
/// </summary>
public sealed class MeasureAdviser : IAdviser
{
    const int GivenUpDays = 28; // what was not measured for four weeks is not being followed

    /// <inheritdoc/>
    public string Rule => "K3";

    /// <inheritdoc/>
    public IReadOnlyList<string> Thresholds => ["every"];

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (Next(now) is not { } next)
            yield break;
        var every = now.Needs(Rule, "every");
        var due = next.Last.AddDays((int)every);
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
        );
    }

    /// <summary>What is due to be measured next: its kind, its name, and when it last was; null when nothing is followed.</summary>
    public static (EntryKind Kind, string Name, DateOnly Last, string? Organ)? Next(Situation now)
    {
        var followed = now
            .Series.Where(s =>
                s.Moves && s.Last.On > now.Today.AddDays(-GivenUpDays) && !(now.DryRest.Waking && s.Kind == EntryKinds.RootLength)
            )
            .Select(s => (s.Kind, Name: s.Label, Last: s.Last.On, s.Organ))
            .ToList();
        if (WaitsForRoots(now))
            followed.Insert(0, (EntryKinds.RootLength, "Roots", now.NewRoots.Checked ?? now.DryRest.Woke!.Value, null));
        return followed.Count == 0 ? null : followed.MinBy(f => f.Last);
    }

    static bool WaitsForRoots(Situation now) =>
        now.DryRest.Waking
        && now.NewRoots.AtBase is null
        && !(now.NewRoots.Live && now.NewRoots.Longest?.Value >= FirstSoakAdviser.NeededRootCm(now));

    static string Reason(Situation now, (EntryKind Kind, string Name, DateOnly Last, string? Organ) next, DateOnly due)
    {
        var ago = Dates.Ago(next.Last, now.Today);
        if (now.Today < due)
            return $"{next.Name} looked at {ago}; again on {Dates.Short(due)}.";
        if (next.Kind == EntryKinds.RootLength && !now.NewRoots.Live && now.DryRest.Waking)
            return $"Look whether the new growth has made roots; last looked {ago}.";
        return $"{next.Name} last measured {ago}: measure {(next.Name == "Roots" ? "them" : "again")}.";
    }
}
