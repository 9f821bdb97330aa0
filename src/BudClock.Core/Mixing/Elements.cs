namespace BudClock.Core.Mixing;

/// <summary>What a litre holds, in ppm (mg/L).</summary>
public readonly record struct Elements(double N, double P, double K, double Ca = 0, double Mg = 0)
{
    /// <summary>Element by element, in ppm of the same water.</summary>
    public static Elements operator +(Elements a, Elements b) => new(a.N + b.N, a.P + b.P, a.K + b.K, a.Ca + b.Ca, a.Mg + b.Mg);

    /// <summary>Rule F9: ppm of an element = grams × percent × 10 / litres.</summary>
    /// <param name="grams">Of the feed, 0 or more.</param>
    /// <param name="litres">Of water, more than 0.</param>
    public static Elements Of(Feed feed, double grams, double litres)
    {
        var ppmAPercent = grams * 10 / litres;
        return new(
            feed.NPercent * ppmAPercent,
            feed.P2O5Percent * Oxides.PInP2O5 * ppmAPercent,
            feed.K2OPercent * Oxides.KInK2O * ppmAPercent,
            feed.CaPercent * ppmAPercent,
            feed.MgPercent * ppmAPercent
        );
    }
}
