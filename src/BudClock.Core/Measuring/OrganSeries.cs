using MathNet.Numerics.Statistics;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Measuring;

/// <summary>The measured lengths of one organ, oldest first: a growth, its roots, a spike, a leaf span.</summary>
/// <param name="Kind">The kind of entry that measures it.</param>
/// <param name="Organ">The organ's id; null when the plant has one of its kind.</param>
/// <param name="Label">What to call it: "Roots 2031".</param>
/// <param name="Moves">Its lane is open: it is due to be measured on.</param>
public sealed record OrganSeries(EntryKind Kind, string? Organ, string Label, IReadOnlyList<Measurement> Points, bool Moves)
{
    /// <summary>Its first point.</summary>
    public DateOnly Start => Points[0].On;

    /// <summary>Its newest point.</summary>
    public Measurement Last => Points[^1];

    /// <summary>Days from one measurement to the next, as its grower takes them; null below three.</summary>
    public double? Rhythm =>
        Points.Count < 3 ? null : Points.Zip(Points.Skip(1), (from, to) => (double)(to.On.DayNumber - from.On.DayNumber)).Median();

    /// <summary>The series this one is compared with: the same kind, begun about a year before; null when there is none.</summary>
    public OrganSeries? YearBefore(IEnumerable<OrganSeries> all) =>
        all.FirstOrDefault(s => s.Kind == Kind && Start.DayNumber - s.Start.DayNumber is > 240 and < 490);

    /// <summary>How long it is likely to get, cm: as long as the newest finished one of its kind; null where there is none.</summary>
    public double? Finish(IEnumerable<OrganSeries> all) => all.FirstOrDefault(s => s.Kind == Kind && s.Start < Start && !s.Moves)?.Last.Cm;

    /// <summary>The length at an age in days, read between two measurements; null outside of them.</summary>
    public double? AtAge(int days)
    {
        var day = Start.AddDays(days);
        if (day > Last.On)
            return null;
        var next = Points.First(p => p.On >= day);
        if (next.On == day || ReferenceEquals(next, Points[0]))
            return next.Cm;
        var before = Points.Last(p => p.On < day);
        return before.Cm + ((next.Cm - before.Cm) * (day.DayNumber - before.On.DayNumber) / (next.On.DayNumber - before.On.DayNumber));
    }
}

/// <summary>Splits a journal's measurements into one series for each organ and season.</summary>
public static class SeriesReader
{
    /// <summary>Without an organ named, measurements further apart than this are another organ's.</summary>
    const int SeasonGapDays = 120;

    static readonly (EntryKind Kind, LaneKind Lane)[] Measured =
    [
        (RootLength, LaneKind.Roots),
        (GrowthHeight, LaneKind.Growth),
        (SpikeLength, LaneKind.Spike),
        (LeafSpan, LaneKind.Growth),
    ];

    /// <summary>All series, the newest first.</summary>
    public static IReadOnlyList<OrganSeries> Read(PlantJournal journal, IReadOnlyList<Lane> lanes, IReadOnlyList<Organ> organs) =>
        [
            .. Measured
                .SelectMany(measured => Read(measured.Kind, measured.Lane, journal, lanes, organs))
                .OrderBy(series => series, NewestFirst),
        ];

    static readonly Comparer<OrganSeries> NewestFirst = Comparer<OrganSeries>.Create(
        (a, b) =>
            a.Last.On != b.Last.On ? b.Last.On.CompareTo(a.Last.On)
            : a.Kind != b.Kind ? string.CompareOrdinal(a.Kind.Name, b.Kind.Name)
            : string.CompareOrdinal(a.Organ, b.Organ)
    );

    static IEnumerable<OrganSeries> Read(
        EntryKind kind,
        LaneKind lane,
        PlantJournal journal,
        IReadOnlyList<Lane> lanes,
        IReadOnlyList<Organ> organs
    )
    {
        foreach (var (organ, lengths, last) in ByOrgan(journal.Of(kind)))
        foreach (var season in Seasons(lengths, split: organ is null))
        {
            var points = season.ConvertAll(e => new Measurement(e.On, e.Amount!.Value.InBase));
            var name = organs.FirstOrDefault(o => o.Id == organ)?.Label ?? $"{points[0].On.Year}";
            var newest = season[^1].On == last;
            yield return new(kind, organ, $"{kind.Words} {name}", points, newest && Moves(lanes, lane, organ, points[^1].On));
        }
    }

    /// <summary>
    /// The lengths of each organ by day, and the day it was looked at last. A day measured twice counts as it was last written down;
    /// nothing measured is not a length.
    /// </summary>
    static List<(string? Organ, List<Entry> Lengths, DateOnly Last)> ByOrgan(IReadOnlyList<Entry> entries)
    {
        var organs = new List<(string? Organ, List<Entry> Lengths, DateOnly Last)>();
        foreach (var entry in entries) // oldest first
        {
            var at = organs.FindIndex(one => one.Organ == entry.Organ);
            if (at < 0)
            {
                at = organs.Count;
                organs.Add((entry.Organ, [], entry.On));
            }
            var lengths = organs[at].Lengths;
            organs[at] = (entry.Organ, lengths, entry.On);
            if (entry.Amount is not { InBase: > 0 })
                continue;
            if (lengths.Count > 0 && lengths[^1].On == entry.On)
                lengths.RemoveAt(lengths.Count - 1);
            lengths.Add(entry);
        }
        organs.RemoveAll(one => one.Lengths.Count == 0);
        return organs;
    }

    static bool Moves(IReadOnlyList<Lane> lanes, LaneKind kind, string? organ, DateOnly last) =>
        lanes.Any(lane =>
            lane.Kind == kind && lane.Open && lane.From <= last && (lane.Organ is null || organ is null || lane.Organ == organ)
        );

    static IEnumerable<List<Entry>> Seasons(IReadOnlyList<Entry> entries, bool split)
    {
        var season = new List<Entry>();
        foreach (var entry in entries)
        {
            if (split && season.Count > 0 && entry.On.DayNumber - season[^1].On.DayNumber > SeasonGapDays)
            {
                yield return season;
                season = [];
            }
            season.Add(entry);
        }
        yield return season;
    }
}
