using BudClock.Practice;
using BudClock.SimulatedPlants;

namespace BudClock.Core.Tests.Seasons;

/// <summary>
/// What hearings say of lost plants and small growths, against what was true of the simulated plants. The causes know nothing of the
/// model; the full run stands in docs/causes.md.
/// </summary>
public class InquestTests
{
    [Fact]
    public void The_true_cause_stands_first_as_a_rule_and_nearly_always_among_three()
    {
        var all = Live(Habits.All, 60, 301).Concat(Live([Habits.EvergreenBulbs, Habits.CoolBulbs, Habits.LeaflessBulbs], 60, 302)).ToList();
        Assert.True(all.Count >= 50, $"only {all.Count}");
        Assert.True(all.Select(one => one.True).Distinct().Count() >= 5, "one cause is no test");
        Assert.True(all.Count(one => one.First) >= 0.7 * all.Count, $"{all.Count(one => one.First)} of {all.Count} first");
        Assert.True(all.Count(one => one.InThree) >= 0.9 * all.Count, $"{all.Count(one => one.InThree)} of {all.Count} in three");
    }

    [Fact]
    public void A_garden_without_a_slip_that_harmed_has_nothing_to_hear()
    {
        var (garden, inquests, grower) = (SeasonGarden.Of(false, 40, 303), new Inquests(), new SlippingGrower(303));
        SeasonReport.Live(garden, grower, 700, inquests.Evening);
        Assert.DoesNotContain(inquests.All, one => grower.Of(one.Tag).Slip is Slip.None && one.Question == "lost");
    }

    static IReadOnlyList<Inquest> Live(IReadOnlyList<Habit> habits, int plants, int seed)
    {
        var inquests = new Inquests();
        SeasonReport.Live(SeasonGarden.Of(false, plants, seed, habits), new SlippingGrower(seed), 5 * 365, inquests.Evening);
        return inquests.All;
    }
}
