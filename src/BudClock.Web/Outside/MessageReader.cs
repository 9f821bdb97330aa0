using System.Globalization;
using Newtonsoft.Json;
using Newtonsoft.Json.Linq;

namespace BudClock.Web.Outside;

/// <summary>What a device's message says, or what is wrong with it.</summary>
public sealed record MessageRead(ClimateReading? Reading, string? Fault);

/// <summary>Reads a device's message by the paths that were set for it (JSONPath, RFC 9535 as far as the library goes).</summary>
public static class MessageReader
{
    /// <summary>A message without a time of its own was measured when it came.</summary>
    /// <param name="message">A JSON object, or a bare number, which is the temperature.</param>
    public static MessageRead Read(Device device, string message, DateTimeOffset now)
    {
        try
        {
            using var text = new JsonTextReader(new StringReader(message)) { DateParseHandling = DateParseHandling.None, MaxDepth = 16 };
            return Read(device, JToken.ReadFrom(text), now);
        }
        catch (JsonException)
        {
            return new(null, $"\"{Short(message)}\" is no JSON");
        }
    }

    static MessageRead Read(Device device, JToken root, DateTimeOffset now)
    {
        if (root is JValue bare && device.Paths.Count == 0)
            root = new JObject { ["temperature"] = bare };
        var (at, wrongTime) = Time(root, device, now);
        if (wrongTime is not null)
            return new(null, wrongTime);
        var faults = new List<string>();
        double? Measure(string name) => Number(root, device, name, faults);
        var temperature = Measure("temperature");
        var reading = new ClimateReading(
            device.Place,
            at,
            device.Fahrenheit
                ? Math.Round((temperature - 32 ?? double.NaN) / 1.8, 3) is var c && double.IsNaN(c)
                    ? null
                    : c
                : temperature,
            Measure("humidity")
        )
        {
            Lux = Measure("lux"),
            Ppfd = Measure("ppfd"),
            Device = device.Code,
        };
        if (faults.Count > 0)
            return new(null, string.Join("; ", faults));
        return reading is { TemperatureC: null, HumidityPct: null, Lux: null, Ppfd: null }
            ? new(null, $"nothing was found at {Paths(device)} in \"{Short(root.ToString(Formatting.None))}\"")
            : new(reading, null);
    }

    static string Paths(Device device) =>
        string.Join(", ", Device.Measures.Where(m => m != "at").Select(m => Path(device, m)).OfType<string>());

    /// <summary>Where a measure stands: as it was set; without any setting, under its usual names.</summary>
    static string? Path(Device device, string measure) =>
        device.Paths.TryGetValue(measure, out var set) ? set
        : device.Paths.Count > 0 ? null
        : measure;

    static readonly Dictionary<string, string> Ours = new() { ["temperature"] = "temperatureC", ["humidity"] = "humidityPct" };

    static JToken? Find(JToken root, Device device, string measure)
    {
        if (Path(device, measure) is not { } path)
            return null;
        try
        {
            return root.SelectToken(path)
                ?? (device.Paths.Count == 0 && Ours.TryGetValue(measure, out var own) ? root.SelectToken(own) : null);
        }
        catch (JsonException)
        {
            return null;
        }
    }

    static double? Number(JToken root, Device device, string measure, List<string> faults)
    {
        if (Find(root, device, measure) is not { } found || found.Type is JTokenType.Null)
            return null;
        var written = found is JValue { Value: IFormattable value }
            ? value.ToString(null, CultureInfo.InvariantCulture)
            : found.ToString(Formatting.None).Trim('"');
        if (double.TryParse(written, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) && double.IsFinite(number))
            return number;
        faults.Add($"{measure} is \"{Short(written)}\", which is no number");
        return null;
    }

    /// <summary>ISO 8601, or seconds or milliseconds since 1970.</summary>
    static (DateTimeOffset At, string? Fault) Time(JToken root, Device device, DateTimeOffset now)
    {
        if (Find(root, device, "at") is not { } found || found.Type is JTokenType.Null)
            return (now, null);
        var written = found is JValue { Value: IFormattable value }
            ? value.ToString(null, CultureInfo.InvariantCulture)
            : found.ToString(Formatting.None).Trim('"');
        if (double.TryParse(written, NumberStyles.Float, CultureInfo.InvariantCulture, out var since) && Math.Abs(since) < 1e14)
            return (DateTimeOffset.FromUnixTimeMilliseconds((long)(Math.Abs(since) > 1e11 ? since : since * 1000)), null);
        return DateTimeOffset.TryParse(written, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var at) && at.Year > 1
            ? (at.ToUniversalTime(), null)
            : (now, $"its time is \"{Short(written)}\"");
    }

    static string Short(string text) => text.Length > 60 ? text[..60] + "…" : text;
}
