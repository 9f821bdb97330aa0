namespace BudClock.Core.Mixing;

/// <summary>Rule F9: waters poured together.</summary>
public static class Blend
{
    /// <summary>The mean of the waters' dissolved solids, weighted by volume, ppm.</summary>
    /// <exception cref="ArgumentException">There is no water at all.</exception>
    public static double TdsPpm(params IReadOnlyList<(Water Water, double Litres)> parts)
    {
        var litres = parts.Sum(part => part.Litres);
        if (!(litres > 0))
            throw new ArgumentException("There is no water in it.", nameof(parts));
        return parts.Sum(part => part.Water.TdsPpm * part.Litres) / litres;
    }

    /// <summary>
    /// How much of one water in another gives a wanted TDS: a share of the whole, 0 to 1; null where it lies outside of both.
    /// </summary>
    public static double? ShareFor(double wantedPpm, Water into, Water added)
    {
        var span = added.TdsPpm - into.TdsPpm;
        if (span == 0)
            return wantedPpm == into.TdsPpm ? 0 : null;
        var share = (wantedPpm - into.TdsPpm) / span;
        return share is >= 0 and <= 1 ? share : null;
    }
}

/// <summary>How a meter turns conductivity into ppm: ask which one it is.</summary>
/// <param name="PpmPerMilliSiemens">500 on the NaCl scale, 700 on the 442 scale (meter conventions).</param>
public sealed record MeterScale(string Name, double PpmPerMilliSiemens)
{
    /// <summary>The 500 scale: 1 mS/cm is 500 ppm.</summary>
    public static readonly MeterScale NaCl = new("500 (NaCl)", 500);

    /// <summary>The 700 scale: 1 mS/cm is 700 ppm.</summary>
    public static readonly MeterScale FourFourTwo = new("700 (442)", 700);

    /// <summary>Scales that are known.</summary>
    public static readonly IReadOnlyList<MeterScale> All = [NaCl, FourFourTwo];

    /// <summary>Electrical conductivity in mS/cm of what this meter calls so many ppm.</summary>
    public double EcOf(double ppm) => ppm / PpmPerMilliSiemens;

    /// <summary>The reading on this scale of a conductivity, mS/cm.</summary>
    public double PpmOf(double ecMilliSiemens) => ecMilliSiemens * PpmPerMilliSiemens;

    /// <summary>The meter of a garden by its scale; the NaCl scale where it is none of these.</summary>
    public static MeterScale Of(double ppmPerMilliSiemens) =>
        All.FirstOrDefault(scale => scale.PpmPerMilliSiemens == ppmPerMilliSiemens) ?? NaCl;
}
