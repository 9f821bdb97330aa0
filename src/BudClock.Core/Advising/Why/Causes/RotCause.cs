using BudClock.Core.Advising.Why.Questions;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule H2: soft, smelling, brown at the base.</summary>
public sealed class RotCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "rot";

    /// <inheritdoc/>
    public override int Order => 1;

    /// <inheritdoc/>
    public override Care? Act => Care.CutOut;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [
        typeof(LimpQuestion),
        typeof(LeavesGoneQuestion),
        typeof(YellowQuestion),
        typeof(LeafInLeafOutQuestion),
        typeof(ShrivelledQuestion),
        typeof(BudsLostQuestion),
        typeof(AsleepQuestion),
        typeof(LostQuestion),
    ];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "Feel its base and smell it: firm without a smell is no rot.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var (soft, firm) = (about.Newest(Soft, Base, Tuber, Rot, Inspected), about.Newest(entry => entry.Text == "firm", Base, Tuber));
        if (soft is null)
            return firm is null ? null : new(this, [], [about.By(firm, Strength.Sure)], "It does not rot.");
        var healed = firm is not null && firm.On > soft.On;
        return new(
            this,
            [about.By(soft, Strength.Sure)],
            healed ? [about.By(firm!, Strength.Likely)] : [],
            "Set it apart, cut to firm tissue with a clean blade, let the cut dry, and save what is firm."
        );
    }

    static bool Soft(Entry entry) => entry.Text is "soft" or "smelling" or "mouldy" || entry.Said.Has(SaidFacts.Rotten);
}
