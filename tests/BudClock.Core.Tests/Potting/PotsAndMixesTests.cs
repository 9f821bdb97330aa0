using BudClock.Core.Advising.Repotting;
using BudClock.Core.Culture;
using BudClock.Core.Potting;
using BudClock.Core.Tests.Situations;

namespace BudClock.Core.Tests.Potting;

/// <summary>Rules R4 to R6: volumes against geometry, parts and blocks by arithmetic, sizes by the trade's figures.</summary>
public class PotsAndMixesTests
{
    static readonly PottingMix Thirds = PottingTable.Shipped.Mixes.First(mix => mix.Code == "thirds");

    /// <summary>The frustum of any table of geometry: top 12 cm, bottom 9 cm, height 11 cm is 0.959 L; as a cylinder and a cone too.</summary>
    [Theory]
    [InlineData(12, 9, 11, 0.959)]
    [InlineData(10, 10, 10, 0.785)]
    [InlineData(10, 0, 10, 0.262)]
    public void A_pot_s_content(double top, double bottom, double height, double litres) =>
        Assert.Equal(litres, new Frustum(top, bottom, height).Litres, 0.0005);

    [Fact]
    public void Two_layers_are_the_whole_and_beyond_the_rim_there_is_nothing()
    {
        var pot = new Frustum(12, 9, 11);
        Assert.Equal(pot.Litres, pot.Between(0, 4) + pot.Between(4, 99), 9);
        Assert.Equal((0, 10.5), (pot.Between(5, 4), pot.Across(5.5)));
    }

    /// <summary>By hand: 8.8 L settled at 12 % are 10 L loose, a third of each.</summary>
    [Fact]
    public void What_settles_is_mixed_on_top_and_shared_by_parts()
    {
        var bill = MixBill.Of(Thirds, [new("SAI-01", 4.4), new("SAI-02", 4.4)]);
        Assert.Equal((8.8, 10), (Math.Round(bill.Settled, 6), Math.Round(bill.Loose, 6)));
        Assert.All(bill.Parts, part => Assert.Equal(10.0 / 3, part.Litres, 6));
        Assert.True(bill.IsDusty);
        Assert.Equal("1 bag of 10 L", bill.Buy("peat", 3.33));
    }

    /// <summary>By hand: 25.5 L settled at 15 % are 30 L; a third of coir, 10 L, is two blocks of 5 L that drink 7 L.</summary>
    [Fact]
    public void Coir_comes_in_blocks()
    {
        var bulbs = PottingTable.Shipped.Mixes.First(mix => mix.Code == "bulbs");
        var bill = MixBill.Of(bulbs, [new("HIP-01", 25.5)]);
        Assert.Equal(2, bill.Blocks);
        Assert.Equal("2 blocks, soaked in 7 L of warm water", bill.Buy("coir", 10));
    }

    [Fact]
    public void Parts_that_sum_to_nothing_are_refused()
    {
        var nothing = new PottingMix("x", "x") { Parts = new Dictionary<string, double> { ["bark"] = 0 } };
        Assert.Equal("A mix needs at least one part above 0.", nothing.Fault());
        Assert.Throws<ArgumentException>(() => MixBill.Of(nothing, []));
        Assert.NotNull(new OwnedPot("p", 0, 10, "clay", 1).Fault());
    }

    static PotSize? Size(string kind, string log = "") =>
        PotSize.Read(Situated.Read($"it | {kind} | 2031-06-10 | {log} | never do feed | as decided").Assess().Situation);

    /// <summary>The trade's figures: 12 cm of leaves, a 4 cm pot; a root ball plus 2.5 to 5 cm for vines.</summary>
    [Fact]
    public void A_pot_by_its_own_rule()
    {
        var violet = Size("Saintpaulia ionantha; peat; indoors; nights 18; pot 4", "06-10 leaf span 12 cm")!;
        Assert.Equal(4, (violet.FromCm + violet.ToCm) / 2);
        var vine = Size("Hoya carnosa; bark; indoors; nights 18; pot 12", "06-01 watered")!;
        Assert.Equal((14.5, 17), (vine.FromCm, vine.ToCm));
        Assert.Contains("big jump", vine.Warning(22, 12));
        Assert.Contains("smaller than it stands in", vine.Warning(10, 12));
        Assert.Null(vine.Warning(16, 12));
    }

