using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>
/// Rule V5: a plant that rests, or goes to rest, is neither watered as in growth nor fed; where nobody wrote of a leaf, one looks
/// first.
/// </summary>
/// <remarks>Each habit's own way of resting (D3, D5, W7) gives its light wettings itself; this guard leaves those through.</remarks>
public sealed class RestGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V5";

    /// <inheritdoc/>
    public string Name => "rest";

    /// <inheritdoc/>
    public Effects Before => Effects.Feeds | Effects.WetsMedium;

    /// <inheritdoc/>
    public IReadOnlyList<Care> LetsPass { get; } = [Care.WetLightly, Care.PutBack];

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        var sleep = now.Sleep;
        if (sleep.Kind is SleepKind.None)
            return null;
        var evidence = now.Astir is { } astir
            ? new Condition(astir.Words, new("on record"), new("leafless"), null, false, astir.Sign.On)
            : new Condition("leaf, growth or root", null, new("seen"), null, false, sleep.Since);
        if (care.Does(Effects.Feeds))
            return new(Verdict.Hold, sleep.Rests, "no feed. It is woken first and fed then, never before.", evidence);
        if (RestSchools.WateredOn(now))
            return null;
        return sleep.Kind switch
        {
            SleepKind.Resting => new(Verdict.Hold, sleep.Rests, "dry until the plant itself shows that it wakes.", evidence),
            SleepKind.Going => new(Verdict.Hold, sleep.Rests, "hardly any water from now on; it goes to rest.", evidence),
            _ => new(
                Verdict.Look,
                sleep.Missing is { } missing ? $"{sleep.Rests}, and {missing}" : sleep.Rests,
                now.Astir is not null && now.Sheet.Is(Traits.DryRest)
                    ? "no water before its new growth was found and the roots of it measured."
                    : "is it leafless? Then no water until it shows that it wakes. In leaf, water as usual and write the leaf down.",
                evidence
            ),
        };
    }
}
