using BudClock.Core.Formats;

namespace BudClock.Core.Tests.Formats;

public class PlantListTests
{
    static PlantListRead Read(string text, bool us = false) => PlantList.Read(text, ["LYC-01"], us);

    [Theory]
    [InlineData("Lycaste aromatica", "LYC-02", "Lycaste aromatica", "")]
    [InlineData("African violet", "SAI-01", "Saintpaulia ionantha", "African violet")]
    [InlineData("Phalaenopsis 'Evening White'", "PHA-01", "Phalaenopsis Evening White", "Phalaenopsis 'Evening White'")]
    [InlineData("yellow Lycaste", "LYC-02", "Lycaste", "yellow Lycaste")]
    [InlineData("Grandmother's Christmas cactus", "SCH-01", "Schlumbergera", "Grandmother's Christmas cactus")]
    public void A_name_alone_finds_its_species_and_a_tag(string line, string tag, string taxon, string name)
    {
        var plant = Read(line).Plants.Single();
        Assert.Equal((tag, taxon, name), (plant.Tag, plant.Taxon, plant.Name));
        Assert.Empty(plant.Doubts);
    }

    [Fact]
    public void A_name_that_is_near_to_one_is_doubtful_and_says_which()
    {
        var plant = Read("Phalenopsis").Plants.Single();
        Assert.Contains(plant.Near, near => near.StartsWith("Phalaenopsis", StringComparison.Ordinal));
        Assert.Single(plant.Doubts);
        Assert.Equal("Phalenopsis", plant.Taxon);
    }

    [Theory]
    [InlineData("\t")]
    [InlineData(";")]
    [InlineData(",")]
    public void Columns_are_read_as_they_stand_in_a_spreadsheet(string comma)
    {
        string[] header = ["No", "Plant", "Botanical name", "Location", "Pot (cm)", "Substrate", "Status", "Last repot", "Price"];
        string[] row = ["L7", "The yellow one", "Lycaste aromatica", "East window", "11 plastic", "bark", "dormant", "20/4/2030", "12"];
        var read = Read($"{string.Join(comma, header)}\r\n{string.Join(comma, row)}\r\n");
        var plant = read.Plants.Single();
        Assert.Equal(("L7", "The yellow one", "Lycaste aromatica", "East window"), (plant.Tag, plant.Name, plant.Taxon, plant.Place));
        Assert.Equal(("11 plastic", "bark", "dormant", "20/4/2030"), (plant.Pot, plant.Medium, plant.Stage, plant.Repotted));
        Assert.Empty(plant.Doubts);
        Assert.Equal(["Price"], read.Left);
    }

    [Fact]
    public void Without_headings_each_cell_tells_what_it_is()
    {
        var plant = Read("HOY-1\tHoya carnosa\tsill\t14 cm\tin bud\t2029-05-01\tfrom the swap").Plants.Single();
        Assert.Equal(("HOY-1", "Hoya carnosa", "sill", "14 cm"), (plant.Tag, plant.Taxon, plant.Place, plant.Pot));
        Assert.Equal(("in bud", "2029-05-01", "from the swap"), (plant.Stage, plant.Repotted, plant.Note));
    }

    [Theory]
    [InlineData("LYC-01\tLycaste", "LYC-01 is taken.")]
    [InlineData("tag\tname\n!!\tLycaste", "\"!!\" cannot be a tag: letters, digits and hyphens, at most 20, such as LYC-01.")]
    [InlineData("name\tpot\nLycaste\thuge", null)]
    [InlineData("name\tpot\nLycaste\t900 cm", "\"900 cm\" is no pot, such as 11 cm plastic.")]
    [InlineData("name\trepotted\nLycaste\tlast spring", "\"last spring\" is no day, such as 2030-04-20.")]
    [InlineData("name\tstage\nLycaste\tsulking", "What is \"sulking\"? Choose what it is doing now.")]
    [InlineData("Frobnicatrix", "No sheet is known for \"Frobnicatrix\": general advice until it is.")]
    public void What_is_doubtful_is_said(string list, string? doubt) =>
        Assert.Equal(doubt, Read(list).Plants.Single().Doubts.FirstOrDefault());

    [Fact]
    public void Tags_are_proposed_in_turn_and_none_twice()
    {
        var plants = Read("Lycaste\nLycaste skinneri\nLYC-03\tLycaste\nLycaste").Plants;
        Assert.Equal(["LYC-02", "LYC-04", "LYC-03", "LYC-05"], plants.Select(p => p.Tag));
        Assert.All(plants, plant => Assert.Empty(plant.Doubts));
        Assert.Equal("LYC-03 is taken.", Read("LYC-03\tLycaste\nLYC-03\tHoya").Plants[1].Doubts.Single());
    }

    [Theory]
    [InlineData("4", true, 10.16, null)]
    [InlineData("4 1/2 in clay", false, 11.43, "clay")]
    [InlineData("11", false, 11.0, null)]
    [InlineData("net pot", false, null, "net pot")]
    public void A_pot_is_read_by_its_words(string words, bool us, double? cm, string? kind)
    {
        var pot = PlantList.PotOf(words, us)!;
        Assert.Equal((cm, kind), (pot.DiameterCm, pot.Kind));
    }

    [Theory]
    [InlineData("5/4/2030", true, "2030-05-04")]
    [InlineData("5/4/2030", false, "2030-04-05")]
    [InlineData("April 2030", false, "2030-04-01")]
    [InlineData("2029", false, "2029-01-01")]
    public void A_day_is_read_as_lists_have_it(string written, bool us, string day) =>
        Assert.Equal(day, PlantList.DayOf(written, us)!.Value.ToString("yyyy-MM-dd"));

    [Fact]
    public void The_example_is_a_list_without_doubts() =>
        Assert.All(Read(PlantList.Example.Replace("LYC-01", "LYC-09")).Plants, p => Assert.Empty(p.Doubts));
}
