using BudClock.Core.Advising;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>Rule L5: what nobody answers is asked less and less; what is dangerous never grows quiet.</summary>
public class AskingTests
{
    static readonly DateOnly Repotted = new(2031, 4, 1);

    /// <summary>A second look after a repot is due three weeks later: the days from then on which it is asked, and nobody answers.</summary>
    static IEnumerable<int> Asked(int days, params Entry[] more)
    {
        var plant = Lycaste([At(Repotted, EntryKinds.Repotted), .. more]) with { Taxon = "Hoya carnosa" };
        return Enumerable
            .Range(0, days)
            .Where(day =>
                Assess(plant, Repotted.AddDays(21 + day)).Advice.Any(a => a is { Topic: Topics.SecondLook, Verdict: Verdict.Look })
            );
    }

    [Fact]
    public void It_stands_for_three_days_and_is_asked_again_after_ten() => Assert.Equal([0, 1, 2, 10], Asked(20));

    [Fact]
    public void Whether_a_bog_plant_drinks_is_not_forgotten_and_leaves_that_hang_ask_at_once()
    {
        static IEnumerable<int> Days(params Entry[] more)
        {
            var plant = Lycaste([At(Repotted, EntryKinds.Tray, Cm(4)), .. more]) with { Taxon = "Drosera capensis" };
            return Enumerable
                .Range(0, 40)
                .Where(day => Assess(plant, Repotted.AddDays(day)).Advice.Any(a => a is { Care: Care.FillTray, Verdict: Verdict.Look }));
        }
        Assert.Equal([6, 7, 17, 28, 39], Days()); // the sheet has it empty after six days
        Assert.Contains(13, Days(At(Repotted.AddDays(13), EntryKinds.Leaves, text: "limp")));
    }

    [Fact]
    public void Who_writes_of_the_plant_stands_before_it_and_is_asked_anew() =>
        Assert.Equal([0, 1, 2, 5, 6, 7, 15], Asked(20, At(Repotted.AddDays(26), EntryKinds.Turned)));

    [Fact]
    public void Only_the_first_visit_asks_anew() =>
        Assert.DoesNotContain(12, Asked(20, [.. new[] { 4, 12, 19 }.Select(day => At(Repotted.AddDays(21 + day), EntryKinds.Turned))]));

    [Fact]
    public void What_is_due_by_habit_is_asked_three_times_and_then_it_is_no_habit()
    {
        var plant = Lycaste(At(Repotted, EntryKinds.Turned)) with { Taxon = "Saintpaulia ionantha" };
        bool Turns(int day) => Assess(plant, Repotted.AddDays(day)).Settled.Any(a => a.Care is Care.Turn);
        Assert.Equal((true, true, false), (Turns(7), Turns(27), Turns(28)));
        // Its grower's own rhythm counts from the third time on.
        var own = plant with
        {
            Entries = [.. plant.Entries, At(Repotted.AddDays(21), EntryKinds.Turned), At(Repotted.AddDays(42), EntryKinds.Turned)],
        };
        bool Own(int day) => Assess(own, Repotted.AddDays(42 + day)).Settled.Any(a => a.Care is Care.Turn);
        Assert.Equal((false, true, true, false), (Own(20), Own(21), Own(83), Own(84)));
    }

    [Fact]
    public void Roots_that_a_first_soak_waits_for_are_no_habit()
    {
        var wish = At(Today.AddDays(-3), EntryKinds.NotAsked, text: "measure");
        var said = Assess(Waking(Roots(Today.AddDays(-9), 4), wish));
        Assert.Contains(said.Settled, a => a is { Care: Care.Measure, ByHabit: false });
        Assert.DoesNotContain(said.Waiting, one => one.Question.Care is Care.Measure && one.Next is null);
    }

