using BudClock.Core.Notes;

namespace BudClock.Core.Tests.Notes;

/// <summary>Days as people write them, read on Saturday 24 May 2031.</summary>
public class NoteDatesTests
{
    static ReadNote Read(string line, bool us = false, DateOnly? today = null) =>
        NoteReader.Read($"a-1 watered {line}", new NoteContext(["A-1"], today ?? Specimens.Today, us));

    [Theory]
    [InlineData("today", "2031-05-24")]
    [InlineData("this morning", "2031-05-24")]
    [InlineData("tonight", "2031-05-24")]
    [InlineData("just now", "2031-05-24")]
    [InlineData("yesterday", "2031-05-23")]
    [InlineData("yday", "2031-05-23")]
    [InlineData("yest.", "2031-05-23")]
    [InlineData("yesterday evening", "2031-05-23")]
    [InlineData("last night", "2031-05-23")]
    [InlineData("the day before yesterday", "2031-05-22")]
    [InlineData("last week", "2031-05-17")]
    [InlineData("a week ago", "2031-05-17")]
    [InlineData("2 wks ago", "2031-05-10")]
    [InlineData("two weeks ago", "2031-05-10")]
    [InlineData("a fortnight ago", "2031-05-10")]
    [InlineData("3d ago", "2031-05-21")]
    [InlineData("3 days back", "2031-05-21")]
    [InlineData("Saturday", "2031-05-24")]
    [InlineData("last Saturday", "2031-05-17")]
    [InlineData("Fri", "2031-05-23")]
    [InlineData("on Thurs", "2031-05-22")]
    [InlineData("Wed.", "2031-05-21")]
    [InlineData("last Sunday", "2031-05-18")]
    [InlineData("21 May", "2031-05-21")]
    [InlineData("21st May", "2031-05-21")]
    [InlineData("May 21", "2031-05-21")]
    [InlineData("on the 21st of May 2030", "2030-05-21")]
    [InlineData("on the 21st", "2031-05-21")]
    [InlineData("the 30th", "2031-04-30")]
    [InlineData("on the 3", "2031-05-03")]
    [InlineData("12 Nov", "2030-11-12")]
    [InlineData("2031-05-20", "2031-05-20")]
    [InlineData("20/5", "2031-05-20")]
    [InlineData("20/5/31", "2031-05-20")]
    [InlineData("20/05/2031", "2031-05-20")]
    [InlineData("20.5.2031", "2031-05-20")]
    [InlineData("5/4", "2031-04-05")]
    public void A_day_is_read(string written, string day) => Assert.Equal(day, Read(written).Entries.Single().On.ToString("yyyy-MM-dd"));

    [Theory]
    [InlineData("5/20", "2031-05-20")]
    [InlineData("5/4", "2031-05-04")]
    [InlineData("20/5", "2031-05-20")] // no month is the 20th
    [InlineData("5/20/31", "2031-05-20")]
    public void In_a_garden_with_us_units_the_month_comes_first(string written, string day) =>
        Assert.Equal(day, Read(written, us: true).Entries.Single().On.ToString("yyyy-MM-dd"));

    [Theory]
    [InlineData("29 Feb", "February 2031 has no day 29. Write the year if another is meant.")]
    [InlineData("29/2", "February 2031 has no day 29. Write the year if another is meant.")]
    [InlineData("31 June", "June has no day 31.")]
    [InlineData("31/4", "April has no day 31.")]
    [InlineData("29 Feb 2030", "February has no day 29.")]
    [InlineData("tomorrow", "25 May 2031 is still to come; the log holds what has happened.")]
    [InlineData("30/5/31", "30 May 2031 is still to come; the log holds what has happened.")]
    [InlineData("40/13/2031", "40/13/2031 is no day.")]
    public void A_day_that_is_none_is_said(string written, string why)
    {
        var note = Read(written);
        Assert.False(note.Complete);
        Assert.Contains(note.Unread, unread => unread.Why == why);
    }

    [Fact]
    public void In_a_leap_year_the_29th_of_february_is_a_day() =>
        Assert.Equal(new(2032, 2, 29), Read("29 Feb", today: new DateOnly(2032, 3, 4)).Entries.Single().On);

    [Theory]
    [InlineData("1/2")]
    [InlineData("1/4")]
    [InlineData("3/8")]
    public void What_may_be_a_day_or_a_share_is_asked(string written)
    {
        var question = Read(written).Questions.Single();
        Assert.Equal($"Is {written} a day or a share?", question.Ask);
        Assert.All(question.Answers, answer =>
            Assert.True(NoteReader.Read(answer.Text, new(["A-1"], Specimens.Today)).Complete, answer.Text)
        );
    }

    [Theory]
    [InlineData("a-1 watered 12 May, 19 May", "12 watered; 19 watered")]
    [InlineData("a-1 watered 12/5, 17/5 and 19/5", "12 watered; 17 watered; 19 watered")]
    [InlineData("a-1 watered 12 May, fed 19 May", "12 watered; 19 fed")]
    [InlineData("12 May a-1 watered, fed", "12 watered; 12 fed")]
    [InlineData("a-1 watered, fed 19 May", "19 watered; 19 fed")]
    [InlineData("a-1 watered 12 May, fed", "12 watered; 24 fed")]
    [InlineData("a-1 watered, on 12 May, fed", "12 watered; 12 fed")]
    public void Each_day_belongs_where_it_stands(string line, string entries)
    {
        var note = NoteReader.Read(line, new(["A-1"], Specimens.Today));
        Assert.Equal(entries, string.Join("; ", note.Entries.Select(entry => $"{entry.On.Day} {entry.Kind}")));
    }

    [Theory]
    [InlineData("a-1 soaked, b-2 fed yesterday", "A-1 23, B-2 23")]
    [InlineData("a-1 soaked; b-2 fed yesterday", "A-1 24, B-2 23")]
    [InlineData("yesterday a-1 soaked; b-2 fed", "A-1 23, B-2 23")]
    public void A_day_at_the_end_is_for_both_plants_unless_a_semicolon_parts_them(string line, string days)
    {
        var note = NoteReader.Read(line, new(["A-1", "B-2"], Specimens.Today));
        Assert.Equal(days, string.Join(", ", note.Groups.Select(group => $"{group.Tags[0]} {group.Entries[0].On.Day}")));
    }
}
