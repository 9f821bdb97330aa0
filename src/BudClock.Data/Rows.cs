namespace BudClock.Data;

public sealed class GardenRow
{
    public int Id { get; set; }
    public required string Name { get; set; }
    public double? Latitude { get; set; }
    public double? Longitude { get; set; }
    public string? TimeZone { get; set; }
    public bool UsUnits { get; set; }
}

public sealed class PlaceRow : IKeptWhenRemoved
{
    public int Id { get; set; }
    public required string Code { get; set; }
    public required string Name { get; set; }
    public string? Setting { get; set; }
    public string? Window { get; set; }
    public string? Light { get; set; }
    public double? LampHours { get; set; }
    public TimeOnly? LampsFrom { get; set; }
    public double? LampDistanceCm { get; set; }
    public double? LampHeightCm { get; set; }
    public bool? Draughts { get; set; }
    public string? Cover { get; set; }

    /// <summary>Where it comes in the walk.</summary>
    public int Position { get; set; }

    /// <inheritdoc/>
    public bool Removed { get; set; }
}

/// <summary>A forecast of an organ's next turn as it was made.</summary>
public sealed class ForecastKeptRow
{
    public int Id { get; set; }
    public int PlantId { get; set; }
    public required string Of { get; set; }
    public string? Organ { get; set; }
    public DateOnly Made { get; set; }
    public DateOnly From { get; set; }
    public DateOnly Likely { get; set; }
    public DateOnly To { get; set; }
    public required string Source { get; set; }
}

public sealed class VesselRow
{
    public int Id { get; set; }
    public required string Code { get; set; }
    public required string Name { get; set; }
    public required string Kind { get; set; }
    public string? Place { get; set; }
}

/// <summary>A programme of the grower's own, as its text.</summary>
public sealed class ProgrammeRow
{
    public int Id { get; set; }
    public required string Name { get; set; }
    public required string Yaml { get; set; }
}

/// <summary>A grower's change to a culture sheet; the sheet itself ships with the program.</summary>
public sealed class SheetChangeRow
{
    public int Id { get; set; }
    public required string Sheet { get; set; }
    public string? Plant { get; set; }
    public required string Name { get; set; }
    public double? Value { get; set; }
    public string? School { get; set; }
}

public sealed class OrganRow
{
    public int Id { get; set; }
    public int PlantId { get; set; }
    public required string Key { get; set; }
    public required string Kind { get; set; }
    public string? Label { get; set; }
    public string? Parent { get; set; }
}

/// <summary>Something that others hang on: taken away, it is kept out of sight, so that it can come back whole.</summary>
public interface IKeptWhenRemoved
{
    /// <summary>Taken away, and in no list any more.</summary>
    bool Removed { get; set; }
}

/// <summary>What was written in one go: one transaction, undone as a whole.</summary>
public sealed class ActRow
{
    /// <summary>Counts up with each act, whatever the clock says.</summary>
    public long Number { get; set; }

    /// <summary>Made by whoever writes; an act sent twice is written once.</summary>
    public Guid Id { get; set; }

    /// <summary>Who wrote it; there is one grower until there are accounts.</summary>
    public required string Author { get; set; }

    /// <summary>UTC ticks.</summary>
    public long At { get; set; }

    /// <summary>What it was, for the grower: "Watered 300 mL on LYC-01".</summary>
    public required string Words { get; set; }

    /// <summary>Keys of the plants it wrote entries for.</summary>
    public List<int> Plants { get; set; } = [];

    /// <summary>It brought readings of the weather.</summary>
    public bool Readings { get; set; }

    /// <summary>The spans that its readings are of; empty where it is not known which.</summary>
    [System.ComponentModel.DataAnnotations.Schema.NotMapped]
    public List<Measured> Measured { get; } = [];

    /// <summary>The act that this one took back; null for any other.</summary>
    public long? Undoes { get; set; }

    /// <summary>The act that took this one back; null while it stands.</summary>
    public long? UndoneBy { get; set; }
}

/// <summary>
/// A row that an act added, changed or took away, with what it was and became. Entries and readings name their act instead.
/// </summary>
public sealed class ActChangeRow
{
    public long Id { get; set; }
    public long Act { get; set; }

