using BudClock.Core.Advising;
using BudClock.Core.Tests.Situations;
using BudClock.Core.Years;

namespace BudClock.Core.Tests.Years;

public class PestFlowTests
{
    static Assessment Plant(string tag, string log)
    {
        var read = Situated
            .Read($"x | Hoya carnosa; bark; indoors; nights 17; came 2024-06-01 | 2031-07-20 | {log} | never do feed | -")
            .Assess();
        return read with { Plant = read.Plant with { Tag = tag } };
    }

    [Fact]
    public void An_open_case_names_who_stands_there_too_and_what_is_next()
    {
        var ill = Plant("HOY-01", "07-10 pest scale, 07-11 treated soap");
        var flow = Assert.Single(PestFlow.Open([ill, Plant("HOY-02", "07-01 watered"), Plant("HOY-03", "07-19 died")]));
        Assert.Equal(("HOY-01", "scale", 0), (flow.Plant.Plant.Tag, flow.Case.Words, flow.Case.ClearLooks));
        Assert.Equal(["HOY-02"], flow.Beside.Select(other => other.Plant.Tag)); // what died stands nowhere
        Assert.Equal(Verdict.Look, flow.Next!.Verdict); // nine days after the treatment
    }

    [Theory]
    [InlineData("07-01 pest scale, 07-02 treated soap, 07-10 pest none, 07-18 pest none")] // all clear
    [InlineData("07-01 watered")]
    public void What_is_over_or_never_was_is_no_case(string log) => Assert.Empty(PestFlow.Open([Plant("HOY-01", log)]));

    [Fact]
    public void What_worked_is_counted_by_cases_and_what_came_back_is_told()
    {
        var cleared = Plant("HOY-01", "05-01 pest scale, 05-03 treated soap, 05-12 pest none, 05-21 pest none");
        var back = Plant("HOY-02", "05-01 pest scale, 05-02 treated soap, 05-10 pest none, 05-31 pest none, 07-10 pest scale");
        var open = Plant("HOY-03", "07-10 pest scale, 07-11 treated oil");
        var never = Plant("HOY-04", "05-01 pest scale, 05-12 pest none, 05-21 pest none"); // nothing was used
        var worked = Worked.Read([cleared, back, open, never]);
        Assert.Equal([new("soap", 2, 1, 0, 25), new("oil", 0, 0, 1, null)], worked);
    }
}
