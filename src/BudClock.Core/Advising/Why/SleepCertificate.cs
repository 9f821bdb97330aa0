using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why;

/// <summary>Rules D1 and D9: a certificate that it sleeps: how long, how it should feel, when to worry, what would kill it.</summary>
/// <param name="Sleeping">How long it has slept.</param>
/// <param name="Felt">What was last felt of it; null where nobody felt it.</param>
/// <param name="Lines">As sentences, in the order in which they are read.</param>
public sealed record SleepCertificate(Sleeping Sleeping, Entry? Felt, IReadOnlyList<string> Lines)
{
    /// <summary>Null for a plant that is not asleep on record.</summary>
    public static SleepCertificate? Read(Situation now)
    {
        if ((now.Rest?.Since ?? (now.DryRest.Asleep ? now.DryRest.RestSince : null)) is not { } since)
            return null;
        var sleep = Sleeping.Read(now, since);
        var felt = sleep.Felt(now);
        return new(
            sleep,
            felt,
            [
                $"Asleep since {Dates.Near(since, now.Today)}: {sleep.Days} days.",
                sleep.Own.Count == 0
                    ? "No earlier rest of its own is on record."
                    : $"Its own rests before took {string.Join(", ", sleep.Own)} days.",
                sleep.Usual is { } usual
                    ? $"Its kind usually wakes about {Dates.Near(usual, now.Today)}."
                    : "When its kind wakes is not on its sheet.",
                felt is null
                    ? $"Nobody has felt it yet. It should be {Sleeping.ShouldFeel(now)}."
                    : $"{felt} on {Dates.Near(felt.On, now.Today)}. It should be {Sleeping.ShouldFeel(now)}.",
                sleep.Late
                    ? $"It was to wake by {Dates.Near(sleep.Worry, now.Today)}: feel it now. While it is firm it lives."
                    : $"No need to worry before {Dates.Near(sleep.Worry, now.Today)}.",
                $"What would kill it now: {Sleeping.WouldKill(now)}.",
            ]
        );
    }
}
