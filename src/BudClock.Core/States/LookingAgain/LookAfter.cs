using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States.LookingAgain;

/// <summary>
/// Rule K4: a change after which one looks again, from the change to the look. A plant that makes a leaf, a growth, a root or a spike
/// meanwhile has answered by itself (rule L4).
/// </summary>
public abstract class LookAfter : State
{
    /// <summary>What is changed.</summary>
    protected abstract EntryKind Change { get; }

    /// <summary>What is asked then.</summary>
    public abstract string Question(Entry change);

    /// <summary>The first and the last day on which the look tells of the change, days after it.</summary>
    public abstract (int From, int To) Due(Entry change, SecondLookLimits limits);

    /// <summary>Whether what the plant shows answers it.</summary>
    protected virtual bool Shows => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens => field ??= [new(Change, Change.Words.ToLowerInvariant())];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends => field ??= [new(Looked, "a second look, once it is due"), .. Shows ? Shown : []];

    static readonly Mark[] Shown =
    [
        new(GrowthStarted, "a new growth"),
        new(LeafStarted, "a new leaf"),
        new(RootsStarted, "new roots"),
        new(SpikeStarted, "a spike"),
        new(BloomOpened, "a flower opens"),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "The change is judged, and nobody asks for it any more.";

    /// <summary>The first and the last day of the look.</summary>
    public (DateOnly From, DateOnly To) Days(Span span, CultureSheet sheet)
    {
        var (from, to) = Due(span.Sign, sheet.Limits<SecondLookLimits>());
        return (span.Sign.On.AddDays(from), span.Sign.On.AddDays(to));
    }

    /// <inheritdoc/>
    protected override int? Lasts(Span open, CultureSheet sheet)
    {
        var limits = sheet.Limits<SecondLookLimits>();
        return Due(open.Sign, limits).To + limits.Asked + 1;
    }

    /// <inheritdoc/>
    public override string LapsesInWords(CultureSheet sheet) =>
        $"{sheet.Limits<SecondLookLimits>().Asked} days after the last day on which the look tells of it";

    /// <inheritdoc/>
    protected override Span Ended(Span open, Entry end, PlantLog log)
    {
        var from = end.Kind == Looked ? Days(open, log.Sheet).From : open.Sign.On.AddDays(log.Sheet.Limits<SecondLookLimits>().WaterFrom);
        return end.On >= from ? open with { End = end } : open;
    }
}
