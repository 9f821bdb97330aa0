using System.Globalization;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;
using BudClock.Core.States;
using BudClock.Core.States.Habits;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rule F8: carnivores get nothing in the medium, ever; a fine mist on the leaves at most, and none where algae grow.</summary>
/// <remarks>
/// Common practice: about 100 ppm every 14 days, about half an hour before lights out. They do well without; it is offered once it was
/// begun.
/// </remarks>
public sealed class LeafFeedAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "F8";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (!now.InGrowth)
            yield break;
        var ppm = now.Limits<LeafFeedLimits>().Tds;
        if (now.In<AlgaeSeen>() is { Sign: var algae })
            yield return Say(
                Verdict.Hold,
                null,
                $"Algae {Dates.Ago(algae.On, now.Today)}: no leaf feed until they are gone.",
                new("algae", new("seen"), new("none"), null, false, algae.On)
            );
        else if (now.In<LeafFeeding>() is not { } habit)
            yield return Say(
                Verdict.Hold,
                null,
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"Nothing in the medium, ever. It catches its own; a mist of about {ppm:0} ppm on the leaves is optional."
                ),
                Condition.Known("leaf feed on record", null, null, null)
            );
        else
            yield return Again(now, habit, ppm);
    }

    Advice Again(Situation now, Span habit, double ppm)
    {
        var (last, every) = (habit.Sign, Habit.Every(habit, now.Sheet)!.Value);
        var days = Condition.AtLeast("days since the last leaf feed", new(now.Today.DayNumber - last.On.DayNumber, last.On), every, "days");
        var because = $"Leaf feed {Dates.Ago(last.On, now.Today)}";
        var next = last.On.AddDays((int)every);
        if (!days.Met)
            return Say(Verdict.Hold, next, $"{because}: again from {Dates.Short(next)}. Nothing in the medium.", days);
        return Say(
            Verdict.Do,
            now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"{because}: a fine mist of about {ppm:0} ppm on the leaves, about "
                    + $"{now.Limits<LeafFeedLimits>().BeforeDark:0} minutes before "
                    + $"lights out. Nothing in the medium; stop if algae show."
            ),
            days
        ) with
        {
            Because = because,
            Bottle = Bottles.Leaf,
            Amount = "a fine mist",
            Until = Habit.Until(habit, now.Sheet),
        };
    }

    Advice Say(Verdict verdict, DateOnly? due, string reason, Condition condition) =>
        new(Topics.Feed, Rule, Care.Mist, verdict, due, reason, [condition]) { Ground = Ground.Interval };
}
