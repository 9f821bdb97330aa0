using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Watering;

/// <summary>
/// Rule W4: never soggy, never dry. A top that is pale and dry by morning asks; stems that bend over a dry pot are thirst.
/// </summary>
/// <remarks>
/// Common practice: daily in full sun outdoors, every few days indoors; growing aroids are kept drier as the season goes down (W17).
/// </remarks>
public sealed class NeverDryAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "W4";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.DrinksFromAbove)
            yield return new WaterAsked(Rule, "water, not so much that it stands", "look whether the top is pale and dry").Judge(now);
    }
}
