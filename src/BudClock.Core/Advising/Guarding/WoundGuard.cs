using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using BudClock.Core.States;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule L8: no feed on a fresh wound of the roots; plain water until it has settled.</summary>
public sealed class WoundGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "L8";

    /// <inheritdoc/>
    public string Name => "open wound";

    /// <inheritdoc/>
    public Effects Before => Effects.Feeds;

    /// <summary>A mist on the leaf does not reach the wound.</summary>
    public IReadOnlyList<Care> LetsPass { get; } = [Care.Mist];

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care)
    {
        if (now.In<Wounded>() is not { Sign: var wound })
            return null;
        var (days, settles) = (now.Today.DayNumber - wound.On.DayNumber, now.Limits<WoundLimits>().Settles);
        return new(
            Verdict.Hold,
            wound.Kind == EntryKinds.RootsLost
                ? $"its roots were lost {Dates.Ago(wound.On, now.Today)}"
                : $"it was {wound.Kind.Words.ToLowerInvariant()} {Dates.Ago(wound.On, now.Today)}",
            $"plain water until the wound has settled, about {Dates.Short(wound.On.AddDays(settles))}.",
            new Condition($"days since: {wound.Kind.Words.ToLowerInvariant()}", new(days), new(settles), "days", false, wound.On)
        )
        {
            Until = wound.On.AddDays(settles),
        };
    }
}
