using BudClock.Core.Advising;
using BudClock.Core.Mixing;
using CsCheck;

namespace BudClock.Core.Tests.Mixing;

/// <summary>Doses, blends and meters, against definitions, atomic weights and figures from outside.</summary>
public class MixingTests
{
    static readonly Feed Balanced = new("20-20-20", 20, 20, 20, GramsPerTeaspoon: 5, LabelGramsPerLitre: 1);

    [Theory] // definition, with oxides from atomic weights: 1 g in 1 L
    [InlineData(20, 20, 20, 200, 87, 166)]
    [InlineData(10, 10, 10, 100, 44, 83)]
    [InlineData(5, 10, 3, 50, 44, 25)]
    public void A_gram_in_a_litre_gives_the_label_s_ppm(double n, double p, double k, double ppmN, double ppmP, double ppmK)
    {
        var mixed = Elements.Of(new("any", n, p, k), 1, 1);
        Assert.Equal((ppmN, ppmP, ppmK), (Math.Round(mixed.N), Math.Round(mixed.P), Math.Round(mixed.K)));
    }

    [Fact] // atomic weights (IUPAC): P 30.974, K 39.098, O 15.999
    public void Oxides_are_what_chemistry_says()
    {
        Assert.Equal(0.4364, Oxides.PInP2O5, 0.0001);
        Assert.Equal(0.8301, Oxides.KInK2O, 0.0001);
    }

    // Rule used in university extension bulletins (from memory): oz per 100 US gal = ppm ÷ (percent × 0.75); 200 ppm N of 20-10-20 is 13.3 oz
    [Fact]
    public void Ounces_in_a_hundred_gallons_are_those_of_extension_bulletins()
    {
        var dose = Dose.ForNitrogen(new("20-10-20", 20, 10, 20), 200, 100 * Unit.Gal.Factor / 1000)!;
        Assert.Equal(13.3, dose.Grams / Unit.Oz.Factor, 0.1);
    }

    [Fact] // arithmetic: 2 US cups out of a US gallon
    public void Two_cups_of_tap_in_a_gallon_are_an_eighth_of_it()
    {
        var (gallon, cups) = (Unit.Gal.Factor, 2 * Unit.Cup.Factor);
        Assert.Equal(0.125, cups / gallon, 1e-9);
        Assert.Equal(37.5, Blend.TdsPpm((new("pure", 0), gallon - cups), (new("tap", 300), cups)), 1e-9);
        Assert.Equal(0.125, Blend.ShareFor(37.5, new("pure", 0), new("tap", 300))!.Value, 1e-9);
    }

    [Fact] // meter conventions: 1 mS/cm is 500 ppm on the NaCl scale, 700 on the 442 scale
    public void Both_scales_of_a_meter_say_the_same_water() =>
        Assert.Equal((500d, 700d, 1d), (MeterScale.NaCl.PpmOf(1), MeterScale.FourFourTwo.PpmOf(1), MeterScale.FourFourTwo.EcOf(700)));

    [Fact]
    public void An_eighth_of_a_teaspoon_in_a_gallon_is_told()
    {
        var dose = Dose.Of(Balanced, new(1.0 / 8, Unit.Tsp), Unit.Gal.Factor / 1000)!;
        Assert.Equal(0.625, dose.Grams, 1e-6);
        Assert.Equal(33.0, dose.Elements.N, 0.1); // 0.625 g × 20 × 10 / 3.785 L
        Assert.Equal(0.165, dose.LabelShare!.Value, 0.001);
        Assert.Null(Dose.Of(Balanced with { GramsPerTeaspoon = null }, new(1, Unit.Tsp), 1)); // a spoon is a volume: its weight is asked
    }

