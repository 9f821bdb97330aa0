using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule H1: a plant with pests is not fed: soft new growth is what they live on.</summary>
public sealed class PestGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "H1";

    /// <inheritdoc/>
    public string Name => "pests";

    /// <inheritdoc/>
    public Effects Before => Effects.Feeds | Effects.WetsLeaf;

    /// <inheritdoc/>
    public IReadOnlyList<Care> LetsPass { get; } = [Care.Rinse, Care.WetLightly];

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        now.Pests is { Open: true } pests && pests.LastLook.On > now.Today.AddDays(-now.Ages.Pests)
            ? new(
                Verdict.Hold,
                $"{pests.Words} {(pests.Words.EndsWith('s') ? "were" : "was")} found {Dates.Ago(pests.Sign.On, now.Today)}",
                "no feed until it is clear of them.",
                new Condition("pests", new("seen"), new("clear twice"), null, false, pests.Sign.On)
            )
            : null;
}
