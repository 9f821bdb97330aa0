using BudClock.Core.Advice;
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
            every: { value: 7, unit: days, reason: "So it is." }
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
    [InlineData("reason: \"So it is.\"", "why: x", "test.yaml, line 7: \"why\" is not known here; known are value, unit, reason, genera")]
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

    [Fact]
    public void Shipped_sheets_are_found_from_the_genus()
    {
        foreach (var genus in (string[])["Catasetum", "Cycnoches", "Mormodes", "Calanthe", "Lycaste"])
            Assert.Equal("leafless-pseudobulb", CultureSheets.Shipped.ForGenus(genus)!.Name);
        Assert.Null(CultureSheets.Shipped.ForGenus("Hoya"));
    }
}
