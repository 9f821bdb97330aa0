using System.Globalization;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule F7: after a loss of roots feed is held back until the new ones are safe.</summary>
/// <remarks>A next growth of the same size is the accepted price; strength returns with the roots.</remarks>
public sealed class RootLossGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "F7";

    /// <inheritdoc/>
    public string Name => "new roots";

    /// <inheritdoc/>
    public Effects Before => Effects.Feeds;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        var roots = now.Roots;
        var safe = now.Limits<NewRootLimits>().Safe;
        if (roots is not { State: RootState.Few, NoneSince: { } lost } || roots.Longest?.Value >= safe)
            return null;
        var length = roots.Longest is { } longest
            ? string.Create(CultureInfo.InvariantCulture, $"now {longest.Value:0.#} cm")
            : "measure them";
        return new(
            Verdict.Hold,
            $"its roots were lost {Dates.Ago(lost, now.Today)} and new ones are short",
            string.Create(
                CultureInfo.InvariantCulture,
                $"no feed until they are {safe:0.#} cm; {length}. A next growth of the same size is the price, and a fair one."
            ),
            Condition.AtLeast("new roots", roots.Longest, safe, "cm")
        );
    }
}
