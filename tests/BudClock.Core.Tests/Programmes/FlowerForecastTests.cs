using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Formats;
using BudClock.Core.Measuring;

namespace BudClock.Core.Tests.Programmes;

/// <summary>First flowers from the day of planting and buds from a programme: foretold, kept, scored; and programmes that travel.</summary>
public class FlowerForecastTests
{
    static readonly DateOnly Planted = new(2031, 11, 26);
    static readonly CultureSheet Sheet = CultureSheets.Shipped.Find("tender-narcissus")!;

    static Assessment Bowl(DateOnly today, double? meanC, params Entry[] more)
    {
        var calendar = new GardenDays(new("Glass", 51.5, 0.7, "Europe/London"));
        var record = PlaceRecord.Of(
            calendar,
            meanC is not { } celsius
                ? []
                : Enumerable
                    .Range(0, 24 * 60)
                    .Select(hour => new ClimateReading(
                        "sill",
                        new DateTimeOffset(Planted, default, TimeSpan.Zero).AddHours(hour),
                        celsius,
                        60
                    ))
                    .Where(reading => reading.At < new DateTimeOffset(today.AddDays(1), default, TimeSpan.Zero))
        );
        var place = new Place("sill", "Sill", "indoors");
        return Assessor.Shipped.Assess(
            new()
            {
                Tag = "NAR-01",
                Taxon = "Narcissus papyraceus",
                Place = "sill",
                Acquired = new(2031, 10, 1),
                Entries = [Specimens.At(Planted, EntryKinds.Planted), .. more],
            },
            new Surroundings(calendar.Garden)
            {
                Place = place,
                SharedDays = calendar,
                Places = new(calendar, _ => record, _ => place),
            },
            today
        );
    }

    static Forecast? Flower(Assessment plant) => plant.Forecasts.FirstOrDefault(forecast => forecast.Of == Forecasts.PlantedToFlower);

    [Theory]
    [InlineData(16, 28)] // common practice
    [InlineData(12, 39)] // five to six weeks on a cool sill
    [InlineData(18, 25)]
    public void The_warmth_it_stands_in_moves_the_day(double celsius, int days)
    {
        var said = Flower(Bowl(Planted.AddDays(7), celsius))!;
        Assert.InRange(said.Likely.DayNumber - Planted.DayNumber, days - 2, days + 2);
        Assert.True(said.From < said.Likely && said.To > said.Likely);
    }

    [Fact]
    public void Unmeasured_it_is_the_sheet_s_days_and_once_in_flower_nothing()
    {
        Assert.Equal(Planted.AddDays(28), Flower(Bowl(Planted.AddDays(3), null))!.Likely);
        Assert.Null(Flower(Bowl(Planted.AddDays(30), 16, Specimens.At(Planted.AddDays(28), EntryKinds.BloomOpened))));
    }

    [Fact]
    public void It_is_scored_by_the_first_flower_after_it_was_said()
    {
        var said = Flower(Bowl(Planted.AddDays(7), 16))!;
        var journal = PlantJournal.UpTo(
            Planted.AddDays(60),
            [Specimens.At(Planted.AddDays(-30), EntryKinds.BloomOpened), Specimens.At(said.Likely.AddDays(3), EntryKinds.BloomOpened)]
        );
        Assert.Equal((said.Likely.AddDays(3), 3), Forecasts.Outcome(said, [], journal));
        Assert.Null(Forecasts.Outcome(said, [], PlantJournal.UpTo(Planted, [])));
    }

    [Fact]
    public void Lots_that_overlap_each_teach_their_own_days()
    {
        var journal = PlantJournal.UpTo(
            Planted.AddDays(120),
            [
                Specimens.At(Planted, EntryKinds.Planted),
                Specimens.At(Planted.AddDays(28), EntryKinds.BloomOpened),
                Specimens.At(Planted.AddDays(29), EntryKinds.Planted),
                Specimens.At(Planted.AddDays(33), EntryKinds.Blooms, new Quantity(8, null)),
                Specimens.At(Planted.AddDays(60), EntryKinds.BloomOpened),
            ]
        );
        Assert.Equal([28, 31], Forecasts.FromPlanting(journal).Select(lot => lot.Days));
    }

    [Fact]
    public void A_store_that_was_never_measured_and_one_that_is_says_so_on_the_plan() =>
        Assert.Null(BulbInterval.ByWarmth(Sheet, PlaceRecord.Empty, Planted, Planted.AddDays(3)));

    [Fact]
    public void Programmes_of_one_s_own_travel_in_the_garden_file()
    {
        var yaml = Core
            .Programmes.ProgrammeBook.TextOf("long-nights")!
            .Replace("name: long-nights", "name: mine", StringComparison.Ordinal);
        var garden = new GardenRecord(new("Glass", 51.5), [], [], [], []) { Programmes = [new("mine", yaml)] };
        var written = GardenFileWriter.Write(garden);
        var read = GardenFileReader.Read(written, CultureSheets.Shipped);
        Assert.Empty(read.Faults);
        Assert.Equal(garden.Programmes, read.Garden!.Programmes);
        Assert.Equal(written, GardenFileWriter.Write(read.Garden));
        // Added to a garden that has none, and left alone in one that has it.
        var nothing = new GardenRecord(Garden.Unnamed, [], [], [], []);
        Assert.Single(new ImportPlan(nothing, garden, ImportWay.Add, GardenToo: false).Programmes);
        Assert.Empty(new ImportPlan(garden, garden, ImportWay.Add, GardenToo: false).Programmes);
    }

    [Theory]
    [InlineData("need: 42", "need: many", "programmes[0].yaml: line ")]
    [InlineData("name: long-nights", "name: other", "programmes[0].name: the text calls it other")]
    public void A_faulty_one_is_refused_with_its_place(string sound, string faulty, string says)
    {
        var yaml = Core.Programmes.ProgrammeBook.TextOf("long-nights")!;
        Assert.Contains(sound, yaml, StringComparison.Ordinal);
        var garden = new GardenRecord(new("Glass", 51.5), [], [], [], [])
        {
            Programmes = [new("long-nights", yaml.Replace(sound, faulty, StringComparison.Ordinal))],
        };
        var read = GardenFileReader.Read(GardenFileWriter.Write(garden), CultureSheets.Shipped);
        Assert.Contains(read.Faults, fault => fault.ToString().StartsWith(says, StringComparison.Ordinal));
    }
}
