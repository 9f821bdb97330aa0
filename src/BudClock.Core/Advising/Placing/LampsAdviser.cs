using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rule E5: a plant that lives by its lamps wants them as long as the sheet says, while days are short.</summary>
public sealed class LampsAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "E5";

    /// <inheritdoc/>
    public IReadOnlyList<string> Thresholds => ["hours"];

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        var hours = now.Needs(Rule, "hours");
        if (now.Resting || now.Around.Place?.LampHours is not { } burn || burn >= hours || !now.Daylight.ShorterThan(hours))
            yield break;
        yield return new(
            Topics.Move,
            Rule,
            Care.Lighten,
            Verdict.Look,
            now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"Its lamps burn {burn:0.#} hours a day, and it wants {hours:0} h of light while days are short: set the timer, or move "
                    + $"it under others."
            ),
            [new("lamp hours", new(burn), new(hours), "h", false, now.Today)]
        );
    }
}
