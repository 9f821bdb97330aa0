using BudClock.Core.Notes;
using CsCheck;

namespace BudClock.Core.Tests.Notes;

public class NoteWordsTests
{
    static readonly NoteContext Context = new(["A-1"], Specimens.Today);

    /// <summary>Every word of the page, in the line that the page makes of it.</summary>
    public static TheoryData<string> Sections => [.. NoteWords.All(usUnits: false).Select(section => section.Title)];

    [Theory]
    [MemberData(nameof(Sections))]
    public void Every_word_of_the_page_reads_back(string title)
    {
        var wrong = new List<string>();
        foreach (var row in NoteWords.All(usUnits: false).Single(section => section.Title == title).Rows)
        foreach (var word in row.Words)
            if (Fault(row, NoteReader.Read($"a-1 {row.Line(word)}", Context)) is { } fault)
                wrong.Add($"{row.Line(word)}: {fault}");
        Assert.True(wrong.Count == 0, string.Join("\n", wrong));
    }

    /// <summary>It makes the kind of entry that its row is of, or asks first; it never leaves a word unread.</summary>
    static string? Fault(WordRow row, ReadNote note)
    {
        if (note.Unread.Count > 0)
            return string.Join(" ", note.Unread.Select(unread => unread.Why));
        if (note.Questions.Count > 0)
            return null;
        return row.Kind is null || note.Entries.Any(entry => entry.Kind == row.Kind) ? null : $"is {note.Canonical}";
    }

    [Fact]
    public void Every_kind_of_the_journal_can_be_written_in_the_line()
    {
        var kinds = NoteWords.All(usUnits: false).SelectMany(section => section.Rows).Select(row => row.Kind).ToHashSet();
        Assert.Equal([], EntryKinds.All.Except(kinds.OfType<EntryKind>()).Select(kind => kind.Name));
    }

    /// <summary>
    /// What is shown is the reading of the line, what Enter logs too: its plain form says no more and no less. A second Enter adds notes
    /// and nothing else.
    /// </summary>
    [Fact]
    public void No_line_logs_an_entry_that_was_not_shown()
    {
        string[] words = [.. NoteWords.All(usUnits: false).SelectMany(s => s.Rows.SelectMany(row => row.Words.Select(row.Line)))];
        string[] plants = [.. DemoGarden.Record.Plants.Take(6).Select(p => p.Tag.ToLowerInvariant()), "the clivia", "south bench"];
        var pieces = Gen.OneOf(
            Gen.OneOf<string>(words),
            Gen.OneOf<string>(plants),
            Gen.OneOf<string>("yesterday", ",", "and", "not", "12 cm", "300 ml", "?", "20/5", "1/2", "!", "xyzzy", "no", "3", "to the sill")
        );
        Gen.Select(Gen.OneOf<string>("lyc-01", "cat-01", "hoy-02", "watered"), pieces.Array[1, 6], (first, rest) =>
                $"{first} {string.Join(' ', rest)}"
            )
            .Sample(
                text =>
                {
                    var note = NoteReader.Read(text, DemoGarden.Context);
                    if (note.Complete && note.Readings.Count == 0)
                        Assert.Equal(
                            $"{note.Canonical}|{Said(note)}",
                            $"{note.Canonical}|"
                                + Said(NoteReader.Read(note.Canonical, DemoGarden.Context with { Books = _ => null, Sheets = _ => null }))
                        );
                    if (note.AsNote is { } kept)
                        Assert.All(NoteReader.Read(kept, DemoGarden.Context).Entries, e =>
                            Assert.True(e.Kind == EntryKinds.Note || note.Entries.Contains(e), $"{text} → {kept}")
                        );
                },
                iter: 3000
            );
    }

    static string Said(ReadNote note) =>
        string.Join(
            "; ",
            note.Groups.SelectMany(group =>
                group.Tags.Select(tag => $"{tag} {string.Join(", ", group.Entries.Select(e => e with { Sure = false }))}")
            )
        );
}
