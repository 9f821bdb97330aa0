namespace BudClock.Web.Tests;

/// <summary>The bottle that is worked out, both ways, and what is said when it cannot be.</summary>
public class MixingPageTests
{
    [Fact]
    public async Task A_strength_gives_the_dose_and_what_the_scale_can_tell()
    {
        await using var site = await Site.DemoAsync();
        var mixed = (await site.PageAsync("/mixing?batch=9.5+L&label=20-20-20&by=ppm&strength=100&spoon=5&step=0.1")).QuerySelector("#mixed").Words();
        Assert.Contains("4.75 g, about 1 tsp", mixed); // 100 ppm × 9.5 L ÷ (20 × 10)
        Assert.Contains("Nitrogen100 ppm Phosphorus44 ppm Potassium83 ppm", mixed);
        Assert.Contains("Conductivity, meter 500 (NaCl)1.00 mS/cm", mixed);
    }

    [Fact]
    public async Task An_eighth_of_a_teaspoon_in_a_gallon_is_told_what_it_is()
    {
        await using var site = await Site.DemoAsync();
        var mixed = (await site.PageAsync("/mixing?batch=1+gal&label=20-20-20&by=measured&strength=1/8+tsp&spoon=5&full=1")).QuerySelector("#mixed").Words();
        Assert.Contains("Nitrogen33 ppm", mixed);
        Assert.Contains("Share of the label17 %", mixed);
    }

    [Theory]
    [InlineData("batch=0+L", "\"0 L\" is no volume of water")]
    [InlineData("strength=-3", "\"-3\" cannot be mixed by ppm of nitrogen")]
    [InlineData("label=60-30-20", "The label's parts add up to 110 %; there are only 100.")]
    [InlineData("label=strong", "\"strong\" is no label; write N-P-K")]
    [InlineData("by=measured&strength=1+tsp&spoon=", "A spoon is a volume: weigh a level teaspoon")]
    [InlineData("tapshare=120", "The share of tap water is a number from 0 to 100")]
    public async Task What_cannot_be_mixed_is_said_and_stays_as_typed(string query, string sentence)
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PageAsync("/mixing?" + query);
        Assert.Contains(sentence, string.Join(" ", page.QuerySelectorAll("[role=alert]").Select(e => e.Words())));
        Assert.Equal("", page.QuerySelector("#mixed").Words());
    }
}
