using System.Globalization;
using System.Text.RegularExpressions;

namespace BudClock.Core.Units;

/// <summary>
/// Metric quantities in a text as a US gardener reads them: "Roots 8.5 of 10 cm" is "Roots 3.3 of 3.9 in", "nights 14 °C" is "nights
/// 57 °F". Doses to a volume ("2 mL per L"), a few mL, grams and ppm stay: scales, syringes and meters show them everywhere.
/// </summary>
/// <remarks>Factors are those of <see cref="Unit"/>. Lengths are rounded to a tenth of an inch, temperatures to a degree.</remarks>
public static partial class UsProse
{
    const double SmallestGallonsMl = 3000;
    const double SmallestCupsMl = 237;

    /// <summary>What a syringe or a spoon gives is in mL everywhere.</summary>
    const double LargestSyringeMl = 30;

    /// <summary>The text with its quantities converted; what holds none is the same object.</summary>
    public static string Of(string text) => Quantities().Replace(text, Converted);

    static string Converted(Match match)
    {
        var numbers = match.Groups["number"].Captures.Select(capture => Number(capture.Value)).ToList();
        var unit = Pick(match.Groups["unit"].Value, numbers.Max(Math.Abs));
        if (unit is not var (from, to, digits))
            return match.Value;
        var text = new System.Text.StringBuilder();
        var at = match.Index;
        foreach (var (index, capture) in match.Groups["number"].Captures.Index())
        {
            text.Append(match.Value, at - match.Index, capture.Index - at);
            text.Append(Say(new Quantity(numbers[index], from).In(to).Value, digits));
            at = capture.Index + capture.Length;
        }
        var space = match.Value[
            (at - match.Index)..match.Value.IndexOf(match.Groups["unit"].Value, at - match.Index, StringComparison.Ordinal)
        ];
        return text.Append(space)
            .Append(to == Unit.Cup && numbers.Max() * from.Factor >= 2 * SmallestCupsMl ? "cups" : to.Symbol)
            .ToString();
    }

    /// <summary>What a unit becomes, and to how many decimals.</summary>
    static (Unit From, Unit To, int Digits)? Pick(string unit, double largest) =>
        unit switch
        {
            "cm" => (Unit.Cm, Unit.In, 1),
            "mm" => (Unit.Mm, Unit.In, 2),
            "°C" => (Unit.C, Unit.F, 0),
            "mL" when largest >= SmallestGallonsMl => (Unit.Ml, Unit.Gal, 1),
            "mL" when largest >= SmallestCupsMl => (Unit.Ml, Unit.Cup, 1),
            "mL" when largest >= LargestSyringeMl => (Unit.Ml, Unit.FlOz, 1),
            "L" when largest * 1000 >= SmallestGallonsMl => (Unit.L, Unit.Gal, 1),
            "L" => (Unit.L, Unit.Qt, 1),
            _ => null,
        };

    static double Number(string written) => double.Parse(written.Replace('−', '-'), CultureInfo.InvariantCulture);

    static string Say(double value, int digits) =>
        Math.Round(value, digits, MidpointRounding.AwayFromZero)
            .ToString(digits == 0 ? "0" : "0." + new string('#', digits), CultureInfo.InvariantCulture)
            .Replace('-', '−');

    // Several numbers can share a unit: "8.5 of 10 cm", "25–30 °C", "0.4 to 2.5 cm". A dose to a volume is left alone.
    [GeneratedRegex(
        """
            (?<![\w.,/#-])(?<!(?:mL|g|tsp|drops?)\s(?:in|per|to)\s)(?<number>[−-]?\d+(?:\.\d+)?)
            (?:\s?(?:–|-|/|×)\s?(?<number>\d+(?:\.\d+)?)|\s(?:to|of|and|or|over)\s(?<number>[−-]?\d+(?:\.\d+)?))?
            \s?(?<unit>cm|mm|mL|L|°C)(?![\w²³])(?!\s?/\s?L|\s(?:per|in|to\s(?:a|the|each))\s(?:\d+\s)?(?:L|litre))
            """,
        RegexOptions.IgnorePatternWhitespace | RegexOptions.CultureInvariant
    )]
    private static partial Regex Quantities();
}
