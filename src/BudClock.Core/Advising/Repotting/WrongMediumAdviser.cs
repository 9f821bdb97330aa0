using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rule F2: a plant that came in a medium it must not stay in is repotted now, newcomer or not.</summary>
public sealed class WrongMediumAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "F2";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Rot is { Open: true })
            yield break;
        if (Collapsed(now) is { } collapsed)
            yield return OutOfIt(now, collapsed);
        if (now.Arrival is { WrongMedium: { } wrong } arrival)
            yield return CameInIt(now, arrival, wrong);
    }

    /// <summary>The word that says that its medium holds no air any more; null for none, and once it was repotted.</summary>
    public static string? Collapsed(Situation now) =>
        new[] { "collapsed", "sour", "soggy" }.FirstOrDefault(now.Plant.StandsIn.Has) is { } word
        && now.Journal.Last(EntryKinds.Repotted) is var last
        && !(last?.On > now.Today.AddDays(-now.Limits<RepotWindowLimits>().Recent))
            ? word
            : null;

    Advice OutOfIt(Situation now, string word) =>
        new(
            Topics.Repot,
            Rule,
            Care.Repot,
            Verdict.Do,
            now.Today,
            $"Its medium is {word}: roots drown in it, so repot it now, in its window or out of it. "
                + (
                    RootTips.Read(now) is { } tips && tips.At(now.Today) <= now.Limits<RepotWindowLimits>().Late
                        ? "New roots are there to take hold."
                        : "Out of its window it loses some roots and may stand still for a season: keep it warm, shaded and out of wind, "
                            + "and damp around rather than in the pot, until new ones show."
                ),
            [new("medium", new(word), new("open and sound"), null, true, now.Journal.Last(EntryKinds.Repotted)?.On)]
        )
        {
            Ground = Ground.Emergency,
            Overrides = ["repot", "cold", "heat"],
        };

    Advice CameInIt(Situation now, Arrival arrival, string wrong) =>
        new(
            Topics.Repot,
            Rule,
            Care.Repot,
            Verdict.Do,
            now.Today,
            $"It came {Dates.Ago(arrival.Arrived, now.Today)} in a medium it must not stay in ({wrong}): repot it now, newcomer or not. "
                + $"Wash the old medium off, look at the roots, and note a plug that has to stay.",
            [new("medium on arrival", new(wrong), new("one for its roots"), null, true, arrival.Found?.On ?? arrival.Arrived)]
        )
        {
            Ground = Ground.Emergency,
            Overrides = ["repot", "cold", "heat"],
        };
}
