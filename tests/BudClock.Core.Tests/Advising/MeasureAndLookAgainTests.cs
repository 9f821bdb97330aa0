using BudClock.Core.Advising;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Advising;

/// <summary>Rules K3 and K4: measuring while the gate waits, and looking again after the first water.</summary>
public class MeasureAndLookAgainTests
{
    static readonly DateOnly Soaked = new(2031, 5, 20);

    [Theory]
    [InlineData(6, Verdict.Hold)]
    [InlineData(7, Verdict.Look)] // rule K3: every 7 days
    public void Roots_are_measured_every_seven_days(int daysAgo, Verdict expected)
    {
        var measure = Assess(Waking(Roots(Today.AddDays(-daysAgo), 4))).Rule("K3")!;
        Assert.Equal((expected, Today.AddDays(7 - daysAgo)), (measure.Verdict, measure.Due));
    }

    [Fact]
    public void Looking_and_finding_none_counts_as_a_look()
    {
        var measure = Assess(Waking(Roots(Today.AddDays(-2), 0))).Rule("K3")!;
        Assert.Equal(Verdict.Hold, measure.Verdict);
        Assert.Equal(Verdict.Hold, Assess(Waking(Roots(Today.AddDays(-2), 0))).Rule("W1")!.Verdict);
    }

    [Fact]
    public void Roots_that_are_long_enough_need_no_measuring() => Assert.Null(Assess(WithRoots(10)).Rule("K3"));

    [Theory]
    [InlineData("2031-05-22", Verdict.Hold)]
    [InlineData("2031-05-23", Verdict.Look)] // rule K4: three to five days after water
    [InlineData("2031-05-27", Verdict.Look)]
    public void The_second_look_comes_three_to_five_days_after_the_soak(string on, Verdict expected)
    {
        var look = Assess(AfterSoak(), DateOnly.ParseExact(on, "yyyy-MM-dd", null)).Rule("K4")!;
        Assert.Equal((expected, new DateOnly(2031, 5, 23), new DateOnly(2031, 5, 25)), (look.Verdict, look.Due, look.Until));
    }

    [Fact]
    public void The_state_before_stands_beside_the_question()
    {
        var look = Assess(AfterSoak()).Rule("K4")!;
        Assert.Equal("wrinkled", look.Conditions.Single(c => c.Name == "bulbs before 20 May").Have!.Value.Word);
        Assert.EndsWith("have the bulbs filled? Before: wrinkled.", look.Reason);
    }

    [Fact]
    public void Filled_bulbs_end_it() => Assert.Null(Assess(AfterSoak(Bulbs(Today, "plump"))).Rule("K4"));

    [Fact]
    public void Bulbs_that_did_not_fill_send_one_to_the_roots()
    {
        var look = Assess(AfterSoak(Bulbs(Today, "wrinkled"))).Rule("K4")!;
        Assert.Equal("Bulbs still wrinkled 4 days after the first water: look at the roots.", look.Reason);
        Assert.Null(Assess(AfterSoak(Bulbs(Today, "wrinkled"), Roots(Today, 12))).Rule("K4"));
    }

    [Fact]
    public void A_look_the_day_after_the_soak_is_too_early_to_answer() =>
        Assert.Equal(Verdict.Look, Assess(AfterSoak(Bulbs(Soaked.AddDays(1), "wrinkled"))).Rule("K4")!.Verdict);

    static Plant AfterSoak(params Entry[] later) =>
        Waking([Roots(Soaked.AddDays(-2), 10.6), Bulbs(Soaked.AddDays(-2), "wrinkled"), At(Soaked, EntryKinds.Soaked), .. later]);
}
