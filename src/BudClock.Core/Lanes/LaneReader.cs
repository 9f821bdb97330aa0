using BudClock.Core.Journal;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Lanes;

/// <summary>Reads from the journal what each organ was doing, and when.</summary>
/// <remarks>
/// A lane opens with the first sign of its kind and closes with the first sign of its end. An entry that names no
/// organ is about the newest one of its kind, so it opens a lane only when none is open, and closes the newest.
/// </remarks>
public static class LaneReader
{
    sealed record Signs(LaneKind Kind, EntryKind[] Open, EntryKind[] Close);

    static readonly Signs[] Table =
    [
        new(LaneKind.Bloom, [BloomOpened, Blooms], [BloomEnded, CutSpike, FlowerRemoved]),
        new(LaneKind.Spike, [SpikeStarted, SpikeLength, SheathStarted], [BloomOpened, Blooms, BloomEnded, SpikeLost, CutSpike]),
        new(LaneKind.Growth, [GrowthStarted, GrowthHeight, LeafStarted, SummerLeaves], [GrowthMatured, GrowthStopped, LeavesGone, WinterRosette, Divided]),
        new(LaneKind.Roots, [RootsStarted, RootLength, RootCount, RootsAtBase], [RootsLost, GrowthMatured, LeavesGone]),
        new(LaneKind.Rest, [LeavesGone, Lifted, Stored, WinterRosette], [GrowthStarted, GrowthHeight, Planted, LeafStarted, SummerLeaves]),
    ];

    static readonly Dictionary<EntryKind, string> Endings = new()
    {
        [GrowthMatured] = "matured",
        [GrowthStopped] = "aborted",
        [RootsLost] = "lost",
        [SpikeLost] = "lost",
        [BloomEnded] = "faded",
        [CutSpike] = "cut",
        [FlowerRemoved] = "cut",
        [Divided] = "divided off",
        [BloomOpened] = "opened",
        [Blooms] = "opened",
        [LeavesGone] = "died back",
        [WinterRosette] = "died back",
    };

    /// <summary>These end the lane of every organ, whichever they name.</summary>
    static readonly EntryKind[] EndsAll = [LeavesGone, WinterRosette];

    /// <summary>What each kind of entry opens and closes, so that a journal is walked once.</summary>
    static readonly Dictionary<EntryKind, (LaneKind Kind, bool Opens, bool Closes)[]> BySign = Table
        .SelectMany(signs => signs.Open.Concat(signs.Close)).Distinct()
        .ToDictionary(kind => kind, kind => Table.Where(s => s.Open.Contains(kind) || s.Close.Contains(kind))
            .Select(s => (s.Kind, s.Open.Contains(kind), s.Close.Contains(kind))).ToArray());

    public static IReadOnlyList<Lane> Read(PlantJournal journal)
    {
        var lanes = Table.Select(_ => new List<Lane>()).ToArray();
        foreach (var entry in journal.Entries)
            foreach (var (kind, opens, closes) in BySign.GetValueOrDefault(entry.Kind) ?? [])
            {
                if (closes && Ends(kind, entry)) Close(lanes[(int)kind], entry);
                if (opens && ShowsLife(entry)) Open(lanes[(int)kind], entry, kind);
            }
        return [.. lanes.SelectMany(lane => lane).OrderBy(lane => lane.From).ThenBy(lane => lane.Kind).ThenBy(lane => lane.Organ, StringComparer.Ordinal)];
    }

    /// <summary>A count or length of nothing says that one looked, not that something moves.</summary>
    static bool ShowsLife(Entry entry) => entry.Amount is not { InBase: <= 0 };

    /// <summary>Dividing ends only the growth that it names: what is left goes on.</summary>
    static bool Ends(LaneKind kind, Entry entry) => entry.Kind != Divided || kind is LaneKind.Growth && entry.Organ is not null;

    static void Open(List<Lane> lanes, Entry entry, LaneKind kind)
    {
        var going = entry.Organ is null
            ? lanes.FindLastIndex(lane => lane.Open)
            : lanes.FindLastIndex(lane => lane.Open && (lane.Organ == entry.Organ || lane.Organ is null));
        if (going < 0) lanes.Add(new(kind, entry.On, null, entry.Organ));
        else if (entry.Kind == GrowthStarted && lanes[going].From != entry.On && entry.Organ is null) lanes.Add(new(kind, entry.On, null));
        else if (lanes[going].Organ is null) lanes[going] = lanes[going] with { Organ = entry.Organ };
    }

    static void Close(List<Lane> lanes, Entry entry)
    {
        for (var i = lanes.Count - 1; i >= 0; i--)
        {
            if (!lanes[i].Open) continue;
            var all = EndsAll.Contains(entry.Kind);
            if (!all && entry.Organ is not null && lanes[i].Organ is not null && lanes[i].Organ != entry.Organ) continue;
            lanes[i] = lanes[i] with { To = entry.On, Ending = lanes[i].Kind is LaneKind.Rest ? "woke" : Endings.GetValueOrDefault(entry.Kind) };
            if (!all) return;
        }
    }
}
