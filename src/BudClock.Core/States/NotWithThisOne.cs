using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.States;

/// <summary>Rule L5: what is due by habit, and not asked of this plant by its grower's wish, until it is done again.</summary>
public sealed class NotWithThisOne : State
{
    static readonly Dictionary<EntryKind, string> Done = new()
    {
        [Turned] = "turn",
        [Rinsed] = "rinse",
        [RootLength] = "measure",
        [GrowthHeight] = "measure",
        [SpikeLength] = "measure",
        [LeafSpan] = "measure",
        [BulbSize] = "measure",
    };

    /// <inheritdoc/>
    public override string Name => "not with this one";

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Opens { get; } = [new(NotAsked, "its grower does not want to be asked")];

    /// <inheritdoc/>
    public override IReadOnlyList<Mark> Ends { get; } =
    [
        new(Turned, "it is turned, where that was meant"),
        new(Rinsed, "it is rinsed, where that was meant"),
        .. new[] { RootLength, GrowthHeight, SpikeLength, LeafSpan, BulbSize }.Select(kind => new Mark(
            kind,
            $"{kind.Words.ToLowerInvariant()} is measured, where measuring was meant"
        )),
    ];

    /// <inheritdoc/>
    public override string Afterwards => "It is asked for as before.";

    /// <summary>Each wish stands by itself.</summary>
    protected override bool Apart(Span open, Entry entry, PlantLog log) =>
        open.Sign.Text != (entry.Kind == NotAsked ? entry.Text : Done[entry.Kind]);
}
