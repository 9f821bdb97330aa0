using System.Globalization;

namespace BudClock.Core.Potting;

/// <summary>One pot to be filled.</summary>
/// <param name="For">The tag of its plant, or any other word for it.</param>
/// <param name="Litres">What the medium fills of it once settled, 0 or more.</param>
public sealed record Filling(string For, double Litres);

/// <summary>How much of each part is mixed for some pots, and what to buy for it (rule R5).</summary>
/// <param name="Mix">The mix.</param>
/// <param name="Settled">What the pots hold once it has settled, litres.</param>
/// <param name="Loose">What is mixed so that it settles to that, litres.</param>
/// <param name="Parts">Litres of each part.</param>
public sealed record MixBill(PottingMix Mix, double Settled, double Loose, IReadOnlyList<(string Part, double Litres)> Parts)
{
    /// <summary>Damp coir from one pressed block, litres.</summary>
    public const double BlockLitres = 5;

    /// <summary>Water that a block drinks as it swells, litres; blocks differ, their label says.</summary>
    public const double BlockWater = 3.5;

    /// <summary>Bags as shops usually sell them, litres.</summary>
    const double BagLitres = 10;

    /// <summary>Parts that raise dust while dry.</summary>
    static readonly string[] Dusty = ["peat", "perlite", "vermiculite"];

    /// <summary>Works out a mix for pots; litres are zero where there is nothing to fill.</summary>
    /// <exception cref="ArgumentException">The mix has no parts.</exception>
    public static MixBill Of(PottingMix mix, IEnumerable<Filling> pots)
    {
        if (!(mix.Whole > 0))
            throw new ArgumentException("A mix needs at least one part above 0.", nameof(mix));
        var settled = pots.Sum(pot => pot.Litres);
        var loose = settled / (1 - (mix.SettlesPercent / 100));
        return new(mix, settled, loose, [.. mix.Parts.Select(part => (part.Key, loose * part.Value / mix.Whole))]);
    }

    /// <summary>Pressed blocks of coir that are wetted for it; none where there is no coir in it.</summary>
    public int Blocks => Parts.FirstOrDefault(part => part.Part == "coir") is { Litres: > 0 and var coir } ? Up(coir / BlockLitres) : 0;

    /// <summary>What to have at hand of a part: "1 bag of 10 L", "2 blocks, soaked in 7 L of warm water".</summary>
    public string Buy(string part, double litres) =>
        part == "coir"
            ? string.Create(
                CultureInfo.InvariantCulture,
                $"{Blocks} {(Blocks == 1 ? "block" : "blocks")}, soaked in {Blocks * BlockWater:0.#} L of warm water"
            )
        : litres < 1 ? "less than a litre, from an open bag"
        : Up(litres / BagLitres) is var bags ? string.Create(CultureInfo.InvariantCulture, $"{bags} {(bags == 1 ? "bag" : "bags")} of 10 L")
        : "";

    /// <summary>Some of it raises dust.</summary>
    public bool IsDusty => Parts.Any(part => Dusty.Contains(part.Part));

    static int Up(double number) => (int)Math.Ceiling(Math.Round(number, 6));
}
