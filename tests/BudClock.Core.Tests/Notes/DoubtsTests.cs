using BudClock.Core.Culture;
using BudClock.Core.Notes;

namespace BudClock.Core.Tests.Notes;

/// <summary>What the line asks once before it writes, and that each answer is then written.</summary>
public class DoubtsTests
{
    static ReadNote Read(string line) => NoteReader.Read(line, DemoGarden.Context);

    [Theory]
    [InlineData("sai-04 died", "Is SAI-04 dead, or does it rest?")]
    [InlineData("sai-04 dead", "Is SAI-04 dead, or does it rest?")]
    [InlineData("sai-04 binned", "Is SAI-04 dead, or does it rest?")]
    [InlineData("sai-04 given away to a neighbour", "Does SAI-04 leave the garden?")]
    [InlineData("cld-01 died back", "How far has it gone?")]
    [InlineData("zan-01 going dormant", "How far has it gone?")]
    [InlineData("str-07 stem snapped", "Which stem was it?")]
    [InlineData("cyc-01 roots 3", "A length, or how many?")]
    [InlineData("cat-01 run-off 0.7 mS", "Which scale does the meter show?")]
    [InlineData("mil-01 buds blasted", "How many?")]
    [InlineData("cat-01 300 ml", "What is 300 ml?")]
    [InlineData("sch-01 6 oz", "What is 6 oz?")]
    [InlineData("cat-01 9 cm", "What is 9 cm?")]
    [InlineData("lyc-01 roots 110 cm", "110 cm is long for a pot of 11 cm. Is it meant so?")]
    [InlineData("lyc-01 roots 1.1 cm", "It was 11 cm on 20 May. Is 1.1 cm meant so?")]
    [InlineData("lyc-01 roots 4 cm", "It was 11 cm on 20 May. Is 4 cm another part, or meant so?")]
    [InlineData("cat-01 watered 90 L", "90 L is much for this pot. Is it meant so?")]
    [InlineData("cat-01 watered 0.3 ml", "0.3 mL is very little. Is it meant so?")]
    [InlineData("pha-01 tuber soft", "Monopodial orchids, in bark or moss have no tuber as a rule. Is it meant so?")]
    public void It_asks(string line, string question)
    {
        var note = Read(line);
        Assert.False(note.Complete);
        if (!question.StartsWith("Monopodial", StringComparison.Ordinal))
            Assert.Equal(question, note.Questions[0].Ask);
        else
            Assert.EndsWith("have no tuber as a rule. Is it meant so?", note.Questions[0].Ask);
        Assert.NotEmpty(note.Questions[0].Answers);
    }

    /// <summary>Whatever is asked, an answer leads on: it is written, or asks the next thing, and never the same again.</summary>
    [Fact]
    public void Every_answer_leads_on()
    {
        string[] lines =
        [
            "sai-04 died",
            "sai-04 given away to a neighbour",
            "cld-01 died back",
            "str-07 stem snapped",
            "cyc-01 roots 3",
            "cat-01 run-off 0.7 mS",
            "onc-02 0.7 mS",
            "mil-01 buds blasted",
            "cat-01 300 ml",
            "sch-01 6 oz",
            "lyc-01 roots 110 cm",
            "lyc-01 roots 1.2 cm",
            "cat-01 watered 90 L",
            "cat-01 watered 1/2",
            "pha-01 tuber soft",
            "sai-03 bulbs shrivelled",
            "onc-02 spike 33 cm",
            "cld-01 tubers firm",
            "the lycaste soaked",
            "lcy-01 watered",
        ];
        foreach (var line in lines)
        {
            var asked = Read(line);
            Assert.NotEmpty(asked.Questions);
            foreach (var answer in asked.Questions[0].Answers)
            {
                var next = Read(answer.Text);
                Assert.True(next.Unread.Count == 0, $"{line} → {answer.Text}: {string.Join(" ", next.Unread.Select(u => u.Why))}");
                Assert.DoesNotContain(next.Questions, question =>
                    question.Ask == asked.Questions[0].Ask && question.Entry == asked.Questions[0].Entry
                );
            }
        }
    }

    [Theory]
    [InlineData("sai-04 died!", "died")]
    [InlineData("lyc-01 roots 110 cm!", "root-length")]
    [InlineData("cat-01 watered 90 L!", "watered")]
    [InlineData("pha-01 tuber soft!", "tuber")]
    public void A_mark_says_that_it_is_meant(string line, string kind)
    {
        var note = Read(line);
        Assert.True(note.Complete, string.Join(" ", note.Questions.Select(q => q.Ask)));
        Assert.Equal(kind, note.Entries.Single().Kind.Name);
    }

    [Theory]
    [InlineData("lyc-01 roots 12 cm")]
    [InlineData("lyc-01 roots 11 cm")]
    [InlineData("cyc-01 growth 12 cm")]
    [InlineData("cat-01 watered 500 ml")]
    [InlineData("alo-01 watered 4 L")]
    [InlineData("pin-01 watered 5 ml")]
    [InlineData("sai-04 leaf span 14 cm")]
    [InlineData("ctm-03 roots 1 cm")] // the last look found none
    public void What_is_likely_is_not_asked(string line) =>
        Assert.True(Read(line).Complete, string.Join(" ", Read(line).Questions.Select(q => q.Ask)));

    /// <summary>A sheet that tells the grower to look for something must allow it to be written.</summary>
    [Fact]
    public void Every_sign_of_a_sheet_is_possible_on_it()
    {
        foreach (var sheet in CultureSheets.Shipped.All)
        {
            var possible = PossibleKinds.Of(sheet);
            Assert.All(sheet.Signs, sign => Assert.True(possible.Contains(sign.Kind), $"{sheet.Name}: {sign.Kind}"));
        }
    }

    /// <summary>What stands in the demo garden's log was possible for its plant.</summary>
    [Fact]
    public void Every_entry_of_the_demo_is_possible_for_its_plant()
    {
        foreach (var plant in DemoGarden.Record.Plants)
            if (DemoGarden.Context.Sheets(plant.Tag) is { } sheet)
                Assert.All(plant.Entries, entry =>
                    Assert.True(PossibleKinds.Of(sheet).Contains(entry.Kind), $"{plant.Tag} ({sheet.Name}): {entry.Kind}")
                );
    }
}
