using BudClock.Core.Advising.Why;

namespace BudClock.Core.Tests.Situations;

/// <summary>Journals with a known cause, decided before the causes were run on them.</summary>
public class CausesTests
{
    public static TheoryData<string> Names => [.. Lines().Select(line => line.Split(" | ")[0])];

    static IEnumerable<string> Lines() =>
        File.ReadLines(Path.Combine(Reference.Repository(), "tests/BudClock.Core.Tests/Situations/causes.txt"))
            .Where(line => line.Length > 0 && line[0] != '#');

    [Theory]
    [MemberData(nameof(Names))]
    public void The_hearing_finds_what_a_grower_would(string name)
    {
        var parts = Lines().Single(line => line.StartsWith($"{name} | ", StringComparison.Ordinal)).Split(" | ");
        var (question, wanted) = (parts[4].Split(": ")[0], parts[4].Split(": ")[1]);
        parts[4] = "never do feed";
        var now = Situated.Read(string.Join(" | ", parts)).Assess().Situation;
        Assert.Equal(wanted, Found(Hearing.Of(now, Hearing.Named(question)!)));
    }

    static string Found(Hearing? hearing) =>
        hearing is null ? "unraised"
        : hearing.First is [] ? (hearing.Matter.Normal is null ? "unknown" : "normal")
        : hearing.First is [var one] ? $"first {one.Cause.Name}"
        : $"mixed {string.Join(" & ", hearing.First.Select(heard => heard.Cause.Name))}";

    /// <summary>No cause cites an entry that is not in the journal, or another day than it was of.</summary>
    [Fact]
    public void What_is_cited_is_in_the_journal_and_weighs_no_more_than_it_says()
    {
        var cited = 0;
        foreach (var line in Lines())
        {
            var parts = line.Split(" | ");
            parts[4] = "never do feed";
            var plant = Situated.Read(string.Join(" | ", parts)).Assess();
            foreach (var heard in Hearing.Raised(plant.Situation).SelectMany(hearing => hearing.Causes))
            {
                foreach (var claim in heard.For.Concat(heard.Against).Where(claim => claim.Entry is not null))
                {
                    Assert.Contains(plant.Plant.Entries, entry => entry.Id == claim.Entry && entry.On == claim.On);
                    cited++;
                }
                Assert.InRange(heard.Weight, 0, heard.For.Count == 0 ? 0 : (double)heard.For.Max(claim => claim.Strength) + 0.5);
            }
        }
        Assert.True(cited > 60, $"{cited} claims rest on entries");
    }

    [Fact]
    public void Every_question_may_be_answered_by_three_causes_or_more_but_those_that_name_one_thing()
    {
        string[] few = ["bald-top", "scorched"];
        foreach (var question in Hearing.AllQuestions.Where(question => !few.Contains(question.Code)))
            Assert.True(Hearing.AllCauses.Count(cause => cause.MayAnswer(question)) >= 3, question.Code);
    }
}
