using System.Globalization;
using System.Text;
using BudClock.Practice;
using BudClock.SimulatedPlants;

namespace BudClock.Bench;

/// <summary>How often a hearing names the true cause of what a simulated plant suffered, as the table of docs/causes.md.</summary>
static class CauseTable
{
    const int Days = 5 * 365;

    /// <summary>Those whose growths come one after the other and are measured: a third of the plants is of them alone.</summary>
    static readonly Habit[] Growths = [Habits.LeaflessBulbs, Habits.EvergreenBulbs, Habits.CoolBulbs];

    public static void Run(int plants, int seed, bool verbose)
    {
        var all = new List<Inquest>();
        foreach (var southern in new[] { false, true })
        foreach (var habits in new[] { Habits.All, Growths, Growths })
        {
            var (garden, inquests) = (SeasonGarden.Of(southern, plants / 6, seed++, habits), new Inquests());
            SeasonReport.Live(garden, new SlippingGrower(seed), Days, inquests.Evening);
            all.AddRange(inquests.All);
        }
        if (verbose)
            foreach (var one in all.Where(one => !one.First))
                Console.WriteLine($"{one.Tag} {one.Question}: {one.True}, heard {string.Join(", ", one.Heard)}");
        Console.WriteLine(Text(all));
    }

    static string Text(List<Inquest> all)
    {
        var text = new StringBuilder("| question | true cause | asked | first | % | in the first three | % |\n");
        text.AppendLine("| --- | --- | --- | --- | --- | --- | --- |");
        foreach (var question in all.GroupBy(one => one.Question).OrderBy(group => group.Key, StringComparer.Ordinal))
        {
            foreach (var cause in question.GroupBy(one => one.True).OrderBy(group => group.Key, StringComparer.Ordinal))
                text.AppendLine(Row(question.Key, cause.Key, [.. cause]));
            text.AppendLine(Row(question.Key, "all", [.. question]));
        }
        return text.Append(Row("all", "all", all)).ToString();
    }

    static string Row(string question, string cause, List<Inquest> some)
    {
        var (first, three) = (some.Count(one => one.First), some.Count(one => one.InThree));
        return string.Create(
            CultureInfo.InvariantCulture,
            $"| {question} | {cause} | {some.Count} | {first} | {100.0 * first / some.Count:0} | {three} | {100.0 * three / some.Count:0} |"
        );
    }
}
