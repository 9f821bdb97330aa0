using BudClock.Core.Advising;
using BudClock.Core.Notes;
using CsCheck;

namespace BudClock.Core.Tests.Notes;

public class NoteReaderTests
{
    static readonly NoteContext Context = new(
        new SubjectIndex([new("LYC-01"), new("CAL-02"), new("cal-06")], [new("south", "South bench", ["CAL-02", "LYC-01"])]),
        Specimens.Today // a Saturday
    );

    [Theory]
    [InlineData("lyc-01 roots 11cm, bulbs wrinkled", "LYC-01: root-length 11 cm 05-24; bulbs wrinkled 05-24")]
    [InlineData("LYC-01 new growth yesterday", "LYC-01: growth-started 05-23")]
    [InlineData("lyc-01 soaked 400 ml, on 21 may", "LYC-01: soaked 400 mL 05-21")]
    [InlineData("lyc-01 roots 4 1/2 in", "LYC-01: root-length 4.5 in 05-24")]
    [InlineData("lyc-01 roots 4½\"", "LYC-01: root-length 4.5 in 05-24")]
    [InlineData("lyc-01 roots 8,5cm", "LYC-01: root-length 8.5 cm 05-24")]
    [InlineData("  CAL-02:  Roots   10.5CM  Bulbs WRINKLED", "CAL-02: root-length 10.5 cm 05-24; bulbs wrinkled 05-24")]
    [InlineData("cal-02 longest root 9", "CAL-02: root-length 9 cm 05-24")]
    [InlineData("cal-02 roots 85 mm", "CAL-02: root-length 85 mm 05-24")]
    [InlineData("CAL-06 wrinkled bulbs; medium is dry", "cal-06: bulbs wrinkled 05-24; medium dry 05-24")]
    [InlineData("cal-02 the bulbs look shriveled", "CAL-02: bulbs shrivelled 05-24")]
    [InlineData("cal-02 roots at the bottom of the pot", "CAL-02: roots-at-base 05-24")]
    [InlineData("cal-02 roots at the bottom", "CAL-02: roots-at-base 05-24")]
    [InlineData("cal-02, cal-06: soaked", "CAL-02+cal-06: soaked 05-24")]
    [InlineData("cal-02 and lyc-01 soaked 2 cups yesterday", "CAL-02+LYC-01: soaked 2 cup 05-23")]
    [InlineData("South bench: soaked", "CAL-02+LYC-01: soaked 05-24")]
    [InlineData("cal-02 new roots", "CAL-02: roots-started 05-24")]
    [InlineData("cal-02 new growth 3 cm", "CAL-02: growth-height 3 cm 05-24")]
    [InlineData("cal-02 3 buds and 2 flowers open", "CAL-02: buds 3 05-24; blooms 2 05-24")]
    [InlineData("cal-02 watered 2 cups Tuesday", "CAL-02: watered 2 cup 05-20")]
    [InlineData("cal-02 watered 1 fl oz 3 days ago", "CAL-02: watered 1 fl oz 05-21")]
    [InlineData("cal-02 roots 8 cm yesterday, bulbs plump today", "CAL-02: root-length 8 cm 05-23; bulbs plump 05-24")]
    [InlineData("cal-02 new growth 2 may, roots 7 cm", "CAL-02: growth-started 05-02; root-length 7 cm 05-24")]
    [InlineData("cal-02 roots 8 cm, bulbs plump yesterday", "CAL-02: root-length 8 cm 05-23; bulbs plump 05-23")]
    [InlineData("cal-02 roots 8 cm, on 20 may, bulbs plump", "CAL-02: root-length 8 cm 05-20; bulbs plump 05-20")]
    [InlineData("cal-02 yesterday roots 8 cm, bulbs plump", "CAL-02: root-length 8 cm 05-23; bulbs plump 05-23")]
    [InlineData("cal-02 growth stopped on the 14th of May 2031", "CAL-02: growth-stopped 05-14")]
    [InlineData("cal-02 growth stopped 14th of May 2031", "CAL-02: growth-stopped 05-14")]
    [InlineData("cal-02 soaked 2031-05-20", "CAL-02: soaked 05-20")]
    [InlineData("cal-02 fed slow release", "CAL-02: fed \"slow release\" 05-24")]
    [InlineData("cal-02 leaf feed yesterday", "CAL-02: fed \"on the leaves\" 05-23")]
    [InlineData("cal-02 run-off 460 ppm, flushed", "CAL-02: run-off 460 ppm 05-24; flushed 05-24")]
    [InlineData("cal-02 moved into full sun, watered", "CAL-02: moved \"into full sun\" 05-24; watered 05-24")]
    [InlineData("cal-02 note: leaf 3, the big one, has a hole", "CAL-02: note \"leaf 3, the big one, has a hole\" 05-24")]
    public void Reads(string line, string expected) => Assert.Equal(expected, Shown(NoteReader.Read(line, Context)));

