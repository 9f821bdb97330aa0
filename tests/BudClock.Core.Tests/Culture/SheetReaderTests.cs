using BudClock.Core.Advising;
using BudClock.Core.Culture;

namespace BudClock.Core.Tests.Culture;

public class SheetReaderTests
{
    const string Sound = """
        name: test
        title: Test
        about: A sheet for tests.
        genera: [Examplea]
        rules:
          K3:
            every: { value: 7, range: [1, 60], unit: days, reason: "So it is." }
        """;

    [Fact]
    public void Reads_thresholds_with_unit_and_reason()
    {
        var sheet = new SheetReader("test.yaml").Read(Sound)!;
        Assert.Equal(7, sheet.Rule("K3")!["every"]);
        Assert.Equal("days", sheet.Rule("K3")!.Thresholds["every"].Unit);
    }

    [Theory]
    [InlineData("value: 7", "value: seven", "test.yaml, line 7: value: expected a number, got \"seven\"")]
    [InlineData(
        "reason: \"So it is.\"",
        "why: x",
        "test.yaml, line 7: \"why\" is not known here; known are value, range, unit, reason, genera"
    )]
    [InlineData(
        "range: [1, 60]",
        "range: [60]",
        "test.yaml, line 7: range: expected the least and the most that make sense, such as [1, 60]"
    )]
    [InlineData("value: 7", "value: 70", "test.yaml, line 7: the value 70 is outside its own range, 1 to 60")]
    [InlineData("title: Test", "", "test.yaml, line 1: title is missing")]
    public void Names_the_line_of_each_fault(string sound, string broken, string fault)
    {
        var reader = new SheetReader("test.yaml");
        Assert.Null(reader.Read(Sound.Replace(sound, broken)));
        Assert.Contains(reader.Faults, found => found.ToString() == fault);
    }

    [Fact]
    public void A_sheet_that_lacks_what_its_rule_needs_is_refused_at_start()
    {
        var sheet = new SheetReader("test.yaml").Read(Sound.Replace("every:", "often:"))!;
        var refused = Assert.Throws<InvalidDataException>(() => new Assessor(new([sheet])));
        Assert.Equal("Sheet test, rule K3: every is missing", refused.Message);
    }

    [Theory]
    [InlineData("Catasetum", null, "leafless-pseudobulb")]
    [InlineData("Cycnoches ventricosum", null, "leafless-pseudobulb-thirsty")]
    [InlineData("Cattleya intermedia", "bark", "evergreen-pseudobulb-warm")]
    [InlineData("Cattleya intermedia", "Semi-hydro", "evergreen-pseudobulb-semi-hydro")] // by the medium
    [InlineData("Vanda coerulea", "basket", "monopodial-mount")]
    [InlineData("Alocasia odora", null, "corm-aroid-large")]
    [InlineData("Alocasia reginula 'Black'", null, "corm-aroid-jewel")] // the species before its genus
    [InlineData("Nothofagus", null, "general")]
    public void Shipped_sheets_are_found_from_species_genus_and_medium(string taxon, string? medium, string sheet) =>
        Assert.Equal(
            sheet,
            CultureSheets
                .Shipped.For(
                    new()
                    {
                        Tag = "A-1",
                        Taxon = taxon,
                        Medium = medium,
                    }
                )!
                .Name
        );

    [Fact]
    public void Two_sheets_of_a_genus_for_one_medium_are_refused()
    {
        var sheet = new SheetReader("test.yaml").Read(Sound)! with { Genera = ["Lycaste"] };
        Assert.Throws<InvalidDataException>(() => new CultureSheets([sheet, sheet with { Name = "other" }]));
        Assert.Equal(
            "other",
            new CultureSheets([sheet, sheet with { Name = "other", Media = ["moss"] }]).ForTaxon("Lycaste", "moss")!.Name
        );
    }

    [Fact]
    public void Every_shipped_sheet_has_phases_signs_and_a_usual_year_and_covers_what_the_general_one_asks()
    {
        var sheets = CultureSheets.Shipped.All.Where(sheet => sheet.Name != CultureSheets.General).ToList();
        Assert.True(sheets.Count >= 24, $"{sheets.Count} sheets");
        Assert.All(sheets, sheet =>
        {
            Assert.NotEmpty(sheet.Phases);
            Assert.NotEmpty(sheet.Signs);
            Assert.NotEmpty(sheet.Usual);
            Assert.NotNull(sheet.Rule("K3"));
            Assert.NotNull(sheet.Rule("K4"));
        });
    }

    [Theory]
    [InlineData("signs:\n  - { sign: leaves purple, means: x }", "\"purple\" is no state of leaves")]
    [InlineData("signs:\n  - { sign: aura, means: x }", "\"aura\" is no kind of entry")]
    [InlineData("organs: { shoot: branch, flower: spike }", "shoot: \"branch\" is no kind of organ")]
    [InlineData("phases:\n  - { phase: dreaming, from: 01-01, to: 02-01, about: x }", "\"dreaming\" is no phase")]
    [InlineData("cautions: [bites]", "\"bites\" is no caution")]
    [InlineData("traits: [greedy]", "\"greedy\" is no trait")]
    [InlineData("light: dusk", "light: \"dusk\" is no light class")]
    public void Names_the_line_of_what_a_sheet_cannot_say(string part, string fault)
    {
        var reader = new SheetReader("test.yaml");
        Assert.Null(reader.Read(Sound.TrimEnd() + "\n" + part + "\n"));
        Assert.Contains(fault, reader.Faults.Single().ToString());
    }
}
