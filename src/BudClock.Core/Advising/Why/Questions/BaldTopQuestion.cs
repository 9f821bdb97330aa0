using BudClock.Core.Evidence;

namespace BudClock.Core.Advising.Why.Questions;

/// <summary>Rule G6: a hanging plant that goes bald on top.</summary>
public sealed class BaldTopQuestion : Question
{
    /// <inheritdoc/>
    public override string Code => "bald-top";

    /// <inheritdoc/>
    public override string Asks => "Why is it bald on top?";

    /// <inheritdoc/>
    public override string Note => "Write down where its top stands to the light.";

    /// <inheritdoc/>
    public override Matter? Read(Situation now)
    {
        var back = now.Limits<CauseLimits>().Back;
        return
            now.Journal.Of(EntryKinds.Note).LastOrDefault(note => note.Said.Has(SaidFacts.BaldTop)) is { } seen
            && seen.On > now.Today.AddDays(-back)
            ? new($"{seen} on {Dates.Near(seen.On, now.Today)}.", seen.On.AddDays(-2 * back), seen.On, [seen])
            : null;
    }
}
