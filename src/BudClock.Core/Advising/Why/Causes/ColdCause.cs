using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture.Limits;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rules V4 and E4: nights that were too cold for it, measured where it stood.</summary>
public sealed class ColdCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "cold nights";

    /// <inheritdoc/>
    public override int Order => 13;

    /// <inheritdoc/>
    public override Care? Act => Care.BringIn;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [
        typeof(BudsLostQuestion),
        typeof(LeavesGoneQuestion),
        typeof(YellowQuestion),
        typeof(LimpQuestion),
        typeof(AsleepQuestion),
        typeof(StalledSpikeQuestion),
        typeof(LostQuestion),
    ];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) =>
        about.Nights.Count == 0 ? "Stand a thermometer that keeps its lowest reading beside it." : null;

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        if (about.Nights.Count == 0)
            return null;
        var limits = about.Now.Limits<TemperatureLimits>();
        var danger =
            about.Question is AsleepQuestion or LostQuestion && limits.DangerRest is { } rest
                ? Math.Min(rest, limits.Danger)
                : limits.Danger;
        var coldest = about.Nights.MinBy(night => night.CoolestC)!;
        var many = about.Nights.Count(night => night.CoolestC < danger);
        if (coldest.CoolestC < danger)
            return new(
                this,
                [
                    .. many >= about.Limits.Nights
                        ? (Claim[])[Inquiry.That(Strength.Likely, $"{many} nights under {Inquiry.C(danger)}", coldest.Ends)]
                        : [],
                    Inquiry.That(
                        Strength.Sure,
                        $"{Inquiry.C(coldest.CoolestC)} in the night to {about.Day(coldest.Ends)}, and {Inquiry.C(danger)} is the least "
                            + "it bears",
                        coldest.Ends
                    ),
                ],
                [],
                "Warmer by night; what is blackened or soft is cut off, what is firm lives."
            );
        var cool = about.Nights.Where(night => night.CoolestC < limits.Feed).ToList();
        return cool.Count >= about.Limits.Nights && about.Question is not (LostQuestion or AsleepQuestion)
            ? new(
                this,
                [
                    Inquiry.That(
                        Strength.Hint,
                        $"{cool.Count} nights under {Inquiry.C(limits.Feed)}, below which it does not grow",
                        cool[^1].Ends
                    ),
                ],
                [],
                "Warmer by night, or wait for spring."
            )
            : new(
                this,
                [],
                [Inquiry.That(Strength.Likely, $"no measured night was under {Inquiry.C(danger)}", coldest.Ends)],
                "Cold is not why, as far as it was measured."
            );
    }
}
