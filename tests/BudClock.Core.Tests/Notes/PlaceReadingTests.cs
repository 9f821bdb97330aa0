using BudClock.Core.Notes;

namespace BudClock.Core.Tests.Notes;

/// <summary>Readings of a place in a line, and the hour that they are kept for.</summary>
public class PlaceReadingTests
{
    static readonly TimeZoneInfo London = TimeZoneInfo.FindSystemTimeZoneById("Europe/London");

    static ReadNote Read(string line, bool us = false) => NoteReader.Read(line, DemoGarden.Context with { UsUnits = us });

    static string Said(ReadNote note) => string.Join("; ", note.Readings.Select(r => $"{r.Place} {r.On:MM-dd} {r.Words}"));

    [Theory]
    [InlineData("night 9 C south bench", "south 05-24 Night 9 °C")]
    [InlineData("south bench night 9", "south 05-24 Night 9 °C")]
    [InlineData("south bench min 9 max 24", "south 05-24 Night 9 °C; south 05-24 Day 24 °C")]
    [InlineData("cold frame -2 C last night", "frame 05-24 Night −2 °C||frame 05-24 −2 °C")]
    [InlineData("cold frame low 3 C yesterday", "frame 05-23 Night 3 °C")]
    [InlineData("sill 22 C 55 %", "sill 05-24 22 °C; sill 05-24 55 %")]
    [InlineData("potting-room sill: humidity 45", "sill 05-24 45 %")]
    [InlineData("7 C in the cold frame this morning", "frame 05-24 7 °C")]
    [InlineData("it was 31 degrees on the south bench", "south 05-24 31 °C")]
    public void A_place_is_read(string line, string readings)
    {
        var note = Read(line);
        Assert.True(note.Complete, string.Join(" ", note.Unread.Select(u => u.Why)));
        Assert.Contains(Said(note), readings.Split("||"));
        Assert.Empty(note.Entries);
    }

    [Fact]
    public void In_a_garden_with_us_units_a_bare_night_is_in_fahrenheit() =>
        Assert.Equal(13.89, Read("south bench night 57", us: true).Readings.Single().TemperatureC);

    [Theory]
    [InlineData("night 9 C")]
    [InlineData("humidity 70%")]
    public void Without_a_place_it_asks_which(string line)
    {
        var question = Read(line).Questions.Single();
        Assert.Equal("At which place?", question.Ask);
        Assert.Equal(["South bench", "Potting-room sill", "Cold frame", "Dry store"], question.Answers.Select(answer => answer.Words));
        Assert.All(question.Answers, answer => Assert.Single(Read(answer.Text).Readings));
    }

    [Theory]
    [InlineData("south bench night 900 C")]
    [InlineData("south bench humidity 140 %")]
    public void What_no_thermometer_shows_is_no_reading(string line) => Assert.False(Read(line).Complete && Read(line).Readings.Count > 0);

    [Fact]
    public void A_night_is_kept_for_its_coldest_hour_by_the_gardens_clock()
    {
        var now = new DateTimeOffset(2031, 5, 24, 10, 0, 0, TimeSpan.Zero);
        var night = new PlaceReading("south", new(2031, 5, 24), ReadingSort.Night, 9, null).At(London, now);
        Assert.Equal(new DateTimeOffset(2031, 5, 24, 2, 0, 0, TimeSpan.Zero), night.At); // three in the morning, summer time
        var winter = new PlaceReading("south", new(2031, 1, 24), ReadingSort.Night, 9, null).At(London, now);
        Assert.Equal(new DateTimeOffset(2031, 1, 24, 3, 0, 0, TimeSpan.Zero), winter.At);
    }

    [Fact]
    public void No_reading_is_later_than_now()
    {
        var now = new DateTimeOffset(2031, 5, 24, 8, 0, 0, TimeSpan.Zero);
        foreach (var sort in Enum.GetValues<ReadingSort>())
            Assert.True(new PlaceReading("south", new(2031, 5, 24), sort, 20, null).At(London, now).At <= now);
    }
}
