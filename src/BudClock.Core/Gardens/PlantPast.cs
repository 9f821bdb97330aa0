using System.Globalization;

namespace BudClock.Core.Gardens;

/// <summary>
/// A plant as it stood on any day. Its place, pot, medium, vessel, names, sheet and schools follow from the dated entries that
/// changed them; what no entry changed is as it is on record.
/// </summary>
public static class PlantPast
{
    /// <summary>The plant on a day, past or to come. Asked again about another day it answers the same as the first time.</summary>
    /// <remarks>Before the first change of something it is what that change says it was; struck entries change nothing.</remarks>
    public static Plant On(this Plant plant, DateOnly day)
    {
        if (!plant.Entries.Any(Changes))
            return plant;
        var changed = plant
            .Entries.Where(Changes)
            .OrderBy(entry => entry.On)
            .ThenBy(entry => entry.Logged)
            .ThenBy(entry => entry.Id)
            .SelectMany(entry => entry.Sets.Select(set => (entry.On, set)));
        foreach (var one in changed.GroupBy(change => change.set.What))
        {
            var until = one.TakeWhile(change => change.On <= day).ToList();
            plant = plant.With(one.Key, until.Count > 0 ? until[^1].set.To : one.First().set.From);
        }
        return plant;
    }

    static bool Changes(Entry entry) => entry.Sets.Count > 0 && !entry.Struck;

    /// <summary>One thing of the plant as an entry writes it: numbers in their invariant form, nothing as null.</summary>
    public static string? Fact(this Plant plant, string what) =>
        what switch
        {
            Facts.Place => plant.Place,
            Facts.Vessel => plant.Vessel,
            Facts.Name => plant.Name,
            Facts.Taxon => plant.Taxon,
            Facts.Sheet => plant.Sheet,
            Facts.PotDiameter => Number(plant.Pot?.DiameterCm),
            Facts.PotHeight => Number(plant.Pot?.HeightCm),
            Facts.PotKind => plant.Pot?.Kind,
            Facts.Medium => plant.Medium,
            _ => what.StartsWith(Facts.School, StringComparison.Ordinal) ? plant.Schools.For(what[Facts.School.Length..]) : null,
        };

    /// <summary>The plant with one thing changed; an unknown name or a number that is none changes nothing.</summary>
    public static Plant With(this Plant plant, string what, string? value) =>
        what switch
        {
            Facts.Place => plant with { Place = value },
            Facts.Vessel => plant with { Vessel = value },
            Facts.Name => plant with { Name = value },
            Facts.Taxon => plant with { Taxon = value },
            Facts.Sheet => plant with { Sheet = value },
            Facts.PotDiameter => plant.WithPot(PotOf(plant) with { DiameterCm = Number(value) }),
            Facts.PotHeight => plant.WithPot(PotOf(plant) with { HeightCm = Number(value) }),
            Facts.PotKind => plant.WithPot(PotOf(plant) with { Kind = value }),
            Facts.Medium => plant with { Medium = value },
            _ => what.StartsWith(Facts.School, StringComparison.Ordinal)
                ? plant with
                {
                    Schools = plant.Schools.Choose(what[Facts.School.Length..], value),
                }
                : plant,
        };

    /// <summary>What has to be written down so that one version of a plant becomes another on a day.</summary>
    public static IReadOnlyList<FactChange> Between(Plant before, Plant after) =>
        [
            .. Facts
                .All.Concat(
                    before.Schools.All.Keys.Union(after.Schools.All.Keys).Order(StringComparer.Ordinal).Select(q => Facts.School + q)
                )
                .Where(what => before.Fact(what) != after.Fact(what))
                .Select(what => new FactChange(what, before.Fact(what), after.Fact(what))),
        ];

    /// <summary>
    /// The entries of a plant with what their words changed written out, where that is not yet so: logs kept by hand and those of
    /// earlier versions say it in words only.
    /// </summary>
    public static Plant Settled(this Plant plant, IReadOnlyList<Place> places)
    {
        if (!plant.Entries.Any(entry => entry.Sets.Count == 0 && FactWords.Tells(entry.Kind)))
            return plant;
        var written = plant.Entries.OrderBy(entry => entry.On).ThenBy(entry => entry.Logged).ThenBy(entry => entry.Id).ToList();
        var running = new Dictionary<string, string?>();
        var read = new Dictionary<Guid, IReadOnlyList<FactChange>>();
        var last = LastPlace(written, places);
        foreach (var entry in written.Where(entry => !entry.Struck || FactWords.Tells(entry.Kind)))
        {
            var sets = entry.Sets.Count > 0 ? entry.Sets : FactWords.Read(entry, places, What);
            if (entry.Sets.Count == 0 && sets.Count > 0)
                read[entry.Id] = sets;
            if (!entry.Struck)
                foreach (var set in sets)
                    running[set.What] = set.To;
        }
        if (read.Count == 0)
            return plant;
        // The record says how it is now. Where the words end elsewhere, some step was never written down, and they are not believed.
        var doubted = read
            .Values.SelectMany(sets => sets)
            .Select(set => set.What)
            .Distinct()
            .Where(what => plant.Fact(what) is { } now && plant.With(read).On(DateOnly.MaxValue).Fact(what) != now)
            .ToHashSet();
        foreach (var (id, sets) in read.ToList())
            read[id] = [.. sets.Where(set => !doubted.Contains(set.What))];
        return plant.With(read);

        // What is on record is how it is now; where a last move says that already, nothing is known of before.
        string? What(string what) =>
            running.TryGetValue(what, out var known) ? known
            : what == Facts.Place && plant.Place == last ? null
            : plant.Fact(what);
    }

    static Plant With(this Plant plant, Dictionary<Guid, IReadOnlyList<FactChange>> read) =>
        plant with
        {
            Entries = [.. plant.Entries.Select(entry => read.TryGetValue(entry.Id, out var sets) ? entry with { Sets = sets } : entry)],
        };

    static string? LastPlace(IEnumerable<Entry> entries, IReadOnlyList<Place> places) =>
        entries
            .Where(entry => entry.Kind == EntryKinds.Moved && !entry.Struck)
            .Select(entry => Moves.To(entry.Text, places)?.Code)
            .LastOrDefault(code => code is not null);

    static Plant WithPot(this Plant plant, Pot pot) =>
        plant with
        {
            Pot = pot is { DiameterCm: null, HeightCm: null, Kind: null } ? null : pot,
        };

    static Pot PotOf(Plant plant) => plant.Pot ?? new(null, null, null);

    static string? Number(double? number) => number?.ToString("R", CultureInfo.InvariantCulture);

    static double? Number(string? text) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) && double.IsFinite(number) ? number : null;
}
