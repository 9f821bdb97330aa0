using BudClock.Core.Advising;
using BudClock.Core.Advising.Waking;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>Rule W2: both schools on the same journal.</summary>
public class FirstWaterAdviserTests
{
    static readonly Choices Sip = Choices.None.With(FirstWater.Question, FirstWater.Sip);

    [Fact]
    public void Each_school_names_itself_and_what_the_other_would_do()
    {
        var soak = Assess(WithRoots(11)).Rule("W1")!;
        var sip = Assess(WithRoots(11) with { Schools = Sip }).Rule("W1")!;
        Assert.Equal(("soak", "sip"), (soak.School, soak.Others.Single().Name));
        Assert.Equal(("sip", "soak"), (sip.School, sip.Others.Single().Name));
        Assert.EndsWith("first sip today, with the first light feed in it.", sip.Reason);
    }

    [Theory]
    [InlineData(6, Verdict.Hold)]
    [InlineData(7, Verdict.Look)] // common practice: full amounts after 7 to 14 days
    [InlineData(14, Verdict.Look)]
    public void After_a_sip_the_full_amount_waits_a_week(int days, Verdict expected) =>
        Assert.Equal(expected, Watered(Sip, days).Rule("W2")!.Verdict);

    [Fact]
    public void The_soak_school_has_nothing_to_follow_up_on_the_same_journal() => Assert.Null(Watered(Choices.None, 8).Rule("W2"));

    [Fact]
    public void A_second_watering_ends_the_sip() =>
        Assert.Null(
            Assess(WithRoots(11, At(Today.AddDays(-8), EntryKinds.Watered), At(Today, EntryKinds.Soaked)) with { Schools = Sip }).Rule("W2")
        );

    [Fact]
    public void A_pot_with_a_reservoir_can_only_be_soaked()
    {
        var advice = Assess(WithRoots(11) with { Schools = Sip, Pot = new(10, 10, Pot.Reservoir) }).Rule("W1")!;
        Assert.Equal("soak", advice.School);
        Assert.EndsWith("A pot with a reservoir can only be soaked.", advice.Reason);
        Assert.Empty(advice.Others);
    }

    static Assessment Watered(Choices schools, int daysAgo) =>
        Assess(Waking(Roots(Today.AddDays(-15), 11), At(Today.AddDays(-daysAgo), EntryKinds.Watered)) with { Schools = schools });
}
