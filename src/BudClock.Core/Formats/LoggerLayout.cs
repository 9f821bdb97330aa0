namespace BudClock.Core.Formats;

/// <summary>How a logger's CSV is laid out: which column holds what, and what its times and temperatures mean.</summary>
/// <remarks>Mapped once for a device and kept, so that its next file goes straight in.</remarks>
public sealed record LoggerLayout
{
    /// <summary>The column of the time, or of date and time in one.</summary>
    public string? Time { get; init; }

    /// <summary>The column of the date, where the time stands in a column of its own; null otherwise.</summary>
    public string? Date { get; init; }

    /// <summary>The column of the temperature; null for none.</summary>
    public string? Temperature { get; init; }

    /// <summary>The column of the relative humidity, percent; null for none.</summary>
    public string? Humidity { get; init; }

    /// <summary>The column of the light in lux; null for none.</summary>
    public string? Lux { get; init; }

    /// <summary>The column of the light in µmol/m²/s; null for none.</summary>
    public string? Ppfd { get; init; }

    /// <summary>Its temperatures are °F, unless a cell says °C.</summary>
    public bool Fahrenheit { get; init; }

    /// <summary>5/4/2031 is the 4th of May.</summary>
    public bool MonthFirst { get; init; }

    /// <summary>
    /// What its times are: one of <see cref="Clocks"/>, or an offset such as +01:00. A time with its own offset says it itself.
    /// </summary>
    public string Clock { get; init; } = GardenClock;

    /// <summary>By the garden's clock, with summer time.</summary>
    public const string GardenClock = "garden";

    /// <summary>By the garden's clock, but never put forward for summer time.</summary>
    public const string StandardClock = "standard";

    /// <summary>Universal time.</summary>
    public const string Utc = "utc";

    /// <summary>What a logger's clock can be.</summary>
    public static readonly IReadOnlyList<string> Clocks = [GardenClock, StandardClock, Utc];

    /// <summary>The columns it names that a file has to have.</summary>
    public IEnumerable<string> Columns => new[] { Time, Date, Temperature, Humidity, Lux, Ppfd }.OfType<string>();

    /// <summary>Says where a time and a measure stand.</summary>
    public bool Complete => Time is not null && (Temperature ?? Humidity ?? Lux ?? Ppfd) is not null;

    /// <summary>The layout that a file's headings speak for.</summary>
    public static LoggerLayout Propose(IReadOnlyList<string> headers)
    {
        var taken = new HashSet<string>();
        var date = Find(h => Is(h, "date") && !Is(h, "time"));
        var time = Find(h => Is(h, "time") || Is(h, "stamp") || Is(h, "date"));
        var temperature = Find(h =>
            Is(h, "temp") || h.Contains("°C", StringComparison.Ordinal) || h.Contains("°F", StringComparison.Ordinal)
        );
        return new()
        {
            Date = time is null ? null : date,
            Time = time ?? date,
            Temperature = temperature,
            Humidity = Find(h => Is(h, "humid") || Is(h, "rh") || h.Trim() == "%"),
            Lux = Find(h => Is(h, "lux") || Is(h, "illumin") || Is(h, "(lx)")),
            Ppfd = Find(h => Is(h, "ppfd") || Is(h, "µmol") || Is(h, "umol") || Is(h, "par")),
            Fahrenheit =
                temperature is not null
                && (Is(temperature, "°f") || Is(temperature, "(f)") || Is(temperature, "fahrenheit") || Is(temperature, "degf")),
        };

        string? Find(Func<string, bool> fits) =>
            headers.FirstOrDefault(h => !taken.Contains(h) && fits(h)) is { } found && taken.Add(found) ? found : null;
    }

    static bool Is(string header, string part) => header.Contains(part, StringComparison.OrdinalIgnoreCase);
}
