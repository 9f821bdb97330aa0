using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rules V4 and E3: nothing is fed or repotted in heat that the plant suffers from.</summary>
public sealed class HeatGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V4";

    /// <inheritdoc/>
    public string Name => "heat";

    /// <inheritdoc/>
    public Effects Before => Effects.Feeds | Effects.DisturbsRoots;

    /// <inheritdoc/>
    public IReadOnlyList<Care> LetsPass { get; } = [Care.CutOut];

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        if ((now.Temper.HotNight ?? now.Temper.HotDay) is not { } hot)
            return null;
        var when = now.Temper.HotNight is null ? "days are up to" : "nights stay at";
        return new(
            Verdict.Hold,
            string.Create(CultureInfo.InvariantCulture, $"{when} {hot.Value:0.#} °C"),
            "not before it is cooler.",
            new Condition("heat", new(hot.Value), null, "°C", false, hot.On)
        );
    }
}
