using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Lanes;

/// <summary>Reads from the journal what each organ was doing, and when.</summary>
/// <remarks>
/// A lane opens with the first sign of its kind and closes with the first sign of its end. An entry that names no
/// organ is about the newest one of its kind that has no name either, else about the newest one.
/// </remarks>
public static class LaneReader
{
    /// <summary>Roots that start this long after the last sign of the flush before are another flush.</summary>
    const int FlushGapDays = 60;

    /// <summary>What opens and what ends a lane, of the part that the entry names.</summary>
    /// <param name="Kind">The lane.</param>
    /// <param name="Open">Kinds of entries that open it; a number of nothing does not.</param>
    /// <param name="Close">Kinds of entries that end it.</param>
    public sealed record Signs(LaneKind Kind, IReadOnlyList<EntryKind> Open, IReadOnlyList<EntryKind> Close);

    /// <summary>What opens and what ends each, as it is printed on the page of states.</summary>
    public static IReadOnlyList<Signs> Declared => Table;

    static readonly Signs[] Table =
    [
        new(LaneKind.Bloom, [BloomOpened, Blooms], [BloomEnded, CutSpike, FlowerRemoved]),
        new(LaneKind.Spike, [SpikeStarted, SpikeLength, SheathStarted, Buds], [BloomOpened, Blooms, BloomEnded, SpikeLost, CutSpike]),
        new(
            LaneKind.Growth,
            [GrowthStarted, GrowthHeight, LeafStarted, SummerLeaves],
            [GrowthMatured, GrowthStopped, LeavesGone, WinterRosette, Divided]
        ),
        new(LaneKind.Roots, [RootsStarted, RootLength, RootCount, RootsAtBase], [RootsLost, GrowthMatured, LeavesGone]),
        new(LaneKind.Rest, [LeavesGone, Lifted, Stored, WinterRosette], [GrowthStarted, GrowthHeight, Planted, LeafStarted, SummerLeaves]),
    ];

    static readonly Dictionary<EntryKind, string> Endings = new()
    {
        [GrowthMatured] = "matured",
        [GrowthStopped] = "aborted",
        [RootsLost] = "lost",
        [SpikeLost] = "lost",
        [Lost] = "lost",
        [BloomEnded] = "faded",
        [CutSpike] = "cut",
        [FlowerRemoved] = "cut",
        [Cut] = "cut",
        [Divided] = "divided off",
        [BloomOpened] = "opened",
        [Blooms] = "opened",
        [LeavesGone] = "died back",
        [WinterRosette] = "died back",
        [Died] = "died",
        [GivenAway] = "given away",
    };

    /// <summary>These end the lane of every organ, whichever they name.</summary>
    static readonly EntryKind[] EndsEveryOrgan = [LeavesGone, WinterRosette];

    /// <summary>These end whatever the organ that they name was doing.</summary>
    static readonly EntryKind[] EndsTheOrgan = [Lost, Cut];

    static readonly EntryKind[] EndsThePlant = [Died, GivenAway];

    /// <summary>What each kind of entry opens and closes, so that a journal is walked once.</summary>
    /// <remarks>By the kind's index, since every entry of a garden passes here.</remarks>
    static readonly (LaneKind Kind, bool Opens, bool Closes)[][] BySign =
    [
        .. EntryKinds
            .All.OrderBy(kind => kind.Index)
            .Select(kind =>
                Table
                    .Where(s => s.Open.Contains(kind) || s.Close.Contains(kind))
                    .Select(s => (s.Kind, s.Open.Contains(kind), s.Close.Contains(kind)))
                    .ToArray()
            ),
    ];

    /// <summary>A lane that is still being read.</summary>
    sealed class Track(LaneKind kind, Entry opener)
    {
        /// <summary>The kind of entry that opened it.</summary>
        public EntryKind Opener => opener.Kind;

        /// <summary>Its first day.</summary>
        public DateOnly From => opener.On;

        /// <summary>The last day on which something was seen of it.</summary>
        public DateOnly LastSign { get; set; } = opener.On;

        /// <summary>Its last day; null while it goes on.</summary>
        public DateOnly? To { get; private set; }

        /// <summary>The part it belongs to, where that is known.</summary>
        public string? Organ { get; set; } = opener.Organ;

        /// <summary>How it ended, in the word of the entry kind; null while it goes on or where nothing says.</summary>
        public string? Ending { get; private set; }

        /// <summary>Whether it goes on.</summary>
        public bool Open => To is null;

        /// <summary>Ends it on a day; what was said before of its end is replaced.</summary>
        public void End(DateOnly on, string? how) => (To, Ending) = (on, how);

        /// <summary>The lane as it is shown.</summary>
        public Lane ToLane() => new(kind, From, To, Organ, Ending: Ending);
    }

    /// <summary>The lanes of a journal, oldest first.</summary>
    public static IReadOnlyList<Lane> Read(PlantJournal journal)
    {
        var tracks = new List<Track>[Table.Length];
        for (var i = 0; i < tracks.Length; i++)
            tracks[i] = [];
        foreach (var entry in journal.Entries)
        {
            foreach (var (kind, opens, closes) in BySign[entry.Kind.Index])
            {
                if (closes && Ends(kind, entry))
                    Close(kind, tracks[(int)kind], entry);
                if (opens && ShowsLife(entry) && !(entry.Kind == Buds && InBloom(tracks, entry)))
                    Open(kind, tracks[(int)kind], entry);
            }
            if (EndsThePlant.Contains(entry.Kind) || (EndsTheOrgan.Contains(entry.Kind) && entry.Organ is not null))
                CloseAll(tracks, entry);
        }
        return InOrder(tracks);
    }

