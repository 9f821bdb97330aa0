using System.Globalization;
using BudClock.Core.Advising;
using BudClock.Core.Advising.Placing;
using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Round;

/// <summary>How one thing about a place suits a plant.</summary>
public enum Suits
{
    /// <summary>As it wants it.</summary>
    Well,

    /// <summary>It lives, and does not thrive.</summary>
    Nearly,

    /// <summary>It suffers.</summary>
    Not,

    /// <summary>Nobody measured or said it.</summary>
    Unknown,
}

/// <summary>One thing about a place against what a plant wants.</summary>
/// <param name="What">"Cold", "Heat", "Light", "Air", "Rain", "Dark nights", "Draughts".</param>
/// <param name="Words">What there is and what is wanted, with the numbers.</param>
public sealed record FitOf(string What, Suits Suits, string Words);

/// <summary>A place against what one plant wants.</summary>
/// <param name="Here">It stands there now.</param>
/// <param name="Things">Each thing by itself; things that do not matter to this plant are not among them.</param>
public sealed record PlaceFit(Place Place, bool Here, IReadOnlyList<FitOf> Things)
{
    const int Days = 14;
    const string LightName = "Light";

    /// <summary>The plant rests, and does not look at the light.</summary>
    public bool Sleeps { get; init; }

    /// <summary>The smaller, the better: what it suffers from weighs most, then what is less than good, then what is not known.</summary>
    public int Weight =>
        Things.Sum(of =>
            of.Suits switch
            {
                Suits.Not => 100,
                Suits.Nearly => 10,
                // For what is in leaf an unknown light is no light.
                Suits.Unknown => of.What == LightName && !Sleeps ? 30 : 3,
                _ => 0,
            }
        );

    /// <summary>All places of a garden against one plant's wants, the best first; between equals where it stands, then the walk.</summary>
    public static IReadOnlyList<PlaceFit> Of(Assessment plant, PlaceWeathers weathers) =>
        [
            .. weathers
                .All.Select(one => Of(plant.Situation, one))
                .OrderBy(fit => fit.Place.Described || fit.Here ? 0 : 1)
                .ThenBy(fit => fit.Weight)
                .ThenBy(fit => fit.Here ? 0 : 1),
        ];

    /// <summary>One place against what a plant wants.</summary>
    public static PlaceFit Of(Situation now, PlaceWeather at) =>
        new(at.Place, at.Place.Code == now.Plant.Place, [.. Read(now, at).OfType<FitOf>()]) { Sleeps = now.Resting };

    static IEnumerable<FitOf?> Read(Situation now, PlaceWeather at)
    {
        yield return Cold(now, at);
        yield return Heat(now, at);
        yield return LightOf(now, at);
        yield return Air(now, at);
        yield return Rain(now, at.Place);
        yield return DarkNights(now, at.Place);
        if (at.Place.Draughts == true && now.Open(LaneKind.Spike))
            yield return new("Draughts", Suits.Nearly, "air moves over it, and buds may drop");
    }

    /// <summary>Whether the nights of a place are known to be warm enough for a plant to be brought in to.</summary>
    public static bool WarmEnough(Situation now, PlaceWeather at) => Cold(now, at).Suits is Suits.Well or Suits.Nearly;

    static FitOf Cold(Situation now, PlaceWeather at)
    {
        var (feed, danger) = (now.Temper.FeedC, now.Temper.DangerC);
        var measured = at.Weather.CoolestNight(now.Today, Days);
        var own = !at.Place.Indoors || at.Weather.AheadIsOwn;
        var ahead = own ? at.Weather.Ahead.Where(day => day.MinC is not null).MinBy(day => day.MinC) : null;
        if (measured is null && ahead is null)
            return new("Cold", Suits.Unknown, Say($"nights not measured; it wants {feed:0.#} °C and more"));
        var coolest = Math.Min(measured?.Value ?? double.MaxValue, ahead?.MinC ?? double.MaxValue);
        var suits =
            coolest < danger ? Suits.Not
            : coolest < feed ? Suits.Nearly
            : Suits.Well;
        var when = coolest == measured?.Value ? "measured" : $"forecast for {Dates.Short(ahead!.On)}";
        return new(
            "Cold",
            suits,
            Say($"coolest night {coolest:0.#} °C, {when}; it wants {feed:0.#} °C and more, below {danger:0.#} °C is danger")
        );
    }

