using BudClock.Core.Culture;
using BudClock.Core.Formats;
using CsCheck;
using static BudClock.Core.Tests.Specimens;

namespace BudClock.Core.Tests;

/// <summary>A plant as it stood on any day: place, pot, medium and name follow from dated entries.</summary>
public class PlantPastTests
{
    static readonly IReadOnlyList<Place> Places = [new("south", "South bench"), new("frame", "Cold frame"), new("sill", "Sill")];

    static Entry Moved(string on, string from, string to) => At(on, EntryKinds.Moved) with { Sets = [new(Facts.Place, from, to)] };

    static Plant Told(params Entry[] entries) => Lycaste(entries).Settled(Places);

    [Fact]
    public void A_backdated_move_does_not_override_todays_place()
    {
        var plant = Lycaste(Moved("2031-05-10", "south", "frame"), Moved("2031-05-01", "south", "sill"));
        Assert.Equal(
            ["south", "sill", "sill", "frame", "frame"],
            new[] { "2031-04-30", "2031-05-01", "2031-05-09", "2031-05-10", "2032-01-01" }.Select(day =>
                plant.On(DateOnly.Parse(day)).Place
            )
        );
    }

    [Fact]
    public void A_struck_move_moved_nothing() =>
        Assert.Equal("south", Lycaste(Moved("2031-05-10", "south", "frame") with { Struck = true }).On(Today).Place);

    [Theory]
    [InlineData("into 14 cm clay, fresh bark and perlite", 14d, "clay", "bark and perlite")]
    [InlineData("5 1/2 in net pot", 13.97, "net", null)]
    [InlineData("into the same size, the old mix had gone fine and wet", null, null, null)]
    [InlineData("fresh bark, dead roots off", null, null, "bark")]
    [InlineData("roots were fine", null, null, null)]
    public void Repotting_says_pot_and_medium(string words, double? cm, string? kind, string? medium)
    {
        var entry = At("2031-05-10", EntryKinds.Repotted, text: words);
        var plant = Lycaste(entry with { Sets = FactWords.Read(entry, Places, Lycaste().Fact) }).On(Today);
        Assert.Equal(cm ?? 11, plant.Pot!.DiameterCm!.Value, 2);
        Assert.Equal((kind ?? "plastic", medium), (plant.Pot.Kind, plant.Medium));
        Assert.Equal(cm is null ? 10 : null, plant.Pot.HeightCm);
        Assert.Equal((11, 10), (plant.On(new(2031, 5, 9)).Pot!.DiameterCm, plant.On(new(2031, 5, 9)).Pot!.HeightCm));
    }

    [Fact]
    public void Words_of_older_logs_are_written_out_once()
    {
        var plant = Told(
            At("2031-05-01", EntryKinds.Moved, text: "from the cold frame to the sill"),
            At("2031-05-12", EntryKinds.Moved, text: "to the south bench"),
            At("2031-05-13", EntryKinds.Moved, text: "into warmth"),
            At("2031-05-14", EntryKinds.Renamed, text: "from Yellow to Lycaste, gold")
        );
        Assert.Equal(
            ["frame", "sill", "south"],
            new[] { 1, 5, 20 }.Select(day => plant.On(day == 1 ? new(2031, 4, 30) : new(2031, 5, day)).Place)
        );
        Assert.Equal("Lycaste, gold", plant.On(Today).Name);
        Assert.Same(plant, plant.Settled(Places));
    }

    [Fact]
    public void Words_that_end_elsewhere_than_the_record_are_not_believed()
    {
        var plant = Told(
            At("2030-05-01", EntryKinds.Moved, text: "out to the cold frame"),
            At("2030-06-01", EntryKinds.Repotted, text: "into moss")
        );
        Assert.Equal("south", plant.On(Today).Place);
        Assert.Equal("moss", plant.On(Today).Medium); // nothing stood on record
        Assert.Equal(
            "bark",
            (plant with { Medium = "bark", Entries = [.. plant.Entries.Select(e => e with { Sets = [] })] })
                .Settled(Places)
                .On(Today)
                .Medium
        );
    }

