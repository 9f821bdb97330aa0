using BudClock.Core.Formats.Lists;

namespace BudClock.Core.Tests.Formats;

/// <summary>Two lists as growers keep them, in metric and US units, with titles, totals, shorthand, counts and rough dates.</summary>
public class MessyListTests
{
    static PlantListRead Read(string file, bool us) =>
        PlantList.Read(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Formats", "lists", file)), [], us);

    static ListedPlant Line(PlantListRead read, string written) =>
        read.Plants.Single(plant => plant.Written.Contains(written, StringComparison.Ordinal));

    [Fact]
    public void A_metric_list_with_shorthand_decimal_commas_and_rough_dates()
    {
        var read = Read("metric.txt", false);
        Assert.Null(read.Trouble);
        Assert.Equal(60, read.Plants.Count);
        Assert.Equal(64, read.Plants.Sum(plant => plant.Count));
        Assert.Equal(["Pflanzen im Wintergarten, Stand Mai", "Hoyas and other vines:", "---", "Total, 60"], read.Aside);
        Assert.All(read.Plants, plant => Assert.Empty(plant.Faults));
        Assert.Equal(["", "genus", "epithet", "place", "pot", "medium", "acquired", "repotted", "note"], read.Columns.Select(c => c.Field));
        Assert.Equal("Phalaenopsis White Dragon", Line(read, "White Dragon").Taxon);
        Assert.Equal("Rhyncholaeliocattleya Alma Kee", Line(read, "Alma Kee").Taxon);
        Assert.Equal(12.5, ListPot.Read(Line(read, "12,5 cm").Pot, false)!.Pot.DiameterCm);
        Assert.Equal(17.0, ListPot.Read(Line(read, "Fuchsia").Pot, false)!.Pot.DiameterCm!.Value, 0.2);
        Assert.Equal("Hippeastrum Oma", Line(read, "Oma").Taxon);
        Assert.True(Line(read, "nobile").Doubtful);
        Assert.Equal("resting", PlantList.StageOf(Line(read, "Cycnoches").Stage));
        Assert.Equal("With you since: some time ago", Line(read, "Hibiscus").Kept);
        Assert.Equal((5, "Saintpaulia"), (Line(read, "five from").Count, Line(read, "five from").Taxon));
        // What leads to no sheet is said, and nothing silly is offered for it.
        var doubtful = read.Plants.Where(plant => plant.Doubts.Any(doubt => doubt.StartsWith("No sheet", StringComparison.Ordinal)));
        Assert.Equal(["Rose patio"], doubtful.Select(plant => plant.Taxon));
        Assert.Empty(Line(read, "Rose").Near);
    }

    [Fact]
    public void A_list_in_us_units_with_counts_a_title_and_months_first()
    {
        var read = Read("us.csv", true);
        Assert.Equal(41, read.Plants.Count);
        Assert.Equal(70, read.Plants.Sum(plant => plant.Count));
        Assert.Equal(["My orchids and such - updated 5/2/31", "TOTAL, 60"], read.Aside);
        Assert.All(read.Plants, plant => Assert.Empty(plant.Faults));
        Assert.Equal("", read.Columns.Single(column => column.Heading == "Price").Field);
        Assert.Equal(new(2029, 3, 14), ListDate.Read(Line(read, "3/14/2029").Acquired, true)!.Day);
        Assert.Equal("2030-04", ListDate.Read(Line(read, "4/2030").Repotted, true)!.About!.Code);
        Assert.Equal("2024-summer", ListDate.Read(Line(read, "Summer").Acquired, true)!.About!.Code);
        Assert.Equal(13.97, ListPot.Read(Line(read, "Big moth").Pot, true)!.Pot.DiameterCm);
        Assert.Equal(("Hippeastrum red", 2), (Line(read, "Amaryllis red").Taxon, Line(read, "Amaryllis red").Count));
        Assert.Equal("Begonia", Line(read, "Begonias").Taxon);
        var doubtful = read.Plants.Where(plant => plant.Doubts.Any(doubt => doubt.StartsWith("No sheet", StringComparison.Ordinal)));
        Assert.Equal(["Phaius tankervilleae", "Mystery bulb"], doubtful.Select(plant => plant.Taxon));
    }
}
