using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Formats;
using BudClock.Core.Tests.Advising;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Culture;

/// <summary>
/// A grower may set every number of a sheet to either end of its range; nothing fails of it, and beyond it nothing is taken.
/// </summary>
public class EndsOfSheetsTests
{
    public static TheoryData<string> Sheets => [.. CultureSheets.Shipped.All.Select(sheet => sheet.Name)];

    static IEnumerable<(string Name, Threshold Number)> Numbers(CultureSheet sheet) =>
        sheet.Rules.All.SelectMany(rule => rule.Value.Thresholds.Select(number => ($"{rule.Key}.{number.Key}", number.Value)));

    /// <summary>So many times each number is put to one end or the other by chance.</summary>
    const int Mixes = 6;

    static readonly IReadOnlyList<Plant> Logs = Some(30);

    static List<Plant> Some(int count)
    {
        var plants = new List<Plant>();
        Journals.Any.Sample(plants.Add, iter: count, threads: 1);
        return plants;
    }

    [Theory]
    [MemberData(nameof(Sheets))]
    public void With_every_number_at_an_end_every_plant_is_still_judged(string name)
    {
        var sheet = CultureSheets.Shipped.Find(name)!;
        var numbers = Numbers(sheet).ToList();
        Assert.NotEmpty(numbers);
        Judged([.. numbers.Select(n => Change(n.Name, n.Number.Limit.Least))]);
        Judged([.. numbers.Select(n => Change(n.Name, n.Number.Limit.Most))]);
        var random = new Random(name.Length);
        for (var mix = 0; mix < Mixes; mix++)
            Judged([.. numbers.Select(n => Change(n.Name, random.Next(2) == 0 ? n.Number.Limit.Least : n.Number.Limit.Most))]);

        SheetChange Change(string number, double value) => new(name, null, number, value, null);

        void Judged(SheetChange[] changes)
        {
            Assert.All(changes, change => Assert.Null(change.Fault(sheet)));
            var assessor = Assessor.With(changes);
            foreach (var plant in Logs)
            {
                var said = assessor.Assess(plant with { Sheet = name }, Around with { Weather = Night(9) }, Today);
                Assert.Null(said.Fault);
                Assert.DoesNotContain("NaN", AdviceJson.Write(said));
            }
        }
    }

    [Theory]
    [MemberData(nameof(Sheets))]
    public void Beyond_its_range_a_number_is_refused_and_the_sheet_stays(string name)
    {
        var sheet = CultureSheets.Shipped.Find(name)!;
        foreach (var (number, threshold) in Numbers(sheet))
        foreach (var beyond in (double[])[threshold.Limit.Least - 0.001, threshold.Limit.Most + 0.001, double.NaN, double.PositiveInfinity])
        {
            var change = new SheetChange(name, null, number, beyond, null);
            Assert.Contains("is outside", change.Fault(sheet));
            Assert.Same(sheet, change.On(sheet));
        }
    }

    [Theory]
    [InlineData("first-water", "soak", null)]
    [InlineData("first-water", "flood", "\"flood\" is no answer to first-water; expected sip or soak")]
    [InlineData("second-water", "soak", "no sheet asks \"second-water\"; they ask ")]
    public void A_school_that_no_sheet_knows_is_refused(string question, string school, string? fault)
    {
        var found = CultureSheets.Shipped.SchoolFault(question, school);
        if (fault is null)
            Assert.Null(found);
        else
            Assert.StartsWith(fault, found);
    }
}
