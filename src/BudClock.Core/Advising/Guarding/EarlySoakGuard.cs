using System.Globalization;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule W1: what was soaked before its roots could drink gets no more water, and no feed, until they can.</summary>
public sealed class EarlySoakGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "W1";

    /// <inheritdoc/>
    public string Name => "early soak";

    /// <inheritdoc/>
    public Effects Before => Effects.WetsMedium | Effects.Feeds;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        now.EarlySoak is not { } early
            ? null
            : new(
                now.Thirst.Kind is ThirstKind.Thirsty ? Verdict.Look : Verdict.Hold,
                string.Create(CultureInfo.InvariantCulture, $"it was soaked with roots of {early.RootCm:0.#} cm"),
                string.Create(CultureInfo.InvariantCulture, $"dry from now on, until they are {early.NeedCm:0.#} cm long."),
                Condition.AtLeast("root length", now.NewRoots.Longest, early.NeedCm, "cm")
            );
}
