using System.Collections.Concurrent;
using System.Globalization;
using System.Text;
using BudClock.Core.Advising;
using BudClock.Practice;
using BudClock.SimulatedPlants;

namespace BudClock.Bench;

/// <summary>Two simulated years with four growers in two hemispheres, as the tables of docs/seasons.md.</summary>
static class Seasons
{
    const int Days = 730;

    /// <summary>The seeds of docs/seasons.md; others show whether its figures are chance.</summary>
    static readonly (int North, int South) Usual = (7, 8);

    static readonly Func<Action<SeasonGarden, Assessment>, SeasonGrower>[] Growers =
    [
        said => new AdvisedGrower { Said = said },
        said => new AdvisedGrower(0.5) { Said = said },
        _ => new CalendarGrower(),
        _ => new LimpGrower(),
    ];

    sealed record Row(string What, string From, int Count, int Within, double DaysLate);

    /// <summary>What one grower came to in both gardens.</summary>
    sealed record Came(
        SeasonReport Report,
        IReadOnlyList<Row> Forecasts,
        IReadOnlyDictionary<string, (double Blooms, double Limp, int Lost)> Habits,
        long Said,
        int Twice,
        double LooksAWeek
    );

    public static void Run(int plants, (int North, int South)? seeds)
    {
        var came = Growers.Select(grower => Live(grower, plants, seeds ?? Usual)).ToList();
        Console.WriteLine(Text(came, plants));
    }

    static Came Live(Func<Action<SeasonGarden, Assessment>, SeasonGrower> grower, int plants, (int North, int South) seeds)
    {
        SeasonReport? both = null;
        var (rows, limp, said, twice) = (new List<Row>(), new ConcurrentDictionary<string, int>(), 0L, 0);
        var (models, looks, living) = (
            new List<SimulatedPlant>(),
            new HashSet<(string, DateOnly, Care)>(),
            new ConcurrentDictionary<string, int>()
        );
        foreach (var southern in new[] { false, true })
        {
            var (garden, scores) = (SeasonGarden.Of(southern, plants / 2, southern ? seeds.South : seeds.North), new ForecastScores());
            var report = SeasonReport.Live(garden, grower(Take), Days, Evening);
            both = both is null ? report : both.And(report);
            rows.AddRange(scores.Rows(garden).Select(row => new Row(row.What, row.From, row.Count, row.Within, row.DaysLate)));
            models.AddRange(garden.Plants.Values.Select(plant => plant.Model));

            void Take(SeasonGarden g, Assessment plant)
            {
                said++;
                twice += plant.Advice.GroupBy(advice => (advice.Topic, advice.Care.Facts().Question)).Count(group => group.Count() > 1);
                scores.Take(g, plant);
                lock (looks)
                    foreach (var look in plant.Advice.Where(advice => advice.Verdict is Verdict.Look))
                        looks.Add(($"{southern} {plant.Plant.Tag}", plant.On, look.Care));
            }

            void Evening(SeasonGarden g)
            {
                scores.Take(g, g.Weathers());
                foreach (var plant in g.Plants.Values)
                    if (plant.Model is { Alive: true, Habit.Name: var habit, Leaves.State: var leaves })
                    {
                        living.AddOrUpdate(habit, 1, (_, days) => days + 1);
                        if (leaves == "limp")
                            limp.AddOrUpdate(habit, 1, (_, days) => days + 1);
                    }
            }
        }
        var habits = models
            .GroupBy(model => model.Habit.Name)
            .ToDictionary(
                group => group.Key,
                group =>
                    (
                        group.Average(model => (double)model.State.Blooms),
                        limp.GetValueOrDefault(group.Key) * (double)Days / living.GetValueOrDefault(group.Key, 1),
                        group.Count(model => !model.Alive)
                    )
            );
        return new(both!, rows, habits, said, twice, looks.Count / (living.Values.Sum() / 7.0));
    }

    static string Text(IReadOnlyList<Came> came, int plants)
    {
        var text = new StringBuilder();
        text.AppendLine($"| grower | plants | lost | % | bloomed, of those that should | asked to look, a plant and week |");
        text.AppendLine("| --- | --- | --- | --- | --- | --- |");
        foreach (var one in came)
            text.AppendLine(
                Numbers($"| {one.Report.Grower} | {plants} | {one.Report.Lost.Count} | {100.0 * one.Report.Lost.Count / plants:0.#} | ")
                    + Numbers($"{one.Report.Bloomed} of {one.Report.ShouldBloom} | {one.LooksAWeek:0.00} |")
            );
        text.AppendLine().AppendLine("Causes of death:").AppendLine();
        foreach (var one in came)
            text.AppendLine(
                $"- *{one.Report.Grower}*: "
                    + (
                        one.Report.Lost.Count == 0
                            ? "none"
                            : string.Join(
                                "; ",
                                one.Report.Lost.GroupBy(lost => lost.Of)
                                    .OrderByDescending(group => group.Count())
                                    .Select(group => $"{group.Count()} by {group.Key} ({ByHabit(group)})")
                            )
                    )
            );
        text.AppendLine().AppendLine("Blooms a plant in two years, and days with limp leaves a plant that lives:").AppendLine();
        text.AppendLine($"| habit | {string.Join(" | ", came.Select(one => one.Report.Grower))} |");
        text.AppendLine($"| --- |{string.Concat(came.Select(_ => " --- |"))}");
        foreach (var habit in came[0].Habits.Keys.Order(StringComparer.Ordinal))
            text.AppendLine(
                $"| {habit} | "
                    + $"{string.Join(" | ", came.Select(one => Numbers($"{one.Habits[habit].Blooms:0.0}, {one.Habits[habit].Limp:0}")))} |"
            );
        text.AppendLine().AppendLine("Forecasts of who follows the advice, against their ranges of 80 %:").AppendLine();
        text.AppendLine("| forecast | from | came to an end | within the range | % | days late |");
        text.AppendLine("| --- | --- | --- | --- | --- | --- |");
        foreach (var kind in came[0].Forecasts.GroupBy(row => row.What))
        {
            if (kind.Select(row => row.From).Distinct().Count() > 1)
                foreach (var from in kind.GroupBy(row => row.From))
                    Line(from.Key, from);
            Line("all", kind);

            void Line(string source, IEnumerable<Row> some)
            {
                var (count, within) = (some.Sum(row => row.Count), some.Sum(row => row.Within));
                text.AppendLine(
                    Numbers($"| {kind.Key} | {source} | {count} | {within} | {100.0 * within / count:0} | ")
                        + Numbers($"{some.Sum(row => row.DaysLate * row.Count) / count:0.0} |")
                );
            }
        }
        text.AppendLine()
            .AppendLine(
                Numbers($"Assessments that were asked for: {came[0].Said:#,0}; questions that were answered twice: {came[0].Twice}.")
            );
        return text.ToString();
    }

    static string ByHabit(IEnumerable<(string Habit, string Of)> lost) =>
        string.Join(", ", lost.GroupBy(one => one.Habit).Select(habit => $"{habit.Count()} {habit.Key}"));

    static string Numbers(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}
