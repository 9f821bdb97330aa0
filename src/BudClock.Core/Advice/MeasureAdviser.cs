using BudClock.Core.Journal;

namespace BudClock.Core.Advice;

/// <summary>Rule K3: while the first water waits for roots, they are looked at every seven days.</summary>
public sealed class MeasureAdviser : IAdviser
{
    public string Rule => "K3";

    public IReadOnlyList<string> Thresholds => ["every"];

    public Advice? Advise(Situation now)
    {
        if (!now.Season.Waking || now.Roots.AtBase is not null || LongEnough(now)) return null;

        var every = now.Needs(Rule, "every");
        var last = now.Roots.Checked ?? now.Season.Woke!.Value;
        var due = last.AddDays((int)every);
        var days = now.Today.DayNumber - last.DayNumber;
        var condition = new Condition("days since the last look", new Fact(days), new Fact(every), "days", days >= every, last);
        return new(Topics.Measure, Rule, now.Today >= due ? Verdict.Look : Verdict.Hold, due, Reason(now, last, due), [condition]);
    }

    static bool LongEnough(Situation now) => now.Roots.Live && now.Roots.Longest?.Value >= FirstSoakAdviser.NeededRootCm(now);

    static string Reason(Situation now, DateOnly last, DateOnly due)
    {
        var ago = Dates.Ago(last, now.Today);
        if (now.Today < due) return $"Roots looked at {ago}; again on {Dates.Short(due)}.";
        return now.Roots.Live ? $"Roots last measured {ago}: measure them." : $"Look whether the new growth has made roots; last looked {ago}.";
    }
}
