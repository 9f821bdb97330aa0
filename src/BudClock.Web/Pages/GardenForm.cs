using System.Globalization;
using Microsoft.AspNetCore.Mvc.ModelBinding;

namespace BudClock.Web.Pages;

/// <summary>The garden's name and place on earth, as typed.</summary>
public sealed class GardenForm
{
    public const int LongestName = 60;

    public string? Name { get; set; }
    public string? Latitude { get; set; }
    public string? Longitude { get; set; }
    public string? TimeZone { get; set; }
    public bool UsUnits { get; set; }

    /// <summary>Every time zone known here, by IANA name.</summary>
    public static IReadOnlyList<string> TimeZones { get; } =
    [
        .. TimeZoneInfo
            .GetSystemTimeZones()
            .Select(zone => zone.Id)
            .Where(id => id.Contains('/') || id == "UTC")
            .Order(StringComparer.Ordinal),
    ];

    public static GardenForm Of(Garden garden) =>
        new()
        {
            Name = garden.Name,
            Latitude = garden.Latitude?.ToString("0.####", CultureInfo.InvariantCulture),
            Longitude = garden.Longitude?.ToString("0.####", CultureInfo.InvariantCulture),
            TimeZone = garden.TimeZone ?? "UTC",
            UsUnits = garden.UsUnits,
        };

    public Garden? Read(ModelStateDictionary faults)
    {
        var name = ReadName(faults);
        var (latitude, longitude) = ReadPosition(faults);
        return faults.IsValid ? new(name!, latitude, longitude, TimeZone, UsUnits) : null;
    }

    public string? ReadName(ModelStateDictionary faults)
    {
        var name = Name?.Trim() ?? "";
        if (name.Length is > 0 and <= LongestName)
            return name;
        faults.AddModelError("Form.Name", $"The garden needs a name of at most {LongestName} characters.");
        return null;
    }

    public (double? Latitude, double? Longitude) ReadPosition(ModelStateDictionary faults)
    {
        if (TimeZone is null || !TimeZoneInfo.TryFindSystemTimeZoneById(TimeZone, out _))
            faults.AddModelError("Form.TimeZone", "Choose a time zone.");
        return (
            Degrees(Latitude, 90, "Form.Latitude", "north", "south", faults),
            Degrees(Longitude, 180, "Form.Longitude", "east", "west", faults)
        );
    }

    static double? Degrees(string? text, double limit, string field, string plus, string minus, ModelStateDictionary faults)
    {
        if (AmountReader.Read(text, null) is { Unit: null } read && Math.Abs(read.Value) <= limit)
            return read.Value;
        faults.AddModelError(
            field,
            $"Write degrees from −{limit} to {limit}: {plus} is plain, {minus} has a minus, such as {(limit > 90 ? "0.7" : "51.5")}."
        );
        return null;
    }
}