    [Theory]
    [InlineData("lyc-01 fed #g310520", "fed G310520")]
    [InlineData("lyc-01 watered 200 ml #G310520, fed #G310520 yesterday", "watered 200 mL G310520; fed G310520")]
    [InlineData("cal-02, lyc-01: soaked #G310520 2 cups", "soaked 2 cup G310520")]
    [InlineData("lyc-01 #G310520 fed", "fed G310520")]
    public void A_batch_is_named_by_its_code(string line, string expected)
    {
        var note = NoteReader.Read(line, Context with { Batches = ["G310520"] });
        Assert.True(note.Complete, string.Join(" ", note.Unread.Select(u => u.Why)));
        Assert.Equal(expected, string.Join("; ", note.Entries.Select(e => $"{e.Kind} {e.Amount} {e.Mix}".Replace("  ", " "))));
        Assert.Equal(note.Entries, NoteReader.Read(note.Canonical, Context with { Batches = ["G310520"] }).Entries);
    }

    [Theory]
    [InlineData("lyc-01 bulbs plump #G310520", "G310520 is a batch: it is given, such as fed #G310520.")]
    [InlineData("lyc-01 #G310520 repotted", "G310520 is a batch: it is given, such as fed #G310520.")]
    [InlineData("lyc-01 fed #B310505", "\"B310505\" is no part of LYC-01.")] // thrown away, or never mixed
    public void A_batch_that_cannot_be_given_is_said(string line, string why) =>
        Assert.Equal(why, NoteReader.Read(line, Context with { Batches = ["G310520"], Books = _ => null }).Unread[0].Why);

    [Fact]
    public void In_a_garden_with_us_units_a_bare_number_is_in_inches() =>
        Assert.Equal("LYC-01: spike-length 4 in 05-24", Shown(NoteReader.Read("lyc-01 spike 4", Context with { UsUnits = true })));

    [Theory]
    [InlineData("lyc-02 roots 8cm", "lyc-02", "LYC-01")]
    [InlineData("zzz roots 8cm", "zzz", null)]
    [InlineData("lyc-01 roots 8cm frobnicated", "frobnicated", null)]
    [InlineData("lyc-01 bulbs not shrivelled", "bulbs not shrivelled", null)]
    public void Gives_back_what_it_cannot_read_with_the_nearest_thing_it_knows(string line, string fragment, string? nearest)
    {
        var note = NoteReader.Read(line, Context);
        Assert.False(note.Complete);
        Assert.Equal((fragment, nearest), (note.Unread[0].Fragment, note.Unread[0].Nearest));
        Assert.Equal(fragment, line.Substring(note.Unread[0].Start, fragment.Length));
    }

    [Theory]
    [InlineData("lyc-01 roots -3cm", "Roots can be 0 to 200 cm; −3 cm is outside that.")]
    [InlineData("lyc-01 roots 300 cm", "Roots can be 0 to 200 cm; 300 cm is outside that.")]
    [InlineData("lyc-01 roots 4 l", "Roots is given like 8 cm; 4 L is something else.")]
    [InlineData("lyc-01 roots", "Roots needs a number, such as 8 cm.")]
    [InlineData("lyc-01 soaked tomorrow", "25 May 2031 is still to come; the log holds what has happened.")]
    [InlineData("lyc-01 soaked 30 june", "30 Jun 2031 is still to come; the log holds what has happened.")]
    [InlineData("lyc-01 soaked 31 april", "April has no day 31.")]
    public void Says_what_is_wrong_with_a_value(string line, string why)
    {
        var note = NoteReader.Read(line, Context);
        Assert.False(note.Complete);
        Assert.Contains(note.Unread, unread => unread.Why == why);
    }

