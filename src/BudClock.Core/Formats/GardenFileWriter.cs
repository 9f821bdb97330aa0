using System.Text.Json;

namespace BudClock.Core.Formats;

/// <summary>Writes the open garden format. The same garden gives the same bytes.</summary>
public static partial class GardenFileWriter
{
    /// <summary>The garden as a file, each plant as it stands now; reading it gives the same garden.</summary>
    public static string Write(GardenRecord garden) =>
        JsonText.Write(json =>
        {
            json.WriteStartObject();
            json.WriteString("format", GardenFileReader.Format);
            json.WriteNumber("version", GardenFileReader.Version);
            json.WritePropertyName("garden");
            GardenItself(json, garden.Garden);
            json.Each("places", garden.Places, Place);
            json.Each("plants", garden.Plants.Select(plant => plant.On(DateOnly.MaxValue)), Plant);
            json.Each("readings", garden.Readings, Reading);
            json.Each("forecast", garden.Forecast, Forecast);
            if (garden.Devices.Count > 0)
                json.Each("devices", garden.Devices, Device);
            if (garden.Vessels.Count > 0)
                json.Each("vessels", garden.Vessels, Vessel);
            if (!garden.Shelf.IsEmpty)
                ShelfFile.Write(json, garden.Shelf);
            if (!garden.Shed.IsEmpty)
                ShedFile.Write(json, garden.Shed);
            if (garden.SheetChanges.Count > 0)
                json.Each("sheetChanges", garden.SheetChanges, SheetChange);
            if (garden.Programmes.Count > 0)
                json.Each("programmes", garden.Programmes, Programme);
            json.WriteEndObject();
        });

    static void Vessel(Utf8JsonWriter json, Vessel vessel)
    {
        json.WriteString("code", vessel.Code);
        json.WriteString("name", vessel.Name);
        json.WriteString("kind", vessel.Kind);
        json.Optional("place", vessel.Place);
    }

    static void SheetChange(Utf8JsonWriter json, SheetChange change)
    {
        json.WriteString("sheet", change.Sheet);
        json.Optional("plant", change.Plant);
        json.WriteString("name", change.Name);
        json.Optional("value", change.Value);
        json.Optional("school", change.School);
    }

    static void Programme(Utf8JsonWriter json, OwnProgramme own)
    {
        json.WriteString("name", own.Name);
        json.WriteString("yaml", own.Yaml);
    }

    static void GardenItself(Utf8JsonWriter json, Garden garden)
    {
        json.WriteStartObject();
        json.WriteString("name", garden.Name);
        json.Optional("latitude", garden.Latitude);
        json.Optional("longitude", garden.Longitude);
        json.Optional("timeZone", garden.TimeZone);
        json.WriteString("units", garden.UsUnits ? "us" : "metric");
        json.WriteEndObject();
    }

    static void Plant(Utf8JsonWriter json, Plant plant)
    {
        foreach (var field in PlantFields.All)
            field.Write(json, plant);
        json.Each("organs", plant.Organs, Organ);
        if (plant.Forecasts.Count > 0)
            json.Each("forecasts", plant.Forecasts, Kept);
        json.Each("entries", plant.Entries, Entry);
    }

    static void Organ(Utf8JsonWriter json, Organ organ)
    {
        json.WriteString("id", organ.Id);
        json.WriteString("kind", organ.Kind);
        json.Optional("label", organ.Label);
        json.Optional("parent", organ.Parent);
    }

    static void Kept(Utf8JsonWriter json, Forecast forecast)
    {
        json.WriteString("of", forecast.Of);
        json.Optional("organ", forecast.Organ);
        json.Optional("made", forecast.Made);
        json.Optional("from", forecast.From);
        json.Optional("likely", forecast.Likely);
        json.Optional("to", forecast.To);
        json.WriteString("source", forecast.Source);
    }

    static void Entry(Utf8JsonWriter json, Entry entry)
    {
        json.WriteString("id", entry.Id);
        json.Optional("on", entry.On);
        json.WriteString("kind", entry.Kind.Name);
        json.Optional("organ", entry.Organ);
        json.Optional("value", entry.Amount?.Value);
        json.Optional("unit", entry.Amount?.Unit?.Symbol);
        json.Optional("text", entry.Text);
        json.Texts("said", entry.Said.Words);
        json.Optional("file", entry.File);
        json.Optional("mix", entry.Mix);
        json.WriteString("logged", entry.Logged.UtcDateTime);
        if (entry.Act != Guid.Empty)
            json.WriteString("act", entry.Act);
        if (entry.Sets.Count > 0)
            json.Each("sets", entry.Sets, Set);
        if (entry.Amends is { } amended)
            json.WriteString("amends", amended);
        if (entry.Struck)
            json.WriteBoolean("struck", true);
    }

    static void Set(Utf8JsonWriter json, FactChange set)
    {
        json.WriteString("what", set.What);
        json.Optional("from", set.From);
        json.Optional("to", set.To);
    }
}
