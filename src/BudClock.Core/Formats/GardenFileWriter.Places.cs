using System.Globalization;
using System.Text.Json;

namespace BudClock.Core.Formats;

/// <summary>Places, what was measured at them, and what is forecast.</summary>
public static partial class GardenFileWriter
{
    static void Place(Utf8JsonWriter json, Place place)
    {
        json.WriteString("code", place.Code);
        json.WriteString("name", place.Name);
        json.Optional("setting", place.Setting);
        json.Optional("window", place.Window);
        json.Optional("light", place.Light);
        json.Optional("lampHours", place.LampHours);
        json.Optional("lampsFrom", place.LampsFrom?.ToString("HH:mm", CultureInfo.InvariantCulture));
        json.Optional("lampDistanceCm", place.LampDistanceCm);
        json.Optional("lampHeightCm", place.LampHeightCm);
        if (place.Draughts is { } draughts)
            json.WriteBoolean("draughts", draughts);
        json.Optional("cover", place.Cover);
    }

    /// <summary>Readings alone, as a garden file has them, for programs that want the weather only.</summary>
    public static string Readings(IEnumerable<ClimateReading> readings) =>
        JsonText.Write(json =>
        {
            json.WriteStartObject();
            json.Each("readings", readings, Reading);
            json.WriteEndObject();
        });

    static void Reading(Utf8JsonWriter json, ClimateReading reading)
    {
        json.WriteString("place", reading.Place);
        json.WriteString("at", reading.At.UtcDateTime);
        json.Optional("temperatureC", reading.TemperatureC);
        json.Optional("humidityPct", reading.HumidityPct);
        json.Optional("lux", reading.Lux);
        json.Optional("ppfd", reading.Ppfd);
        json.Optional("device", reading.Device);
        json.Optional("doubt", reading.Doubt);
        json.Optional("hours", reading.Hours);
        json.Optional("minC", reading.MinC);
        json.Optional("maxC", reading.MaxC);
    }

    static void Forecast(Utf8JsonWriter json, ForecastDay day)
    {
        json.Optional("place", day.Place);
        json.Optional("on", day.On);
        json.Optional("minC", day.MinC);
        json.Optional("maxC", day.MaxC);
        json.Optional("sunHours", day.SunHours);
        json.Optional("humidityPct", day.HumidityPct);
        json.Optional("made", day.Made);
    }

    static void Device(Utf8JsonWriter json, Device device)
    {
        json.WriteString("code", device.Code);
        json.WriteString("name", device.Name);
        json.WriteString("place", device.Place);
        json.WriteString("way", device.Way);
        json.WriteNumber("dueMinutes", device.DueMinutes);
        if (device.Fahrenheit)
            json.WriteBoolean("fahrenheit", true);
        json.Optional("topic", device.Topic);
        if (device.Paths.Count == 0)
            return;
        json.WriteStartObject("paths");
        foreach (var (measure, path) in device.Paths.OrderBy(path => path.Key, StringComparer.Ordinal))
            json.WriteString(measure, path);
        json.WriteEndObject();
    }
}
