using BudClock.Core.Advising.Why;
using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Health;

/// <summary>
/// Rule G4: an aroid that loses a leaf for each new one: pests, roots, rot in that order; only then light, feed, pot. At all seasons
/// but its die-back.
/// </summary>
public sealed class LeafInLeafOutAdviser : IAdviser
{
    static readonly LeafInLeafOutQuestion Asked = new();

    /// <inheritdoc/>
    public string Rule => "G4";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (Asked.Read(now) is not { } matter || now.Journal.Of(Pest, RootCount, Base, Rot, Looked).Any(e => e.On >= matter.To))
            yield break;
        yield return new(
            Topics.Health,
            Rule,
            Care.Look,
            Verdict.Look,
            now.Today,
            $"{matter.Sign.TrimEnd('.')}: look for pests, then at the roots, then for rot. "
                + Hearing.Says(now, Asked, "Only then at light, feed and pot."),
            [new("leaves lost in ten weeks", new(matter.Signs.Count), new(now.Limits<LeafInLeafOutLimits>().Lost), null, true, matter.To)]
        )
        {
            LoggedAs = Base,
        };
    }
}
