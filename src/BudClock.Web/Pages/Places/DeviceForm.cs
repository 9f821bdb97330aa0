using System.Globalization;

namespace BudClock.Web.Pages.Places;

/// <summary>A device as it is typed.</summary>
public sealed class DeviceForm
{
    const int LongestName = 40;

    public string? Code { get; set; }
    public string? Name { get; set; }
    public string? Place { get; set; }
    public string? Way { get; set; } = Device.Http;
    public string? Due { get; set; } = "60";
    public bool Fahrenheit { get; set; }
    public string? Topic { get; set; }
    public string? Temperature { get; set; }
    public string? Humidity { get; set; }
    public string? Lux { get; set; }
    public string? Ppfd { get; set; }
    public string? At { get; set; }

    /// <summary>It says where in its message something stands.</summary>
    public bool HasPaths => Typed.Any(path => !string.IsNullOrWhiteSpace(path.Path));

    IEnumerable<(string Measure, string? Path)> Typed =>
        [("temperature", Temperature), ("humidity", Humidity), ("lux", Lux), ("ppfd", Ppfd), ("at", At)];

    /// <summary>The form of a device.</summary>
    public static DeviceForm Of(Device device) =>
        new()
        {
            Code = device.Code,
            Name = device.Name,
            Place = device.Place,
            Way = device.Way,
            Due = device.DueMinutes.ToString(CultureInfo.InvariantCulture),
            Fahrenheit = device.Fahrenheit,
            Topic = device.Topic,
            Temperature = device.Paths.GetValueOrDefault("temperature"),
            Humidity = device.Paths.GetValueOrDefault("humidity"),
            Lux = device.Paths.GetValueOrDefault("lux"),
            Ppfd = device.Paths.GetValueOrDefault("ppfd"),
            At = device.Paths.GetValueOrDefault("at"),
        };

    /// <summary>The device, or the first thing that is wrong.</summary>
    public (Device? Device, string? Fault) Read(GardenDay today)
    {
        var name = Name?.Trim() ?? "";
        if (name.Length is 0 or > LongestName)
            return (null, $"A device needs a name of at most {LongestName} characters.");
        if (today.PlaceAt(Place) is not { } place)
            return (null, "Choose the place it hangs at.");
        if (Way is null || !Device.Ways.Contains(Way))
            return (null, "Choose how it sends.");
        if (!int.TryParse(Due, CultureInfo.InvariantCulture, out var due) || due is < 1 or > 10_080)
            return (null, $"\"{Due}\" is no number of minutes from 1 to 10080, which is a week.");
        if (Way == Device.Mqtt && string.IsNullOrWhiteSpace(Topic))
            return (null, "A device that speaks to the broker needs its topic.");
        if (!string.IsNullOrWhiteSpace(Topic) && Device.TopicFault(Topic.Trim()) is { } wrong)
            return (null, wrong);
        if (Typed.FirstOrDefault(path => path.Path?.Length > Device.LongestPath || PathFault(path.Path)) is { Measure: { } measure })
            return (null, $"Where {measure} stands is not written as a path, such as sensors[0].{measure}.");
        return (
            new(Code ?? Codes.For(name, "device", today.Devices.Select(d => d.Code)), name, place.Code, Way)
            {
                DueMinutes = due,
                Fahrenheit = Fahrenheit,
                Topic = string.IsNullOrWhiteSpace(Topic) ? null : Topic.Trim(),
                Paths = Typed
                    .Where(path => !string.IsNullOrWhiteSpace(path.Path))
                    .ToDictionary(path => path.Measure, path => path.Path!.Trim()),
            },
            null
        );
    }

    static bool PathFault(string? path)
    {
        if (string.IsNullOrWhiteSpace(path))
            return false;
        if (Device.PathFault(path.Trim()) is not null)
            return true;
        try
        {
            new Newtonsoft.Json.Linq.JObject().SelectToken(path.Trim());
            return false;
        }
        catch (Newtonsoft.Json.JsonException)
        {
            return true;
        }
    }
}

/// <summary>The broker as it is typed.</summary>
public sealed class BrokerForm
{
    public string? Host { get; set; }
    public string? Port { get; set; } = "1883";
    public string? User { get; set; }
    public string? Password { get; set; }
}
