namespace BudClock.Data;

public sealed class PlantRow : IKeptWhenRemoved
{
    public int Id { get; set; }
    public required string Tag { get; set; }

    /// <summary>Tags it had before, oldest first.</summary>
    public List<string> FormerTags { get; set; } = [];

    /// <inheritdoc/>
    public bool Removed { get; set; }
    public string? Name { get; set; }
    public string? Taxon { get; set; }
    public string? Sheet { get; set; }
    public int? PlaceId { get; set; }
    public PlaceRow? Place { get; set; }
    public string? Vessel { get; set; }
    public DateOnly? Acquired { get; set; }

    /// <summary>A rough date as files carry it: "2018-05".</summary>
    public string? AcquiredAbout { get; set; }
    public string? PottedAbout { get; set; }
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

/// <summary>Between a plant and its row; a field that is added is added in this file, and in a migration.</summary>
static class PlantMapping
{
    /// <summary>A plant with its organs and entries, in the order in which they were written down.</summary>
    public static Plant ToPlant(
        this PlantRow row,
        string? place,
        IEnumerable<OrganRow> organs,
        IEnumerable<ForecastKeptRow> forecasts,
        IReadOnlyList<Entry> entries
    ) =>
        new()
        {
            Tag = row.Tag,
            FormerTags = row.FormerTags,
            Name = row.Name,
            Taxon = row.Taxon,
            Sheet = row.Sheet,
            Place = place,
            Vessel = row.Vessel,
            Acquired = row.Acquired,
            AcquiredAbout = RoughDate.Parse(row.AcquiredAbout),
            PottedAbout = RoughDate.Parse(row.PottedAbout),
            Pot =
                row.PotDiameterCm is null && row.PotHeightCm is null && row.PotKind is null
                    ? null
                    : new(row.PotDiameterCm, row.PotHeightCm, row.PotKind),
            Medium = row.Medium,
            Doubtful = row.Doubtful,
            Synonyms = row.Synonyms,
            Parent = row.Parent,
            Origin = row.Origin,
            Source = row.Source,
            QuarantineUntil = row.QuarantineUntil,
            Version = row.Version,
            Schools = new(row.Schools),
            Forecasts =
            [
                .. forecasts.OrderBy(f => f.Id).Select(f => new Forecast(f.Of, f.Organ, f.Made, f.From, f.Likely, f.To, f.Source)),
            ],
            Organs = [.. organs.OrderBy(o => o.Id).Select(o => new Organ(o.Key, o.Kind, o.Label, o.Parent))],
            Entries = entries,
        };

    public static void Take(this PlantRow row, Plant plant, int? placeId)
    {
        (row.Name, row.Taxon, row.Sheet, row.PlaceId, row.Acquired) = (plant.Name, plant.Taxon, plant.Sheet, placeId, plant.Acquired);
        (row.PotDiameterCm, row.PotHeightCm, row.PotKind) = (plant.Pot?.DiameterCm, plant.Pot?.HeightCm, plant.Pot?.Kind);
        (row.Medium, row.Doubtful, row.Schools) = (plant.Medium, plant.Doubtful, new(plant.Schools.All));
        (row.Synonyms, row.Parent, row.Origin, row.Source, row.QuarantineUntil) = (
            [.. plant.Synonyms],
            plant.Parent,
            plant.Origin,
            plant.Source,
            plant.QuarantineUntil
        );
        (row.AcquiredAbout, row.PottedAbout) = (plant.AcquiredAbout?.Code, plant.PottedAbout?.Code);
        row.Vessel = plant.Vessel;
        row.Version++;
    }
}
