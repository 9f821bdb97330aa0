using BudClock.Core.Advising;
using BudClock.Core.Formats;
using BudClock.Core.Notes;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Formats;

/// <summary>
/// Entries as CSV, by RFC 4180: quotes, commas, line breaks; besides, byte-order marks and semicolons as spreadsheets write them.
/// </summary>
public class EntryCsvTests
{
    static readonly Plant Plant = Lycaste() with { Organs = [new("s31", "spike", "2031")] };
    static readonly Dictionary<string, Plant> Plants = new(StringComparer.OrdinalIgnoreCase) { ["LYC-01"] = Plant };

    [Theory]
    [InlineData("tag,on,kind,value,unit\r\nlyc-01,2031-05-20,root-length,8.5,cm\r\n", "Roots 8.5 cm")]
    // Byte-order mark, semicolons, decimal comma
    [InlineData("\uFEFFtag;on;kind;value;unit\r\nLYC-01;2031-05-20;root-length;8,5;cm\r\n", "Roots 8.5 cm")]
    // RFC 4180, 2.5 to 2.7
    [InlineData("tag,on,kind,text\r\nLYC-01,20 May 2031,note,\"a \"\"good\"\" day, \r\nand dry\"\r\n", "a \"good\" day, \r\nand dry")]
    [InlineData("tag\ton\tkind\nLYC-01\t2031-05-20\tSoaked", "Soaked")] // the kind as pages say it, no last line break
    public void Is_read_as_spreadsheets_write_it(string csv, string entry)
    {
        var read = Read(csv);
        Assert.Empty(read.Faults);
        Assert.Equal((entry, new DateOnly(2031, 5, 20)), (read.Rows.Single().Entry.ToString(), read.Rows.Single().Entry.On));
    }

    [Fact]
    public void Every_bad_line_is_named_and_the_good_ones_are_shown()
    {
        var lines = Enumerable
            .Range(0, 500)
            .Select(n =>
                n switch
                {
                    50 => "LYC-99,2031-05-01,soaked,,",
                    200 => "LYC-01,some day,soaked,,",
                    499 => "LYC-01,2031-05-01,root-length,long,cm",
                    _ => "LYC-01,2031-05-01,soaked,300,mL",
                }
            );
        var read = Read("tag,on,kind,value,unit\n" + string.Join('\n', lines));
        Assert.Equal(
            [
                "line 52: no plant here is tagged \"LYC-99\"",
                "line 202: \"some day\" is no date such as 2031-05-24",
                "line 501: \"long\" is no number",
            ],
            read.Faults.Select(fault => fault.ToString())
        );
        Assert.Equal(497, read.Rows.Count);
    }

    [Theory]
    [InlineData("", "line 1")]
    [InlineData("plant,day,what\nLYC-01,2031-05-01,soaked", "line 1: no column is read as tag")]
    [InlineData("tag,on,kind\nLYC-01,2031-06-01,soaked", "line 2: 1 Jun 2031 is still to come")]
    [InlineData("tag,on,kind,organ\nLYC-01,2031-05-01,spike-started,s99", "line 2: \"s99\" is not among the organs of LYC-01")]
    [InlineData(
        "tag,on,kind,value,unit\nLYC-01,2031-05-01,root-length,900,cm",
        "line 2: Roots can be 0 to 200 cm; 900 cm is outside that."
    )]
    public void What_cannot_be_read_is_said_with_its_line(string csv, string fault) =>
        Assert.Contains(Read(csv).Faults, found => found.ToString().StartsWith(fault, StringComparison.Ordinal));

    [Fact]
    public void Columns_of_other_names_are_mapped()
    {
        var map = new Dictionary<string, string?>
        {
            ["tag"] = "plant",
            ["on"] = "day",
            ["kind"] = "what",
        };
        Assert.Equal(
            "Soaked",
            EntryCsv.Read("plant,day,what\nLYC-01,2031-05-01,soaked", map, Plants, Today).Rows.Single().Entry.ToString()
        );
    }

    [Fact]
    public void The_same_line_gets_the_same_id_each_time_and_its_double_another()
    {
        const string Csv = "tag,on,kind\nLYC-01,2031-05-01,soaked\nLYC-01,2031-05-01,soaked";
        var (first, second) = (Read(Csv).Rows, Read(Csv).Rows);
        Assert.Equal(first.Select(row => row.Entry.Id), second.Select(row => row.Entry.Id));
        Assert.NotEqual(first[0].Entry.Id, first[1].Entry.Id);
    }

    [Fact]
    public void Writing_and_reading_again_is_the_identity()
    {
        var entry =
            from kind in Gen.OneOf(EntryKinds.SpikeLength, EntryKinds.Soaked, EntryKinds.Note, EntryKinds.Bulbs)
            from day in Gen.Int[0, 900]
            from value in Gen.Double[0, 200]
            from text in Gen.String[Gen.Char["abc,;\"\n\r üß°-=+@'"], 1, 30]
            from struck in Gen.Bool
            from id in Gen.Guid
            select new Entry
            {
                Id = id,
                On = Today.AddDays(-day),
                Kind = kind,
                Struck = struck,
                Organ = kind == EntryKinds.SpikeLength ? "s31" : null,
                Amount = kind.Measure is null ? null : new(value, kind == EntryKinds.Soaked ? Unit.Cup : Unit.In),
                Text =
                    kind == EntryKinds.Bulbs ? "plump"
                    : kind == EntryKinds.Note ? $"x{text}x"
                    : null,
                Logged = DateTimeOffset.UnixEpoch.AddSeconds(day),
            };
        entry
            .Where(e => EntryCheck.AmountFault(e.Kind, e.Amount) is null)
            .Array[0, 12]
            .Sample(
                entries =>
                {
                    var read = Read(EntryCsv.Write([Plant with { Entries = entries }]));
                    Assert.Empty(read.Faults);
                    Assert.Equal(entries, read.Rows.Select(row => row.Entry));
                },
                iter: 400
            );
    }

    [Theory]
    [InlineData("LYC-01,5/4/2031,rts,8,cm,", true, "2031-05-04 Roots 8 cm")]
    [InlineData("LYC-01,5/4/2031,rts,8,cm,", false, "2031-04-05 Roots 8 cm")]
    [InlineData("LYC-01,2031-05-04,bulbs puckered,,,", false, "2031-05-04 Bulbs wrinkled")]
    [InlineData("the yellow lycaste,2031-05-04,watered,0.3,l,from below", false, "2031-05-04 Watered 0.3 L from below")]
    public void The_note_lines_words_and_names_are_known(string row, bool monthFirst, string entry)
    {
        var notes = new NoteContext(new SubjectIndex([new("LYC-01", "Lycaste, yellow", "Lycaste aromatica")]), Today);
        var read = EntryCsv.Read($"tag,on,kind,value,unit,text,price\n{row},9", null, Plants, Today, new(notes, monthFirst));
        Assert.Empty(read.Faults);
        Assert.Equal(entry, $"{read.Rows.Single().Entry.On:yyyy-MM-dd} {read.Rows.Single().Entry}");
        Assert.Equal(["price"], read.Left);
    }

    [Fact]
    public void The_example_is_taken_in_as_it_stands() => Assert.Equal(4, Read(EntryCsv.Example).Rows.Count);

    static CsvRead Read(string csv) => EntryCsv.Read(csv, null, Plants, Today);
}
