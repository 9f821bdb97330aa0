using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>A tuber, corm or bulb that was planted and has not made a leaf yet: it drinks little, and eats nothing.</summary>
public sealed class BareShoot : State
{
    /// <inheritdoc/>
    public override string Name => "planted, without a leaf";

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } = [new(Planted, "a tuber or corm is planted")];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [
        new(LeafStarted, "a leaf"),
        new(Leaves, "its leaves are spoken of"),
        new(LeafSpan, "a leaf is measured"),
        new(LeafCount, "leaves are counted"),
        Mark.Some(GrowthHeight, "a shoot so long that it carries leaves"),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "It drinks and is fed as what is in leaf.";

    /// <inheritdoc/>
    public override int? Lasts(CultureSheet sheet) => sheet.Limits<FeedRhythmLimits>().Bare;

    /// <inheritdoc/>
    protected override Span? Opened(Entry sign, PlantLog log) =>
        log.Sheet.Is(Traits.Tuber) || log.Sheet.Is(Traits.Corms) ? base.Opened(sign, log) : null;

    /// <inheritdoc/>
    protected override Span Ended(Span open, Entry end, PlantLog log) =>
        end.Kind == GrowthHeight && end.Amount!.Value.InBase < log.Sheet.Limits<FeedRhythmLimits>().Leafy ? open : open with { End = end };
}
