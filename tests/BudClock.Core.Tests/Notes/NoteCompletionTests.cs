using BudClock.Core.Notes;

namespace BudClock.Core.Tests.Notes;

public class NoteCompletionTests
{
    static readonly NoteContext Context = DemoGarden.Context with { Likely = _ => ["roots ", "bulbs plump ", "soaked "] };

    static string Of(string line) => string.Join("|", NoteCompletion.Of(line, Context).Select(completion => completion.Line));

    [Theory]
    [InlineData("lyc", "LYC-01 ")]
    [InlineData("LYC-0", "LYC-04 ")]
    [InlineData("lycas", "LYC-01 ")]
    [InlineData("gobl", "MOR-01 ")]
    [InlineData("south", "South bench: ")]
    [InlineData("water", "watered ")]
    [InlineData("lyc-01 ", "lyc-01 bulbs plump ")]
    [InlineData("lyc-01 sp", "lyc-01 spike ")]
    [InlineData("lyc-01 soa", "lyc-01 soaked ")]
    [InlineData("lyc-01 roots 11 cm, bul", "lyc-01 roots 11 cm, bulbs plump ")]
    [InlineData("lyc-01 fed gro", "lyc-01 fed Growth mix ")]
    [InlineData("lyc-01 fed #G31", "lyc-01 fed #G310520 ")]
    [InlineData("lyc-01 wrinkeld", "lyc-01 wrinkled ")]
    public void The_line_can_go_on(string line, string completed) => Assert.Contains(completed, Of(line).Split('|'));

    [Theory]
    [InlineData("")]
    [InlineData("zzzz")]
    [InlineData("lyc-01 roots 11 cm ")]
    [InlineData("lyc-01 xyzzyx")]
    public void Where_nothing_fits_nothing_is_offered(string line) => Assert.Equal("", Of(line));

    [Fact]
    public void What_is_offered_begins_as_it_was_typed_and_never_loses_a_word()
    {
        string[] lines = ["lyc", "cal-0", "lyc-01 ro", "cat-01 watered 300 ml fr", "hoy-02 dry, wat", "the cl", "onc-02 spike 30 cm, re"];
        foreach (var line in lines)
            Assert.All(NoteCompletion.Of(line, Context), completion =>
                Assert.StartsWith(string.Join(' ', line.Split(' ')[..^1]), completion.Line)
            );
    }

    [Fact]
    public void Names_that_only_files_use_are_not_offered() =>
        Assert.DoesNotContain(NoteCompletion.Of("lyc-01 spi", Context), completion => completion.Words.Contains("spike-"));

    [Fact]
    public void At_most_six_are_offered_and_none_twice()
    {
        foreach (var line in (string[])["c", "lyc-01 s", "lyc-01 r", "lyc-01 l"])
        {
            var offered = NoteCompletion.Of(line, Context).Select(completion => completion.Line.Trim()).ToList();
            Assert.InRange(offered.Count, 0, 6);
            Assert.Equal(offered.Distinct(), offered);
        }
    }
}
