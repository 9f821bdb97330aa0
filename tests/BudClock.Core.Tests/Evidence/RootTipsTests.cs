using BudClock.Core.Evidence;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Evidence;

/// <summary>Rule R1: length + rate × days, worked by hand.</summary>
public class RootTipsTests
{
    [Fact]
    public void Two_cm_and_a_quarter_a_day_are_four_and_a_half_in_ten_days_give_or_take()
    {
        var tips = new RootTips(new(Today, 2), 0.25, 0.4);
        Assert.Equal((2, 4.5), (tips.At(Today.AddDays(-3)), tips.At(Today.AddDays(10))));
        Assert.Equal((3.5, 5.5), tips.Between(Today.AddDays(10)));
        Assert.Equal(Today.AddDays(24), tips.Reach(8));
    }

    [Fact]
    public void Their_own_rate_stands_over_the_usual_one_and_a_flush_that_nobody_measured_began_at_nothing()
    {
        static RootTips? Of(params Entry[] log) => RootTips.Read(Assess(Lycaste(log) with { Taxon = "Cattleya labiata" }).Situation);
        Entry Roots(int back, double cm) => At(Today.AddDays(-back), EntryKinds.RootLength, Cm(cm));
        var own = Of(Roots(10, 1), Roots(0, 4))!;
        Assert.Equal((4, 0.3, 0.25), (own.Last.Cm, Math.Round(own.RateCm, 6), own.Spread));
        var usual = Of(At(Today.AddDays(-7), EntryKinds.RootsStarted))!;
        Assert.Equal((0, 1.5, 0.4), (usual.Last.Cm, Math.Round(usual.At(Today), 6), usual.Spread));
        Assert.Null(Of(Roots(10, 1), At(Today.AddDays(-2), EntryKinds.RootsLost)));
    }
}
