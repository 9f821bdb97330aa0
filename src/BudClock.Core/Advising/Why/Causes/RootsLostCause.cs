using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule G2: roots that died; without them water in the pot cannot be drunk.</summary>
public sealed class RootsLostCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "roots lost";

    /// <inheritdoc/>
    public override int Order => 3;

    /// <inheritdoc/>
    public override Care? Act => Care.LookAtRoots;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [
        typeof(SmallerQuestion),
        typeof(LimpQuestion),
        typeof(ShrivelledQuestion),
        typeof(LeavesGoneQuestion),
        typeof(YellowQuestion),
        typeof(BudsLostQuestion),
        typeof(StalledSpikeQuestion),
        typeof(TwinsQuestion),
        typeof(LostQuestion),
        typeof(LeafInLeafOutQuestion),
    ];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "Tip it out and count its live roots: firm ones are alive, whatever their colour.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var lost = about.Newest(Gone, EntryKinds.RootsLost, RootCount, Inspected);
        var drunk = about.Question is SmallerQuestion or LostQuestion ? null : LimpThoughWet(about);
        if (lost is null && drunk is null)
            return null;
        Claim[] speaks =
        [
            .. lost is null
                ? (Claim[])[]
                : [Inquiry.By(lost, Turned(about, lost) ? Strength.Hint : Strength.Sure, $"its roots were lost on {about.Day(lost.On)}")],
            .. drunk is null ? (Claim[])[] : [drunk],
            .. lost is not null && about.Question.OfTheDead && about.Now.Journal.Waterings.FirstOrDefault(e => e.On > lost.On) is { } water
                ? (Claim[])[Inquiry.By(water, Strength.Hint, $"watered on {about.Day(water.On)}, when it could not drink")]
                : [],
        ];
        var live = LiveSince(about, lost);
        var back = about.Now.Roots.State is RootState.Alive or RootState.Few;
        return new(
            this,
            speaks,
            live is null ? [] : [Inquiry.By(live, lost is null ? Strength.Sure : Strength.Hint, $"live roots on {about.Day(live.On)}")],
            lost is not null && back
                ? "A growth of no more than its size is the price of lost roots."
                : "Without roots nothing grows larger: humid air until there are some.",
            lost is not null && back && about.Question is SmallerQuestion
        );
    }

    /// <summary>What is found without roots when it is dead may have lost them to what killed it.</summary>
    static bool Turned(Inquiry about, Entry lost) =>
        about.Question is LostQuestion && lost.On >= about.Matter.To.AddDays(-about.Limits.Spell);

    static bool Gone(Entry entry) =>
        entry.Kind == EntryKinds.RootsLost || entry.Said.Has(SaidFacts.Rootless) || (entry.Kind == RootCount && entry.Amount?.InBase <= 0);

    /// <summary>Hanging or shrinking over a wet medium is no thirst (rule V1).</summary>
    static Claim? LimpThoughWet(Inquiry about)
    {
        foreach (var sign in about.In(Leaves, Bulbs).Where(DryCause.Hangs).Reverse())
            if ((DryCause.Felt(about, sign, "wet") ?? DryCause.Felt(about, sign, "damp")) is { } felt)
                return Inquiry.By(sign, Strength.Likely, $"{DryCause.Told(about, sign)}, with the medium {felt.Text}");
        return null;
    }

    static Entry? LiveSince(Inquiry about, Entry? lost) =>
        about
            .Now.Journal.Of(RootCount, RootLength, Inspected)
            .LastOrDefault(entry =>
                entry.On >= (lost?.On ?? about.Matter.From)
                && entry != lost
                && (entry.Kind == Inspected ? entry.Said.Has(SaidFacts.SoundRoots) : entry.Amount is { InBase: > 0 })
            );
}
