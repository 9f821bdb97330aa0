namespace BudClock.Core.Potting;

/// <summary>What a garden pots with and raises: empty pots, mixes of the grower's own, young batches.</summary>
public sealed record PottingShed
{
    /// <summary>Nothing in it.</summary>
    public static readonly PottingShed Empty = new();

    /// <summary>Empty pots.</summary>
    public IReadOnlyList<OwnedPot> Pots { get; init; } = [];

    /// <summary>Mixes of the grower's own.</summary>
    public IReadOnlyList<PottingMix> Mixes { get; init; } = [];

    /// <summary>Young batches, oldest first.</summary>
    public IReadOnlyList<YoungBatch> Batches { get; init; } = [];

    /// <summary>Nothing is in it.</summary>
    public bool IsEmpty => Pots.Count + Mixes.Count + Batches.Count == 0;

    /// <summary>The batch of that code in any case; null where there is none.</summary>
    public YoungBatch? Batch(string? code) =>
        Batches.FirstOrDefault(batch => string.Equals(batch.Code, code, StringComparison.OrdinalIgnoreCase));

    /// <summary>Batches that are to be looked at on a day or since.</summary>
    public IEnumerable<YoungBatch> ToLookAt(DateOnly today) =>
        Batches.Where(batch => PottingTable.Shipped.Method(batch.Method) is { } method && batch.NextLook(method, today) <= today);

    /// <summary>The mix of that code, the grower's own first; null where there is none.</summary>
    public PottingMix? Mix(string? code) =>
        Mixes.FirstOrDefault(mix => mix.Code == code) ?? PottingTable.Shipped.Mixes.FirstOrDefault(mix => mix.Code == code);

    /// <summary>Every mix, the grower's own first.</summary>
    public IReadOnlyList<PottingMix> AllMixes => [.. Mixes, .. PottingTable.Shipped.Mixes];
}
