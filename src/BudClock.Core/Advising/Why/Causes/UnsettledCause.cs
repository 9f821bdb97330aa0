using BudClock.Core.Advising.Why.Questions;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>A move, a turn or a draught while buds or leaves were soft.</summary>
public sealed class UnsettledCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "moved, or in a draught";

    /// <inheritdoc/>
    public override int Order => 15;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [typeof(BudsLostQuestion), typeof(LeavesGoneQuestion), typeof(StalledSpikeQuestion), typeof(YellowQuestion)];

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var since = about.Matter.To.AddDays(-about.Limits.Unsettled);
        List<Claim> speaks = [];
        if (about.Newest(move => move.On >= since, Moved) is { } moved)
            speaks.Add(Inquiry.By(moved, Strength.Likely, $"it was moved on {about.Day(moved.On)}"));
        if (about.Newest(note => note.Said.Has(SaidFacts.Draught), Note) is { } draught)
            speaks.Add(Inquiry.By(draught, Strength.Likely, $"a draught on {about.Day(draught.On)}"));
        else if (about.PlaceOf(about.PlaceOn(about.Matter.To))?.Draughts == true)
            speaks.Add(Inquiry.That(Strength.Likely, "draughts are on record for its place"));
        return speaks.Count == 0
            ? null
            : new(this, speaks, [], "Leave it where it stands until the next buds are open; keep moving air off them.");
    }
}
