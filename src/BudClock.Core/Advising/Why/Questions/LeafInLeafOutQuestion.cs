using BudClock.Core.Culture.Limits;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rule G4: a leaf goes for each that comes.</summary>
public sealed class LeafInLeafOutQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "leaf-in-leaf-out";

    /// <inheritdoc/>
    public override string Asks => "Why does it lose a leaf for each new one?";

    /// <inheritdoc/>
    public override string Note => "Look for pests, at the roots, and for rot, in that order, and write down that you did.";

    /// <inheritdoc/>
    public override bool Fits(Situation now) => now.Sheet.Find<LeafInLeafOutLimits>() is not null;

    /// <inheritdoc/>
    public override Matter? Read(Situation now)
    {
        var limits = now.Limits<LeafInLeafOutLimits>();
        var since = now.Today.AddDays(-limits.Days);
        var dropped = now.Journal.Of(LeafDropped).Where(e => e.On > since).ToList();
        var come = now.Journal.Of(LeafStarted).Count(e => e.On > since);
        return now.Sleep.Kind is not SleepKind.None || dropped.Count < limits.Lost || dropped.Count < come || come == 0
            ? null
            : new($"{dropped.Count} leaves out and {come} in within ten weeks.", since, dropped[^1].On, dropped);
    }
}
