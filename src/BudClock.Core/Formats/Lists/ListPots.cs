using System.Globalization;
using System.Text.RegularExpressions;

namespace BudClock.Core.Formats.Lists;

/// <summary>A pot as people write it into a list.</summary>
/// <param name="Pot">The pot.</param>
/// <param name="Litres">The volume it was given by, L; null where it was given by its size.</param>
public sealed partial record ListPot(Pot Pot, double? Litres)
{
    const double LitresInGallon = 3.785411784; // US liquid gallon, NIST Handbook 44

    /// <summary>A pot's volume over the cube of its radius: a frustum as high as it is wide, a quarter narrower below.</summary>
    static readonly double Shape = new Pot(2, null, null).VolumeMl!.Value;

    /// <summary>Reads "11 cm plastic", "4 1/2 in clay", "5½\"", "9x9 cm", "basket 15 cm", "3 L", "2 gal", "clay", "9".</summary>
    /// <param name="usUnits">A bare number is inches.</param>
    /// <returns>Null for no pot, or one of less than 1 or more than 200 cm.</returns>
    public static ListPot? Read(string words, bool usUnits)
    {
        var text = Halves(words.Trim().Replace('″', '"').Replace('”', '"'));
        if (text.Length is 0 or > 60)
            return null;
        if (Volume().Match(text) is { Success: true } volume)
        {
            var litres = Number(volume.Groups["n"].Value) * Unit(volume.Groups["unit"].Value.ToLowerInvariant());
            var across = Math.Round(2 * Math.Cbrt(litres * 1000 / Shape), 1);
            return Sound(across, null, Kind(volume.Remove(text))) is { } pot ? new(pot, Math.Round(litres, 2)) : null;
        }
        if (Sides().Match(text) is { Success: true } sides)
        {
            var factor = Factor(sides.Groups["unit"].Value, usUnits);
            var height = sides.Groups["high"] is { Success: true } high ? Number(high.Value) * factor : (double?)null;
            return Of(Sound(Number(sides.Groups["wide"].Value) * factor, height, Kind(sides.Remove(text)) ?? "square"));
        }
        if (Across().Match(text) is { Success: true } size)
            return Of(Sound(Number(size.Groups["n"].Value) * Factor(size.Groups["unit"].Value, usUnits), null, Kind(size.Remove(text))));
        return OnlyWords().IsMatch(text) && Kind(text) is { } kind ? new(new(null, null, kind), null) : null;
    }

    static ListPot? Of(Pot? pot) => pot is null ? null : new(pot, null);

    static Pot? Sound(double across, double? height, string? kind) =>
        across is < 1 or > 200 || height is < 1 or > 200 || kind?.Length > 30
            ? null
            : new(Math.Round(across, 2), height is { } high ? Math.Round(high, 2) : null, kind);

    static double Unit(string unit) =>
        unit[0] switch
        {
            'g' => LitresInGallon,
            'q' => LitresInGallon / 4,
            'm' => 0.001,
            _ => 1,
        };

    static double Factor(string unit, bool usUnits) =>
        unit.Trim().ToLowerInvariant() switch
        {
            "" => usUnits ? 2.54 : 1,
            "cm" => 1,
            "mm" => 0.1,
            _ => 2.54,
        };

    /// <summary>"4 1/2", "4.5", "4,5".</summary>
    static double Number(string digits)
    {
        var parts = digits.Trim().Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return parts.Sum(part =>
            part.Split('/') is [var over, var under]
                ? double.Parse(over, CultureInfo.InvariantCulture) / double.Parse(under, CultureInfo.InvariantCulture)
                : double.Parse(part.Replace(',', '.'), CultureInfo.InvariantCulture)
        );
    }

    static string Halves(string text) =>
        text.Replace("½", " 1/2", StringComparison.Ordinal)
            .Replace("¼", " 1/4", StringComparison.Ordinal)
            .Replace("¾", " 3/4", StringComparison.Ordinal);

    static string? Kind(string words) =>
        Filler().Replace(words, " ").Trim(' ', ',', '.', '-', '(', ')').ToLowerInvariant() is { Length: > 0 } kind
            ? Spaces().Replace(kind, " ")
            : null;

    [GeneratedRegex(
        @"(?<n>\d+(?:[.,]\d+)?(?: \d/[248])?)\s*(?<unit>l|lit(?:er|re)s?|ml|gal(?:lons?)?\.?|qts?|quarts?)\b",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Volume();

    [GeneratedRegex(
        """(?<wide>\d+(?:[.,]\d+)?)\s*[x×*]\s*\d+(?:[.,]\d+)?(?:\s*[x×*]\s*(?<high>\d+(?:[.,]\d+)?))?"""
            + """\s*(?<unit>cm|mm|inch(?:es)?|in\b|")?""",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Sides();

    [GeneratedRegex(
        """(?<![\d.,])(?<n>\d+(?:[.,]\d+)?(?:\s+\d/[248])?|\d/[248])\s*-?(?<unit>cm\b|mm\b|inch(?:es)?\b|in\b|")?(?![\d.,]*\d)""",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Across();

    [GeneratedRegex(@"^[\p{L}][\p{L} ,-]*$")]
    private static partial Regex OnlyWords();

    [GeneratedRegex(@"[Øø⌀]|\b(pot|pots|a|in a|dia|diam|diameter|across|wide|ca)\b\.?", RegexOptions.IgnoreCase)]
    private static partial Regex Filler();

    [GeneratedRegex(@"\s+")]
    private static partial Regex Spaces();
}

file static class Around
{
    /// <summary>A text without what was found in it.</summary>
    public static string Remove(this Match found, string text) => text.Remove(found.Index, found.Length).Insert(found.Index, " ");
}
