using BudClock.Core.Advising;
using BudClock.Core.Mixing;
using BudClock.Web.Drawing;

namespace BudClock.Web.Tests.Drawing;

/// <summary>Measured against meant, as numbers a test can read.</summary>
public class BatchHistoryTests
{
    static Batch Batch(int day, double meant, double? measured) =>
        new($"G{day}", new(2031, 5, day), "growth", "Growth", 1, "", meant) { MeasuredPpm = measured };

    [Fact]
    public void A_dot_lies_on_the_line_when_it_is_as_meant_and_far_when_it_is_a_quarter_off()
    {
        var history = BatchHistory.Of([Batch(1, 200, 200), Batch(2, 200, null), Batch(3, 200, 280), Batch(4, 200, 151)])!;
        Assert.Equal(["G1 False", "G3 True", "G4 False"], history.Points.Select(dot => $"{dot.Batch.Code} {dot.Far}"));
        Assert.Equal(history.Meant, history.Points[0].Y);
        Assert.True(history.Points[1].Y < history.Top); // above the upper line: y runs downwards
        Assert.InRange(history.Points[2].Y, history.Meant, history.Bottom);
        Assert.Equal(history.Points.Select(dot => dot.X).Order(), history.Points.Select(dot => dot.X)); // oldest first
    }

    [Fact]
    public void Wild_figures_stay_inside_the_drawing() =>
        Assert.All(BatchHistory.Of([Batch(1, 100, 5000), Batch(2, 100, 0)])!.Points, dot => Assert.InRange(dot.Y, 0, BatchHistory.Height));

    [Fact]
    public void One_measurement_is_no_history() => Assert.Null(BatchHistory.Of([Batch(1, 200, 210), Batch(2, 200, null)]));

    [Fact]
    public void Only_the_last_are_drawn() =>
        Assert.Equal(24, BatchHistory.Of([.. Enumerable.Range(1, 30).Select(day => Batch(day, 200, 200))])!.Points.Count);
}
