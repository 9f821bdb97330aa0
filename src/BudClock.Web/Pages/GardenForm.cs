using Microsoft.AspNetCore.Mvc.ModelBinding;

namespace BudClock.Web.Pages;

/// <summary>The garden's name and place on earth, as typed.</summary>
public sealed class GardenForm
{
    public const int LongestName = 60;

    public string? Name { get; set; }

    /// <summary>The position in any common form: "40.7 N 74 W".</summary>
    public string? Where { get; set; }
    public string? TimeZone { get; set; }
    public bool UsUnits { get; set; }

    /// <summary>The browser speaks American English, so US units are offered.</summary>
    public bool OfferUs { get; set; }

    /// <summary>The zone is right although the sun there says otherwise.</summary>
    public bool ZoneIsRight { get; set; }

    /// <summary>The zone was asked about, so that the answer can be given.</summary>
    public bool ZoneAsked { get; private set; }

    /// <summary>The position as read; null for none.</summary>
    public Coordinates? Position => Coordinates.Read(Where) ?? (Meant is [var town] ? town.Position : null);

    /// <summary>The towns that the position names, where it is a name; one where it is clear which.</summary>
    IReadOnlyList<Town> Meant => Coordinates.Read(Where) is null ? Towns.Named(Where) : [];

    /// <summary>Towns of one name to choose from; empty where it is clear.</summary>
    public IReadOnlyList<Town> Asked => Meant is { Count: > 1 } several ? several : [];

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
            Where = garden is { Latitude: { } north, Longitude: { } east } ? new Coordinates(north, east).ToString() : null,
            ZoneIsRight = true,
            TimeZone = garden.TimeZone ?? "UTC",
            UsUnits = garden.UsUnits,
        };

    /// <param name="known">The garden as it is: a position that was not changed stays to the last digit.</param>
    public Garden? Read(ModelStateDictionary faults, Garden? known = null)
    {
        var name = ReadName(faults);
        var position = ReadPosition(faults);
        if (known is { Latitude: { } north, Longitude: { } east } && Where == Of(known).Where)
            position = new(north, east);
        return faults.IsValid ? new(name!, position!.Latitude, position.Longitude, TimeZone, UsUnits) : null;
    }

    string? ReadName(ModelStateDictionary faults)
    {
        var name = Name?.Trim() ?? "";
        if (name.Length is > 0 and <= LongestName)
            return name;
        faults.AddModelError("Form.Name", $"The garden needs a name of at most {LongestName} characters.");
        return null;
    }

    Coordinates? ReadPosition(ModelStateDictionary faults)
    {
        // A town knows its own clock.
        if (Meant is [var town] && !ZoneIsRight)
            TimeZone = town.TimeZone;
        if (Asked.Count > 0)
            faults.AddModelError("Form.Where", $"Several towns are called {Where!.Trim()}: choose one.");
        else if (Position is not { } position)
            faults.AddModelError(
                "Form.Where",
                $"\"{Where}\" is no position and no larger town; write it like 51.5 N 0.7 E, or tap the map."
            );
        else if (TimeZone is not null && TimeZoneInfo.TryFindSystemTimeZoneById(TimeZone, out var zone))
            CheckZone(position, zone, faults);
        if (TimeZone is null || !TimeZoneInfo.TryFindSystemTimeZoneById(TimeZone, out _))
            faults.AddModelError("Form.TimeZone", "Choose a time zone.");
        return Position;
    }

    /// <summary>A zone that the sun contradicts is asked about once.</summary>
    void CheckZone(Coordinates position, TimeZoneInfo zone, ModelStateDictionary faults)
    {
        if (ZoneIsRight || position.ZoneFault(zone) is not { } fault)
            return;
        ZoneAsked = true;
        faults.AddModelError("Form.TimeZone", $"{fault} Choose another, or say that it is right.");
    }
}