    /// <summary>The row's type.</summary>
    public required string Row { get; set; }

    /// <summary>Its key, as a JSON list.</summary>
    public required string Key { get; set; }

    /// <summary>What changed as it was, a JSON object; null where the row is new.</summary>
    public string? Before { get; set; }

    /// <summary>What changed as it became; null where the row was taken away.</summary>
    public string? After { get; set; }
}

/// <summary>A fact of the journal. Only its being struck ever changes.</summary>
public sealed class EntryRow
{
    public Guid Id { get; set; }
    public int PlantId { get; set; }
    public DateOnly On { get; set; }
    public required string Kind { get; set; }
    public string? Organ { get; set; }
    public double? Value { get; set; }
    public string? Unit { get; set; }
    public string? Text { get; set; }

    /// <summary>What its words say, as files write it, joined by semicolons; null is read from the words.</summary>
    public string? Said { get; set; }
    public string? File { get; set; }
    public string? Mix { get; set; }

    /// <summary>UTC ticks, which SQLite can order.</summary>
    public long Logged { get; set; }
    public Guid Act { get; set; }
    public bool Struck { get; set; }

    /// <summary>The act that wrote it into this garden, which for a file that was taken in is another than the entry's own.</summary>
    public Guid? By { get; set; }

    /// <summary>The act that struck it; null where it stands, or was struck before acts were kept.</summary>
    public Guid? StruckBy { get; set; }

    /// <summary>What it changed about its plant, as JSON; null for nothing.</summary>
    public string? Sets { get; set; }

    /// <summary>The entry it corrects.</summary>
    public Guid? Amends { get; set; }
}

public sealed class ReadingRow
{
    public long Id { get; set; }
    public int PlaceId { get; set; }
    public PlaceRow? Place { get; set; }

    /// <summary>UTC ticks.</summary>
    public long At { get; set; }
    public double? TemperatureC { get; set; }
    public double? HumidityPct { get; set; }
    public double? Lux { get; set; }
    public double? Ppfd { get; set; }

    /// <summary>The code of the device that sent it; empty for one by hand.</summary>
    public string Device { get; set; } = "";

    /// <summary>Why it is not believed.</summary>
    public string? Doubt { get; set; }

    /// <summary>The hours it is the mean of, once it was thinned.</summary>
    public double? Hours { get; set; }
    public double? MinC { get; set; }
    public double? MaxC { get; set; }

    /// <summary>The act that brought it; null for a device's own.</summary>
    public Guid? Act { get; set; }

    /// <summary>The act that brought it was taken back.</summary>
    public bool Struck { get; set; }
}

public sealed class ForecastRow
{
    public long Id { get; set; }

    /// <summary>Null for the weather outside.</summary>
    public int? PlaceId { get; set; }
    public PlaceRow? Place { get; set; }
    public DateOnly On { get; set; }
    public double? MinC { get; set; }
    public double? MaxC { get; set; }
    public double? SunHours { get; set; }
    public double? HumidityPct { get; set; }

    /// <summary>The day it was said.</summary>
    public DateOnly? Made { get; set; }
}

/// <summary>A device that sends readings by itself.</summary>
public sealed class DeviceRow : IKeptWhenRemoved
{
    public int Id { get; set; }
    public required string Code { get; set; }
    public required string Name { get; set; }
    public required string Place { get; set; }
    public required string Way { get; set; }
    public int DueMinutes { get; set; }
    public bool Fahrenheit { get; set; }
    public string? Topic { get; set; }

    /// <summary>Measure to path, as a JSON object.</summary>
    public Dictionary<string, string> Paths { get; set; } = [];

    /// <summary>The hash of its token; null for a device that needs none.</summary>
    public string? TokenHash { get; set; }

    /// <summary>How its file is read, as JSON; null until one was.</summary>
    public string? Layout { get; set; }

    /// <inheritdoc/>
    public bool Removed { get; set; }
}

/// <summary>A setting of what lies outside, such as the address of the forecast, as JSON.</summary>
public sealed class SettingRow
{
    public required string Name { get; set; }
    public required string Json { get; set; }
}
