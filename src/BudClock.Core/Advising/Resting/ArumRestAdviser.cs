using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Resting;

/// <summary>
/// Rule D8: after bloom an arum lily has leaves only, and dies down. Watered on, watered until then, or rested dry: schools differ. Not
/// dead.
/// </summary>
public sealed class ArumRestAdviser : IKeepsRest
{
    const string DryRest = "dry-rest";

    /// <inheritdoc/>
    public string Rule => "D8";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.School(RestSchools.AfterBloom) is not { } school)
            yield break;
        var faded = now.Lanes.LastOrDefault(lane => lane is { Kind: LaneKind.Bloom, To: not null })?.To;
        var shoots = faded is { } bloom && now.Journal.Of(EntryKinds.GrowthStarted, EntryKinds.SpikeStarted).Any(e => e.On > bloom);
        if (school.Chosen.Name == DryRest && faded is { } over && !shoots)
            yield return new Advice(
                Topics.Water,
                Rule,
                Care.GiveWater,
                Verdict.Hold,
                null,
                $"Bloom over {Dates.Near(over, now.Today)}: rested dry in the pot until it shoots. Not dead; it may sleep for three to "
                    + $"five months.",
                [Condition.Sign("bloom over", over)]
            )
            {
                Ground = Ground.Veto,
            }.By(school);
        else if (now.Rest is { } rest)
            yield return Asleep(now, rest).By(school);
    }

    Advice Asleep(Situation now, RestState rest)
    {
        var seen = Condition.Sign("died down", rest.Since);
        return RestSchools.WateredOn(now) && !rest.Lifted
            ? new(
                Topics.Water,
                Rule,
                Care.WetLightly,
                now.Wetness.IsWet ? Verdict.Hold : Verdict.Look,
                now.Today,
                "Died down, and watered on as usual: feel that the medium is damp, not wet. Not dead; it may sleep for three to five "
                    + "months.",
                [seen]
            )
            : new(
                Topics.Water,
                Rule,
                Care.GiveWater,
                Verdict.Hold,
                null,
                $"Died down since {Dates.Near(rest.Since, now.Today)}: dry until it shoots. Not dead; it may sleep for three to five "
                    + $"months.",
                [seen]
            )
            {
                Ground = Ground.Veto,
            };
    }
}
