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

public sealed class PlaceRow
{
    public int Id { get; set; }
    public required string Code { get; set; }
    public required string Name { get; set; }
    public string? Setting { get; set; }
    public double? LampHours { get; set; }

    /// <summary>Where it comes in the walk.</summary>
    public int Position { get; set; }
}

public sealed class PlantRow
{
    public int Id { get; set; }
    public required string Tag { get; set; }
    public string? Name { get; set; }
    public string? Taxon { get; set; }
    public string? Sheet { get; set; }
    public int? PlaceId { get; set; }
    public PlaceRow? Place { get; set; }
    public string? Vessel { get; set; }
    public DateOnly? Acquired { get; set; }
    public double? PotDiameterCm { get; set; }
    public double? PotHeightCm { get; set; }
    public string? PotKind { get; set; }
    public string? Medium { get; set; }
    public bool Doubtful { get; set; }
    public List<string> Synonyms { get; set; } = [];
    public string? Parent { get; set; }
    public string? Origin { get; set; }
    public string? Source { get; set; }
    public DateOnly? QuarantineUntil { get; set; }

    /// <summary>Counts the changes of the plant's details, so that two windows do not overwrite each other unseen.</summary>
    public int Version { get; set; }

    /// <summary>Question to school, as a JSON object.</summary>
    public Dictionary<string, string> Schools { get; set; } = [];
    public List<OrganRow> Organs { get; set; } = [];
    public List<ForecastKeptRow> Forecasts { get; set; } = [];
    public List<EntryRow> Entries { get; set; } = [];
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
    public string? File { get; set; }
    public string? Mix { get; set; }

    /// <summary>UTC ticks, which SQLite can order.</summary>
    public long Logged { get; set; }
    public Guid Act { get; set; }
    public bool Struck { get; set; }
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
}

public sealed class ForecastRow
{
    public long Id { get; set; }
    public int PlaceId { get; set; }
    public PlaceRow? Place { get; set; }
    public DateOnly On { get; set; }
    public double? MinC { get; set; }
    public double? MaxC { get; set; }
}
