using BudClock.Core.Advising;
using BudClock.Core.Measuring;

namespace BudClock.Core.Tests.Measuring;

public class RobustLineTests
{
    // Reference/theil-sen.csv, by scipy.stats.theilslopes with an 80 % range.
    [Fact]
    public void Slope_and_range_agree_with_an_independent_computation()
    {
        foreach (var row in Reference.Rows("theil-sen.csv"))
        {
            var line = RobustLine.Fit([.. Numbers(row[0]).Zip(Numbers(row[1]))])!;
            Assert.Equal(Reference.Number(row[2]), line.Slope, 8);
            Assert.Equal(Reference.Number(row[3]), line.Intercept, 8);
            Assert.Equal(Reference.Number(row[4]), line.Low, 8);
            Assert.Equal(Reference.Number(row[5]), line.High, 8);
        }
    }

    [Fact]
    public void One_wild_point_does_not_move_the_slope() // Theil 1950
    {
        var straight = Enumerable.Range(0, 9).Select(x => ((double)x, 0.5 * x)).ToArray();
        (double, double)[] wild = [.. straight];
        wild[4] = (4, 40);
        Assert.Equal(0.5, RobustLine.Fit(wild)!.Slope, 9);
    }

    [Fact]
    public void Two_points_make_no_line() => Assert.Null(RobustLine.Fit([(0, 1), (7, 3)]));

    [Fact]
    public void Points_of_one_day_make_no_line() => Assert.Null(RobustLine.Fit([(3, 1), (3, 2), (3, 3)]));

    static IEnumerable<double> Numbers(string text) => text.Split(' ').Select(Reference.Number);
}
