using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>
/// Rules V1 and V7: no water, and no feed in it, within two days of a medium felt wet or damp. Bog plants and reservoirs go by their
/// level.
/// </summary>
public sealed class WetGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V7";

    /// <inheritdoc/>
    public string Name => "wet";

    /// <inheritdoc/>
    public Effects Before => Effects.WetsMedium | Effects.Feeds;

    /// <inheritdoc/>
    public IReadOnlyList<Care> LetsPass { get; } = [Care.FillTray, Care.TopUp, Care.PutBack, Care.Mist];

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        if (!now.Wetness.IsWet || now.Levels.OverWater)
            return null;
        var (wet, felt) = (now.Wetness, now.Wetness.Felt!);
        return new(
            Verdict.Hold,
            $"{wet.Words} {Dates.Ago(felt.On, now.Today)}",
            care is Care.GiveWater or Care.WetLightly ? "leave it." : "it goes with its next water.",
            new Condition("medium", new(wet.State is Wet.Soaked ? "wet" : "damp"), new("dry"), null, false, felt.On)
        )
        {
            Until = felt.On.AddDays(now.Ages.Wet + 1),
        };
    }
}
