using System.Globalization;
using BudClock.Core.Evidence;
using BudClock.Core.Mixing;

namespace BudClock.Core.Advising.Feeding;

/// <summary>Rule F10: run-off that measures above what the roots bear is flushed out with plain water before any more feed.</summary>
public sealed class SaltAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "F10";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Resting || now.Salts is not { } salty)
            yield break;
        yield return new(
            Topics.Water,
            Rule,
            Care.Flush,
            Verdict.Do,
            now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"{salty.What} {salty.Ppm:0} ppm {Dates.Ago(salty.On, now.Today)}, and it bears {salty.Bears:0}: flush from the top with "
                    + $"plain water before any feed, and measure again."
            ),
            [new("dissolved solids", new(Math.Round(salty.Ppm)), new(salty.Bears), "ppm at most", true, salty.On)]
        )
        {
            Because = string.Create(CultureInfo.InvariantCulture, $"{salty.What} {salty.Ppm:0} ppm"),
            Bottle = Bottles.Plain,
        };
    }
}
