using System.Globalization;
using BudClock.Core.Advising;
using BudClock.Core.Measuring;
using BudClock.Core.Mixing;
using MathNet.Numerics.Statistics;

namespace BudClock.Core.Feeding;

/// <summary>One plant in a trial: how fast it grew in the four weeks before, and since.</summary>
/// <param name="Times">Growth since over growth before; null where either was not measured.</param>
public sealed record TrialPlant(
    Assessment Plant,
    bool OnTrial,
    double? BeforeCmPerWeek,
    double? SinceCmPerWeek,
    double? Times,
    IReadOnlyList<string> Changed
);

/// <summary>Rule F11: a recipe on trial for named plants against the others of their kind, and what can be said of it.</summary>
/// <param name="Says">What can and cannot be concluded, as sentences.</param>
public sealed record TrialReport(Trial Trial, IReadOnlyList<TrialPlant> Plants, int Day, IReadOnlyList<string> Says)
{
    const int MostEnumerated = 14;

    static readonly EntryKind[] OtherChanges =
    [
        EntryKinds.Repotted,
        EntryKinds.Divided,
        EntryKinds.Moved,
        EntryKinds.Treated,
        EntryKinds.RootsLost,
    ];

    /// <summary>The trial has ended.</summary>
    public bool Over => Day >= Trial.Days;

    /// <summary>The report of a trial up to a day.</summary>
    public static TrialReport Of(Trial trial, IEnumerable<Assessment> plants, DateOnly today)
    {
        var here = plants.Where(a => !a.Gone).ToList();
        var chosen = here.Where(a => trial.Plants.Contains(a.Plant.Tag)).ToList();
        var genera = chosen.Select(a => a.Plant.Genus).Where(genus => genus is not null).ToHashSet(StringComparer.OrdinalIgnoreCase);
        var rows = here.Where(a => chosen.Contains(a) || (a.Plant.Genus is { } genus && genera.Contains(genus)))
            .Select(a => Row(a, chosen.Contains(a), trial))
            .OrderByDescending(row => row.OnTrial)
            .ToList();
        var day = (trial.Ended ?? today).DayNumber - trial.From.DayNumber;
        return new(trial, rows, day, Conclude(rows, day));
    }

    static TrialPlant Row(Assessment plant, bool onTrial, Trial trial)
    {
        var (start, end) = (trial.From.AddDays(-Trial.Days), trial.Ended ?? plant.On);
        var rates = plant
            .Situation.Series.Select(series => (Before: Rate(series, start, trial.From), Since: Rate(series, trial.From, end)))
            .Where(pair => pair.Before is > 0 && pair.Since is not null)
            .OrderByDescending(pair => pair.Before)
            .FirstOrDefault();
        var changed = plant
            .Situation.Journal.Of(OtherChanges)
            .Where(e => e.On >= start && e.On <= end)
            .Select(e => $"{e.Kind.Words.ToLowerInvariant()} {Dates.Short(e.On)}")
            .ToList();
        return new(plant, onTrial, rates.Before * 7, rates.Since * 7, rates.Since / rates.Before, changed);
    }

    /// <summary>Rise in cm a day between the first and last measurement in a span of at least a week; null where there are none.</summary>
    static double? Rate(OrganSeries series, DateOnly from, DateOnly to)
    {
        var inside = series.Points.Where(point => point.On >= from && point.On <= to).ToList();
        return inside.Count >= 2 && inside[^1].On.DayNumber - inside[0].On.DayNumber is >= 7 and var days
            ? (inside[^1].Cm - inside[0].Cm) / days
            : null;
    }

    static List<string> Conclude(List<TrialPlant> rows, int day)
    {
        if (day < Trial.Days)
            return [$"Day {Math.Max(0, day)} of {Trial.Days}: nothing can be concluded yet. Feed shows in new growth, which takes weeks."];
        var (trial, others) = (Measured(rows, true), Measured(rows, false));
        if (trial.Count == 0)
            return ["None of the plants on trial was measured both before and since: nothing can be concluded."];
        var says = new List<string>
        {
            Numbers($"On trial, {Count(trial.Count)} grew {trial.Median():0.0#} times as fast as in the four weeks before."),
        };
        if (others.Count == 0)
            says.Add("No other plant of the kind was measured: season, light and weather could have done the same.");
        else
        {
            says.Add(Numbers($"{Count(others.Count)} of the kind without it: {others.Median():0.0#} times."));
            says.Add(ByChance(trial, others));
        }
        if (rows.Where(row => row.OnTrial && row.Changed.Count > 0).ToList() is { Count: > 0 } changed)
            says.Add(
                $"More than the recipe was different "
                    + $"({string.Join("; ", changed.Select(row => $"{row.Plant.Plant.Tag}: {string.Join(", ", row.Changed)}"))}), so the "
                    + $"cause can't be told apart."
            );
        return says;
    }

    static List<double> Measured(List<TrialPlant> rows, bool onTrial) =>
        [.. rows.Where(row => row.OnTrial == onTrial && row.Times is not null).Select(row => row.Times!.Value).Order()];

    /// <summary>
    /// How many ways of drawing so many plants from all give a difference as large: an exact permutation test (Fisher 1935).
    /// </summary>
    static string ByChance(List<double> trial, List<double> others)
    {
        var all = trial.Concat(others).ToList();
        if (all.Count > MostEnumerated)
            return "Compare the medians; with so many plants a statistician's test is worth more than this page.";
        var seen = Math.Abs(trial.Average() - others.Average());
        var draws = Enumerable
            .Range(0, 1 << all.Count)
            .Where(bits => System.Numerics.BitOperations.PopCount((uint)bits) == trial.Count)
            .ToList();
        if (draws.Count < 20)
            return $"With {trial.Count} and {others.Count} plants no difference, however large, rules out chance: take it as a hint.";
        var asLarge = draws.Count(bits => Math.Abs(Difference(all, bits)) >= seen - 1e-9);
        var verdict =
            asLarge * 20 <= draws.Count
                ? "Chance alone would rarely do that."
                : "That is a hint at most: chance alone does as much often enough.";
        return $"Drawing any {trial.Count} of these {all.Count} plants, {asLarge} of {draws.Count} ways differ as much. {verdict}";
    }

    static double Difference(List<double> all, int bits) =>
        all.Where((_, i) => (bits >> i & 1) == 1).Average() - all.Where((_, i) => (bits >> i & 1) == 0).Average();

    static string Count(int plants) => plants == 1 ? "1 plant" : $"{plants} plants";

    static string Numbers(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}
