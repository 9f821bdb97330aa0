using BudClock.Core.Notes;

namespace BudClock.Core.Tests.Notes;

/// <summary>Whom a line is about, however it is named.</summary>
public class SubjectsTests
{
    static ReadNote Read(string line) => NoteReader.Read(line, DemoGarden.Context with { Books = _ => null, Sheets = _ => null });

    [Theory]
    [InlineData("lyc-01 dry", "LYC-01")]
    [InlineData("LYC01 dry", "LYC-01")]
    [InlineData("lyc1 dry", "LYC-01")]
    [InlineData("lyc 1 dry", "LYC-01")]
    [InlineData("l y c 1 dry", "LYC-01")]
    [InlineData("l y c one dry", "LYC-01")]
    [InlineData("lick one dry", "LYC-01")]
    [InlineData("dry lyc-01", "LYC-01")]
    [InlineData("lyc-01: dry", "LYC-01")]
    [InlineData("lyc-01/04 dry", "LYC-01, LYC-04")]
    [InlineData("lyc-01, 04 dry", "LYC-01, LYC-04")]
    [InlineData("lyc-01 and 04 dry", "LYC-01, LYC-04")]
    [InlineData("lyc-01 + cal-02 & cal-06 dry", "LYC-01, CAL-02, CAL-06")]
    [InlineData("the yellow lycaste dry", "LYC-01")]
    [InlineData("Lycaste, yellow: dry", "LYC-01")]
    [InlineData("rose lycaste is dry", "LYC-04")]
    [InlineData("lycaste skinneri dry", "LYC-04")]
    [InlineData("goblin orchid dry", "MOR-01")]
    [InlineData("dancing lady dry", "ONC-02")]
    [InlineData("the clivia is dry", "CLI-01")]
    [InlineData("kaffir lily dry", "CLI-01")]
    [InlineData("amaryllis dry", "HIP-02")]
    [InlineData("string of hearts dry", "CER-01")]
    [InlineData("hoyas dry", "HOY-02, HOY-03")]
    [InlineData("all hoyas dry", "HOY-02, HOY-03")]
    [InlineData("the african violets are dry", "SAI-03, SAI-04")]
    [InlineData("both lycastes dry", "LYC-01, LYC-04")]
    [InlineData("cold frame: dry", "LYC-04, MIL-01, NER-03, ZAN-01")]
    [InlineData("watered everything in the cold frame", "LYC-04, MIL-01, NER-03, ZAN-01")]
    [InlineData("all plants on the cold frame watered", "LYC-04, MIL-01, NER-03, ZAN-01")]
    public void A_plant_is_found_by_whatever_it_is_called(string line, string tags)
    {
        var note = Read(line);
        Assert.True(note.Complete, string.Join(" ", note.Unread.Select(u => u.Why)));
        Assert.Equal(
            tags,
            string.Join(", ", note.Tags.Order(StringComparer.Ordinal).OrderBy(tag => tags.IndexOf(tag, StringComparison.Ordinal)))
        );
    }

    [Theory]
    [InlineData("the lycaste dry", "LYC-01; LYC-04; all 2")]
    [InlineData("the african violet dry", "SAI-03; SAI-04; all 2")]
    public void One_of_several_is_asked_for(string line, string answers)
    {
        var question = Read(line).Questions.Single();
        Assert.Equal(answers, string.Join("; ", question.Answers.Select(answer => answer.Words)));
        Assert.All(question.Answers, answer => Assert.True(Read(answer.Text).Complete, answer.Text));
    }

    [Theory]
    [InlineData("lyc-99 dry")] // another number is another plant
    [InlineData("lick nine dry")]
    [InlineData("zzz-01 dry")]
    [InlineData("my roses are dry")]
    [InlineData("bark dry")]
    [InlineData("vine 30 cm")] // a wax vine has one, but that is not what was said
    [InlineData("yellow leaf")]
    public void Nothing_is_taken_for_a_plant_that_is_none(string line)
    {
        var note = Read(line);
        Assert.False(note.Complete);
        Assert.Empty(note.Tags);
    }

    [Fact]
    public void What_died_is_no_part_of_its_genus_but_answers_to_its_tag()
    {
        Assert.False(Read("masdevallias dry").Complete);
        Assert.Equal("MAS-01", Read("mas-01 note it was the heat").Tag);
    }

    [Theory]
    [InlineData("watered lyc-04 and cal-02; cat-01 dry", "LYC-04+CAL-02 watered; CAT-01 medium")]
    [InlineData("watered lyc-04; cal-02 dry", "LYC-04 watered; CAL-02 medium")]
    [InlineData("watered lyc-04. cal-02 dry", "LYC-04 watered; CAL-02 medium")]
    [InlineData("lyc-04 watered, cal-02 dry", "LYC-04 watered; CAL-02 medium")]
    [InlineData("lyc-04 watered; cal-02, cal-06 dry", "LYC-04 watered; CAL-02+CAL-06 medium")]
    [InlineData("watered lyc-04, fed cal-02", "LYC-04 watered; CAL-02 fed")]
    [InlineData("watered lyc-04 and cal-02 200 ml yesterday", "LYC-04+CAL-02 watered")]
    public void What_is_said_of_one_is_not_said_of_the_next(string line, string said)
    {
        var note = Read(line);
        Assert.True(note.Complete, string.Join(" ", note.Unread.Select(u => u.Why)));
        Assert.Equal(
            said,
            string.Join("; ", note.Groups.Select(g => $"{string.Join('+', g.Tags)} {string.Join(", ", g.Entries.Select(e => e.Kind))}"))
        );
    }

    [Theory]
    [InlineData("watered lyc-04, cal-02 dry")]
    [InlineData("watered lyc-04 and cal-02 bulbs plump")]
    public void Where_nobody_can_tell_which_plant_is_which_nothing_is_logged(string line) => Assert.False(Read(line).Complete);

    [Fact]
    public void What_was_heard_for_a_tag_is_said() => Assert.Equal([new Taken("lick one", "LYC-01")], Read("lick one dry").Taken);

    [Fact]
    public void A_tag_of_before_is_still_known()
    {
        var index = new SubjectIndex([new("LYC-01")], former: new Dictionary<string, string> { ["OLD-7"] = "LYC-01" });
        Assert.Equal("LYC-01", NoteReader.Read("old-7 dry", new(index, Specimens.Today)).Tag);
    }

    [Fact]
    public void Tags_that_differ_by_their_zeros_alone_are_told_apart()
    {
        var context = new NoteContext(["A-1", "A-01"], Specimens.Today);
        Assert.Equal("A-01", NoteReader.Read("a-01 dry", context).Tag);
        Assert.Equal("A-1", NoteReader.Read("a-1 dry", context).Tag);
        Assert.Null(NoteReader.Read("a 1 dry", context).Tag); // which of the two?
    }

    [Fact]
    public void A_plant_named_in_a_note_or_in_quotes_is_no_subject()
    {
        Assert.Equal(["CAT-01"], Read("cat-01 note lyc-01 stood here before").Tags);
        Assert.Equal(["CAT-01"], Read("cat-01 treated \"like lyc-01\"").Tags);
    }
}
