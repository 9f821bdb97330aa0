using BudClock.Core.Climate;
using BudClock.SimulatedPlants;
using BudClock.StandIns;

namespace BudClock.Practice;

/// <summary>The weather of a simulated garden at its places: readings, forecasts, and what plants feel of it.</summary>
/// <param name="weather">The weather outside, made for the north; the south has it half a year later.</param>
public sealed class SimulatedSky(SimulatedWeather weather, GardenDays calendar)
{
    const int HoursBetween = 3;
    const int HalfAYear = 182;

    /// <summary>Places that are unlike others of their setting, by their code: a cellar is a store, and a cool one.</summary>
    static readonly Dictionary<string, SimulatedPlace> Apart = new() { ["cellar"] = new(6.5, 8.5, 60, 1, 0.1, 0) };

    /// <summary>So much of the light of a bright place there is, by the setting (assumed).</summary>
    static double LightOf(Place place) =>
        place.Setting switch
        {
            "store" => 0,
            "indoors" => 0.65,
            "cold-frame" or "glasshouse" => 0.9,
            _ => 1,
        };

    DateTimeOffset North(DateTimeOffset at) => calendar.Garden.Southern ? at.AddDays(HalfAYear) : at;

    static SimulatedPlace? Kind(Place place) =>
        Apart.GetValueOrDefault(place.Code) ?? (place.Setting is { } setting ? SimulatedPlace.Kinds.GetValueOrDefault(setting) : null);

    /// <summary>The readings of a day at a place; none at a place of no known setting.</summary>
    public IEnumerable<ClimateReading> Readings(Place place, DateOnly day, string? device = null)
    {
        if (Kind(place) is not { } kind)
            yield break;
        for (var hour = 0; hour < 24; hour += HoursBetween)
        {
            var at = new DateTimeOffset(day, new(hour, 0), TimeSpan.Zero);
            var read = kind.At(weather, North(at));
            yield return new(place.Code, at, read.TemperatureC, read.HumidityPct) { Device = device };
        }
    }

    /// <summary>What a service says on a day of the fourteen days ahead.</summary>
    public IEnumerable<ForecastDay> Forecast(DateOnly made) =>
        Enumerable
            .Range(0, PlaceAhead.Furthest)
            .Select(lead =>
            {
                var (from, to) = calendar.Garden.Southern
                    ? (made.AddDays(HalfAYear), made.AddDays(HalfAYear + lead))
                    : (made, made.AddDays(lead));
                var (min, max, sun, humidity) = weather.Forecast(from, to);
                return new ForecastDay(null, made.AddDays(lead), min, max)
                {
                    Made = made,
                    SunHours = sun,
                    HumidityPct = humidity,
                };
            });

    /// <summary>What a plant at a place felt of a day and the night before it.</summary>
    public Air At(Place place, DateOnly day)
    {
        var read = Readings(place, day.AddDays(-1)).Concat(Readings(place, day)).ToList();
        var frame = calendar.Of(day);
        if (read.Count == 0)
            return new(day, 15, 20, 0.8, frame.LightHours, 24 - frame.LightHours, 0.7);
        var mine = read.Where(one => calendar.At(one.At).Day == day).ToList();
        var night = read.Where(one =>
            calendar.IsNight(one.At) && one.At.UtcTicks < frame.Rise && one.At.UtcTicks > frame.Rise - (14 * TimeSpan.TicksPerHour)
        );
        IReadOnlyList<(TimeOnly, double)> lit = place is { LampHours: > 0 and var hours, LampsFrom: { } on } ? [(on, hours)] : [];
        return new(
            day,
            night.Select(one => one.TemperatureC ?? 15).DefaultIfEmpty(mine.Min(one => one.TemperatureC ?? 15)).Min(),
            mine.Max(one => one.TemperatureC ?? 20),
            mine.Average(one => Vpd.KPa(one.TemperatureC ?? 18, one.HumidityPct ?? 60)),
            frame.LightHours,
            Darkness.UnbrokenHours(calendar, day.AddDays(-1), lit),
            LightOf(place) * Math.Min(1, (frame.LightHours + (place.LampHours ?? 0)) / 12)
        );
    }
}
