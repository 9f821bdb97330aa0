using BudClock.Core.Mixing;

namespace BudClock.Core.Evidence;

/// <summary>How much water a plant takes at one watering: its own record first, else a share of the pot by its medium (rule F12).</summary>
/// <param name="Ml">Above 0.</param>
/// <param name="Own">From what it was given before, rather than from its pot.</param>
public sealed record WaterNeed(double Ml, bool Own)
{
    const int Remembered = 5;

    /// <summary>A mount or basket without a pot takes about a cup.</summary>
    const double WithoutPotMl = 200;

    /// <summary>The median of its last five measured waterings, else its pot's share; never null.</summary>
    public static WaterNeed Of(Situation now)
    {
        var given = now
            .Journal.Waterings.Where(e => e.Amount is { InBase: > 0 })
            .TakeLast(Remembered)
            .Select(e => e.Amount!.Value.InBase)
            .Order()
            .ToList();
        if (given.Count > 0)
            return new(given[given.Count / 2], Own: true);
        return new(now.Plant.Pot?.VolumeMl is { } pot ? pot * now.StandsIn.Holds : WithoutPotMl, Own: false);
    }

    /// <summary>What a plant's share of a tray takes: half its pot, a few centimetres of water around it.</summary>
    public static WaterNeed OfTray(Plant plant) => new((plant.Pot?.VolumeMl ?? WithoutPotMl) / 2, Own: false);

    /// <summary>A share of it, as at rest or with few roots.</summary>
    public WaterNeed Times(double share) => this with { Ml = Ml * share };

    /// <summary>"200 mL", "about 340 mL" where it is only reckoned from the pot.</summary>
    public string Words(bool us = false) => $"{(Own ? "" : "about ")}{Volumes.Words(Math.Max(10, Math.Round(Ml / 10) * 10) / 1000, us)}";
}
