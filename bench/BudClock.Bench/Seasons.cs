using BudClock.Core.Advising;
using System.Diagnostics;
using BudClock.Practice;

namespace BudClock.Bench;

/// <summary>Two simulated years with four growers in two hemispheres, for docs/seasons.md.</summary>
static class Seasons
{
    const int Days = 730;

    /// <summary>The last of a log, for who wants to know why.</summary>
    static void Tail(SeasonGarden garden, string tag)
    {
        var (plant, log, model) = garden.Plants[tag];
        Console.WriteLine($"  {tag} {model.Habit.Name} died of {model.State.DiedOf} rot {model.State.Rot:0.00} roots {model.State.Roots:0.0} reserve {model.State.Reserve:0.0} place {plant.Place}");
        foreach (var entry in log.TakeLast(14))
            Console.WriteLine($"      {entry.On:yyyy-MM-dd} {entry}");
    }

    public static void Why(int plants, bool southern)
    {
        var garden = SeasonGarden.Of(southern, plants, southern ? 8 : 7);
        var said = new Dictionary<string, string>();
        var grower = new AdvisedGrower { Said = (_, a) => said[a.Plant.Tag] = string.Join("\n      ", a.Advice.Select(x => $"{x.Verdict} {x.Topic} {x.Rule}: {x.Reason}")) };
        SeasonReport.Live(garden, grower, Days);
        foreach (var (tag, one) in garden.Plants)
            if (!one.Model.Alive || (one.Model.Habit.ShouldBloom && one.Model.State.Blooms == 0))
            {
                Tail(garden, tag);
                Console.WriteLine("      " + said.GetValueOrDefault(tag));
            }
    }

    public static void Run(int plants)
    {
        foreach (var grower in new Func<Action<SeasonGarden, Assessment>, SeasonGrower>[]
        {
            said => new AdvisedGrower { Said = said },
            said => new AdvisedGrower(0.5) { Said = said },
            _ => new CalendarGrower(),
            _ => new LimpGrower(),
        })
        {
            var watch = Stopwatch.StartNew();
            SeasonReport? both = null;
            var rows = new List<(string What, string From, int Count, int Within, double DaysLate)>();
            var blooms = new List<(string Habit, int Blooms)>();
            foreach (var southern in new[] { false, true })
            {
                var (garden, scores) = (SeasonGarden.Of(southern, plants / 2, southern ? 8 : 7), new ForecastScores());
                var report = SeasonReport.Live(garden, grower((g, a) => scores.Take(g, a)), Days, g => scores.Take(g, g.Weathers()));
                both = both is null ? report : both.And(report);
                rows.AddRange(scores.Rows(garden));
                blooms.AddRange(garden.Plants.Values.Select(one => (one.Model.Habit.Name, one.Model.State.Blooms)));
            }
            Console.WriteLine($"{both!.Grower}: {both.Plants} plants, {both.Lost.Count} lost, {both.Bloomed} of {both.ShouldBloom} bloomed, {watch.Elapsed.TotalSeconds:0} s");
            foreach (var cause in both.Lost.GroupBy(lost => lost).OrderByDescending(group => group.Count()))
                Console.WriteLine($"    {cause.Count()} {cause.Key.Habit}: {cause.Key.Of}");
            Console.WriteLine($"    no bloom: {string.Join(", ", both.NotBloomed.GroupBy(tag => tag[..3]).Select(group => $"{group.Key} {group.Count()}"))}");
            Console.WriteLine($"    blooms: {string.Join(", ", blooms.GroupBy(b => b.Habit).Select(g => $"{g.Key} {g.Average(b => b.Blooms):0.0}"))}");
            foreach (var row in rows.GroupBy(r => (r.What, r.From)))
                Console.WriteLine($"    {row.Key.What} by {row.Key.From}: {row.Sum(r => r.Within)} of {row.Sum(r => r.Count)} = {100.0 * row.Sum(r => r.Within) / row.Sum(r => r.Count):0} %, {row.Average(r => r.DaysLate):0.0} days late");
        }
    }
}
