using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Health;

/// <summary>Rule G4: an aroid that loses a leaf for each new one: pests, roots, rot in that order; only then light, feed, pot.</summary>
public sealed class LeafInLeafOutAdviser : IAdviser
{
    const int Days = 60;
    const int Lost = 2;

    public string Rule => "G4";

    public IReadOnlyList<string> Thresholds => [];

    public Advice? Advise(Situation now)
    {
        var since = now.Today.AddDays(-Days);
        var dropped = now.Journal.Of(LeafDropped).Where(e => e.On > since).ToList();
        var come = now.Journal.Of(LeafStarted).Count(e => e.On > since);
        if (now.Rest is not null || now.Around.DaysShorten(now.Today) || dropped.Count < Lost || dropped.Count < come) return null;
        if (now.Journal.Of(Pest, RootCount, Base, Rot).Any(e => e.On >= dropped[^1].On)) return null;
        return new(Topics.Health, Rule, Verdict.Look, now.Today, $"{dropped.Count} leaves out and {come} in within two months: look for pests, then at the roots, then for rot. Only then at light, feed and pot.",
            [new("leaves lost in two months", new(dropped.Count), new(Lost), null, true, dropped[^1].On)])
        { LoggedAs = Base };
    }
}
