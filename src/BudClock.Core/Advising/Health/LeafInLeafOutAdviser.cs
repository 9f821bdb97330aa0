using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Health;

/// <summary>
/// Rule G4: an aroid that loses a leaf for each new one: pests, roots, rot in that order; only then light, feed, pot. At all seasons
/// but its die-back.
/// </summary>
public sealed class LeafInLeafOutAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "G4";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        var since = now.Today.AddDays(-now.Limits<LeafInLeafOutLimits>().Days);
        var dropped = now.Journal.Of(LeafDropped).Where(e => e.On > since).ToList();
        var come = now.Journal.Of(LeafStarted).Count(e => e.On > since);
        if (
            now.Sleep.Kind is not SleepKind.None
            || dropped.Count < now.Limits<LeafInLeafOutLimits>().Lost
            || dropped.Count < come
            || come == 0
        )
            yield break;
        if (now.Journal.Of(Pest, RootCount, Base, Rot, Looked).Any(e => e.On >= dropped[^1].On))
            yield break;
        yield return new(
            Topics.Health,
            Rule,
            Care.Look,
            Verdict.Look,
            now.Today,
            $"{dropped.Count} leaves out and {come} in within ten weeks: look for pests, then at the roots, then for rot. Only then at "
                + $"light, feed and pot.",
            [new("leaves lost in ten weeks", new(dropped.Count), new(now.Limits<LeafInLeafOutLimits>().Lost), null, true, dropped[^1].On)]
        )
        {
            LoggedAs = Base,
        };
    }
}

/// <summary>Rule G4: a new leaf for each that goes.</summary>
[Rule("G4", "a new leaf for each that goes")]
public sealed record LeafInLeafOutLimits(
    [Limit("days", 14, 200, "looked back over")] int Days,
    [Limit("leaves", 1, 10, "so many that went are news")] int Lost
);
