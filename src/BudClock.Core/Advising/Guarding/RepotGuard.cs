using BudClock.Core.Advising.Repotting;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule R2: what keeps a plant in its pot for now. An emergency (rot, wrong medium on arrival) goes ahead at any time.</summary>
public sealed class RepotGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "R2";

    /// <inheritdoc/>
    public string Name => "repot";

    /// <inheritdoc/>
    public Effects Before => Effects.DisturbsRoots;

    /// <inheritdoc/>
    public IReadOnlyList<Care> LetsPass { get; } = [Care.CutOut];

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        RepotVeto.Reasons(now).ToList() is { Count: > 0 } reasons
            ? new(
                Verdict.Hold,
                string.Join(", and ", reasons.Select(reason => reason.Words)),
                "it stays in its pot for now.",
                [.. reasons.Select(reason => reason.Evidence)]
            )
            : null;
}
