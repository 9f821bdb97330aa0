using BudClock.Core.Culture;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Looking;

/// <summary>Rules P1 to P4: how long a leaf, a cutting or a corm takes, and when it has taken too long.</summary>
public sealed class RootingAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "P1";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (!now.Roots.Unrooted || now.Rot is { Open: true } || Began(now) is not { } began)
            yield break;
        var (what, from, to) = Takes(now, now.Limits<RootingLimits>());
        var days = now.Today.DayNumber - began.DayNumber;
        if (days == 0)
            yield break;
        var condition = Condition.AtLeast("days since it was set", new(days, began), to, "days");
        yield return days <= to
            ? Say(
                Verdict.Hold,
                Care.LeaveAlone,
                $"Set {Dates.Ago(began, now.Today)}: {what} takes about {from / 7:0} to {to / 7:0} weeks, which is normal. "
                    + (now.Sheet.Is(Traits.Succulent) ? "Warm, bright and rather dry" : "Warm, damp and closed")
                    + ", and no pulling to see."
            )
            : Say(
                Verdict.Look,
                Care.Feel,
                $"Set {Dates.Ago(began, now.Today)}, and {what} seldom takes more than {to / 7:0} weeks: feel it. Firm may still come; "
                    + "soft or hollow will not, and leaves room for another."
            );

        Advice Say(Verdict verdict, Care care, string reason) => new(Topics.GrowthCheck, Rule, care, verdict, null, reason, [condition]);
    }

    static DateOnly? Began(Situation now) =>
        (now.Journal.Last(EntryKinds.Planted) ?? now.Journal.Last(EntryKinds.Acquired))?.On ?? now.Plant.Acquired;

    static (string What, int From, int To) Takes(Situation now, RootingLimits limits) =>
        now.Plant.Origin switch
        {
            "leaf" => ("a plantlet from a leaf", limits.LeafFrom, limits.LeafTo),
            "corm" => ("a corm", limits.CormFrom, limits.CormTo),
            _ => ("a cutting", limits.CuttingFrom, limits.CuttingTo),
        };
}

/// <summary>Rules P1 to P4: how long it takes to the first roots or plantlets.</summary>
[Rule("P1", "how long a leaf, a cutting or a corm takes")]
public sealed record RootingLimits(
    [Limit("days", 7, 120, "a leaf, at the soonest")] int LeafFrom,
    [Limit("days", 14, 400, "a leaf, at the latest")] int LeafTo,
    [Limit("days", 7, 120, "a cutting, at the soonest")] int CuttingFrom,
    [Limit("days", 14, 400, "a cutting, at the latest")] int CuttingTo,
    [Limit("days", 7, 120, "a corm, at the soonest")] int CormFrom,
    [Limit("days", 14, 400, "a corm, at the latest")] int CormTo
);
