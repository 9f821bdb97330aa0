using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rules F2 and R2: a medium it must not stay in, on arrival or since it collapsed, is changed now.</summary>
public sealed class WrongMediumAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "F2";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rot is { Open: true })
            yield break;
        if (RepotWant.Collapsed(now) is { } collapsed)
            yield return OutOfIt(now, collapsed);
        if (now.Arrival is { WrongMedium: { } wrong } arrival)
            yield return CameInIt(now, arrival, wrong);
    }

    Advice OutOfIt(Situation now, string word) =>
        AtOnce(
            now,
            $"Its medium is {word}: roots drown in it, so repot it now, in its window or out of it. "
                + (
                    RootTips.Read(now) is { } tips && tips.At(now.Today) <= now.Limits<RepotWindowLimits>().Late
                        ? "New roots are there to take hold."
                        : "Out of its window it loses some roots and may stand still for a season: keep it warm, shaded and out of wind, "
                            + "and damp around rather than in the pot, until new ones show."
                ),
            new("medium", new(word), new("open and sound"), null, true, now.Journal.Last(EntryKinds.Repotted)?.On)
        );

    Advice CameInIt(Situation now, Arrival arrival, string wrong) =>
        AtOnce(
            now,
            $"It came {Dates.Ago(arrival.Arrived, now.Today)} in a medium it must not stay in ({wrong}): repot it now, newcomer or not. "
                + $"Wash the old medium off, look at the roots, and note a plug that has to stay.",
            new("medium on arrival", new(wrong), new("one for its roots"), null, true, arrival.Found?.On ?? arrival.Arrived)
        );

    Advice AtOnce(Situation now, string reason, Condition condition) =>
        new(Topics.Repot, Rule, Care.Repot, Verdict.Do, now.Today, reason, [condition])
        {
            Ground = Ground.Emergency,
            Overrides = ["repot", "cold", "heat"],
        };
}
