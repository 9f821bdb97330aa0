using BudClock.Core.Advising;
using BudClock.Core.Evidence;

namespace BudClock.Web.Pages.Store;

/// <summary>All that rests out of sight: where, how warm, last checked, next check, and when it usually wakes.</summary>
public sealed class IndexModel(TodaysGarden todaysGarden) : GardenPage(todaysGarden)
{
    public IReadOnlyList<StoreRow> Resting { get; private set; } = [];

    public void OnGet() =>
        Resting = [
            .. Today
                .Plants.Where(a => !a.Gone)
                .Select(a => StoreRow.Of(a, Today.PlaceOf(a.Plant)))
                .OfType<StoreRow>()
                .OrderBy(row => row.Asks ?? Verdict.Hold)
                .ThenBy(row => row.NextCheck),
        ];
}

/// <summary>A plant at rest out of sight.</summary>
/// <param name="Asks">Do or Look where something is due; else null.</param>
/// <param name="Feels">The kind of entry that says how it feels.</param>
public sealed record StoreRow(Assessment Plant, RestState Rest, Verdict? Asks, string Reason, DateOnly NextCheck, EntryKind Feels)
{
    /// <summary>Null for a plant that grows, or rests in sight on its bench.</summary>
    public static StoreRow? Of(Assessment plant, Place? place)
    {
        if (plant.Situation is not { Rest: { } rest } now || (rest.Stored is null && place?.Setting != "store"))
            return null;
        var asking = plant.Settled.Where(a => a.Verdict is not Verdict.Hold).MinBy(a => a.Verdict);
        var tuber = now.Sheet.Signs.Any(sign => sign.Kind == EntryKinds.Tuber);
        return new(
            plant,
            rest,
            asking?.Verdict,
            (asking ?? plant.Main)?.Reason ?? "",
            rest.NextCheck,
            tuber ? EntryKinds.Tuber : EntryKinds.Base
        );
    }
}
