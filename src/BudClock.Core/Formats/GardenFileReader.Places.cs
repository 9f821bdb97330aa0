using System.Globalization;

namespace BudClock.Core.Formats;

/// <summary>Places, what was measured at them, and what is forecast.</summary>
public sealed partial class GardenFileReader
{
    static Place Place(JsonPlace at)
    {
        at.Known(
            "code",
            "name",
            "setting",
            "window",
            "light",
            "lampHours",
            "lampsFrom",
            "lampDistanceCm",
            "lampHeightCm",
            "draughts",
            "cover"
        );
        var code = Required(at, "code");
        return new(code, at.Text("name") ?? code, at.OneOf("setting", Gardens.Place.Settings), at.Number("lampHours", 0, 24))
        {
            Window = at.OneOf("window", Gardens.Place.Windows),
            Light = at.OneOf("light", Gardens.Place.Lights),
            LampsFrom = Time(at, "lampsFrom"),
            LampDistanceCm = at.Number("lampDistanceCm", 1, 300),
            LampHeightCm = at.Number("lampHeightCm", 1, 400),
            Draughts = at.Has("draughts") ? at.Flag("draughts") : null,
            Cover = at.OneOf("cover", Gardens.Place.Covers),
        };
    }

    static TimeOnly? Time(JsonPlace at, string member)
    {
        if (at.Text(member) is not { } written)
            return null;
        if (TimeOnly.TryParseExact(written, "HH:mm", CultureInfo.InvariantCulture, DateTimeStyles.None, out var time))
            return time;
        at.Fault(member, $"expected a time such as 07:30, got \"{written}\"");
        return null;
    }

    /// <summary>What cannot be is a fault of the file, unless the file says that it is not believed.</summary>
    static ClimateReading Reading(JsonPlace at, HashSet<string> places)
    {
        at.Known("place", "at", "temperatureC", "humidityPct", "lux", "ppfd", "device", "doubt", "hours", "minC", "maxC");
        if (!at.Has("at"))
            at.Fault("at", "a reading needs its time");
        var doubt = at.Text("doubt");
        return new(RequiredPlace(at, places), at.Instant("at") ?? default, Measure("temperatureC", -60, 80), Measure("humidityPct", 0, 105))
        {
            Lux = Measure("lux", 0, 200_000),
            Ppfd = Measure("ppfd", 0, 3_500),
            Device = at.Text("device"),
            Doubt = doubt,
            Hours = at.Number("hours", 0, 24),
            MinC = at.Number("minC", -60, 80),
            MaxC = at.Number("maxC", -60, 80),
        };

        double? Measure(string member, double min, double max) => doubt is null ? at.Number(member, min, max) : at.Number(member);
    }

    static ForecastDay Forecast(JsonPlace at, HashSet<string> places)
    {
        at.Known("place", "on", "minC", "maxC", "sunHours", "humidityPct", "made");
        if (!at.Has("on"))
            at.Fault("on", "a forecast needs its day");
        return new(at.KnownPlace(places), at.Date("on") ?? default, at.Number("minC", -60, 80), at.Number("maxC", -60, 80))
        {
            SunHours = at.Number("sunHours", 0, 24),
            HumidityPct = at.Number("humidityPct", 0, 100),
            Made = at.Date("made"),
        };
    }

    List<Device> Devices(JsonPlace root, HashSet<string> places)
    {
        var devices = root.List("devices").Select(at => Device(at, places)).ToList();
        Unique(devices.Select(device => device.Code), "devices", "code");
        return devices;
    }

    static Device Device(JsonPlace at, HashSet<string> places)
    {
        at.Known("code", "name", "place", "way", "dueMinutes", "fahrenheit", "topic", "paths");
        var code = Required(at, "code");
        if (Gardens.Device.TopicFault(at.Text("topic")) is { } topic)
            at.Fault("topic", topic);
        return new(code, at.Text("name") ?? code, RequiredPlace(at, places), at.OneOf("way", Gardens.Device.Ways) ?? Gardens.Device.Http)
        {
            DueMinutes = (int)(at.Number("dueMinutes", 1, 10_080) ?? 60),
            Fahrenheit = at.Flag("fahrenheit"),
            Topic = at.Text("topic"),
            Paths = Paths(at.Object("paths")),
        };
    }

    static IReadOnlyDictionary<string, string> Paths(JsonPlace? at)
    {
        var paths = new Dictionary<string, string>();
        if (at is not { } known)
            return paths;
        known.Known([.. Gardens.Device.Measures]);
        foreach (var measure in known.Members())
            if (known.Text(measure) is { } path && Gardens.Device.PathFault(path) is { } fault)
                known.Fault(measure, fault);
            else if (known.Text(measure) is { } sound)
                paths[measure] = sound;
        return paths;
    }
}
