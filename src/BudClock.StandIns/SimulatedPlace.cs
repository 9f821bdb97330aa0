namespace BudClock.StandIns;

/// <summary>What a place makes of the weather: a glasshouse, a room, a cold frame, a store.</summary>
/// <param name="Night">Its coldest hour in an average spring night, °C.</param>
/// <param name="Day">Its warmest hour, °C.</param>
/// <param name="Humidity">Its humidity by night, percent; by day it is 12 less.</param>
/// <param name="Season">How much warmer it is in summer than in spring, °C.</param>
/// <param name="Follows">The share of a warm or cold spell outside that comes in, 0 to 1.</param>
/// <param name="Glass">The share of light that comes in; 0 for a place without a light meter.</param>
public sealed record SimulatedPlace(double Night, double Day, double Humidity, double Season, double Follows, double Glass)
{
    /// <summary>The kinds of place there are.</summary>
    public static readonly IReadOnlyDictionary<string, SimulatedPlace> Kinds = new Dictionary<string, SimulatedPlace>
    {
        ["glasshouse"] = new(13.9, 24, 74, 3, 0.35, 0.35),
        ["indoors"] = new(16.2, 21, 55, 0, 0.1, 0),
        ["cold-frame"] = new(8.4, 19, 82, 3, 0.7, 0),
        ["store"] = new(16.6, 17.6, 48, 0, 0, 0),
        ["outdoors"] = new(8, 18, 75, 3, 1, 0),
    };

    /// <summary>Its air, and its light where it has a meter.</summary>
    public SimulatedReading At(SimulatedWeather weather, DateTimeOffset at)
    {
        var swing = SimulatedWeather.Swing(at);
        var season = Season * (Math.Cos((at.DayOfYear - 200) / 365.0 * 2 * Math.PI) - 0.55);
        return new(
            at,
            Math.Round(Night + ((Day - Night) * swing) + season + (Follows * weather.SpellC(at)), 1),
            Math.Round(Humidity - (12 * swing)),
            Glass > 0 ? Math.Round(Glass * weather.Lux(at)) : null
        );
    }
}

/// <summary>One reading of a simulated device.</summary>
public sealed record SimulatedReading(DateTimeOffset At, double TemperatureC, double HumidityPct, double? Lux);
