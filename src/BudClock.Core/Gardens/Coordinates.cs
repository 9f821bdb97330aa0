using System.Globalization;
using System.Text.RegularExpressions;

namespace BudClock.Core.Gardens;

/// <summary>A position on earth as people write it.</summary>
/// <param name="Latitude">Degrees, north positive, −90 to 90.</param>
/// <param name="Longitude">Degrees, east positive, −180 to 180.</param>
public sealed partial record Coordinates(double Latitude, double Longitude)
{
    /// <summary>A degree of longitude is four minutes of the sun's time.</summary>
    const double DegreesAnHour = 15;

    /// <summary>Time zones follow borders: so far, in hours, they lie from the sun at most (China is 3.3 in its west).</summary>
    const double MostHoursOff = 3.5;

    /// <summary>
    /// Reads "40.7 N 74 W", "51°30'N, 0°42'E", "N 51 30 0 E 0 42 0", "-33.9, 18.4", "33,9 south 18,4 east". Null where it is no position.
    /// </summary>
    public static Coordinates? Read(string? written)
    {
        if (string.IsNullOrWhiteSpace(written) || written.Length > 80)
            return null;
        var text = Words().Replace(written.ToUpperInvariant().Replace('−', '-'), match => $" {match.Value[0]} ");
        text = DecimalComma(Unneeded().Replace(text, " "));
        var tokens = text.Split([' ', ',', ';', '/'], StringSplitOptions.RemoveEmptyEntries);
        if (Angles(tokens) is not [var first, var second])
            return null;
        var (latitude, longitude) = first.Side is 'E' or 'W' ? (second, first) : (first, second);
        if (latitude.Side is 'E' or 'W' || longitude.Side is 'N' or 'S')
            return null;
        return latitude.Degrees is { } y && longitude.Degrees is { } x && Math.Abs(y) <= 90 && Math.Abs(x) <= 180 ? new(y, x) : null;
    }

    /// <summary>A comma between digits parts decimals where a point or another comma does not: "33,9 S 18,4 E", but "51.5,0.7".</summary>
    static string DecimalComma(string text) =>
        text.Contains('.') || (text.Count(c => c == ',') == 1 && !text.Any(char.IsAsciiLetter)) ? text : CommaInside().Replace(text, ".");

    /// <summary>The two angles: parted by their sides, before or behind them, else two, four or six numbers.</summary>
    static List<(double? Degrees, char Side)> Angles(string[] tokens)
    {
        var sides = tokens.Count(IsSide);
        if (tokens.Any(token => !IsSide(token) && Number(token) is null) || sides is not (0 or 2))
            return [];
        var numbers = tokens.Where(token => !IsSide(token)).Select(token => Number(token)!.Value).ToList();
        if (sides == 0)
            return numbers.Count is 2 or 4 or 6
                ? [(Angle(numbers[..(numbers.Count / 2)], ' '), ' '), (Angle(numbers[(numbers.Count / 2)..], ' '), ' ')]
                : [];
        var at = Array.FindIndex(tokens, IsSide);
        var next = Array.FindLastIndex(tokens, IsSide);
        var split = at == 0 ? next - 1 : at;
        if (at != 0 && next != tokens.Length - 1 || split > numbers.Count)
            return [];
        return [(Angle(numbers[..split], tokens[at][0]), tokens[at][0]), (Angle(numbers[split..], tokens[next][0]), tokens[next][0])];
    }

    static bool IsSide(string token) => token is "N" or "S" or "E" or "W";

    static double? Number(string token) =>
        double.TryParse(token, NumberStyles.AllowLeadingSign | NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var value)
            ? value
            : null;

    /// <summary>Degrees, minutes and seconds; null where they are none, or where a minus and a side say it twice.</summary>
    static double? Angle(List<double> parts, char side)
    {
        if (parts.Count is 0 or > 3 || parts.Skip(1).Any(part => part is < 0 or >= 60) || (parts[0] < 0 && side != ' '))
            return null;
        var size = Math.Abs(parts[0]) + (parts.ElementAtOrDefault(1) / 60) + (parts.ElementAtOrDefault(2) / 3600);
        return Math.Round(side is 'S' or 'W' || parts[0] < 0 ? -size : size, 6);
    }

    /// <summary>"51.5° N, 0.7° E".</summary>
    public override string ToString() =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{Math.Abs(Latitude):0.####}° {(Latitude < 0 ? "S" : "N")}, {Math.Abs(Longitude):0.####}° {(Longitude < 0 ? "W" : "E")}"
        );

    /// <summary>Why a time zone can hardly be that of this place, as a sentence; null where it can.</summary>
    public string? ZoneFault(TimeZoneInfo zone)
    {
        var sun = Longitude / DegreesAnHour;
        var off = zone.BaseUtcOffset.TotalHours - sun;
        // Beyond the date line a day's difference is none.
        off -= 24 * Math.Round(off / 24);
        if (Math.Abs(off) <= MostHoursOff)
            return null;
        var side = sun < 0 ? "behind" : "before";
        return $"There the sun is about {Math.Abs(Math.Round(sun)):0} hours {side} Greenwich, and that zone is not.";
    }

    [GeneratedRegex("(?<![A-Z])(NORTH|SOUTH|EAST|WEST|[NSEW])(?![A-Z])\\.?")]
    private static partial Regex Words();

    [GeneratedRegex("[°º'′’\"″”:=]|\\b(DEG(REES?)?|LAT(ITUDE)?|LON(G(ITUDE)?)?)\\b\\.?")]
    private static partial Regex Unneeded();

    [GeneratedRegex(@"(?<=\d),(?=\d)")]
    private static partial Regex CommaInside();
}
