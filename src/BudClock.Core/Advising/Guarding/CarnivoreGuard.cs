using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule F8: nothing goes into the medium of a carnivore, ever.</summary>
public sealed class CarnivoreGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "F8";

    /// <inheritdoc/>
    public string Name => "carnivore";

    /// <inheritdoc/>
    public Effects Before => Effects.Feeds;

    /// <inheritdoc/>
    public IReadOnlyList<Care> LetsPass { get; } = [Care.Mist];

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        now.Sheet.Is(Traits.Carnivore)
            ? new(
                Verdict.Hold,
                "it is a carnivore",
                "nothing in the medium, ever; it catches its own.",
                Condition.Known("habit", new("carnivore"), null, null)
            )
            : null;
}