    static Lane[] InOrder(List<Track>[] tracks)
    {
        var lanes = new List<Lane>();
        for (var kind = 0; kind < tracks.Length; kind++)
            foreach (var track in tracks[kind])
                lanes.Add(track.ToLane());
        return [.. lanes.OrderBy(lane => lane, ByDay)];
    }

    /// <summary>One comparison for all that decides the order: three keys would be three lists for each plant.</summary>
    static readonly Comparer<Lane> ByDay = Comparer<Lane>.Create(
        (a, b) =>
            a.From != b.From ? a.From.CompareTo(b.From)
            : a.Kind != b.Kind ? a.Kind.CompareTo(b.Kind)
            : string.CompareOrdinal(a.Organ, b.Organ)
    );

    /// <summary>A count or length of nothing says that one looked, not that something moves.</summary>
    static bool ShowsLife(Entry entry) => entry.Amount is not { InBase: <= 0 };

    /// <summary>Buds counted on an open inflorescence are no new spike.</summary>
    static bool InBloom(List<Track>[] tracks, Entry entry) =>
        tracks[(int)LaneKind.Bloom]
            .Exists(track => track.Open && (entry.Organ is null || track.Organ is null || track.Organ == entry.Organ));

    /// <summary>Dividing ends only the growth that it names: what is left goes on.</summary>
    static bool Ends(LaneKind kind, Entry entry) => entry.Kind != Divided || (kind is LaneKind.Growth && entry.Organ is not null);

    static void Open(LaneKind kind, List<Track> tracks, Entry entry)
    {
        var going = Going(tracks, entry.Organ);
        if (going is not null && StartsAnew(going, entry))
        {
            going = null;
        }
        if (entry.Kind == LeafStarted)
            EndLeavesBefore(tracks, entry);
        if (entry.Kind == RootsStarted)
            EndFlushesBefore(tracks, entry);
        if (going is null)
            tracks.Add(new(kind, entry));
        else
            (going.LastSign, going.Organ) = (entry.On, going.Organ ?? entry.Organ);
    }

    static Track? Going(List<Track> tracks, string? organ) =>
        organ is null
            ? tracks.FindLast(track => track.Open && track.Organ is null) ?? tracks.FindLast(track => track.Open)
            : tracks.FindLast(track => track.Open && track.Organ == organ) ?? tracks.FindLast(track => track.Open && track.Organ is null);

    /// <summary>Whether a sign is the start of another organ rather than one more of the organ that is under way.</summary>
    static bool StartsAnew(Track going, Entry entry)
    {
        if (entry.Kind == RootsStarted)
            return entry.On.DayNumber - going.LastSign.DayNumber > FlushGapDays;
        if (going.From == entry.On && (entry.Organ is null || going.Organ is null))
            return false;
        if (entry.Organ is not null && going.Organ == entry.Organ)
            return false;
        return entry.Kind == GrowthStarted
            || (entry.Kind == SpikeStarted && going.Opener != SheathStarted)
            || (entry.Kind == LeafStarted && (going.Opener == LeafStarted || entry.Organ is not null));
    }

    /// <summary>Leaves come one at a time: the next one ends the one before.</summary>
    static void EndLeavesBefore(List<Track> tracks, Entry entry)
    {
        foreach (var leaf in tracks)
            if (leaf.Open && leaf.Opener == LeafStarted && leaf.From < entry.On && (leaf.Organ is null || leaf.Organ != entry.Organ))
                leaf.End(entry.On, "next leaf");
    }

    /// <summary>A flush that was not seen to move for two months has grown in when another starts.</summary>
    static void EndFlushesBefore(List<Track> tracks, Entry entry)
    {
        foreach (var flush in tracks)
            if (
                flush.Open
                && (flush.Organ is null || flush.Organ != entry.Organ)
                && entry.On.DayNumber - flush.LastSign.DayNumber > FlushGapDays
            )
                flush.End(flush.LastSign, "grown in");
    }

    static void Close(LaneKind kind, List<Track> tracks, Entry entry)
    {
        var how = kind is LaneKind.Rest ? "woke" : Endings.GetValueOrDefault(entry.Kind);
        var every = EndsEveryOrgan.Contains(entry.Kind) || (kind is LaneKind.Rest && entry.Organ is null);
        for (var i = tracks.Count - 1; i >= 0; i--)
        {
            var track = tracks[i];
            if (!track.Open || (!every && entry.Organ is not null && track.Organ is not null && track.Organ != entry.Organ))
                continue;
            track.End(entry.On, how);
            if (!every)
                return;
        }
    }

    static void CloseAll(List<Track>[] tracks, Entry entry)
    {
        foreach (var track in tracks.SelectMany(kind => kind))
            if (track.Open && (EndsThePlant.Contains(entry.Kind) || track.Organ == entry.Organ))
                track.End(entry.On, Endings[entry.Kind]);
    }
}
