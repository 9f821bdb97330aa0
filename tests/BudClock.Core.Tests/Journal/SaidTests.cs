using BudClock.Core.Culture;
using BudClock.Core.Formats;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests.Journal;

/// <summary>Words of growers, with what they say decided by hand before the reader was asked.</summary>
public class SaidTests
{
    [Theory]
    [InlineData("pest", "none seen, looked all over", "none-seen")]
    [InlineData("pest", "all clear", "none-seen all-clear")]
    [InlineData("pest", "over and done", "all-clear")]
    [InlineData("pest", "mealy bug on the new growth", "on-new-growth")]
    [InlineData("pest", "algae on the pot", "algae")]
    [InlineData("pest", "spider mites", "")]
    [InlineData("treated", "released predatory mites", "predators")]
    [InlineData("treated", "nematodes watered in", "predators")]
    [InlineData("treated", "soap", "")]
    [InlineData("treated", "cut clean", "clean")]
    [InlineData("treated", "not clean yet", "")]
    [InlineData("cut", "back to sound tissue", "clean")]
    [InlineData("rot", "at the base", "rotten")]
    [InlineData("rot", "roots brown and soft", "of-roots rotten")]
    [InlineData("rot", "none, all firm", "")]
    [InlineData("rot", "no rot", "")]
    [InlineData("rot", "healed", "clean")]
    [InlineData("inspected", "rotten roots, rootless", "of-roots rotten rootless")]
    [InlineData("inspected", "roots sound", "clean of-roots sound-roots")]
    [InlineData("acquired", "bare-rooted", "")]
    [InlineData("acquired", "bare root, with fine white roots", "sound-roots")]
    [InlineData("acquired", "bare root, no live roots", "rootless")]
    [InlineData("acquired", "from a swap", "")]
    [InlineData("repotted", "without roots", "rootless")]
    [InlineData("planted", "two cormlets", "cutting")]
    [InlineData("fed", "slow release", "slow-release")]
    [InlineData("fed", "a quarter of the label", "share 0.25")]
    [InlineData("fed", "half strength", "share 0.5")]
    [InlineData("fed", "40 % of the label", "share 0.4")]
    [InlineData("watered", "half a mouthful", "share 0.5")]
    [InlineData("watered", "by the spoon", "")]
    [InlineData("moved", "out into full sun", "full-sun out")]
    [InlineData("moved", "indoors", "indoors covered")]
    [InlineData("stored", "in the pot", "in-the-pot")]
    [InlineData("lifted", "to the store", "to-store")]
    [InlineData("rinsed", "aphids off the leaves", "leaf-rinse")]
    [InlineData("rinsed", "with plain water", "")]
    [InlineData("programme-started", "ordered-rest", "to-rest")]
    [InlineData("note", "never flowers", "no-flowers")]
    [InlineData("leaves", "limp", "")]
    public void Words_are_read_once_as_what_they_say(string kind, string words, string facts)
    {
        var said = Entry(kind, words).Said;
        var expected = facts.StartsWith("share", StringComparison.Ordinal)
            ? [facts]
            : facts.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        Assert.Equal(expected.Order(StringComparer.Ordinal), said.Words.Order(StringComparer.Ordinal));
        Assert.Equal(said, Said.Read(said.Words, out var unknown));
        Assert.Null(unknown);
    }

    [Fact]
    public void Other_words_are_read_anew() =>
        Assert.Equal(["predators"], (Entry("treated", "soap") with { Text = "predators" }).Said.Words);

    [Fact]
    public void A_garden_file_and_a_csv_keep_the_words_and_what_they_say()
    {
        var plant = Lycaste(Entry("treated", "released predatory mites"), Entry("fed", "a quarter of the label, slow release"));
        var file = GardenFileWriter.Write(new(Around.Garden, [new("south", "South")], [plant], [], []));
        Assert.Contains("\"said\"", file);
        var read = GardenFileReader.Read(file, CultureSheets.Shipped).Garden!.Plants[0];
        Assert.Equal(plant.Entries, read.Entries);
        var csv = EntryCsv.Read(EntryCsv.Write([plant]), null, new Dictionary<string, Plant> { [plant.Tag] = plant }, Today);
        Assert.Equal(plant.Entries.Select(e => (e.Text, e.Said)), csv.Rows.Select(row => (row.Entry.Text, row.Entry.Said)));
    }

    [Fact]
    public void What_a_file_says_stands_over_its_words_and_a_file_without_it_is_read_by_its_words()
    {
        Assert.Equal(["predators"], FromFile("\"said\": [\"predators\"],").Said.Words);
        Assert.Equal(["clean"], FromFile("").Said.Words);
        Assert.Equal(["clean"], FromFile("\"said\": [],").Said.Words); // nothing said hides nothing
    }

    [Theory]
    [InlineData("in bloom for 2031-12-24, 12 bulbs", "for 2031-12-24; bulbs 12")]
    [InlineData("cool nights from 2031-11-01", "from 2031-11-01")]
    [InlineData("succession every 28 days", "every 28")]
    [InlineData("dry rest from 2031-11-01", "to-rest; from 2031-11-01")]
    [InlineData("cool nights", "")]
    public void What_a_start_plans_is_kept_and_comes_back(string words, string kept)
    {
        var entry = Entry("programme-started", words);
        Assert.Equal(kept, string.Join("; ", entry.Said.Words));
        Assert.Equal(entry.Said, Said.Read(entry.Said.Words, out var unknown));
        Assert.Null(unknown);
    }

    [Fact]
    public void What_the_version_before_kept_of_a_start_is_completed_from_its_words()
    {
        var before = Entry("programme-started", "dry rest from 2031-11-01") with { Said = new(SaidFacts.ToRest) };
        Assert.Equal(new(2031, 11, 1), before.Said.Plan!.From);
        Assert.True(before.Said.Has(SaidFacts.ToRest));
    }

    [Fact]
    public void A_saying_that_nobody_knows_is_a_fault_with_its_place()
    {
        var fault = Assert.Single(GardenFileReader.Read(File("\"said\": [\"purple\"],"), CultureSheets.Shipped).Faults);
        Assert.Equal("plants[0].entries[0].said", fault.Place);
        Assert.StartsWith("\"purple\" is nothing that an entry says; known are none-seen, ", fault.What);
    }

    static Entry FromFile(string said) => GardenFileReader.Read(File(said), CultureSheets.Shipped).Garden!.Plants[0].Entries[0];

    static string File(string said) =>
        $$"""
            {
              "format": "bud-clock-garden", "version": 1,
              "plants": [{ "tag": "A-1", "taxon": "Clivia miniata", "entries": [{ "on": "2031-05-01", "kind": "treated", {{said}} "text": "cut clean" }] }]
            }
            """;

    static Entry Entry(string kind, string words) => At(Today, EntryKinds.Find(kind)!, text: words);
}
