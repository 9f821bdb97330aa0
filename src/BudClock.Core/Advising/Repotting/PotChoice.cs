using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Potting;

namespace BudClock.Core.Advising.Repotting;

/// <summary>Rules R4 to R6: into which pot and which mix a plant goes, and how deep.</summary>
/// <param name="Size">How wide; null where nothing was measured.</param>
/// <param name="Mix">The mix that is usual for it, or the one of the grower's own that was chosen.</param>
/// <param name="Depth">How deep it is set.</param>
/// <param name="BaseCm">How thick its base is, by its newest measured bulb, tuber or corm; null where nobody measured.</param>
public sealed record PotChoice(PotSize? Size, PottingMix Mix, SettingDepth Depth, double? BaseCm)
{
    /// <summary>What is usual for a plant; a plant over a reservoir by its medium, whatever its kind.</summary>
    public static PotChoice Read(Situation now) =>
        new(
            PotSize.Read(now),
            PottingTable.Shipped.Mixes.First(mix => Fits(mix.Suits, now)),
            PottingTable.Shipped.Depths.First(depth => Fits(depth.For, now)),
            Thick(now)
        );

    /// <summary>What is set into the medium itself; the bulb of an orchid stands on its base.</summary>
    static double? Thick(Situation now) =>
        now.Sheet.Is(Traits.RootsInFlushes) ? null : now.Journal.Last(EntryKinds.BulbSize)?.Amount?.InBase;

    /// <summary>The empty pots that fit, the nearest to the middle of its size first.</summary>
    public IReadOnlyList<OwnedPot> FromShelf(PottingShed shed, double? potCm) =>
        Size is null
            ? []
            :
            [
                .. shed
                    .Pots.Where(pot => pot.Count > 0 && Size.Warning(pot.DiameterCm, potCm) is null)
                    .OrderBy(pot => Math.Abs(pot.DiameterCm - ((Size.FromCm + Size.ToCm) / 2))),
            ];

    /// <summary>The pot to draw and to mix for: the chosen one, else the middle of its size, else the one it stands in.</summary>
    /// <param name="cm">Across the top as typed; null where nothing was.</param>
    /// <param name="heightCm">As typed; null where nothing was.</param>
    public Frustum? Inside(Plant plant, double? cm, double? heightCm)
    {
        var wide = cm ?? (Size is null ? plant.Pot?.DiameterCm : (Size.FromCm + Size.ToCm) / 2);
        if (wide is not { } across)
            return null;
        var shape = plant.Pot is { HeightCm: { } high, DiameterCm: { } was } ? high / was : 1;
        return new(across, across * Frustum.Usual, heightCm ?? Math.Round(across * shape, 1));
    }

    static bool Fits(IReadOnlyList<string> suits, Situation now) =>
        suits.Contains("any") || suits.Contains(now.Sheet.Name) || suits.Any(now.Sheet.Is);
}
