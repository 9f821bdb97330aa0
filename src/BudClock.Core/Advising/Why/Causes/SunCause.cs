using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rules G5 and E8: more sun than its leaves were used to.</summary>
public sealed class SunCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "too much sun at once";

    /// <inheritdoc/>
    public override int Order => 7;

    /// <inheritdoc/>
    public override Care? Act => Care.Shelter;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } = [typeof(ScorchedQuestion), typeof(PaleQuestion), typeof(LeavesGoneQuestion)];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) =>
        "Look where the marks are: on the side to the sun, on the upper leaves, within days of the move.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        List<Claim> speaks = [];
        if (about.Newest(Brighter, Moved) is { } moved && moved.On > about.Matter.To.AddDays(-about.Limits.Unsettled))
            speaks.Add(
                Inquiry.By(
                    moved,
                    moved.Said.Has(SaidFacts.FullSun) ? Strength.Sure : Strength.Likely,
                    $"it was moved on {about.Day(moved.On)}: {moved.Text ?? "where to was not written"}"
                )
            );
        if (about.Question is ScorchedQuestion)
            speaks.Add(Inquiry.By(about.Matter.Signs[^1], Strength.Likely, $"leaves scorched on {about.Day(about.Matter.Signs[^1].On)}"));
        return speaks.Count == 0
            ? null
            : new(
                this,
                [.. speaks.OrderByDescending(claim => claim.Strength)],
                [],
                $"Out of the sun at once, then back in steps of a week, up to {about.Now.Sheet.Light.Words()}. Marks stay; new leaves tell."
            );
    }

    static bool Brighter(Entry move) =>
        move.Said.Has(SaidFacts.FullSun) || (move.Said.Has(SaidFacts.Out) && !move.Said.Has(SaidFacts.Covered));
}
