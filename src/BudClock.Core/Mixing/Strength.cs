using System.Globalization;

namespace BudClock.Core.Mixing;

/// <summary>
/// How strong a feed is meant to be, as growers say it: a share of the label's dose ("25 %"), ppm of nitrogen ("100 ppm N"),
/// or what was measured into how much ("1/8 tsp in 1 gal"). Each can be computed from the others.
/// </summary>
public abstract record Strength
{
    const double MostShare = 5;
    const double MostPpm = 5000;

    /// <summary>Nobody measures less; what is written below it would not read back as itself.</summary>
    const double Least = 0.0001;

    Strength() { }

    /// <summary>
    /// How much of a feed gives this strength in so much water; null where the feed does not tell (no label dose, no nitrogen, an
    /// unweighed spoon).
    /// </summary>
    /// <param name="litres">Above 0.</param>
    public abstract Dose? In(double litres, Feed feed);

    /// <summary>What is missing on the feed when <see cref="In"/> is null, as a sentence.</summary>
    public abstract string Missing(Feed feed);

    /// <param name="Of">0.25 for a quarter of the label's dose.</param>
    public sealed record Share(double Of) : Strength
    {
        public override Dose? In(double litres, Feed feed) => Dose.ForLabelShare(feed, Of, litres);

        public override string Missing(Feed feed) =>
            $"The label of {feed.Name} gives no full dose: write one, or say the strength in ppm N.";

        /// <inheritdoc/>
        public override string ToString() => string.Create(CultureInfo.InvariantCulture, $"{Of * 100:0.########} %");
    }

    /// <summary>So much nitrogen in the water, in ppm (mg/L).</summary>
    public sealed record Nitrogen(double Ppm) : Strength
    {
        public override Dose? In(double litres, Feed feed) => Dose.ForNitrogen(feed, Ppm, litres);

        public override string Missing(Feed feed) =>
            $"{feed.Name} has no nitrogen: say its strength as a share of the label or as an amount.";

        /// <inheritdoc/>
        public override string ToString() => string.Create(CultureInfo.InvariantCulture, $"{Ppm:0.########} ppm N");
    }

    /// <summary>So much of the feed into so much water, as a label says it.</summary>
    public sealed record Measured(Quantity Amount, Quantity Into) : Strength
    {
        public override Dose? In(double litres, Feed feed) =>
            Dose.Of(feed, Amount, Into.InBase / 1000) is { } dose
                ? dose with
                {
                    Grams = dose.Grams * litres / dose.Litres,
                    Litres = litres,
                }
                : null;

        public override string Missing(Feed feed) =>
            feed.Form == Feed.Liquid
                ? $"What does a millilitre of {feed.Name} weigh? Write its density, or a spoon's weight."
                : $"A spoon is a volume: weigh a level teaspoon of {feed.Name} first.";

        /// <inheritdoc/>
        public override string ToString() => $"{Fine(Amount)} in {Fine(Into)}";

        static string Fine(Quantity quantity) =>
            string.Create(CultureInfo.InvariantCulture, $"{quantity.Value:0.##########} {quantity.Unit}");
    }

    /// <summary>Reads a strength as written; null where it is none, or beyond five times the label or 5000 ppm.</summary>
    public static Strength? Read(string? text)
    {
        var words = (text ?? "").Trim().ToLowerInvariant().Replace(" per ", " in ", StringComparison.Ordinal);
        var parts = words.Split(" in ", 2);
        if (parts.Length == 2)
            return ReadAmount(parts[0]) is { } amount && ReadAmount(Counted(parts[1])) is { Unit.Dimension: Dimension.Volume } into
                ? new Measured(amount, into)
                : null;
        if (words.EndsWith(" n", StringComparison.Ordinal))
            words = words[..^2];
        if (words.EndsWith("label", StringComparison.Ordinal))
            words = words[..^5].Replace(" of the ", "", StringComparison.Ordinal).Trim();
        return AmountReader.Read(words, null) switch
        {
            { Unit: var unit, Value: >= Least and <= MostPpm } ppm when unit == Unit.Ppm => new Nitrogen(ppm.Value),
            { Unit: var unit, Value: >= Least and <= MostShare * 100 } percent when unit == Unit.Percent => new Share(percent.Value / 100),
            { Unit: null, Value: >= Least and <= 1 } share => new Share(share.Value), // "1/4"
            _ => null,
        };
    }

    static Quantity? ReadAmount(string text) =>
        AmountReader.Read(text, null) is { Value: >= Least and <= 1e9, Unit.Dimension: Dimension.Mass or Dimension.Volume } amount
            ? amount
            : null;

    /// <summary>"a litre" and "L" are one of it.</summary>
    static string Counted(string text)
    {
        var bare = text.StartsWith("a ", StringComparison.Ordinal) ? text[2..] : text;
        return Unit.Find(bare) is null ? text : $"1 {bare}";
    }
}
