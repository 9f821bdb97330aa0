using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rule E7: air that is drier for days than the sheet's guide.</summary>
public sealed class HumidityAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "E7";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        var limits = now.Limits<HumidityLimits>();
        var crisp = now
            .Journal.Of(EntryKinds.Note)
            .LastOrDefault(e => e.Said.Has(SaidFacts.CrispTips) && e.On > now.Today.AddDays(-now.Ages.Colour));
        var least = crisp is null ? limits.HumidFrom : Math.Max(limits.HumidFrom, limits.Crisp);
        if (now.Resting || now.Around.Weather.MeanHumidity(now.Today, limits.Days + 1) is not { } humidity || humidity.Value >= least)
            yield break;
        yield return new(
            Topics.Move,
            Rule,
            Care.Humidify,
            Verdict.Look,
            now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"{(crisp is null ? "" : $"Its tips went crisp {Dates.Ago(crisp.On, now.Today)}. ")}The air has been at "
                    + $"{humidity.Value:0} % humidity, and it likes {least:0} % or more: stand it closer to others, over wet pebbles, or "
                    + $"mist the air around it."
            ),
            [Condition.AtLeast("humidity", humidity, least, "%")]
        );
    }
}

/// <summary>Rule E7: air that is too dry.</summary>
[Rule("E7", "air that is too dry")]
public sealed record HumidityLimits(
    [Limit("%", 5, 95, "the least that it bears in the long run", Stricter = Stricter.Higher)] double HumidFrom,
    [Limit("%", 20, 80, "thin leaves whose tips go crisp want at least this")] double Crisp,
    [Limit("days", 1, 14, "so many last days are averaged")] int Days
);
