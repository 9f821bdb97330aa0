using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Resting;

/// <summary>Rules P4 and D9: corms set to sprout take weeks to months, some never come; two months without a shoot are usual.</summary>
public sealed class CormWakeAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "V3";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Sheet.Is(Traits.Tuber) || !(now.Sheet.Is(Traits.Corms) || now.Plant.Origin == "corm"))
            yield break;
        if (
            now.Journal.Last(Planted, GrowthStarted, LeafStarted, LeavesGone, Leaves, LeafSpan) is not { } planted
            || planted.Kind != Planted
        )
            yield break;
        var days = now.Today.DayNumber - planted.On.DayNumber;
        Condition since = new(
            "days since planting",
            new(days),
            new(now.Limits<RootLimits>().CormPatience),
            "days",
            days >= now.Limits<RootLimits>().CormPatience,
            planted.On
        );
        yield return days < now.Limits<RootLimits>().CormPatience
            ? new(
                Topics.Wake,
                Rule,
                Care.LeaveAlone,
                Verdict.Hold,
                planted.On.AddDays(now.Limits<RootLimits>().CormPatience),
                $"Planted {Dates.Ago(planted.On, now.Today)}: a corm takes weeks to months, often until spring. No shoot yet is normal; "
                    + $"warm, closed and humid.",
                [since]
            )
            : new(
                Topics.Wake,
                Rule,
                Care.Feel,
                Verdict.Look,
                now.Today,
                $"Planted {Dates.Ago(planted.On, now.Today)} and no shoot: feel the corm. Firm may still come; soft is gone.",
                [since]
            );
    }
}
