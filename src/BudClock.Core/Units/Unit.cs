using System.Runtime.CompilerServices;

namespace BudClock.Core.Units;

/// <summary>What a number measures. Two quantities can be compared only within one dimension.</summary>
public enum Dimension
{
    /// <summary>How many: buds, days, marks of a meter. It has no unit.</summary>
    Count,

    /// <summary>In cm.</summary>
    Length,

    /// <summary>In mL.</summary>
    Volume,

    /// <summary>In g.</summary>
    Mass,

    /// <summary>In °C.</summary>
    Temperature,

    /// <summary>In ppm.</summary>
    DissolvedSolids,

    /// <summary>In percent.</summary>
    Share,
}

/// <summary>A unit that growers write. Conversion happens through the base unit of its dimension.</summary>
/// <remarks>
/// Base units: cm, mL, g, °C, ppm. US customary factors are those of NIST Handbook 44, appendix C, and
/// NIST SP 811, appendix B (inch 2.54 cm exactly, US gallon 3.785411784 L exactly).
/// </remarks>
/// <param name="Symbol">How the unit is printed and stored.</param>
/// <param name="Dimension">What it measures.</param>
/// <param name="Factor">Base units in one of this unit.</param>
/// <param name="Offset">Base value of zero of this unit; only temperatures have one.</param>
/// <param name="Aliases">Other ways people write it, in lower case.</param>
public sealed record Unit(string Symbol, Dimension Dimension, double Factor, double Offset, params string[] Aliases)
{
    const double GallonMl = 3785.411784;
    const double ImperialGallonMl = 4546.09;

    /// <summary>Centimetre, the base unit of length.</summary>
    public static readonly Unit Cm = new("cm", Dimension.Length, 1, 0, "centimetre", "centimetres", "centimeter", "centimeters", "cms");

    /// <summary>Millimetre.</summary>
    public static readonly Unit Mm = new("mm", Dimension.Length, 0.1, 0, "millimetre", "millimetres", "millimeter", "millimeters", "mms");

    /// <summary>Metre. A bare "m" behind a number is read as one.</summary>
    public static readonly Unit M = new("m", Dimension.Length, 100, 0, "metre", "metres", "meter", "meters");

    /// <summary>Inch, 2.54 cm exactly.</summary>
    public static readonly Unit In = new("in", Dimension.Length, 2.54, 0, "inch", "inches", "ins", "\"", "″");

    /// <summary>Foot, 12 inches.</summary>
    public static readonly Unit Ft = new("ft", Dimension.Length, 30.48, 0, "foot", "feet");

    /// <summary>Millilitre, the base unit of volume.</summary>
    public static readonly Unit Ml = new(
        "mL",
        Dimension.Volume,
        1,
        0,
        "millilitre",
        "millilitres",
        "milliliter",
        "milliliters",
        "cc",
        "mls",
        "mils",
        "mil"
    );

    /// <summary>Litre.</summary>
    public static readonly Unit L = new("L", Dimension.Volume, 1000, 0, "litre", "litres", "liter", "liters", "lt", "ltr", "ltrs");

    /// <summary>US fluid ounce, 1/128 of a US gallon (29.57 mL).</summary>
    public static readonly Unit FlOz = new("fl oz", Dimension.Volume, GallonMl / 128, 0, "floz", "fluid ounce", "fluid ounces");

    /// <summary>US cup, 1/16 of a US gallon (236.6 mL).</summary>
    public static readonly Unit Cup = new("cup", Dimension.Volume, GallonMl / 16, 0, "cups");

    /// <summary>US teaspoon, 1/768 of a US gallon (4.93 mL).</summary>
    public static readonly Unit Tsp = new("tsp", Dimension.Volume, GallonMl / 768, 0, "teaspoon", "teaspoons", "tsps");

    /// <summary>US tablespoon, three teaspoons (14.79 mL).</summary>
    public static readonly Unit Tbsp = new("tbsp", Dimension.Volume, GallonMl / 256, 0, "tablespoon", "tablespoons", "tbsps");

    /// <summary>US gallon, 3.785411784 L exactly. The imperial one has to be said.</summary>
    public static readonly Unit Gal = new("gal", Dimension.Volume, GallonMl, 0, "gallon", "gallons", "gals");