    [Fact]
    public void What_a_grower_does_not_want_to_be_asked_waits_on_the_plants_page_until_it_is_done_again()
    {
        var (turned, wish) = (At(Repotted, EntryKinds.Turned), At(Repotted.AddDays(8), EntryKinds.NotAsked, text: "turn"));
        var plant = Lycaste(turned, wish) with { Taxon = "Saintpaulia ionantha" };
        var said = Assess(plant, Repotted.AddDays(8));
        Assert.DoesNotContain(said.Advice, a => a is { Care: Care.Turn, Verdict: Verdict.Look });
        Assert.Null(Assert.Single(said.Waiting, one => one.Question.Care is Care.Turn).Next);
        var again = plant with { Entries = [.. plant.Entries, At(Repotted.AddDays(10), EntryKinds.Turned)] };
        Assert.Contains(Assess(again, Repotted.AddDays(17)).Advice, a => a is { Care: Care.Turn, Verdict: Verdict.Look });
        // Another wish is another matter.
        var other = plant with { Entries = [turned, wish with { Text = "rinse" }] };
        Assert.Contains(Assess(other, Repotted.AddDays(8)).Advice, a => a is { Care: Care.Turn, Verdict: Verdict.Look });
    }

    [Fact]
    public void What_waits_is_said_to_wait_and_until_when()
    {
        var plant = Lycaste(At(Repotted, EntryKinds.Repotted)) with { Taxon = "Hoya carnosa" };
        var said = Assess(plant, Repotted.AddDays(26));
        var waits = Assert.Single(said.Waiting, one => one.Question.Topic == Topics.SecondLook);
        Assert.Equal((Repotted.AddDays(21), Repotted.AddDays(31)), (waits.Since, waits.Next));
        Assert.Contains(said.Advice, a => a is { Topic: Topics.SecondLook, Verdict: Verdict.Hold } && a.Due == waits.Next);
        Assert.Contains("\"waiting\"", Core.Formats.AdviceJson.Write(said));
    }

    [Theory]
    [InlineData("base", "soft")]
    [InlineData("pest", "scale")]
    public void A_danger_is_asked_until_it_is_answered(string kind, string text)
    {
        var sign = At(Repotted, EntryKinds.All.Single(one => one.Name == kind), text: text);
        var treated = At(Repotted.AddDays(1), EntryKinds.Treated, text: "by the label");
        var plant = Lycaste(sign, treated) with { Taxon = "Hoya carnosa" };
        for (var day = 10; day < 60; day++)
            Assert.Contains(Assess(plant, Repotted.AddDays(day)).Advice, a => a is { Topic: Topics.Health, Asks: true });
    }

    /// <summary>Half a year without a word: dangers apart, nothing is asked on more than four days of any thirty.</summary>
    [Theory]
    [InlineData("Hoya carnosa")]
    [InlineData("Cattleya intermedia")]
    [InlineData("Phalaenopsis amabilis")]
    [InlineData("Alocasia zebrina")]
    [InlineData("Saintpaulia ionantha")]
    [InlineData("Drosera capensis")]
    [InlineData("Catasetum pileatum")]
    [InlineData("Euphorbia milii")]
    [InlineData("Caladium bicolor")]
    public void Nothing_unanswered_is_asked_on_more_than_four_days_within_a_month(string taxon)
    {
        var plant = Lycaste(
            At(Repotted.AddDays(-20), EntryKinds.GrowthStarted),
            At(Repotted, EntryKinds.Watered, new Quantity(200, Unit.Ml)),
            At(Repotted, EntryKinds.Repotted)
        ) with
        {
            Taxon = taxon,
        };
        var asked = new Dictionary<(string, string, DateOnly?), List<int>>();
        for (var day = 0; day < 180; day++)
            foreach (var advice in Assess(plant, Repotted.AddDays(day)).Advice.Where(a => a is { Verdict: Verdict.Look, Urgent: false }))
                (
                    asked.TryGetValue((advice.Rule, advice.Care.ToString(), advice.Since), out var days)
                        ? days
                        : asked[(advice.Rule, advice.Care.ToString(), advice.Since)] = []
                ).Add(day);
        Assert.All(asked, pair => Assert.True(Most(pair.Value) <= 4, $"{taxon} {pair.Key}: {string.Join(" ", pair.Value)}"));
    }

    static int Most(List<int> days) => days.Max(first => days.Count(day => day >= first && day < first + 30));
}
