using BudClock.Core.Culture;
using BudClock.Core.Programmes;

namespace BudClock.Core.Tests.Programmes;

/// <summary>Programmes are data: every fault is told with its line, and what ships is sound.</summary>
public class ProgrammeReaderTests
{
    static readonly string Sound = ProgrammeBook.TextOf("cool-nights")!;

    [Fact]
    public void What_ships_has_its_steps_its_words_and_its_source()
    {
        Assert.True(ProgrammeBook.Shipped.All.Count >= 6);
        Assert.All(ProgrammeBook.Shipped.All, one => Assert.True(one.Steps.Count > 0 && one.Words.Count > 0 && one.Source.Length > 0));
        // Common practice: 30 nights at 10 °C and 28 to 35 dry days.
        var cool = ProgrammeBook.Shipped.Named("cool-nights")!;
        Assert.Equal(new CoolNights(10, 30), cool.Steps[0].Measure);
        Assert.Equal(new DryDays(28, 35), cool.Steps[1].Measure);
        Assert.Equal(StepWater.None, cool.Steps[1].Water);
    }

    [Theory]
    [InlineData("need: 30", "need: thirty", "expected a number")]
    [InlineData("need: 30", "need: 4000", "expected 0 to 400")]
    [InlineData("need: 30", "need: 2.5", "whole number")]
    [InlineData("at-or-below: 10", "at-or-below: 99", "expected -10 to 40")]
    [InlineData("count: cool-nights", "count: full-moons", "\"full-moons\" is not known")]
    [InlineData("by: watered", "by: sung-to", "no kind of entry")]
    [InlineData("need: 28, most: 35", "need: 28, most: 5", "expected at least 28")]
    [InlineData("not-while: [newcomer", "not-while: [moonlight", "\"moonlight\" is not known")]
    [InlineData("sheets: [clivia]", "sheets: [oak]", "\"oak\" is no sheet")]
    [InlineData("water: none", "water: beer", "\"beer\" is not known")]
    [InlineData("name: dry", "name: cool", "two steps are called cool")]
    [InlineData("name: cool-nights", "name: Cool Nights", "small letters")]
    [InlineData("season: { from: 10-15", "season: { from: 13-45", "month and day")]
    [InlineData("title: dry weeks", "titel: dry weeks", "\"titel\" is not known")]
    [InlineData("words: [cool nights", "words: [[cool nights", null)]
    public void A_fault_is_told_with_its_line(string sound, string faulty, string? says)
    {
        var reader = new ProgrammeReader("mine");
        Assert.Contains(sound, Sound, StringComparison.Ordinal);
        Assert.Null(reader.Read(Sound.Replace(sound, faulty, StringComparison.Ordinal)));
        Assert.All(reader.Faults, fault => Assert.True(fault.Line > 0, fault.ToString()));
        Assert.Contains(reader.Faults, fault => says is null || fault.What.Contains(says, StringComparison.Ordinal));
    }

    [Fact]
    public void A_copy_with_other_numbers_is_found_before_what_ships()
    {
        var mine = Sound
            .Replace("name: cool-nights\n", "name: my-nights\n", StringComparison.Ordinal)
            .Replace("need: 30", "need: 21", StringComparison.Ordinal);
        var book = ProgrammeBook.With([new("my-nights", mine)]);
        var clivia = CultureSheets.Shipped.Find("clivia")!;
        Assert.Equal(21, book.Find("my-nights", clivia)!.Steps[0].Measure.Need);
        Assert.Equal("cool-nights", book.Find("cool-nights from 2031-11-01", clivia)!.Name);
        Assert.Equal("forced-bulbs", book.Find("in bloom for 2031-12-24", clivia)!.Name);
        Assert.Equal("my-nights", book.Find("a cool rest", clivia)!.Name); // both know these words: the grower's own goes first
        Assert.Null(book.Find("interesting times", clivia));
    }

    [Theory]
    [InlineData("cool-nights from 2031-11-01", "2031-11-01", null, null, null)]
    [InlineData("in bloom for 2032-02-29, 24 bulbs", null, "2032-02-29", 24, null)]
    [InlineData("succession every 28 days", null, null, null, 28)]
    [InlineData("in bloom for 2031-02-30", null, null, null, null)]
    public void What_the_entry_says_is_read(string text, string? from, string? bloom, int? bulbs, int? every)
    {
        var order = new ProgrammeOrder(Specimens.At(new DateOnly(2031, 10, 1), EntryKinds.ProgrammeStarted, text: text));
        Assert.Equal((Day(from), Day(bloom), bulbs, every), (order.From, order.BloomOn, order.Bulbs, order.EveryDays));

        static DateOnly? Day(string? day) => day is null ? null : DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture);
    }
}
