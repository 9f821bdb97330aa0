using System.Globalization;
using BudClock.Core.Advising.Repotting;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
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
                "it stays in its pot for now." + AfterTheCold(now),
                [.. reasons.Select(reason => reason.Evidence)]
            )
            : null;

    /// <summary>Rule R1: what counts is how long new roots are when the cold ends.</summary>
    static string AfterTheCold(Situation now)
    {
        if (now.Temper is not { CoolAhead: not null, LastCool.On: var last } || !now.Sheet.Is(Traits.RootsInFlushes))
            return "";
        if (RootTips.Read(now) is not { } roots)
            return "";
        var (limits, day) = (now.Limits<RepotWindowLimits>(), last.AddDays(1));
        var (from, to) = roots.Between(day);
        // The day stands among the reasons already, unless a measured night speaks first.
        var when = now.Temper.Cold ? $" on {Dates.Short(day)}" : "";
        var then = string.Create(
            CultureInfo.InvariantCulture,
            $" New roots will be about {from:0.#} to {to:0.#} cm when the cold ends{when}: "
        );
        return then
            + (
                roots.At(day) > limits.Late ? "too long, they break. Tide it over to the next growth."
                : roots.At(day) <= limits.Open ? "repot it then."
                : $"repot it that day or not before the next growth; past {Dates.Short(roots.Reach(limits.Late))} they break."
            );
    }
}
