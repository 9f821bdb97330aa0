using System.Globalization;
using BudClock.Core.Potting;

namespace BudClock.Web.Drawing;

/// <summary>A pot cut in half, to scale, with what lies how deep.</summary>
public sealed record SectionDrawing(
    string Wall,
    string Medium,
    string? Pebbles,
    (double X, double Y, double Rx, double Ry) Base,
    IReadOnlyList<SectionLabel> Labels,
    double Height,
    string Summary
)
{
    public const double Width = 352;
    const double PotWidth = 180;
    const double Left = 14;
    const double Top = 12;
    const double Tallest = 230;
    const double LabelGap = 17;

    /// <summary>Drawn so large that it fits; one scale for width and height.</summary>
    public static SectionDrawing Of(PotSection section)
    {
        var pot = section.Pot;
        var scale = Math.Min(PotWidth / pot.TopCm, Tallest / pot.HeightCm);
        var middle = Left + (pot.TopCm * scale / 2);
        var bottom = Top + (pot.HeightCm * scale);
        double Y(double cm) => bottom - (cm * scale);
        double Half(double cm) => pot.Across(cm) * scale / 2;
        string Layer(double from, double to) =>
            Path((middle - Half(to), Y(to)), (middle - Half(from), Y(from)), (middle + Half(from), Y(from)), (middle + Half(to), Y(to)))
            + " Z";
        var across = Math.Min(section.BaseCm * 1.3, pot.Across(section.BaseTopCm) * 0.7) * scale / 2;
        var labels = Spread([
            new(Y(section.SurfaceCm + (section.HeadspaceCm / 2)), Text($"{section.HeadspaceCm:0.#} cm free, a flat hand")),
            new(Y(section.BaseTopCm - (section.BaseCm / 2)), Depth(section)),
            new(Y(section.PebblesCm + (section.BelowBaseCm / 2)), Text($"{section.BelowBaseCm:0.#} cm below the base")),
            .. section.PebblesCm > 0 ? [new(Y(section.PebblesCm / 2), Text($"{section.PebblesCm:0.#} cm of pebbles"))] : (SectionLabel[])[],
        ]);
        return new(
            Path(
                (middle - Half(pot.HeightCm), Top),
                (middle - Half(0), bottom),
                (middle + Half(0), bottom),
                (middle + Half(pot.HeightCm), Top)
            ),
            Layer(section.PebblesCm, section.SurfaceCm),
            section.PebblesCm > 0 ? Layer(0, section.PebblesCm) : null,
            (middle, Y(section.BaseTopCm - (section.BaseCm / 2)), across, section.BaseCm * scale / 2),
            labels,
            Math.Max(bottom, labels[^1].Y) + 24,
            Text($"A pot of {pot.TopCm:0.#} cm, {pot.HeightCm:0.#} cm high: {string.Join("; ", labels.Select(label => label.Words))}.")
        );
    }

    static string Depth(PotSection section) =>
        section.SurfaceCm - section.BaseTopCm is var below && below > 0 ? Text($"base {below:0.#} cm under")
        : below < 0 ? Text($"base {-below:0.#} cm out")
        : "base at the surface";

    /// <summary>Labels stand beside what they name, and never on each other.</summary>
    static List<SectionLabel> Spread(IEnumerable<SectionLabel> labels)
    {
        var placed = new List<SectionLabel>();
        foreach (var label in labels.OrderBy(label => label.Y))
            placed.Add(label with { Y = placed.Count == 0 ? label.Y : Math.Max(label.Y, placed[^1].Y + LabelGap) });
        return placed;
    }

    static string Path(params (double X, double Y)[] points) => $"M{string.Join(" L", points.Select(p => $"{Svg.N(p.X)} {Svg.N(p.Y)}"))}";

    static string Text(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}

/// <summary>Words beside a height.</summary>
public sealed record SectionLabel(double Y, string Words);