    [Fact]
    public void Few_roots_never_get_a_larger_pot()
    {
        var few = Size("Phalaenopsis amabilis; bark; indoors; nights 19; pot 12", "06-01 roots lost")!;
        Assert.Equal((6, 12), (few.FromCm, few.ToCm));
        Assert.NotNull(few.Warning(14, 12));
    }

    [Fact]
    public void Not_even_a_rosette_that_outgrew_its_pot_while_it_has_no_roots()
    {
        var few = Size("Saintpaulia ionantha; peat; indoors; nights 18; pot 6", "06-01 leaf span 36 cm, 06-08 roots lost")!;
        Assert.Equal((3, 6), (few.FromCm, few.ToCm));
    }

    /// <summary>Three living growths to each part: the lost one is not counted, and the cut comes after the third that lives.</summary>
    [Fact]
    public void A_division_counts_what_lives()
    {
        Organ Growth(int year) => new($"g{year}", Organ.Growth, $"{year}");
        var whole = new Plant
        {
            Tag = "CAT-01",
            Taxon = "Cattleya labiata",
            Medium = "bark",
            Organs = [.. Enumerable.Range(2024, 7).Select(Growth)],
            Entries = [Specimens.At("2027-05-01", EntryKinds.Lost) with { Organ = "g2025" }],
        };
        var plan = DivisionPlan.Read(Specimens.Assess(whole));
        Assert.Equal((6, "2027"), (plan.Growths.Count, Assert.Single(plan.CutAfter)));
    }

    [Fact]
    public void A_violet_that_outgrew_its_pot_twice_over_goes_in_two_steps()
    {
        var violet = Size("Saintpaulia ionantha; peat; indoors; nights 18; pot 6", "06-10 leaf span 36 cm")!;
        Assert.Equal(9, (violet.FromCm + violet.ToCm) / 2);
    }

    [Fact]
    public void Every_sheet_has_a_mix_and_a_depth_and_no_bog_plant_gets_feed()
    {
        foreach (var sheet in CultureSheets.Shipped.All.Where(sheet => sheet.Genera.Count > 0))
        {
            var kind = $"{sheet.Genera[0]}; {(sheet.Media.Count > 0 ? sheet.Media[0] : "bark")}; indoors; nights 18; pot 12";
            var choice = PotChoice.Read(Situated.Read($"it | {kind} | 2031-06-10 | 06-01 watered | never do feed | it").Assess().Situation);
            Assert.Null(choice.Mix.Fault());
            if (sheet.Traits.Contains("carnivore"))
                Assert.Equal("bog", choice.Mix.Code);
            else
                Assert.NotEqual("bog", choice.Mix.Code);
            var section = PotSection.Of(new(12, 9, 11), choice.Mix, choice.Depth, choice.BaseCm);
            Assert.True(section.Fault is null, $"{sheet.Name}: {section.Fault}");
        }
    }

    /// <summary>Pebbles, medium, base and hand add up to the height of the pot, by hand: 11 cm with a hand of 2 cm.</summary>
    [Fact]
    public void A_section_is_to_scale()
    {
        var tuber = PottingTable.Shipped.Depths.First(depth => depth.For.Contains("tuber"));
        var section = PotSection.Of(new(12, 9, 11), Thirds, tuber, 3);
        Assert.Equal((9, 2, 4.5, 1.5), (section.SurfaceCm, section.HeadspaceCm, section.BaseTopCm, section.BelowBaseCm));
        Assert.Equal(new Frustum(12, 9, 11).Between(0, 9), section.MediumLitres);
        Assert.Contains("deeper pot", PotSection.Of(new(6, 5, 5), Thirds, tuber, 3).Fault);
    }

    [Fact]
    public void The_nearest_of_the_pots_one_owns_is_proposed_and_none_that_is_too_large()
    {
        var now = Situated.Read("it | Hoya carnosa; bark; indoors; nights 18; pot 12 | 2031-06-10 | 06-01 watered | never do feed | it");
        var shed = new PottingShed
        {
            Pots =
            [
                new("a", 24, 22, "clay", 3),
                new("b", 15, 14, "clay", 1),
                new("c", 17, 16, "plastic", 2),
                new("d", 16, 15, "net pot", 0),
            ],
        };
        Assert.Equal(["b", "c"], PotChoice.Read(now.Assess().Situation).FromShelf(shed, 12).Select(pot => pot.Code));
    }
}
