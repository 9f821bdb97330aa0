namespace BudClock.Web.Tests;

/// <summary>The lighthouse garden, shared by tests that change nothing in it.</summary>
public sealed class UnchangedSite : IAsyncLifetime
{
    public Site Site { get; private set; } = null!;

    public async ValueTask InitializeAsync() => Site = await Site.DemoAsync();

    public ValueTask DisposeAsync() => Site.DisposeAsync();
}

/// <summary>What the mixing pages work out, and what they say when something cannot be. Nothing is kept.</summary>
public class MixingFaultsTests(UnchangedSite shared) : IClassFixture<UnchangedSite>
{
    readonly Site site = shared.Site;

    [Theory]
    // An eighth of a teaspoon in a gallon
    [InlineData("batch=1+gal&label=20-20-20&strength=1/8+tsp&spoon=5&full=1", "17 % of the label, 33 ppm N")]
    [InlineData("batch=1+L&label=20-20-20&strength=50+ppm+N&label2=15-0-0&strength2=50+ppm+N", "Nitrogen100 ppm")] // two feeds at once
    // Two cups in a gallon
    [InlineData("batch=1+gal&base=0&tap=300&wanted=37.5", "473 mL of tap in 3.31 L of the water: 12.5 % tap makes 37.5 ppm.")]
    public async Task A_bottle_is_worked_out_both_ways(string query, string says)
    {
        Assert.Contains(says, (await site.PageAsync("/mixing/bottle?" + query)).QuerySelector("#mixed").Words());
    }

    [Theory]
    [InlineData("batch=0+L", "\"0 L\" is no volume of water")]
    [InlineData("strength=-3+ppm+N", "\"-3 ppm N\" is no strength")]
    [InlineData("label=60-30-20", "The label's parts add up to 110 %; there are only 100.")]
    [InlineData("label=strong", "\"strong\" is no label; write N-P-K")]
    [InlineData("strength=1+tsp&spoon=", "A spoon is a volume: weigh a level teaspoon")]
    [InlineData("strength=1+ladle+in+1+gal", "\"1 ladle in 1 gal\" is no strength")]
    [InlineData("tapshare=120", "The share of tap water is a number from 0 to 100")]
    [InlineData("tap=300&wanted=400", "400 ppm lies outside of both waters")]
    public async Task What_cannot_be_mixed_is_said_and_stays_as_typed(string query, string sentence)
    {
        var page = await site.PageAsync("/mixing/bottle?" + query);
        Assert.Contains(sentence, MixingPageTests.Alerts(page));
        Assert.Equal("", page.QuerySelector("#mixed").Words());
    }

    [Theory]
    [InlineData("/mixing/waters", "Ph", "15", "pH runs from 0 to 14; 15 is outside that.")]
    [InlineData("/mixing/waters", "Tds", "-4", "Dissolved solids is a number from 0 to 5000")]
    [InlineData("/mixing/waters", "Name", "", "A water needs a name")]
    [InlineData("/mixing/feeds", "Label", "50-40-30", "The label's parts add up to 120 %; there are only 100.")]
    [InlineData("/mixing/feeds", "Full", "1 ladle in 1 gal", "\"1 ladle in 1 gal\" is no dose")]
    [InlineData("/mixing/feeds", "Spoon", "-5", "A teaspoon's weight is a number from 0.001 to 100")]
    [InlineData("/mixing/recipes", "Strengths", "a pinch", "\"a pinch\" is no strength of Balanced powder")]
    [InlineData("/mixing/recipes", "Shares", "60", "The waters make up 60 %; together they are 100.")]
    [InlineData("/mixing/tools", "Bottle", "0 L", "\"0 L\" is no volume of water")]
    public async Task A_form_that_cannot_be_comes_back_as_typed_with_its_fault(string path, string field, string typed, string fault)
    {
        Dictionary<string, string> sound = path switch
        {
            "/mixing/waters" => new()
            {
                ["Name"] = "Well",
                ["Kind"] = "tap",
                ["Tds"] = "200",
                ["Ph"] = "7",
            },
            "/mixing/feeds" => new()
            {
                ["Name"] = "New",
                ["Label"] = "5-5-5",
                ["Form"] = "powder",
                ["Spoon"] = "5",
                ["Full"] = "1 g in 1 L",
            },
            "/mixing/recipes" => new()
            {
                ["Name"] = "New",
                ["For"] = "growth",
                ["Waters"] = "rain",
                ["Shares"] = "100",
                ["Feeds"] = "balanced",
                ["Strengths"] = "25 %",
            },
            _ => new()
            {
                ["Scale"] = "0.1",
                ["Spoon"] = "1/8",
                ["Syringe"] = "0.2",
                ["Bottle"] = "1 L",
                ["Reserve"] = "10",
                ["Meter"] = "500",
            },
        };
        sound[field] = typed;
        var page = await site.PostAsync(path, [.. sound.Select(pair => (pair.Key, pair.Value))]);
        Assert.Contains(fault, MixingPageTests.Alerts(page));
        foreach (var (name, value) in sound)
            Assert.Contains(
                value,
                page.QuerySelectorAll($"[name={name}]")
                    .Select(e => e is AngleSharp.Html.Dom.IHtmlSelectElement select ? select.Value : e.GetAttribute("value") ?? "")
            );
    }

    [Theory]
    [InlineData("Form.Litres", "0 L", "\"0 L\" is no volume of water")]
    [InlineData("Form.Litres", "-2 L", "\"-2 L\" is no volume of water")]
    [InlineData("Form.Ph", "15", "pH runs from 0 to 14; 15 is outside that.")]
    [InlineData("Form.Measured", "a lot", "Measured dissolved solids is a number from 0 to 20000; \"a lot\" is none.")]
    [InlineData("Form.Recipe", "gone", "")] // nothing is kept, and the page is shown again
    public async Task What_is_no_batch_is_said_and_nothing_is_kept(string field, string typed, string fault)
    {
        var sound = new Dictionary<string, string>
        {
            ["Form.Bottle"] = "growth",
            ["Form.Recipe"] = "growth",
            ["Form.Litres"] = "2 L",
            ["Form.Measured"] = "250",
            ["Form.Ph"] = "6",
            ["Form.Tags"] = "SAI-04",
        };
        sound[field] = typed;
        var page = await site.PostAsync("/mixing/today", [.. sound.Select(pair => (pair.Key, pair.Value))]);
        Assert.Contains(fault, page.QuerySelector("main").Words());
        Assert.Equal("Today's mix", page.QuerySelector("h1").Words());
        Assert.Null((await ReadBatchesAsync(site)).FirstOrDefault(code => code.Contains("310524")));
    }

    static async Task<IEnumerable<string>> ReadBatchesAsync(Site site) =>
        (await site.PageAsync("/mixing/batches")).QuerySelectorAll("tbody td:first-child").Select(cell => cell.Words());
}
