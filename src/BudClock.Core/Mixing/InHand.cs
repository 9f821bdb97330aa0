using System.Globalization;

namespace BudClock.Core.Mixing;

/// <summary>A dose in what the grower has: the scale, spoons, a syringe, drops; rounded to what it can tell apart.</summary>
/// <param name="Words">"0.6 g on the scale", "3/8 tsp, level".</param>
/// <param name="Measurable">The rounded dose, its error, and the batch in which it is exact.</param>
public sealed record InHand(string Words, MeasurableDose Measurable)
{
    /// <summary>More than this nobody counts.</summary>
    const double MostDrops = 40;

    /// <summary>Every way to measure a dose, the most exact first.</summary>
    public static IReadOnlyList<InHand> Of(Dose dose, Tools tools)
    {
        var ways = new List<InHand>();
        if (dose.Grams <= 0)
            return ways;
        var feed = dose.Feed;
        ways.Add(new(Text($"{dose.InSteps(tools.ScaleGrams).Dose.Grams:0.###} g on the scale"), dose.InSteps(tools.ScaleGrams)));
        if (feed.GramsPerMl is { } ml)
        {
            var spoon = dose.InSteps(tools.SpoonTsp * Unit.Tsp.Factor * ml);
            ways.Add(new($"{Spoons(spoon.Dose.Grams / ml / Unit.Tsp.Factor)}, level", spoon));
            if (feed.Form == Feed.Liquid)
            {
                var syringe = dose.InSteps(tools.SyringeMl * ml);
                ways.Add(new(Text($"{syringe.Dose.Grams / ml:0.##} mL in the syringe"), syringe));
                var drops = dose.InSteps(Unit.Drop.Factor * ml);
                if (drops.Dose.Grams / ml / Unit.Drop.Factor is var count && count <= MostDrops)
                    ways.Add(new(Text($"{count:0} {(count < 1.5 ? "drop" : "drops")}"), drops));
            }
        }
        return [.. ways.OrderBy(way => Math.Abs(way.Measurable.Error))];
    }

    /// <summary>"1 3/8 tsp", "2 tbsp 1/4 tsp".</summary>
    public static string Spoons(double teaspoons)
    {
        var eighths = (int)Math.Round(teaspoons * 8);
        if (eighths == 0)
            return "under 1/8 tsp";
        var (spoons, rest) = eighths >= 72 ? (eighths / 24, eighths % 24) : (0, eighths);
        var big = spoons > 0 ? $"{spoons} tbsp" : "";
        return rest == 0 ? big : $"{big} {Eighths(rest)} tsp".Trim();
    }

    static string Eighths(int eighths)
    {
        var part = (eighths % 8) switch
        {
            0 => "",
            4 => "1/2",
            2 => "1/4",
            6 => "3/4",
            var odd => $"{odd}/8",
        };
        return eighths < 8 ? part : $"{eighths / 8} {part}".Trim();
    }

    static string Text(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}

/// <summary>A volume of water as jugs and kitchens say it.</summary>
public static class Volumes
{
    /// <summary>"2.4 L", "350 mL"; in a US garden "0.63 gal", and below half a gallon "11.8 fl oz".</summary>
    public static string Words(double litres, bool us = false) =>
        us ? Us(litres * 1000)
        : litres >= 0.9995 ? string.Create(CultureInfo.InvariantCulture, $"{litres:0.##} L")
        : string.Create(CultureInfo.InvariantCulture, $"{Math.Round(litres * 1000):0} mL");

    /// <summary>The same for a field that is read again, so fine that nothing is lost by reading it.</summary>
    public static string Typed(double litres, bool us) =>
        us
            ? string.Create(CultureInfo.InvariantCulture, $"{litres * 1000 / Unit.Gal.Factor:0.####} gal")
            : string.Create(CultureInfo.InvariantCulture, $"{litres:0.###} L");

    static string Us(double ml) =>
        ml >= Unit.Gal.Factor / 2
            ? string.Create(CultureInfo.InvariantCulture, $"{ml / Unit.Gal.Factor:0.##} gal")
            : string.Create(CultureInfo.InvariantCulture, $"{ml / Unit.FlOz.Factor:0.#} fl oz");
}
