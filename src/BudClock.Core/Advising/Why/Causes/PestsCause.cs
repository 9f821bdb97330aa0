using BudClock.Core.Advising.Why.Questions;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Advising.Why.Causes;

/// <summary>Rule G2: pests, on the next eye above all.</summary>
public sealed class PestsCause : Cause
{
    /// <inheritdoc/>
    public override string Name => "pests";

    /// <inheritdoc/>
    public override int Order => 4;

    /// <inheritdoc/>
    public override Care? Act => Care.Treat;

    /// <inheritdoc/>
    public override IReadOnlyList<Type> Answers { get; } =
    [
        typeof(SmallerQuestion),
        typeof(BudsLostQuestion),
        typeof(LeavesGoneQuestion),
        typeof(YellowQuestion),
        typeof(PaleQuestion),
        typeof(LeafInLeafOutQuestion),
        typeof(StalledSpikeQuestion),
        typeof(TwinsQuestion),
        typeof(NoBloomQuestion),
        typeof(LostQuestion),
    ];

    /// <inheritdoc/>
    public override string? Decides(Inquiry about) => "Look in the folds, under the leaves and at the next eye with a lens.";

    /// <inheritdoc/>
    public override Heard? Hear(Inquiry about)
    {
        var from = about.Matter.Growths is var (_, last)
            ? last.Began.AddDays(1 - about.Now.Limits<ShrinkingLimits>().Next)
            : about.Matter.From;
        var looks = about.In(Pest, Inspected, Treated).Where(entry => entry.On >= from).ToList();
        var seen = looks.Where(Shows).ToList();
        var clear = looks.LastOrDefault(entry => entry.Kind == Pest && !Shows(entry));
        if (seen is not [.., var newest])
            return clear is null
                ? null
                : new(
                    this,
                    [],
                    [Inquiry.By(clear, Strength.Likely, $"none were seen on {about.Day(clear.On)}")],
                    "Nothing to do about them."
                );
        var words = $"{(string.IsNullOrWhiteSpace(newest.Text) ? "pests" : newest.Text)} on it on {about.Day(newest.On)}";
        return new(
            this,
            [Inquiry.By(newest, Strength.Sure, words)],
            clear is not null && clear.On < newest.On.AddDays(-30) && about.Question is not SmallerQuestion
                ? [Inquiry.By(clear, Strength.Hint, $"none were seen on {about.Day(clear.On)}")]
                : [],
            "Look at the next eye first: that is where they cost most."
        );
    }

    static bool Shows(Entry entry) =>
        entry.Kind == Pest && !entry.Said.Has(SaidFacts.NoneSeen) && !entry.Said.Has(SaidFacts.Algae) && entry.Text is not "none";
}
