using BudClock.Core.Evidence;
using BudClock.Core.States.Habits;

namespace BudClock.Core.Advising.Health;

/// <summary>Rule H3: a preventive rinse monthly, where the sheet says so.</summary>
public sealed class RinseAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "H3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        // Whoever has never rinsed a plant is not asked to begin.
        if (!now.InGrowth || now.In<Rinsing>() is not { } habit)
            yield break;
        var (last, every) = (habit.Sign, Habit.Every(habit, now.Sheet)!.Value);
        var days = now.Today.DayNumber - last.On.DayNumber;
        if (days >= every)
            yield return new(
                Topics.Health,
                Rule,
                Care.Rinse,
                Verdict.Look,
                now.Today,
                $"Rinsed {Dates.Ago(last.On, now.Today)}: a rinse of its leaves, above and below, and a look into the folds.",
                [new("days since it was rinsed", new(days), new(every), "days", true, last.On)]
            )
            {
                Ground = Ground.Interval,
            };
    }
}
