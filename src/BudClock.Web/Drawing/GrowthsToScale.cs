using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Web.Drawing;

/// <summary>Growths that are done, side by side and to one scale, each with its figure.</summary>
public sealed record GrowthsToScale(IReadOnlyList<GrowthDrawn> Growths, double Width, string Summary)
{
    public const double Height = 210;
    public const double Ground = 168;
    const double Tallest = 130;
    const double Step = 84;

    /// <summary>The newest of them; more would not be read.</summary>
    const int Most = 8;

    /// <summary>Null where fewer than two were measured.</summary>
    public static GrowthsToScale? Of(Situation now)
    {
        var grown = Grown.Read(now.Journal, now.Lanes, now.Plant.Organs, now.Sheet.Organs.Shoot).TakeLast(Most).ToList();
        if (grown.Count < 2)
            return null;
        var most = grown.Max(one => one.Cm);
        return new(
            [
                .. grown.Select(
                    (one, at) =>
                        new GrowthDrawn((Step / 2) + (at * Step), Tallest * one.Cm / most, one.Label, one.Cm, at == grown.Count - 1)
                ),
            ],
            Step * grown.Count,
            $"{grown[0].By.Words}, to one scale: {string.Join(", ", grown.Select(one => $"{one.Label} {Svg.N(one.Cm)} cm"))}."
        );
    }
}

/// <summary>One growth: the middle of it, how tall it is drawn, and what it is called.</summary>
public sealed record GrowthDrawn(double X, double Tall, string Label, double Cm, bool Newest)
{
    /// <summary>Its outline, from the ground up and down again.</summary>
    public string Outline
    {
        get
        {
            var (top, half) = (GrowthsToScale.Ground - Tall, Math.Max(6, Tall / 5));
            return $"M{Svg.N(X)} {Svg.N(GrowthsToScale.Ground)} C{Svg.N(X - (2 * half))} {Svg.N(GrowthsToScale.Ground)} "
                + $"{Svg.N(X - half)} {Svg.N(top + (Tall / 3))} {Svg.N(X)} {Svg.N(top)} "
                + $"C{Svg.N(X + half)} {Svg.N(top + (Tall / 3))} {Svg.N(X + (2 * half))} {Svg.N(GrowthsToScale.Ground)} "
                + $"{Svg.N(X)} {Svg.N(GrowthsToScale.Ground)} Z";
        }
    }
}
