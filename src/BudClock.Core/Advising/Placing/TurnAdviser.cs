using BudClock.Core.Evidence;
using BudClock.Core.States.Habits;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rule E6: hanging and window plants are turned a quarter weekly, where the sheet says so; never in bud (B11).</summary>
public sealed class TurnAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "E6";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        // Whoever has never turned a plant is not asked to begin.
        if (!now.InGrowth || now.Open(LaneKind.Spike) || now.In<Turning>() is not { } habit)
            yield break;
        var (last, every) = (habit.Sign, Habit.Every(habit, now.Sheet)!.Value);
        var days = now.Today.DayNumber - last.On.DayNumber;
        if (days >= every)
            yield return new(
                Topics.Move,
                Rule,
                Care.Turn,
                Verdict.Look,
                now.Today,
                $"Turned {Dates.Ago(last.On, now.Today)}: a quarter turn, unless it leans to no side.",
                [new("days since it was turned", new(days), new(every), "days", true, last.On)]
            )
            {
                Ground = Ground.Interval,
            };
    }
}
