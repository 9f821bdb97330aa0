using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule E3: days or nights that were too warm for it. What hangs at noon with sound roots stands by evening.</summary>
public sealed class HeatCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "heat";

    /// <inheritdoc/>
    public override int Order => 14;

    /// <inheritdoc/>
    public override Care? Act => Care.Cool;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [
        typeof(BudsLostQuestion),
        typeof(LimpQuestion),
        typeof(LeavesGoneQuestion),
        typeof(StalledSpikeQuestion),
        typeof(ScorchedQuestion),
        typeof(SmallerQuestion),
        typeof(NoBloomQuestion),
    ];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) =>
        about.Question is LimpQuestion ? "Look again in the evening: what stands up by itself only flagged in the heat." : null;

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var limits = about.Now.Limits<TemperatureLimits>();
        var days = limits.HotDay is { } most ? about.Days.Where(day => day.MaxC > most).ToList() : [];
        var nights = limits.HotNight is { } warmest ? about.Nights.Where(night => night.CoolestC > warmest).ToList() : [];
        List<Claim> speaks = [];
        if (days.Count > 0)
            speaks.Add(
                Inquiry.That(
                    days.Count >= about.Limits.Nights ? Strength.Likely : Strength.Hint,
                    $"{days.Count} {(days.Count == 1 ? "day" : "days")} over {Inquiry.C(limits.HotDay!.Value)}, "
                        + $"up to {Inquiry.C(days.Max(day => day.MaxC!.Value))}",
                    days[^1].Day
                )
            );
        if (nights.Count > 0)
            speaks.Add(
                Inquiry.That(
                    nights.Count >= about.Limits.Nights ? Strength.Likely : Strength.Hint,
                    $"{nights.Count} {(nights.Count == 1 ? "night" : "nights")} that stayed over {Inquiry.C(limits.HotNight!.Value)}",
                    nights[^1].Ends
                )
            );
        return speaks.Count == 0
            ? null
            : new(
                this,
                [.. speaks.OrderByDescending(claim => claim.Strength)],
                [],
                "Shade at noon, moving air, cooler nights where there are any."
            );
    }
}
