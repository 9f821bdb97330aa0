using System.Globalization;
using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Round;

/// <summary>Rule E1: what light a place has, and how that is known.</summary>
/// <param name="Class">The light class that it comes to; null where nothing is known.</param>
/// <param name="Measured">It was measured; false for a guess by eye or by the window.</param>
/// <param name="Words">For the page: "6.1 mol a day measured (5.2 to 7)".</param>
/// <param name="Dark">So little that nothing grows there.</param>
public sealed record PlaceLight(LightClass? Class, bool Measured, string Words, bool Dark = false)
{
    /// <summary>With less a day nothing grows, mol/m²/day (from memory).</summary>
    const double DarkDli = 1;

    const int Days = 28;

    /// <summary>The sun stands elsewhere after so many days: light that was measured longer ago is measured anew (rule E1).</summary>
    public const int SeasonDays = 91;

    /// <summary>
    /// Daily light from which a place counts as bright, as morning sun, as full sun, mol/m²/day (common practice; from memory).
    /// </summary>
    static readonly (double From, LightClass Class)[] Steps =
    [
        (16, LightClass.FullSun),
        (9, LightClass.MorningSun),
        (4, LightClass.Bright),
    ];

    /// <summary>The light of a place: as measured these four weeks, else by eye, else as its window lets expect.</summary>
    public static PlaceLight Of(Place place, Weather weather, DateOnly today, Garden garden)
    {
        if (weather.MeanLight(today, Days) is { } light)
            return new(
                ClassOf(light.Value.Dli),
                true,
                Say($"{Range(light.Value)} a day by {light.Value.From}"),
                light.Value.High < DarkDli
            );
        if (LightWords.Read(place.Light) is { } eye)
            return new(eye, false, $"{eye.Words()}, by eye");
        if (place.Window == "none" || (place is { Setting: "store", Window: null }))
            return new(
                LightClass.Shade,
                false,
                place.Window is null ? "a store, dark as far as anybody said" : "no window",
                Dark: place.LampHours is not > 0
            );
        return Guess(place, today, garden) is { } guess
            ? new(ClassOf(guess.Dli), false, Say($"perhaps {Range(guess)} a day, by its window: not measured"))
            : new(null, false, "not known");
    }

    /// <summary>The class of a daily light.</summary>
    public static LightClass ClassOf(double dli) =>
        Steps.FirstOrDefault(step => dli >= step.From) is { From: > 0 } step ? step.Class : LightClass.Shade;

    /// <summary>
    /// What comes through a window of its open sky, likely and as a range (shares from memory: a sill gets a third to a twentieth, by the
    /// side it faces), with what its lamps add where their photons are not known: nothing.
    /// </summary>
    public static LightEstimate? Guess(Place place, DateOnly today, Garden garden)
    {
        if (garden.Latitude is not { } latitude || place.Window is not { } window)
            return null;
        var share = Share(window, garden.Southern);
        var sky = Light.OpenSky(today, latitude);
        return new(sky.Dli * share, sky.Low * share / 2, sky.High * Math.Min(1, share * 2), "its window");
    }

    /// <summary>The share of open sky that reaches a place behind a window of that side.</summary>
    static double Share(string window, bool southern) =>
        window switch
        {
            "none" => 0,
            "roof" => 0.5,
            "east" or "west" => 0.15,
            "south" or "south-east" or "south-west" => southern ? 0.06 : 0.25,
            _ => southern ? 0.25 : 0.06,
        };

    static string Range(LightEstimate light) => Say($"{light.Dli:0.#} mol ({light.Low:0.#} to {light.High:0.#})");

    static string Say(FormattableString words) => words.ToString(CultureInfo.InvariantCulture);
}
