using BudClock.Core.Advising;
using MathNet.Numerics.Distributions;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Years;

/// <summary>Something that several plants in one trouble share and others do not.</summary>
/// <param name="Trouble">As a clause: "roots lost".</param>
/// <param name="Shares">What they share: "medium: bark".</param>
/// <param name="Troubled">Those in trouble that share it.</param>
/// <param name="Sharing">How many plants share it in all.</param>
/// <param name="AllTroubled">How many are in that trouble in all.</param>
/// <param name="Plants">How many plants there are.</param>
/// <param name="Chance">How often chance alone would find something as strong among all that was compared, 0 to 1.</param>
public sealed record Echo(
    string Trouble,
    string Shares,
    IReadOnlyList<Assessment> Troubled,
    int Sharing,
    int AllTroubled,
    int Plants,
    double Chance
);

/// <summary>
/// A look across the collection: troubles of the last weeks against what those plants share. Silent where there is too little, and where
/// chance alone would do it easily.
/// </summary>
public static class Radar
{
    /// <summary>Troubles of so many days are looked at together.</summary>
    public const int LastDays = 56;

    /// <summary>Fewer plants in one trouble say nothing.</summary>
    public const int LeastTroubled = 3;

    /// <summary>What chance would do more often than this is not told.</summary>
    public const double Most = 0.05;

    const int Draws = 999;
    const int FeedDays = 90;

    static readonly (string Name, Func<Entry, bool> Shows)[] Troubles =
    [
        ("roots lost", e => e.Kind == RootsLost || e.Said.Has(SaidFacts.Rootless) || (e.Kind == RootCount && e.Amount?.InBase <= 0)),
        ("pests", e => e.Kind == Pest && e.Text is not "none" && !e.Said.Has(SaidFacts.NoneSeen) && !e.Said.Has(SaidFacts.Algae)),
        ("rot", e => e.Kind == EntryKinds.Rot || (e.Kind == Base || e.Kind == Tuber) && e.Text is "soft" or "smelling" or "mouldy"),
        ("buds or spikes lost", e => e.Kind == BudsLost || e.Kind == SpikeLost),
        ("growths that stopped", e => e.Kind == GrowthStopped),
        ("limp leaves or shrunken bulbs", e => e.Kind == Leaves && e.Text is "limp" || e.Kind == Bulbs && e.Text is "shrivelled"),
    ];

    /// <summary>What is found today, the least likely by chance first.</summary>
    public static IReadOnlyList<Echo> Read(IEnumerable<Assessment> all, DateOnly today)
    {
        var plants = all.Where(plant => !plant.Gone || Died(plant, today)).ToList();
        var shared = plants.Select(plant => Shares(plant, today)).ToList();
        return
        [
            .. Troubles
                .Select(trouble => Of(trouble.Name, plants, shared, [.. plants.Select(plant => In(plant, trouble.Shows, today))]))
                .OfType<Echo>()
                .OrderBy(echo => echo.Chance),
        ];
    }

    static bool Died(Assessment plant, DateOnly today) => plant.Situation.Journal.Last(EntryKinds.Died)?.On > today.AddDays(-LastDays);

    static bool In(Assessment plant, Func<Entry, bool> shows, DateOnly today) =>
        plant.Situation.Journal.Entries.Any(entry => entry.On > today.AddDays(-LastDays) && entry.On <= today && shows(entry));