    static FitOf? Heat(Situation now, PlaceWeather at)
    {
        var limits = now.Limits<TemperatureLimits>();
        var last = at.Weather.Days.Where(day => day.On > now.Today.AddDays(-Days)).ToList();
        if (limits.HotNight is { } hotNight)
        {
            var warmest = at.Weather.Nights.Where(night => night.On > now.Today.AddDays(-Days)).MaxBy(night => night.Value);
            return warmest is null
                ? new("Heat", Suits.Unknown, Say($"nights not measured; it wants them at {hotNight:0.#} °C at most"))
                : new(
                    "Heat",
                    warmest.Value > hotNight ? Suits.Not : Suits.Well,
                    Say($"warmest night {warmest.Value:0.#} °C; it bears {hotNight:0.#} °C")
                );
        }
        if (limits.HotDay is not { } hotDay)
            return null;
        if (last.Count == 0)
            return new("Heat", Suits.Unknown, Say($"days not measured; it bears {hotDay:0.#} °C"));
        var (count, most) = (last.Count(day => day.Value > hotDay), last.Max(day => day.Value));
        var suits =
            count > 2 ? Suits.Not
            : count > 0 ? Suits.Nearly
            : Suits.Well;
        return new("Heat", suits, Say($"warmest day {most:0.#} °C of these two weeks; it bears {hotDay:0.#} °C"));
    }

    static FitOf LightOf(Situation now, PlaceWeather at)
    {
        var (light, wants) = (PlaceLight.Of(at.Place, at.Weather, now.Today, now.Around.Garden), now.Sheet.Light);
        var suits =
            light.Class is not { } here ? Suits.Unknown
            : light.Dark ? Suits.Not
            : here == wants ? Suits.Well
            : here > wants ? (here - wants == 1 ? Suits.Nearly : Suits.Not)
            : wants - here == 1 ? Suits.Nearly
            : Suits.Not;
        if (now.Resting && (light.Dark || light.Class < wants))
            suits = Suits.Well; // asleep it does not look
        return new(LightName, suits, $"{light.Words}; it wants {wants.Words()}");
    }

    static FitOf? Air(Situation now, PlaceWeather at)
    {
        if (now.Sheet.Find<HumidityLimits>()?.HumidFrom is not { } least || now.Resting)
            return null;
        return at.Weather.MeanHumidity(now.Today, Days) is { } humidity
            ? new(
                "Air",
                humidity.Value >= least ? Suits.Well : Suits.Nearly,
                Say($"{humidity.Value:0} % humidity; it likes {least:0} % and more")
            )
            : new("Air", Suits.Unknown, Say($"humidity not measured; it likes {least:0} % and more"));
    }

    static FitOf? Rain(Situation now, Place place)
    {
        if (!now.Resting && !now.DryRest.Waking)
            return null;
        return place.Dry ? new("Rain", Suits.Well, "no rain reaches it")
            : place.Cover == "open" ? new("Rain", Suits.Not, "rain reaches it, and it has to stay dry")
            : new("Rain", Suits.Unknown, "nobody said whether rain reaches it");
    }

    static FitOf? DarkNights(Situation now, Place place)
    {
        if (now.Sheet.Find<LongNightsLimits>()?.Dark is not { } dark || place.LampHours is not > 0)
            return null;
        return place.LampsFrom is { } from
            ? new(
                "Dark nights",
                Darkness.UnbrokenHours(now.Around.Days, now.Today, [(from, place.LampHours.Value)])
                >= Math.Min(dark, 24 - (now.Daylight.Hours ?? 0))
                    ? Suits.Well
                    : Suits.Not,
                Say($"lamps from {from:HH:mm} for {place.LampHours:0.#} h; it sets buds in {dark:0.#} h of dark")
            )
            : new("Dark nights", Suits.Unknown, "nobody said when its lamps come on");
    }

    static string Say(FormattableString words) =>
        words.ToString(CultureInfo.InvariantCulture).Replace(" -", " −", StringComparison.Ordinal);
}
