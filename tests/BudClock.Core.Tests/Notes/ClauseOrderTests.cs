using BudClock.Core.Notes;

namespace BudClock.Core.Tests.Notes;

/// <summary>The same things said in another order are the same entries, and what is not there is never read as there.</summary>
public class ClauseOrderTests
{
    static readonly NoteContext Context = new(["A-1"], Specimens.Today);

    static string Said(string line)
    {
        var note = NoteReader.Read(line, Context);
        return note.Complete
            ? string.Join("; ", note.Entries.Select(e => $"{e.Kind} {e.Amount} {e.Text}".TrimEnd()).Order(StringComparer.Ordinal))
            : $"not complete: {string.Join(" ", note.Unread.Select(u => u.Why))}{string.Join(" ", note.Questions.Select(q => q.Ask))}";
    }

    [Theory]
    [InlineData("roots 9 cm", "9 cm roots", "the roots are 9 cm long", "roots now 9 cm")]
    [InlineData("bulbs wrinkled", "wrinkled bulbs", "the bulbs look wrinkled", "bulbs slightly wrinkled")]
    [InlineData("medium dry", "dry medium", "dry", "compost is dry", "soil bone dry")]
    [InlineData("3 buds", "buds 3", "three buds", "there are 3 buds")]
    [InlineData("watered 300 ml", "300 ml watered", "watered with 300 ml", "watered about 300 ml")]
    [InlineData("watered 300 ml from below", "watered from below 300 ml", "watered from below, 300 ml", "from below watered 300 ml")]
    [InlineData("spike 12 cm", "12 cm spike", "flower stalk 12 cm", "scape 12 cm tall")]
    [InlineData("leaves limp, medium wet", "limp leaves, wet medium", "leaves limp but medium wet", "medium wet and leaves limp")]
    [InlineData("roots 9 cm, bulbs plump", "bulbs plump roots 9 cm", "plump bulbs and 9 cm roots", "roots 9 cm + bulbs plump")]
    [InlineData("weight 640 g", "640 g", "weighs 640 g", "pot weighs 640 gr")]
    [InlineData("9 flowers open", "flowers open 9", "9 blooms", "nine flowers")]
    [InlineData("first flower open", "first bud open", "in bloom", "in flower")]
    [InlineData("lost 2 buds", "2 buds dropped", "buds lost 2", "dropped 2 buds")]
    public void The_order_of_words_changes_nothing(string line, params string[] others)
    {
        var said = Said($"a-1 {line}");
        Assert.DoesNotContain("not complete", said);
        Assert.All(others, other => Assert.Equal(said, Said($"a-1 {other}")));
        Assert.All(others, other => Assert.Equal(said, Said($"{other} a-1")));
    }

    /// <summary>Every seen thing of the lexicon with a denial or a doubt before it.</summary>
    [Fact]
    public void A_denial_or_a_doubt_never_logs_what_it_denies()
    {
        string[] doubts = ["not", "no longer", "nearly", "almost", "never", "isn't", "maybe", "should be", "is it", "why"];
        var seen = NoteWords
            .All(usUnits: false)
            .Where(section => section.Title is "Measured" or "Seen" or "Happened" or "Done")
            .SelectMany(s => s.Rows);
        foreach (var row in seen.Where(row => row.Kind is not null && row.Kind != EntryKinds.Note && row.Kind != EntryKinds.Flagged))
        foreach (var word in row.Words)
        foreach (var doubt in doubts)
        {
            var line = $"a-1 {doubt} {row.Line(word)}{(doubt is "is it" ? "?" : "")}";
            var note = NoteReader.Read(line, Context);
            Assert.True(!note.Complete || note.Entries.All(e => e.Kind == EntryKinds.Note), $"{line} logs {note.Canonical}");
            if (note.AsNote is { } kept)
                Assert.All(NoteReader.Read(kept, Context).Entries, e => Assert.True(e.Kind == EntryKinds.Note, $"{line} → {kept}"));
        }
    }

    /// <summary>English words that are near to a word of the line mean themselves.</summary>
    [Theory]
    [InlineData("looks fine")]
    [InlineData("very pleased with it")]
    [InlineData("needs a bigger home")]
    [InlineData("the light is poor here")]
    [InlineData("bought a new stand")]
    [InlineData("bees on it")]
    [InlineData("best of them all")]
    [InlineData("label lost")]
    [InlineData("moved on well")]
    [InlineData("good year for it")]
    [InlineData("smelled lovely at dusk")]
    public void A_sentence_is_nobodys_measurement(string words)
    {
        var note = NoteReader.Read($"a-1 {words}", Context);
        Assert.True(!note.Complete, note.Canonical);
        Assert.NotNull(note.AsNote);
        var kept = NoteReader.Read(note.AsNote!, Context).Entries.Single();
        Assert.Equal((EntryKinds.Note, words), (kept.Kind, kept.Text));
    }
}
