using BudClock.Core.Culture;

namespace BudClock.Core.Tests.Gardens;

/// <summary>Media and pots in the words that growers use, with what is in them decided by hand.</summary>
public class PottingMediumTests
{
    [Theory]
    [InlineData("bark", "bark")]
    [InlineData("Fine bark and perlite", "bark grit")]
    [InlineData("peat, perlite and vermiculite in thirds", "peat grit")]
    [InlineData("sphagnum", "moss")]
    [InlineData("long-fibre moss", "moss")]
    [InlineData("clay pellets in a jar", "pellets water culture")]
    [InlineData("pebbles and water", "water pebbles")]
    [InlineData("cork mount", "mount")]
    [InlineData("potting soil that stays wet", "potting soil stays wet")]
    [InlineData("peat soil", "peat peat soil")]
    [InlineData("embarked on something new", "")] // no bark
    [InlineData("", "")]
    [InlineData(null, "")]
    public void A_medium_is_its_parts(string? words, string parts) =>
        Assert.Equal(parts, string.Join(' ', PottingMedium.Of(words).Parts.Select(part => part.Name)));

    [Theory]
    [InlineData("bark and moss", 0.35, true, false)]
    [InlineData("semi-hydro", 0.2, false, true)]
    [InlineData("water", 0.25, false, true)]
    [InlineData("rain water", 0.25, false, true)]
    [InlineData("pebbles and water", 0.25, false, false)]
    [InlineData("something of my own", 0.2, false, false)]
    public void What_it_holds_comes_from_its_parts(string words, double holds, bool open, bool overWater)
    {
        var medium = PottingMedium.Of(words);
        Assert.Equal((holds, open, overWater), (medium.Holds, medium.Open, medium.OverWater));
    }

    [Fact]
    public void The_same_words_are_read_once() =>
        Assert.Same(PottingMedium.Of("bark, charcoal").Parts, PottingMedium.Of("Bark, charcoal").Parts);

    [Fact]
    public void A_mix_of_ones_own_is_its_parts_by_its_name_and_what_else_is_said_of_it()
    {
        (string, IEnumerable<string>)[] own = [("House mix", ["pellets", "charcoal"])];
        Assert.True(
            PottingMedium.Of("house mix, soggy", own) is { OverWater: true } medium && medium.Has("charcoal") && medium.Has("soggy")
        );
        Assert.False(PottingMedium.Of("bark", own).OverWater);
        Assert.Same(PottingMedium.Unknown, PottingMedium.Of(null, own));
    }

    [Theory]
    [InlineData("clay", true, false, false, true)]
    [InlineData("terracotta", true, false, false, true)]
    [InlineData("glazed clay", false, false, false, true)]
    [InlineData("plastic", false, false, false, true)]
    [InlineData("basket", false, true, false, true)]
    [InlineData("reservoir", false, false, true, true)]
    [InlineData("cover pot", false, false, false, false)]
    [InlineData("clear plastic, no holes", false, false, false, false)]
    [InlineData("terracotta with a self-watering insert", true, false, true, true)]
    [InlineData("claymore", false, false, false, true)]
    [InlineData(null, false, false, false, true)]
    public void A_pot_is_what_its_kind_says(string? kind, bool porous, bool mount, bool waterBelow, bool drains)
    {
        var pot = new Pot(12, 11, kind).Form;
        Assert.Equal((porous, mount, waterBelow, drains), (pot.Porous, pot.Mount, pot.WaterBelow, pot.Drains));
    }

    [Fact]
    public void A_sheet_forbids_only_what_the_table_can_name()
    {
        var reader = new SheetReader("test.yaml");
        Assert.Null(reader.Read("name: a\ntitle: A\nabout: A\ngenera: [A]\nwrong-media: [mud]\n"));
        Assert.StartsWith("test.yaml, line 1: \"mud\" is no medium to forbid; known are peat soil, ", reader.Faults[0].ToString());
    }
}