    /// <summary>The strongest thing that the troubled share; null where it is no more than chance.</summary>
    static Echo? Of(string trouble, List<Assessment> plants, List<HashSet<string>> shared, bool[] troubled)
    {
        var many = troubled.Count(one => one);
        if (many < LeastTroubled || many == plants.Count)
            return null;
        // What all share tells nothing, nor what one alone has.
        var factors = shared
            .SelectMany(one => one)
            .CountBy(one => one)
            .Where(one => one.Value >= LeastTroubled && one.Value < plants.Count)
            .ToDictionary(one => one.Key, one => one.Value);
        if (factors.Count == 0)
            return null;
        var (best, least) = Strongest(factors, shared, troubled);
        if (best is null || least > Most)
            return null;
        var chance = ByChance(factors, shared, troubled, least);
        return chance > Most
            ? null
            : new(
                trouble,
                best,
                [.. plants.Where((_, i) => troubled[i] && shared[i].Contains(best))],
                factors[best],
                many,
                plants.Count,
                chance
            );
    }

    /// <summary>The factor whose plants are troubled most beyond their share, with its exact one-sided chance.</summary>
    static (string? Factor, double Chance) Strongest(Dictionary<string, int> factors, List<HashSet<string>> shared, bool[] troubled)
    {
        var (many, hits) = (troubled.Count(one => one), new Dictionary<string, int>());
        for (var i = 0; i < troubled.Length; i++)
            if (troubled[i])
                foreach (var factor in shared[i])
                    if (factors.ContainsKey(factor))
                        hits[factor] = hits.GetValueOrDefault(factor) + 1;
        var (best, least) = ((string?)null, 1.0);
        foreach (var (factor, hit) in hits.OrderBy(one => one.Key, StringComparer.Ordinal))
            if (hit >= LeastTroubled && AtLeast(troubled.Length, factors[factor], many, hit) is var chance && chance < least)
                (best, least) = (factor, chance);
        return (best, least);
    }

    /// <summary>
    /// How likely it is that so many of the drawn ones, or more, are marked: the one-sided exact test of Fisher (1935).
    /// </summary>
    /// <param name="all">How many there are.</param>
    /// <param name="marked">How many of them are marked.</param>
    /// <param name="drawn">How many are drawn.</param>
    /// <param name="hit">How many of the drawn are marked, at least.</param>
    /// <returns>0 to 1.</returns>
    public static double AtLeast(int all, int marked, int drawn, int hit) =>
        hit <= 0 ? 1 : Math.Clamp(1 - Hypergeometric.CDF(all, marked, drawn, hit - 1), 0, 1);

    /// <summary>
    /// How often the troubles, dealt out anew at random, find anything as strong among all factors: a permutation test, which counts
    /// that many things were compared. The deals are the same for the same garden.
    /// </summary>
    static double ByChance(Dictionary<string, int> factors, List<HashSet<string>> shared, bool[] troubled, double least)
    {
        var (deal, random, asStrong) = ((bool[])troubled.Clone(), new Random(1), 0);
        for (var draw = 0; draw < Draws; draw++)
        {
            random.Shuffle(deal);
            if (Strongest(factors, shared, deal).Chance <= least * (1 + 1e-9))
                asStrong++;
        }
        return (asStrong + 1.0) / (Draws + 1);
    }

    /// <summary>What a plant shares with others, as clauses.</summary>
    static HashSet<string> Shares(Assessment plant, DateOnly today)
    {
        var (record, shares) = (plant.Plant, new HashSet<string>());
        Add("place", plant.Situation.Around.Place?.Name ?? record.Place);
        Add("medium", record.Medium);
        Add("pot", record.Pot?.Kind);
        Add("genus", record.Genus);
        if (record.Acquired is { } came && came > today.AddYears(-1))
            Add("came", Dates.Long(came));
        foreach (var fed in plant.Situation.Journal.Of(Fed).Where(entry => entry.On > today.AddDays(-FeedDays)))
            Add("feed", fed.Mix);
        foreach (var repotted in plant.Situation.Journal.Of(Repotted).Where(entry => entry.On > today.AddDays(-2 * LastDays)))
            Add("repotted", Dates.Long(repotted.On));
        return shares;

        void Add(string what, string? value)
        {
            if (!string.IsNullOrWhiteSpace(value))
                shares.Add($"{what}: {value}");
        }
    }
}