    [Fact]
    public void Any_day_asked_twice_says_the_same_whatever_is_written_of_later_days() =>
        (
            from days in Gen.Int[0, 60].Array[0, 8]
            from codes in Gen.Int[0, 2].Select(i => Places[i].Code).Array[8]
            from later in Gen.Int[31, 60].Array[0, 4]
            select (days, codes, later)
        ).Sample(
            world =>
            {
                var entries = world.days.Select((day, i) => Move(day, "x", world.codes[i])).ToArray();
                var asked = Today.AddDays(30);
                var plant = Lycaste(entries);
                var more = Lycaste([.. entries, .. world.later.Select((day, i) => Move(day, world.codes[^1], world.codes[i]))]);
                var before = plant.On(asked);
                Assert.Equal(before.Place, plant.On(Today).On(asked).Place);
                if (world.days.Any(day => day <= 30))
                    Assert.Equal(before.Place, more.On(asked).Place);
                Assert.Equal(more.On(DateOnly.MaxValue).Place, more.On(asked).On(DateOnly.MaxValue).Place);
            },
            iter: 500
        );

    static Entry Move(int day, string from, string to) =>
        At(Today.AddDays(day), EntryKinds.Moved) with
        {
            Sets = [new(Facts.Place, from, to)],
        };

    [Fact]
    public void What_lies_between_two_versions_makes_one_of_the_other()
    {
        var before = Lycaste() with { Medium = "bark", Schools = Choices.None.With("first-water", "sip") };
        var after = before with { Place = "sill", Medium = "moss", Pot = new(14, null, "clay"), Schools = Choices.None };
        var made = PlantPast.Between(before, after).Aggregate(before, (plant, change) => plant.With(change.What, change.To));
        Assert.Equal(after, made);
        Assert.Empty(PlantPast.Between(after, made));
    }

    static GardenRecord File(string plants) =>
        GardenFileReader
            .Read($$"""{ "format": "bud-clock-garden", "version": 1, "plants": [ {{plants}} ] }""", CultureSheets.Shipped)
            .Garden!;

    const string Kept = """
        { "tag": "LYC-01", "taxon": "Lycaste aromatica", "entries": [
          { "on": "2031-05-01", "kind": "watered" }, { "on": "2031-05-01", "kind": "watered" }, { "on": "2031-05-03", "kind": "note", "text": "a" } ] }
        """;

    [Fact]
    public void A_hand_kept_file_with_a_line_on_top_adds_that_line_and_twice_the_same_stays_twice()
    {
        var here = File(Kept);
        Assert.True(new ImportPlan(here, File(Kept), ImportWay.Merge, false).IsEmpty);
        var longer = File(Kept.Replace("\"entries\": [", "\"entries\": [ { \"on\": \"2031-05-09\", \"kind\": \"soaked\" },"));
        var plan = new ImportPlan(here, longer, ImportWay.Merge, false);
        Assert.Equal((1, 3, "soaked"), (plan.NewEntries, plan.KnownEntries, plan.Plants.Single().Fresh.Single().Kind.Name));
        // Entries that an earlier version numbered by their place in the file are known by what they say.
        var old = here with
        {
            Plants = [here.Plants[0] with { Entries = [.. here.Plants[0].Entries.Select(e => e with { Id = Guid.NewGuid() })] }],
        };
        Assert.Equal(1, new ImportPlan(old, longer, ImportWay.Merge, false).NewEntries);
    }

    [Theory]
    [InlineData(ImportWay.Add, "bark", null)]
    [InlineData(ImportWay.Merge, "bark", "Swap")]
    [InlineData(ImportWay.Replace, "moss", "Swap")]
    public void Nothing_is_wiped_and_only_replace_believes_the_file(ImportWay way, string medium, string? source)
    {
        var here = File("""{ "tag": "A-1", "taxon": "Hoya carnosa", "name": "Wax", "medium": "bark" }""");
        var plan = new ImportPlan(
            here,
            File("""{ "tag": "a-1", "taxon": "Hoya carnosa", "medium": "moss", "source": "Swap" }"""),
            way,
            false
        );
        var plant = plan.Plants.Single().Result;
        Assert.Equal(("Wax", medium, source), (plant.Name, plant.Medium, plant.Source));
        Assert.Single(plan.Differing);
        Assert.Equal(way is ImportWay.Add, !plan.Plants.Single().Changes);
    }
}
