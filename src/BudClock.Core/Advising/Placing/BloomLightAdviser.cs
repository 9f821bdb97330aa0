using System.Globalization;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Placing;

/// <summary>Rules E1 and B4: a measured light in which a plant of its light class lives, but hardly blooms.</summary>
/// <remarks>
/// The whole range of what was measured has to lie below: where the meter may be wrong nothing is said. Not in the short days of
/// winter, which are dim everywhere, unless lamps could burn longer; not of what rests, and not of plants grown for their leaves.
/// </remarks>
public sealed class BloomLightAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "E1";

    /// <summary>The light from which plants of a class bloom, mol/m²/day.</summary>
    public static double Least(CultureSheet sheet) => sheet.Limits<BloomLightLimits>().For(sheet.Light);

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (
            now.Resting
            || now.Sheet.Is(Traits.Foliage)
            || (now.Daylight.ShorterThan(now.Limits<BloomLightLimits>().ShortDays) && now.Around.Place?.LampHours is null)
        )
            yield break;
        var least = Least(now.Sheet);
        if (now.Around.Weather.MeanLight(now.Today, now.Limits<BloomLightLimits>().Days) is not { } light || light.Value.High >= least)
            yield break;
        yield return new(
            Topics.Move,
            Rule,
            Care.Lighten,
            Verdict.Look,
            now.Today,
            string.Create(
                CultureInfo.InvariantCulture,
                $"It gets {light.Value.Dli:0.#} mol of light a day ({light.Value.Low:0.#} to {light.Value.High:0.#} by "
                    + $"{light.Value.From}) and blooms from about {least:0.#}: closer to the glass, longer lamps or a brighter "
                    + $"place, in steps of a week, up to {now.Sheet.Light.Words()}."
            ),
            [new("light", new(Math.Round(light.Value.Dli, 1)), new(least), "mol/m² a day", false, light.On)]
        )
        {
            Ground = Ground.Interval,
        };
    }
}
