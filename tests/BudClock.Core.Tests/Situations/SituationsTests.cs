using BudClock.Core.Advising;
using BudClock.Core.Formats;

namespace BudClock.Core.Tests.Situations;

/// <summary>Logs with the verdict that a good grower would sign (situations.txt; anyone may add a line).</summary>
public class SituationsTests
{
    static readonly IReadOnlyList<Situated> All =
    [
        .. new[] { "situations.txt", "weather.txt", "programmes.txt", "half-written.txt", "smaller.txt", "repot.txt" }
            .SelectMany(file => File.ReadAllLines(Path.Combine(AppContext.BaseDirectory, "Situations", file)))
            .Where(line => line.Length > 0 && line[0] != '#')
            .Select(Situated.Read),
    ];

    public static TheoryData<string> Names => [.. All.Select(situation => situation.Name)];

    [Theory]
    [MemberData(nameof(Names))]
    public void As_a_good_grower_would_sign(string name)
    {
        var situation = All.Single(s => s.Name == name);
        var said = situation.Assess();
        var wrong = situation.Verdicts.Where(verdict => !verdict.Holds(said)).Select(verdict => verdict.Text).ToList();
        Assert.True(
            wrong.Count == 0,
            $"{name}: not \"{string.Join("; ", wrong)}\" ({situation.Why})\n{said.Phase.Phase.Name()}\n"
                + string.Join("\n", said.Settled.Select(a => $"{a.Verdict} {a.Topic} {a.Care.Facts().Name} {a.Rule}: {a.Reason}"))
        );
        Assert.Contains("\"advice\"", AdviceJson.Write(said));
    }

    [Fact]
    public void There_are_many_and_each_has_its_own_name() =>
        Assert.True(All.Count >= 150 && All.DistinctBy(s => s.Name).Count() == All.Count, $"{All.Count}");
}
