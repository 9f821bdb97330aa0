using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Culture.Limits;
using BudClock.Core.Formats;

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
            every: { value: 7 days, reason: "So it is." }
            given-up: { value: 28 days, reason: "So it is." }
        """;

    [Fact]
    public void Reads_numbers_with_unit_and_reason_as_the_rule_reads_them()
    {
        var sheet = new SheetReader("test.yaml").Read(Sound)!;
        Assert.Equal(new MeasuringLimits(7, 28), sheet.Limits<MeasuringLimits>());
        Assert.Equal(("7 days", "So it is."), (sheet.Rule("K3")!.Thresholds["every"].Words, sheet.Rule("K3")!.Thresholds["every"].Reason));
        Assert.Null(sheet.Find<FirstSoakLimits>());
        Assert.Throws<InvalidOperationException>(sheet.Limits<FirstSoakLimits>);
    }

    [Theory]
    [InlineData("value: 7 days", "value: seven days", "test.yaml, line 7: every: expected a number, got \"seven days\"")]
    [InlineData("value: 7 days", "value: 7 hours", "test.yaml, line 7: every: expected days, got \"7 hours\"")]
    [InlineData("value: 7 days", "value: 7", "test.yaml, line 7: every: expected days, got \"7\"")]
    [InlineData("value: 7 days", "value: 70 days", "test.yaml, line 7: every: 70 is outside 1 to 60")]
    [InlineData("value: 7 days", "value: NaN days", "test.yaml, line 7: every: NaN is outside 1 to 60")]
    [InlineData(
        "reason: \"So it is.\" }\n    given",
        "why: x }\n    given",
        "test.yaml, line 7: \"why\" is not known here; known are value, reason"
    )]
    [InlineData("every:", "often:", "test.yaml, line 7: K3 knows no \"often\"; it knows every, given-up")]
    [InlineData("title: Test", "", "test.yaml, line 1: title is missing")]
    [InlineData("  K3:", "  W3: { leaf-sign: 1 }\n  K3:", "test.yaml, line 6: leaf-sign: expected yes or no, got \"1\"")]
    [InlineData("  K3:", "  V9: { every: 1 days }\n  K3:", "test.yaml, line 6: V9 is decided by no number")]
    public void Names_the_line_of_each_fault(string sound, string broken, string fault)
    {
        var reader = new SheetReader("test.yaml");
        Assert.Null(reader.Read(Sound.Replace(sound, broken)));
        Assert.Contains(reader.Faults, found => found.ToString() == fault);
    }

    [Theory]
    [InlineData("    given-up: { value: 28 days, reason: \"So it is.\" }", "", "test.yaml, line 7: K3: given-up is missing")]
    [InlineData("{ value: 7 days, reason: \"So it is.\" }", "7 days", "test.yaml, line 7: K3: every has no reason")]
    [InlineData("  K3:", "  K33: {}\n  K3:", "test.yaml, line 6: K33 is no rule")]
    public void A_sheet_that_lacks_what_its_rule_needs_is_refused_at_start(string sound, string broken, string fault)
    {
        var sheet = new SheetReader("test.yaml").Read(Sound.Replace(sound, broken))!;
        var refused = Assert.Throws<InvalidDataException>(() => new Assessor(new([sheet])));
        Assert.Equal(fault, refused.Message);
    }

    [Fact]
    public void A_sheet_takes_from_the_one_below_what_it_does_not_say()
    {
        var general = new SheetReader("general.yaml").Read(
            Sound.Replace("name: test", "name: general")
                + """

                habit-rules:
                  E6: { every: { value: 9 days, reason: "Usual." } }
                """
        )!;
        var head = Sound[..Sound.IndexOf("rules:", StringComparison.Ordinal)]
            .Replace("name: test", "name: own")
            .Replace("Examplea", "Otherea");
        var sheet = new SheetReader("own.yaml").Read($"{head}rules: {{ E6: {{}}, K3: {{ every: 5 days }} }}")!;
        var own = new CultureSheets([general, sheet]).Find("own")!;
        Assert.Equal(new MeasuringLimits(5, 28), own.Limits<MeasuringLimits>());
        Assert.Equal("So it is.", own.Rule("K3")!.Thresholds["every"].Reason);
        Assert.Equal(9, own.Limits<TurningLimits>().Every);
    }

    [Fact]
    public void Every_shipped_sheet_says_only_what_differs_from_the_general_one()
    {
        var general = CultureSheets.Shipped.Find(CultureSheets.General)!;
        var files = Directory.GetFiles(Path.Combine(Reference.Repository(), "src/BudClock.Core/Culture/Sheets"));
        var repeated =
            from file in files
            let reader = new SheetReader(file)
            let sheet = reader.Read(File.ReadAllText(file)) ?? throw new InvalidDataException(string.Join("; ", reader.Faults))
            where sheet.Name != general.Name && sheet.Like is null
            from rule in sheet.Rules.All
            from row in rule.Value.Thresholds
            let below = (general.Rule(rule.Key) ?? general.HabitRules.Find(rule.Key))?.Thresholds.GetValueOrDefault(row.Key)
            where below?.Value == row.Value.Value
            select $"{sheet.Name} {rule.Key} {row.Key}";
        Assert.Empty(repeated);
    }

    [Fact]
    public void Of_two_parents_a_cross_takes_the_safer_number_of_each_by_what_is_declared()
    {
        var (one, other) = (CultureSheets.Shipped.Find("sundew")!, CultureSheets.Shipped.Find("evergreen-pseudobulb-warm")!);
        var (cross, a, b) = (one.Stricter(other), one.Limits<TemperatureLimits>(), other.Limits<TemperatureLimits>());
        Assert.Equal(Math.Max(a.Danger, b.Danger), cross.Limits<TemperatureLimits>().Danger);
        Assert.Equal(Math.Min(a.HotDay!.Value, b.HotDay!.Value), cross.Limits<TemperatureLimits>().HotDay);
        Assert.Equal(Math.Min(one.Limits<SaltLimits>().Tds, other.Limits<SaltLimits>().Tds), cross.Limits<SaltLimits>().Tds);
        Assert.Equal(a.Measured, cross.Limits<TemperatureLimits>().Measured); // neither end is safer
    }

    [Fact]
    public void Every_number_that_is_declared_has_a_range_and_a_meaning_in_small_letters()
    {
        Assert.All(RuleLimits.Rules.SelectMany(rule => RuleLimits.Of(rule)!.Limits), limit =>
            Assert.True(limit.Least < limit.Most && char.IsLower(limit.Meaning[0]) && limit.Meaning[^1] is not '.', limit.Name)
        );
        Assert.True(RuleLimits.Rules.Count() > 50);
    }

    [Fact]
    public void Every_number_that_is_declared_is_read_by_something()
    {
        var read = Directory
            .EnumerateFiles(Path.Combine(Reference.Repository(), "src"), "*.cs*", SearchOption.AllDirectories)
            .Where(file => !file.Contains("/obj/", StringComparison.Ordinal))
            .SelectMany(File.ReadLines)
            .Where(line => !line.Contains("[Limit(", StringComparison.Ordinal))
            .SelectMany(line => line.Split([.. " .,;:()<>[]{}?!"], StringSplitOptions.RemoveEmptyEntries))
            .ToHashSet(StringComparer.Ordinal);
        var unread =
            from rule in RuleLimits.Rules
            from limit in RuleLimits.Of(rule)!.Limits
            where !read.Contains(string.Concat(limit.Name.Split('-').Select(word => char.ToUpperInvariant(word[0]) + word[1..])))
            select $"{rule}.{limit.Name}";
        Assert.Empty(unread);
    }

    [Fact]
    public void A_change_by_a_name_of_an_earlier_version_is_read_by_todays()
    {
        const string File = """
            { "format": "bud-clock-garden", "version": 1, "plants": [], "sheetChanges": [
              { "sheet": "leafless-pseudobulb-thirsty", "name": "W1.root-length-thirsty", "value": 5 },
              { "sheet": "leafless-pseudobulb", "name": "W1.root-length-thirsty", "value": 5 },
              { "sheet": "leafless-pseudobulb", "name": "L5.visits", "value": 2 } ] }
            """;
        var changes = GardenFileReader.Read(File, CultureSheets.Shipped).Garden!.SheetChanges;
        var limits = CultureSheets.Shipped.With(changes).Find("leafless-pseudobulb-thirsty")!.Limits<FirstSoakLimits>();
        Assert.Equal((5, 5), (limits.RootLengthSmall, limits.RootLengthLarge));
        Assert.Equal(2, changes.Count); // on the other sheet it held for no plant, and visits are counted no more
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
