using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Guarding;

/// <summary>Rule V1: limp though wet is no thirst: neither water nor feed until the roots were looked at.</summary>
public sealed class RootAlarmGuard : IGuard
{
    /// <inheritdoc/>
    public string Rule => "V1";

    /// <inheritdoc/>
    public string Name => "root alarm";

    /// <inheritdoc/>
    public Effects Before => Effects.WetsMedium | Effects.Feeds;

    /// <inheritdoc/>
    public Stop? Stop(Situation now, Care care) =>
        now.Thirst is { Kind: ThirstKind.RootAlarm } alarm
            ? new(
                Verdict.Hold,
                $"{alarm.Words} {Dates.Ago(alarm.Sign!.On, now.Today)} although {alarm.Against}",
                "that is not thirst; look at the roots first.",
                new Condition(alarm.Sign.Kind.Words.ToLowerInvariant(), new(alarm.Sign.Text!), new("firm"), null, false, alarm.Sign.On),
                new Condition("water", new(alarm.Against!), new("dry"), null, false, alarm.AgainstSeen)
            )
            : null;
}
