using System.Text.Json;

namespace BudClock.Data;

/// <summary>Rows to the journal's types and back.</summary>
static class Mapping
{
    public static Garden ToGarden(this GardenRow row) => new(row.Name, row.Latitude, row.Longitude, row.TimeZone, row.UsUnits);

    public static void Take(this GardenRow row, Garden garden) =>
        (row.Name, row.Latitude, row.Longitude, row.TimeZone, row.UsUnits) = (
            garden.Name,
            garden.Latitude,
            garden.Longitude,
            garden.TimeZone,
            garden.UsUnits
        );

    public static Place ToPlace(this PlaceRow row) =>
        new(row.Code, row.Name, row.Setting, row.LampHours)
        {
            Window = row.Window,
            Light = row.Light,
            LampsFrom = row.LampsFrom,
            LampDistanceCm = row.LampDistanceCm,
            LampHeightCm = row.LampHeightCm,
            Draughts = row.Draughts,
            Cover = row.Cover,
        };

    public static void Take(this PlaceRow row, Place place)
    {
        (row.Name, row.Setting, row.Window, row.Light, row.Cover) = (place.Name, place.Setting, place.Window, place.Light, place.Cover);
        (row.LampHours, row.LampsFrom, row.LampDistanceCm, row.LampHeightCm) = (
            place.LampHours,
            place.LampsFrom,
            place.LampDistanceCm,
            place.LampHeightCm
        );
        row.Draughts = place.Draughts;
    }

    public static void Take(this ReadingRow row, ClimateReading reading)
    {
        (row.TemperatureC, row.HumidityPct, row.Lux, row.Ppfd) = (reading.TemperatureC, reading.HumidityPct, reading.Lux, reading.Ppfd);
        (row.Doubt, row.Hours, row.MinC, row.MaxC) = (reading.Doubt, reading.Hours, reading.MinC, reading.MaxC);
    }

    /// <summary>The same values as a reading.</summary>
    public static bool Says(this ReadingRow row, ClimateReading reading) =>
        (row.TemperatureC, row.HumidityPct, row.Lux, row.Ppfd, row.Hours)
        == (reading.TemperatureC, reading.HumidityPct, reading.Lux, reading.Ppfd, reading.Hours);

    public static Device ToDevice(this DeviceRow row) =>
        new(row.Code, row.Name, row.Place, row.Way)
        {
            DueMinutes = row.DueMinutes,
            Fahrenheit = row.Fahrenheit,
            Topic = row.Topic,
            Paths = row.Paths,
        };

    public static void Take(this DeviceRow row, Device device) =>
        (row.Name, row.Place, row.Way, row.DueMinutes, row.Fahrenheit, row.Topic, row.Paths) = (
            device.Name,
            device.Place,
            device.Way,
            device.DueMinutes,
            device.Fahrenheit,
            device.Topic,
            device.Paths.ToDictionary()
        );

    public static ForecastDay ToForecast(this ForecastRow row, string? place) =>
        new(place, row.On, row.MinC, row.MaxC)
        {
            SunHours = row.SunHours,
            HumidityPct = row.HumidityPct,
            Made = row.Made,
        };

    public static void Take(this ForecastRow row, ForecastDay day) =>
        (row.On, row.MinC, row.MaxC, row.SunHours, row.HumidityPct, row.Made) = (
            day.On,
            day.MinC,
            day.MaxC,
            day.SunHours,
            day.HumidityPct,
            day.Made
        );

    public static ForecastKeptRow ToRow(this Forecast forecast) =>
        new()
        {
            Of = forecast.Of,
            Organ = forecast.Organ,
            Made = forecast.Made,
            From = forecast.From,
            Likely = forecast.Likely,
            To = forecast.To,
            Source = forecast.Source,
        };

    public static SheetChange ToChange(this SheetChangeRow row) => new(row.Sheet, row.Plant, row.Name, row.Value, row.School);

    public static SheetChangeRow ToRow(this SheetChange change) =>
        new()
        {
            Sheet = change.Sheet,
            Plant = change.Plant,
            Name = change.Name,
            Value = change.Value,
            School = change.School,
        };

    public static OrganRow ToRow(this Organ organ) =>
        new()
        {
            Key = organ.Id,
            Kind = organ.Kind,
            Label = organ.Label,
            Parent = organ.Parent,
        };

    /// <summary>What an entry changed about its plant, from its column.</summary>
    public static IReadOnlyList<FactChange> Sets(string? json) => json is null ? [] : JsonSerializer.Deserialize<FactChange[]>(json)!;

    public static EntryRow ToRow(this Entry entry) =>
        new()
        {
            Id = entry.Id,
            On = entry.On,
            Kind = entry.Kind.Name,
            Organ = entry.Organ,
            Value = entry.Amount?.Value,
            Unit = entry.Amount?.Unit?.Symbol,
            Text = entry.Text,
            Said = entry.Said.Words is { Count: > 0 } said ? string.Join(';', said) : null,
            File = entry.File,
            Mix = entry.Mix,
            Logged = entry.Logged.UtcTicks,
            Act = entry.Act,
            Struck = entry.Struck,
            Sets = entry.Sets.Count == 0 ? null : JsonSerializer.Serialize(entry.Sets),
            Amends = entry.Amends,
        };
}
