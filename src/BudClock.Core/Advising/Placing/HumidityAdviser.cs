using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rule E7: air that is drier for days than the sheet's guide.</summary>
public sealed class HumidityAdviser : IAdviser
{
    const int Days = 3;

    /// <inheritdoc/>
    public string Rule => "E7";

    /// <inheritdoc/>
    public IReadOnlyList<string> Thresholds => ["humid-from"];

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        var least = now.Needs(Rule, "humid-from");
        if (now.Resting || now.Around.Weather.MeanHumidity(now.Today, Days + 1) is not { } humidity || humidity.Value >= least)
            yield break;
        yield return new(
            Topics.Move,
            Rule,
            Care.Humidify,
            Verdict.Look,
            now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"The air has been at {humidity.Value:0} % humidity, and it likes {least:0} % or more: stand it closer to others, over "
                    + $"wet pebbles, or mist the air around it."
            ),
            [Condition.AtLeast("humidity", humidity, least, "%")]
        );
    }
}
