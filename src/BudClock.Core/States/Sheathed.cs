using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule L3: a sheath in which nothing has shown itself yet. It is no spike: many stay empty.</summary>
public sealed class Sheathed : State
{
    /// <inheritdoc/>
    public override string Name => "sheath";

    /// <inheritdoc/>
    public override Subject Of => Subject.Organ;

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } = [new(SheathStarted, "a sheath shows")];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Meets { get; } =
    [Mark.Saying(Note, "the sheath has turned brown", SaidFacts.BrownSheath), new(Looked, "a second look")];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [
        new(SpikeStarted, "a spike shows"),
        Mark.Some(SpikeLength, "a spike is measured"),
        Mark.Some(Buds, "buds are counted"),
        new(BloomOpened, "the first flower opens"),
        new(Blooms, "flowers are counted"),
        new(SpikeLost, "the spike is lost"),
        new(CutSpike, "it is cut"),
        new(GrowthStarted, "the next growth begins"),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "A spike takes over; where none came, this growth does not flower any more.";

    /// <inheritdoc/>
    public override int? Lasts(Culture.CultureSheet sheet) => sheet.Limits<Culture.Limits.SheathLimits>().Empty;
}
