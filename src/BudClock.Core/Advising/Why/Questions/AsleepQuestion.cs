using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rules D1 and D9: does it sleep, is it late, or is it dead?</summary>
public sealed class AsleepQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "asleep";

    /// <inheritdoc/>
    public override string Asks => "Does it sleep, or is it dead?";

    /// <inheritdoc/>
    public override string Note => "Feel it once a month and write down how it feels; note the day on which anything sprouts.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now)
    {
        var since = now.Rest?.Since ?? (now.DryRest.Asleep ? now.DryRest.RestSince : null);
        if (since is not { } began)
            return null;
        var sleep = Sleeping.Read(now, began);
        return new(
            $"Asleep since {Dates.Near(began, now.Today)}, {sleep.Days} days.",
            began.AddDays(-now.Limits<CauseLimits>().Back),
            now.Today,
            [
                .. now
                    .Journal.Of(EntryKinds.LeavesGone, EntryKinds.Lifted, EntryKinds.Stored, EntryKinds.WinterRosette)
                    .Where(e => e.On == began),
            ]
        )
        {
            Normal = sleep.Late ? null : "It sleeps, which is normal at this time.",
        };
    }
}
