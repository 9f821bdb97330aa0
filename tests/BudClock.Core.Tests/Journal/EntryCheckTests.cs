using BudClock.Core.Advising;

namespace BudClock.Core.Tests.Journal;

public class EntryCheckTests
{
    static readonly DateOnly Today = Specimens.Today;

    [Fact]
    public void The_vocabulary_has_no_name_twice_and_finds_each()
    {
        Assert.Equal(EntryKinds.All.Count, EntryKinds.All.Select(kind => kind.Name).Distinct().Count());
        Assert.All(EntryKinds.All, kind => Assert.Same(kind, EntryKinds.Find(kind.Name)));
        Assert.Null(EntryKinds.Find("no-such-kind"));
    }

    [Theory]
    [InlineData("bulbs", null, "odd", "Bulbs can be plump, wrinkled, shrivelled; \"odd\" is none of these.")]
    [InlineData("bulbs", null, null, "Bulbs needs a word: plump, wrinkled, shrivelled.")]
    [InlineData("growth-started", 3.0, null, "New growth takes no number; 3 cm is left over.")]
    [InlineData("soaked", -1.0, null, "Soaked is given like 400 mL; −1 cm is something else.")]
    [InlineData("spike-length", 401.0, null, "Spike can be 0 to 400 cm; 401 cm is outside that.")]
    [InlineData("spike-length", 400.0, null, null)]
    [InlineData("soaked", null, null, null)]
    public void Says_what_an_entry_may_hold(string kind, double? cm, string? text, string? fault) =>
        Assert.Equal(fault, EntryCheck.Fault(EntryKinds.Find(kind)!, Today, cm is null ? null : new(cm.Value, Unit.Cm), text, Today));

    [Fact]
    public void A_day_to_come_and_a_day_long_ago_are_refused()
    {
        Assert.Null(EntryCheck.Fault(EntryKinds.Soaked, Today, null, null, Today));
        Assert.EndsWith(
            "is still to come; the log holds what has happened.",
            EntryCheck.Fault(EntryKinds.Soaked, Today.AddDays(1), null, null, Today)
        );
        Assert.EndsWith("is too long ago.", EntryCheck.Fault(EntryKinds.Soaked, new(1831, 5, 24), null, null, Today));
    }

    [Theory]
    [InlineData("LYC-01", true)]
    [InlineData("7a", true)]
    [InlineData("-1", false)]
    [InlineData("2031", false)] // a bare number would read as a measurement
    [InlineData("LYC 01", false)]
    [InlineData("ABCDEFGHIJKLMNOPQRSTU", false)]
    [InlineData("", false)]
    public void A_tag_is_one_short_word(string tag, bool sound) => Assert.Equal(sound, Tags.Sound(tag));

    [Theory]
    [InlineData("8,5", 8.5, "cm")]
    [InlineData("4 1/2 in", 4.5, "in")]
    [InlineData("½", 0.5, "cm")]
    [InlineData("85mm", 85.0, "mm")]
    [InlineData("long", null, null)]
    [InlineData("8 9", null, null)]
    [InlineData("8 ells", null, null)]
    [InlineData("", null, null)]
    public void A_field_reads_a_number_as_the_note_line_does(string text, double? value, string? unit)
    {
        var read = AmountReader.Read(text, Unit.Cm);
        Assert.Equal((value, unit), (read?.Value, read?.Unit?.Symbol));
    }

    [Fact]
    public void Days_are_said_shortly()
    {
        Assert.Equal("25–30 May", Dates.Range(new(2031, 5, 25), new(2031, 5, 30)));
        Assert.Equal("28 May – 2 Jun", Dates.Range(new(2031, 5, 28), new(2031, 6, 2)));
        Assert.Equal("24 May", Dates.Range(Today, Today));
        Assert.Equal(
            ("today", "yesterday", "9 days ago"),
            (Dates.Ago(Today, Today), Dates.Ago(Today.AddDays(-1), Today), Dates.Ago(Today.AddDays(-9), Today))
        );
        Assert.Equal(("24 May", "24 May 2030"), (Dates.Near(Today, Today), Dates.Near(Today.AddYears(-1), Today)));
    }
}