    [Fact]
    public void A_day_of_last_year_is_meant_when_it_lies_a_season_back() =>
        Assert.Equal(new DateOnly(2030, 12, 1), NoteReader.Read("lyc-01 leaves gone 1 december", Context).Entries.Single().On);

    [Fact]
    public void A_megabyte_is_refused_in_a_sentence()
    {
        var note = NoteReader.Read("lyc-01 " + new string('x', 1 << 20), Context);
        Assert.False(note.Complete);
        Assert.StartsWith("A note holds at most 2000 characters", note.Unread.Single().Why);
    }

    [Fact]
    public void It_never_throws_whatever_is_typed()
    {
        var words = Gen.OneOf(
            "lyc-01",
            "roots",
            "8,5",
            "cm",
            ",",
            "yesterday",
            "½",
            "on",
            "31",
            "feb",
            "bulbs",
            "note",
            "-",
            "2031-02-30",
            "1/0",
            "ago",
            "\"",
            "\n",
            "99999999999999",
            "of",
            "may"
        );
        var salad = words.List[0, 12].Select(list => string.Join(' ', list));
        Gen.OneOf(Gen.String, salad, Gen.String[Gen.Char['\0', '\uffff'], 0, 60].Select(s => "lyc-01 " + s))
            .Sample(
                line =>
                {
                    var note = NoteReader.Read(line, Context);
                    Assert.True(
                        note.Complete || note.Tag is null || note.Entries.Count == 0 || note.Unread.Count + note.Questions.Count > 0
                    );
                    Assert.All(note.Unread, unread => Assert.Equal(unread.Fragment, line.Substring(unread.Start, unread.Fragment.Length)));
                },
                iter: 2000
            );
    }

    [Fact]
    public void Reading_what_it_printed_gives_the_same_entries()
    {
        var entry =
            from kind in Gen.OneOf<EntryKind>([.. EntryKinds.All.Where(kind => kind != EntryKinds.Photo)])
            from back in Gen.Int[0, 400]
            from value in Gen.Int[0, 300]
            from given in Gen.Bool
            let state = kind.States.Length > 0 && !(given && kind.Measure is not null) ? kind.States[value % kind.States.Length] : null
            let number = kind.Measure is { } m && state is null && (m.Required || given)
                ? new Quantity(value / 10.0, Unit.Default(m.Dimension, false))
                : (Quantity?)null
            select new EntryDraft(
                kind,
                Specimens.Today.AddDays(-back),
                number,
                state ?? (kind == EntryKinds.Note || (kind.States.Length == 0 && given) ? "a hole, in the leaf, watered 5 cm" : null)
            )
            {
                Sure = kind == EntryKinds.Died || kind == EntryKinds.GivenAway || kind == EntryKinds.Lost,
            };
        entry
            .Where(e => EntryCheck.Fault(e.Kind, e.On, e.Amount, e.Text, Specimens.Today) is null)
            .Sample(
                printed =>
                {
                    var line = new ReadNote("", ["LYC-01"], [printed], []).Canonical;
                    var read = NoteReader.Read(line, Context);
                    Assert.True(read.Complete, $"{line}: {string.Join(" ", read.Unread.Select(u => u.Why))}");
                    Assert.Equal(printed, read.Entries.Single());
                },
                iter: 2000
            );
    }

    static string Shown(ReadNote note) =>
        $"{string.Join('+', note.Tags)}: "
        + string.Join(
            "; ",
            note.Entries.Select(e =>
                string.Join(
                    ' ',
                    new[]
                    {
                        e.Kind.Name,
                        e.Amount?.ToString(),
                        e.Kind.States.Length > 0 || e.Text is null ? e.Text : $"\"{e.Text}\"",
                        $"{e.On:MM-dd}",
                    }.Where(part => part is not null)
                )
            )
        )
        + string.Concat(note.Unread.Select(u => $" ?{u.Fragment}"));
}
