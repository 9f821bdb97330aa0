using System.Globalization;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rule F7: after a loss of roots feed is held back until the new ones are safe.</summary>
/// <remarks>A next growth of the same size is the accepted price; strength returns with the roots.</remarks>
public sealed class RootLossFeedAdviser : IAdviser
{
    public string Rule => "F7";

    public IReadOnlyList<string> Thresholds => ["safe", "strong"];

    public Advice? Advise(Situation now)
    {
        if (LostRoots.Read(now) is not { Safe: false } lost) return null;
        var length = Condition.AtLeast("new roots", lost.Longest, lost.SafeCm, "cm");
        var reason = !lost.Live ? "No live roots: feed would only leave salt. Plain water and humid air; roots come first."
            : string.Create(CultureInfo.InvariantCulture, $"Roots lost {Dates.Ago(lost.On, now.Today)}: no feed until the new ones are {lost.SafeCm:0.#} cm{(lost.Longest is { } cm ? $", now {cm.Value:0.#}" : ", measure them")}. A next growth of the same size is the price, and a fair one.");
        return new(Topics.Feed, Rule, Verdict.Hold, null, reason, [length]) { Ground = Ground.Veto, Bottle = Bottles.Plain };
    }
}