    /// <summary>US quart, a quarter of a US gallon.</summary>
    public static readonly Unit Qt = new("qt", Dimension.Volume, GallonMl / 4, 0, "quart", "quarts", "qts");

    /// <summary>Imperial gallon, 4.54609 L exactly.</summary>
    public static readonly Unit ImpGal = new("imp gal", Dimension.Volume, ImperialGallonMl, 0, "imperial gallon", "imperial gallons");

    /// <summary>Twenty to a millilitre (metric drop, common practice).</summary>
    public static readonly Unit Drop = new("drop", Dimension.Volume, 0.05, 0, "drops");

    /// <summary>Gram, the base unit of mass.</summary>
    public static readonly Unit G = new("g", Dimension.Mass, 1, 0, "gram", "grams", "gr", "grm", "gms");

    /// <summary>Kilogram.</summary>
    public static readonly Unit Kg = new("kg", Dimension.Mass, 1000, 0, "kilo", "kilos", "kilogram", "kilograms", "kgs");

    /// <summary>Avoirdupois ounce, 28.349523125 g exactly.</summary>
    public static readonly Unit Oz = new("oz", Dimension.Mass, 28.349523125, 0, "ounce", "ounces");

    /// <summary>Avoirdupois pound, 453.59237 g exactly.</summary>
    public static readonly Unit Lb = new("lb", Dimension.Mass, 453.59237, 0, "pound", "pounds", "lbs");

    /// <summary>Degree Celsius, the base unit of temperature.</summary>
    public static readonly Unit C = new("°C", Dimension.Temperature, 1, 0, "c", "celsius", "degrees c", "degrees celsius", "deg c");

    /// <summary>Degree Fahrenheit: 0 °F is −160/9 °C.</summary>
    public static readonly Unit F = new(
        "°F",
        Dimension.Temperature,
        5.0 / 9,
        -160.0 / 9,
        "f",
        "fahrenheit",
        "degrees f",
        "degrees fahrenheit",
        "deg f"
    );

    /// <summary>Milligrams of salts dissolved in a litre, as meters show it.</summary>
    public static readonly Unit Ppm = new("ppm", Dimension.DissolvedSolids, 1, 0, "mg/l");

    /// <summary>A share of a hundred, such as a strength or a humidity.</summary>
    public static readonly Unit Percent = new("%", Dimension.Share, 1, 0, "percent", "per cent", "pct");

    /// <summary>Every unit, the base unit of each dimension first.</summary>
    public static readonly IReadOnlyList<Unit> All =
    [
        Cm,
        Mm,
        M,
        In,
        Ft,
        Ml,
        L,
        FlOz,
        Cup,
        Tsp,
        Tbsp,
        Gal,
        Qt,
        ImpGal,
        Drop,
        G,
        Kg,
        Oz,
        Lb,
        C,
        F,
        Ppm,
        Percent,
    ];

    static readonly Dictionary<string, Unit> ByName = All.SelectMany(
            unit => unit.Aliases.Append(unit.Symbol.ToLowerInvariant()),
            (unit, name) => (unit, name)
        )
        .ToDictionary(pair => pair.name, pair => pair.unit);

    /// <summary>The unit people mean by <paramref name="written"/>, in any case; null when it is none we know.</summary>
    public static Unit? Find(string written) => ByName.GetValueOrDefault(written.Trim().TrimEnd('.').ToLowerInvariant());

    /// <summary>The unit a bare number is read in: metric, or US customary where the garden says so.</summary>
    public static Unit? Default(Dimension dimension, bool us) =>
        dimension switch
        {
            Dimension.Length => us ? In : Cm,
            Dimension.Volume => us ? FlOz : Ml,
            Dimension.Mass => us ? Oz : G,
            Dimension.Temperature => us ? F : C,
            Dimension.DissolvedSolids => Ppm,
            Dimension.Share => Percent,
            _ => null,
        };

    /// <summary>Each unit is there once, in <see cref="All"/>: the same unit is the same object.</summary>
    public bool Equals(Unit? other) => ReferenceEquals(this, other);

    /// <inheritdoc/>
    public override int GetHashCode() => RuntimeHelpers.GetHashCode(this);

    /// <inheritdoc/>
    public override string ToString() => Symbol;
}
