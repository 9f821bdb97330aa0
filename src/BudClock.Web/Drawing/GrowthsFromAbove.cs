using System.Globalization;
using BudClock.Core.Evidence;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Web.Drawing;

/// <summary>The rhizome seen from the top: each growth a disc whose area follows its measured size, back bulbs paler.</summary>
public sealed record GrowthsFromAbove(
    IReadOnlyList<GrowthDisc> Discs,
    string Rhizome,
    Point? Eye,
    IReadOnlyList<string> Roots,
    string Summary
)
{
    public const double Height = 130;
    const double Middle = 44;
    const double Step = 66;
    const double LargestRadius = 24;
    const double SmallestRadius = 7;

    /// <summary>It can be parted after these growths, by their labels; none where nobody asks.</summary>
    public IReadOnlyList<string> CutAfter { get; init; } = [];

    /// <summary>Where those cuts are drawn: before the next growth, whether or not that one lives.</summary>
    public IEnumerable<double> CutsX =>
        Discs
            .Zip(Discs.Skip(1))
            .Where(pair => CutAfter.Contains(pair.First.Label))
            .Select(pair => (pair.First.At.X + pair.Second.At.X) / 2);

    public double Width => 40 + (Step * Discs.Count);

    /// <summary>Null for a plant on which no growth is recorded.</summary>
    public static GrowthsFromAbove? Of(Plant plant, DateOnly today)
    {
        var journal = PlantJournal.UpTo(today, plant.Entries);
        var growths = Sizes(plant, journal).ToList();
        if (growths.Count == 0)
            return null;
        var largest = Math.Max(1, growths.Max(g => g.Cm ?? 0));
        var discs = growths.Select((growth, index) => Disc(growth, index, growths.Count, largest)).ToList();
        var live = NewRoots.Read(journal, journal.Last(GrowthStarted)?.On).Live;
        return new(discs, Line(discs), FindEye(journal, discs), live ? Rootlets(discs[^1]) : [], Say(growths));
    }

    sealed record Growth(string Label, double? Cm, bool Open, bool Stopped);

    /// <summary>The declared growths, then those that the journal started without declaring one.</summary>
    static IEnumerable<Growth> Sizes(Plant plant, PlantJournal journal)
    {
        foreach (var organ in plant.Organs.Where(o => o.Kind is "growth" or "bulb"))
        {
            var own = journal.Entries.Where(e => e.Organ == organ.Id).ToList();
            yield return From(organ.Label ?? organ.Id, own);
        }
        foreach (var start in journal.Of(GrowthStarted).Where(e => e.Organ is null))
            yield return From(
                start.On.Year.ToString(CultureInfo.InvariantCulture),
                [.. journal.Entries.Where(e => e.Organ is null && e.On >= start.On)]
            );
    }

    static Growth From(string label, IReadOnlyList<Entry> own)
    {
        // A finished bulb is measured as a bulb; a growth on its way by its height.
        var size = own.LastOrDefault(e => e.Kind == BulbSize) ?? own.LastOrDefault(e => e.Kind == GrowthHeight);
        var stopped = own.Any(e => e.Kind == GrowthStopped);
        var started = own.Any(e => e.Kind == GrowthStarted);
        return new(label, size?.Amount?.InBase, started && !stopped && !own.Any(e => e.Kind == GrowthMatured), stopped);
    }

    static GrowthDisc Disc(Growth growth, int index, int count, double largest)
    {
        var radius = Math.Max(SmallestRadius, LargestRadius * Math.Sqrt((growth.Cm ?? largest / 3) / largest));
        var look =
            growth.Stopped ? "stopped"
            : growth.Open ? "lead"
            : index >= count - 3 ? "bulb"
            : "back";
        var size = growth.Cm is { } cm ? string.Create(CultureInfo.InvariantCulture, $"{cm:0.#} cm") : "not measured";
        return new(new(40 + (Step * index), Middle + (index % 2 == 0 ? -4 : 6)), radius, growth.Label, size, look);
    }

    static string Line(List<GrowthDisc> discs) => $"M{string.Join(" L", discs.Select(disc => disc.At.ToString()))}";

    static Point? FindEye(PlantJournal journal, List<GrowthDisc> discs)
    {
        if (journal.Last(EyeSwelling) is not { } eye || journal.FirstSince(eye.On, GrowthStarted) is not null)
            return null;
        return new(discs[^1].At.X + discs[^1].Radius + 3, discs[^1].At.Y - 6);
    }

    static string[] Rootlets(GrowthDisc lead) =>
        [
            .. new[] { -12.0, -2, 10 }.Select(side =>
                $"M{new Point(lead.At.X + (side / 3), lead.At.Y + lead.Radius)} q{new Point(side / 2, 6)} {new Point(side, 12)}"
            ),
        ];

    static string Say(List<Growth> growths) =>
        string.Join(", ", growths.Select(growth => $"{growth.Label}: {Size(growth)}{State(growth)}"));

    static string Size(Growth growth) => growth.Cm is { } cm ? $"{cm:0.#} cm" : "not measured";

    static string State(Growth growth) =>
        growth.Stopped ? ", stopped"
        : growth.Open ? ", growing"
        : "";
}

/// <param name="Look">lead, bulb, back or stopped.</param>
public sealed record GrowthDisc(Point At, double Radius, string Label, string Size, string Look);
