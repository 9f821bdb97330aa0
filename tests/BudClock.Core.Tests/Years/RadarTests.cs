using BudClock.Core.Advising;
using BudClock.Core.Tests.Situations;
using BudClock.Core.Years;
using MathNet.Numerics;

namespace BudClock.Core.Tests.Years;

public class RadarTests
{
    static readonly DateOnly Today = new(2031, 7, 20);

    static Assessment Plant(int number, string medium, string log)
    {
        var read = Situated
            .Read($"x | Hoya carnosa; {medium}; indoors; nights 17; came 2024-06-01 | 2031-07-20 | {log} | never do feed | -")
            .Assess();
        return read with { Plant = read.Plant with { Tag = $"HOY-{number:00}" } };
    }

    /// <summary>Twelve in bark and twelve in coir; those numbered have lost their roots.</summary>
    static List<Assessment> Garden(params int[] lost) =>
        [
            .. Enumerable
                .Range(0, 24)
                .Select(n => Plant(n, n < 12 ? "bark" : "coir", lost.Contains(n) ? "06-20 watered, 07-05 roots lost" : "06-20 watered")),
        ];

    [Fact]
    public void What_the_troubled_share_and_others_do_not_is_found()
    {
        var echo = Assert.Single(Radar.Read(Garden(0, 1, 2, 3, 4, 5, 6), Today));
        Assert.Equal(("roots lost", "medium: bark", 12, 7, 24), (echo.Trouble, echo.Shares, echo.Sharing, echo.AllTroubled, echo.Plants));
        Assert.Equal(7, echo.Troubled.Count);
        Assert.InRange(echo.Chance, 0.001, 0.02); // 792 of 346,104 ways for bark, and as many for coir: 0.5 %
    }

    [Theory]
    [InlineData()] // no trouble
    [InlineData(0, 1)] // too few
    [InlineData(0, 1, 2, 14)] // three of four is chance
    [InlineData(0, 1, 2, 3, 13, 14, 15, 16)] // evenly
    public void Below_enough_evidence_it_is_silent(params int[] lost) => Assert.Empty(Radar.Read(Garden(lost), Today));

    [Fact]
    public void What_was_long_ago_is_no_trouble_of_today() =>
        Assert.Empty(Radar.Read(Garden(0, 1, 2, 3, 4, 5, 6), Today.AddDays(Radar.LastDays)));

    /// <summary>Fisher's tea (The Design of Experiments, 1935): all four cups by chance 1 in 70; three or more 17 in 70.</summary>
    [Theory]
    [InlineData(8, 4, 4, 4, 1.0 / 70)]
    [InlineData(8, 4, 4, 3, 17.0 / 70)]
    [InlineData(8, 4, 4, 0, 1)]
    public void The_exact_test_is_that_of_the_tea(int all, int marked, int drawn, int hit, double chance) =>
        Assert.Equal(chance, Radar.AtLeast(all, marked, drawn, hit), 12);

    /// <summary>Summed by binomial coefficients of MathNet.Numerics, as the definition of the hypergeometric distribution has it.</summary>
    [Fact]
    public void And_that_of_the_binomial_coefficients()
    {
        foreach (var (all, marked, drawn) in new[] { (24, 12, 7), (40, 9, 13), (60, 30, 5) })
            for (var hit = 1; hit <= Math.Min(marked, drawn); hit++)
            {
                var ways = Enumerable
                    .Range(hit, Math.Min(marked, drawn) - hit + 1)
                    .Where(k => drawn - k <= all - marked)
                    .Sum(k => SpecialFunctions.Binomial(marked, k) * SpecialFunctions.Binomial(all - marked, drawn - k));
                Assert.Equal(ways / SpecialFunctions.Binomial(all, drawn), Radar.AtLeast(all, marked, drawn, hit), 9);
            }
    }

    /// <summary>Troubles dealt at random: what it calls rarer than one in twenty is seldom found.</summary>
    [Fact]
    public void Chance_alone_is_seldom_told()
    {
        var random = new Random(7);
        var found = Enumerable
            .Range(0, 60)
            .Count(_ => Radar.Read(Garden([.. Enumerable.Range(0, 24).Where(_ => random.Next(4) == 0)]), Today).Count > 0);
        Assert.True(found <= 9, $"{found} of 60"); // three are expected; ten or more have a chance of 1 in 3,000 at one in twenty
    }
}
