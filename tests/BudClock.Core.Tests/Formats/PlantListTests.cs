using BudClock.Core.Formats.Lists;

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
        Assert.Equal(["Price"], read.Columns.Where(column => column.Field == "").Select(column => column.Heading));
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
    [InlineData("name\tpot\nLycaste\t900 cm", "Pot: \"900 cm\" is not read; it goes into the log as a note.")]
    [InlineData("name\trepotted\nLycaste\tlast spring", "Last repotted: \"last spring\" is not read; it goes into the log as a note.")]
    [InlineData("name\trepotted\nLycaste\tspring 2030", "Last repotted: spring 2030, kept as rough as it is.")]
    [InlineData("name\tstage\nLycaste\tsulking", "Now: \"sulking\" is not read; it goes into the log as a note.")]
    [InlineData("name\tpot\nLycaste\t3 L", "3 L is a pot of about 17 cm across.")]
    [InlineData(
        "Dendrobium nobile",
        "Some dendrobiums keep their leaves and drink all year, others (nobile, kingianum and their kin) want a cool, nearly dry winter."
    )]
    [InlineData("Frobnicatrix", "No sheet is known for \"Frobnicatrix\": general advice until it is.")]
    public void What_is_doubtful_is_said(string list, string? doubt) =>
        Assert.Equal(
            doubt,
            Read(list).Plants.Single() is var plant ? plant.Faults.Concat(plant.Doubts).Concat(plant.Says).FirstOrDefault() : null
        );

    [Fact]
    public void Tags_are_proposed_in_turn_and_none_twice()
    {
        var plants = Read("Lycaste\nLycaste skinneri\nLYC-03\tLycaste\nLycaste").Plants;
        Assert.Equal(["LYC-02", "LYC-04", "LYC-03", "LYC-05"], plants.Select(p => p.Tag));
        Assert.All(plants, plant => Assert.Empty(plant.Doubts));
        Assert.Equal("LYC-03 is taken.", Read("LYC-03\tLycaste\nLYC-03\tHoya").Plants[1].Faults.Single());
    }

    [Theory]
    [InlineData("4", true, 10.16, null)]
    [InlineData("4 1/2 in clay", false, 11.43, "clay")]
    [InlineData("11", false, 11.0, null)]
    [InlineData("net", false, null, "net")]
    [InlineData("5½\"", true, 13.97, null)]
    [InlineData("9x9 cm", false, 9.0, "square")]
    [InlineData("9 × 9 × 10 cm", false, 9.0, "square")]
    [InlineData("basket 15 cm", false, 15.0, "basket")]
    [InlineData("12,5 cm clear", false, 12.5, "clear")]
    [InlineData("6-inch hanging", false, 15.24, "hanging")]
    public void A_pot_is_read_by_its_words(string words, bool us, double? cm, string? kind)
    {
        var pot = ListPot.Read(words, us)!.Pot;
        Assert.Equal((cm, kind), (pot.DiameterCm, pot.Kind));
    }

    /// <summary>A litre is 1000 cm³; a US gallon 3.785411784 L (NIST Handbook 44). The width that is read holds that much again.</summary>
    [Theory]
    [InlineData("3 L", 3.0)]
    [InlineData("2,5 l", 2.5)]
    [InlineData("2 gal", 7.57)]
    [InlineData("1 qt clay", 0.95)]
    public void A_pot_given_by_its_volume_is_as_wide_as_one_that_holds_it(string words, double litres)
    {
        var pot = ListPot.Read(words, true)!;
        Assert.Equal(litres, pot.Litres!.Value, 0.01);
        Assert.Equal(litres, pot.Pot.VolumeMl!.Value / 1000, litres * 0.02);
    }

    [Theory]
    [InlineData("5/4/2030", true, "2030-05-04", "")]
    [InlineData("5/4/2030", false, "2030-04-05", "")]
    [InlineData("24/5/2030", true, "2030-05-24", "")]
    [InlineData("01.11.21", false, "2021-11-01", "")]
    [InlineData("April 2030", false, "2030-04", "")]
    [InlineData("3/2020", false, "2020-03", "")]
    [InlineData("2029", false, "2029", "")]
    [InlineData("ca. 2012", false, "2012", "")]
    [InlineData("Spring 2018", false, "2018-spring", "")]
    [InlineData("fall '19", true, "2019-autumn", "")]
    [InlineData("gift 2016", false, "2016", "gift")]
    [InlineData("bought 12 May 2018 at the show", false, "2018-05-12", "bought at show")]
    public void A_date_stays_as_rough_as_lists_have_it(string written, bool us, string date, string rest)
    {
        var read = ListDate.Read(written, us)!;
        Assert.Equal((date, rest), (read.Day?.ToString("yyyy-MM-dd") ?? read.About!.Code, read.Rest));
    }

    [Theory]
    [InlineData("last spring")]
    [InlineData("31/2/2030")]
    [InlineData("some time ago")]
    [InlineData("3 L")]
    public void What_is_no_date_is_none(string written) => Assert.Null(ListDate.Read(written, false));

    [Theory]
    [InlineData("3 x Hoya carnosa", "Hoya carnosa", 3)]
    [InlineData("3 × Hoya carnosa", "Hoya carnosa", 3)]
    [InlineData("African violets (3)", "Saintpaulia ionantha", 3)]
    [InlineData("Hoya carnosa x2", "Hoya carnosa", 2)]
    [InlineData("2 African violets", "Saintpaulia ionantha", 2)]
    [InlineData("Laelia x Cattleya", "Laelia x Cattleya", 1)]
    [InlineData("Hoya carnosa (2019)", "Hoya carnosa", 1)]
    public void A_count_is_so_many_plants(string line, string taxon, int count)
    {
        var plant = Read(line).Plants.Single();
        Assert.Equal((taxon, count), (plant.Taxon, plant.Count));
    }

    [Fact]
    public void Names_side_by_side_are_as_many_plants_and_running_numbers_are_no_tags()
    {
        Assert.Equal(["Hoya carnosa", "Cattleya"], Read("Hoya carnosa; Cattleya").Plants.Select(p => p.Taxon));
        Assert.Equal(["Hoya carnosa", "Clivia", "Lycaste"], Read("1. Hoya carnosa\n2. Clivia\n3. Lycaste").Plants.Select(p => p.Taxon));
        Assert.Equal("Hippeastrum", Read("Amaryllis, Oma").Plants.Single().Taxon.Split(' ', ',')[0]);
        Assert.Equal("Amaryllis belladonna", Read("Amaryllis belladonna").Plants.Single().Taxon);
    }

    [Fact]
    public void Columns_can_be_taken_for_something_else()
    {
        var read = PlantList.Read("a\tb\nsill\tHoya\nporch\tClivia", [], false, ["place", "name"]);
        Assert.Equal([("sill", "Hoya"), ("porch", "Clivia")], read.Plants.Skip(1).Select(p => (p.Place, p.Taxon)));
    }

    [Fact]
    public void The_example_is_a_list_without_doubts() =>
        Assert.All(Read(PlantList.Example.Replace("LYC-01", "LYC-09")).Plants, p => Assert.Empty(p.Faults));
}
