namespace BudClock.Core.Mixing;

/// <summary>
/// A dose of one feed in a batch of water: by ppm of nitrogen, by the label's share or by what was measured, each from the others.
/// </summary>
/// <param name="Grams">Of the feed in the whole batch.</param>
/// <param name="Litres">Of water in the batch.</param>
public sealed record Dose(Feed Feed, double Grams, double Litres)
{
    /// <summary>What the dose brings, in ppm of the water it goes into.</summary>
    public Elements Elements => Elements.Of(Feed, Grams, Litres);

    /// <summary>Dissolved salts that the feed adds, ppm.</summary>
    public double SaltsPpm => Grams * 1000 * Feed.SaltShare / Litres;

    /// <summary>Its share of the label's full dose; null where the label gives none.</summary>
    public double? LabelShare => Feed.LabelGramsPerLitre is { } full ? Grams / Litres / full : null;

    /// <summary>"0.6 g"; a liquid whose density is known is poured, "1.2 mL".</summary>
    public string Words =>
        Feed is { Form: Feed.Liquid, GramsPerMl: { } ml }
            ? FormattableString.Invariant($"{Grams / ml:0.##} mL")
            : FormattableString.Invariant($"{Grams:0.##} g");

    /// <summary>How much for a strength in ppm of nitrogen; null for a feed without nitrogen.</summary>
    public static Dose? ForNitrogen(Feed feed, double ppmN, double litres) =>
        feed.NPercent > 0 ? new(feed, ppmN * litres / (feed.NPercent * 10), litres) : null;

    /// <summary>How much for a share of the label's dose; null where the label gives none.</summary>
    public static Dose? ForLabelShare(Feed feed, double share, double litres) =>
        feed.LabelGramsPerLitre is { } full ? new(feed, full * share * litres, litres) : null;

    /// <summary>
    /// What a measured amount comes to: grams, or a spoon of a feed whose spoon was weighed; null when it cannot be told.
    /// </summary>
    public static Dose? Of(Feed feed, Quantity measured, double litres) =>
        measured.Dimension switch
        {
            Dimension.Mass => new(feed, measured.InBase, litres),
            Dimension.Volume when feed.GramsPerMl is { } ml => new(feed, measured.InBase * ml, litres),
            _ => null,
        };

    /// <summary>The nearest dose that can be measured in steps, and the batch that would make it exact.</summary>
    /// <param name="stepGrams">What the scale or the smallest spoon can tell apart, grams.</param>
    public MeasurableDose InSteps(double stepGrams)
    {
        var grams = Math.Max(1, Math.Round(Grams / stepGrams)) * stepGrams;
        return new(this with { Grams = grams }, (grams - Grams) / Grams, Litres * grams / Grams);
    }
}

/// <param name="Error">What the rounding costs: +0.1 is a tenth stronger than wanted.</param>
/// <param name="ExactLitres">The batch in which this dose is exactly the wanted strength.</param>
public sealed record MeasurableDose(Dose Dose, double Error, double ExactLitres);