    [Fact]
    public void A_dose_that_cannot_be_measured_says_what_rounding_costs_and_which_batch_is_exact()
    {
        var wanted = Dose.ForNitrogen(Balanced, 100, 1.3)!; // 0.65 g
        var rounded = wanted.InSteps(0.1);
        Assert.Equal((0.6, -0.077), (Math.Round(rounded.Dose.Grams, 3), Math.Round(rounded.Error, 3)));
        Assert.Equal(1.2, rounded.ExactLitres, 0.001);
    }

    [Fact]
    public void A_batch_forty_percent_off_is_questioned_and_one_within_a_quarter_is_not()
    {
        var mix = new Mix([(new("pure", 0), 4)], [Dose.ForNitrogen(Balanced, 100, 4)!]);
        Assert.Equal(500, mix.TdsPpm, 1e-6);
        Assert.Equal((3, 0), (Mix.Questions(700, mix.TdsPpm).Count, Mix.Questions(600, mix.TdsPpm).Count));
    }

    [Fact]
    public void A_carnivore_s_ceiling_and_the_band_of_ph_warn()
    {
        Assert.Equal(
            ["300 ppm is above the 100 ppm that sundews bear.", "pH 7.4 is outside 5.5 to 6.5, where sundews can take up what is in it."],
            new Ceiling(100, 5.5, 6.5).Warnings(300, 7.4, "sundews")
        );
        Assert.Empty(Ceiling.Usual.Warnings(300, 6, "orchids"));
    }

    [Theory]
    [InlineData(60, 30, 20, "The label's parts add up to 110 %; there are only 100.")]
    [InlineData(-1, 0, 0, "A label gives no negative percent.")]
    public void A_label_that_cannot_be_is_refused(double n, double p, double k, string fault) =>
        Assert.Equal(fault, new Feed("x", n, p, k).Fault());

    [Fact]
    public void Solving_forwards_and_back_is_the_identity() =>
        (
            from ppm in Gen.Double[1, 500]
            from litres in Gen.Double[0.1, 500]
            from percent in Gen.Double[1, 46]
            select (ppm, litres, percent)
        ).Sample(x => Assert.Equal(x.ppm, Dose.ForNitrogen(new("any", x.percent, 5, 5), x.ppm, x.litres)!.Elements.N, x.ppm * 1e-9));

    [Fact]
    public void A_blend_stays_between_its_parts() =>
        (
            from a in Gen.Double[0, 1000]
            from b in Gen.Double[0, 1000]
            from litres in Gen.Double[0.01, 50]
            from more in Gen.Double[0.01, 50]
            select (a, b, litres, more)
        ).Sample(x =>
            Assert.InRange(
                Blend.TdsPpm((new("a", x.a), x.litres), (new("b", x.b), x.more)),
                Math.Min(x.a, x.b) - 1e-9,
                Math.Max(x.a, x.b) + 1e-9
            )
        );

    [Fact]
    public void The_error_of_rounding_is_stated_truly() =>
        (
            from ppm in Gen.Double[5, 300]
            from litres in Gen.Double[0.5, 50]
            from step in Gen.Double[0.01, 1]
            select (ppm, litres, step)
        ).Sample(x =>
        {
            var rounded = Dose.ForNitrogen(Balanced, x.ppm, x.litres)!.InSteps(x.step);
            Assert.Equal(x.ppm * (1 + rounded.Error), rounded.Dose.Elements.N, x.ppm * 1e-9);
            Assert.Equal(x.ppm, (rounded.Dose with { Litres = rounded.ExactLitres }).Elements.N, x.ppm * 1e-9);
        });

    [Fact]
    public void Units_come_back_as_they_were() =>
        (
            from value in Gen.Double[0.001, 1000]
            from unit in Gen.OneOf(Unit.L, Unit.FlOz, Unit.Cup, Unit.Tsp, Unit.Tbsp, Unit.Gal, Unit.ImpGal)
            select (value, unit)
        ).Sample(x => Assert.Equal(x.value, new Quantity(x.value, x.unit).In(Unit.Ml).In(x.unit).Value, x.value * 1e-9));
}
