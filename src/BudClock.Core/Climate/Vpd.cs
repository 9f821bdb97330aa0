namespace BudClock.Core.Climate;

/// <summary>Rule E7: how thirsty the air is.</summary>
public static class Vpd
{
    /// <summary>
    /// Saturation vapour pressure of water, kPa, at a temperature in °C (FAO Irrigation and Drainage Paper 56, equation 11).
    /// </summary>
    public static double SaturationKPa(double celsius) => 0.6108 * Math.Exp(17.27 * celsius / (celsius + 237.3));

    /// <summary>Vapour pressure deficit, kPa.</summary>
    /// <param name="humidityPct">Relative humidity, 0 to 100.</param>
    public static double KPa(double celsius, double humidityPct) => SaturationKPa(celsius) * (1 - (humidityPct / 100));
}
