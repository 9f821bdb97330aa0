using BudClock.Core.Mixing;
using BudClock.Core.Potting;

namespace BudClock.Core.Gardens;

/// <summary>The garden itself: where on earth it stands.</summary>
/// <param name="Latitude">Degrees, north positive, −90 to 90; null when unknown.</param>
/// <param name="Longitude">Degrees, east positive, −180 to 180; null when unknown.</param>
/// <param name="TimeZone">IANA name; null reads as UTC.</param>
/// <param name="UsUnits">Bare numbers are read as inches, fluid ounces and °F.</param>
public sealed record Garden(string Name, double? Latitude = null, double? Longitude = null, string? TimeZone = null, bool UsUnits = false)
{
    /// <summary>What a file without a garden of its own stands for.</summary>
    public static readonly Garden Unnamed = new("Garden");

    /// <summary>It lies south of the equator; false where its latitude is not known.</summary>
    public bool Southern => Latitude < 0;

    /// <summary>The day it is in the garden at an instant.</summary>
    public DateOnly DayAt(DateTimeOffset instant) => DateOnly.FromDateTime(TimeZoneInfo.ConvertTime(instant, Zone).DateTime);

    /// <summary>An instant as the garden's clock shows it: "24 May, 18:05".</summary>
    public string When(DateTimeOffset instant) =>
        TimeZoneInfo.ConvertTime(instant, Zone).ToString("d MMM, HH:mm", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>Its time zone; UTC where none is given.</summary>
    public TimeZoneInfo Zone =>
        TimeZone is not null && TimeZoneInfo.TryFindSystemTimeZoneById(TimeZone, out var zone) ? zone : TimeZoneInfo.Utc;
}

/// <summary>Everything a garden file holds.</summary>
public sealed record GardenRecord(
    Garden Garden,
    IReadOnlyList<Place> Places,
    IReadOnlyList<Plant> Plants,
    IReadOnlyList<ClimateReading> Readings,
    IReadOnlyList<ForecastDay> Forecast
)
{
    /// <summary>Where nothing is yet: what a first garden is compared with.</summary>
    public static readonly GardenRecord Nothing = new(Garden.Unnamed, [], [], [], []);

    /// <summary>Trays, reservoirs and cover pots that plants share.</summary>
    public IReadOnlyList<Vessel> Vessels { get; init; } = [];

    /// <summary>The mixing shelf.</summary>
    public Shelf Shelf { get; init; } = Shelf.Empty;

    /// <summary>Empty pots, mixes of the grower's own, young batches.</summary>
    public PottingShed Shed { get; init; } = PottingShed.Empty;

    /// <summary>What of the stored garden could not be read, as sentences: it is kept where it is, and stops nobody.</summary>
    public IReadOnlyList<string> Unread { get; init; } = [];

    /// <summary>Thermometers and other devices that send readings by themselves.</summary>
    public IReadOnlyList<Device> Devices { get; init; } = [];

    /// <summary>Programmes of the grower's own.</summary>
    public IReadOnlyList<OwnProgramme> Programmes { get; init; } = [];

    /// <summary>What the grower changed on culture sheets, for a sheet or for one plant.</summary>
    public IReadOnlyList<SheetChange> SheetChanges { get; init; } = [];
}

/// <summary>Something with water in it that plants stand in (rules W6 to W11).</summary>
/// <param name="Kind">One of <see cref="Kinds"/>.</param>
public sealed record Vessel(string Code, string Name, string Kind, string? Place = null)
{
    /// <summary>A tray that pots stand in.</summary>
    public const string Tray = "tray";

    /// <summary>A reservoir below pots.</summary>
    public const string Reservoir = "reservoir";

    /// <summary>A pot without a hole, around others.</summary>
    public const string CoverPot = "cover-pot";

    /// <summary>What a vessel can be.</summary>
    public static readonly IReadOnlyList<string> Kinds = [Tray, Reservoir, CoverPot];
}
