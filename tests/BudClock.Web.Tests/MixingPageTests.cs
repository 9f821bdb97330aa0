using System.Globalization;
using AngleSharp.Dom;

namespace BudClock.Web.Tests;

/// <summary>The mixing shelf over HTTP: bottles worked out, things kept, and what is said when they cannot be.</summary>
public class MixingPageTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    static string Alerts(IDocument page) => string.Join(" ", page.QuerySelectorAll("[role=alert]").Select(e => e.Words()));

    [Fact]
    public async Task A_strength_gives_the_dose_and_what_the_scale_can_tell()
    {
        await using var site = await Site.DemoAsync();
        var mixed = (await site.PageAsync("/mixing/bottle?batch=9.5+L&label=20-20-20&strength=100+ppm+N&spoon=5")).QuerySelector("#mixed").Words();
        Assert.Contains("4.8 g on the scale", mixed); // 100 ppm × 9.5 L ÷ (20 × 10) is 4.75 g
        Assert.Contains("1 % stronger than meant (4.75 g). It is exact in 9.6 L.", mixed);
        Assert.Contains("Nitrogen100 ppm Phosphorus44 ppm Potassium83 ppm", mixed);
        Assert.Contains("The same on a 700 meter700 ppm Conductivity1.00 mS/cm", mixed);
    }

    [Theory]
    [InlineData("batch=1+gal&label=20-20-20&strength=1/8+tsp&spoon=5&full=1", "17 % of the label, 33 ppm N")] // an eighth of a teaspoon in a gallon
    [InlineData("batch=1+L&label=20-20-20&strength=50+ppm+N&label2=15-0-0&strength2=50+ppm+N", "Nitrogen100 ppm")] // two feeds at once
    [InlineData("batch=1+gal&base=0&tap=300&wanted=37.5", "473 mL of tap in 3.31 L of the water: 12.5 % tap makes 37.5 ppm.")] // two cups in a gallon
    public async Task A_bottle_is_worked_out_both_ways(string query, string says)
    {
        await using var site = await Site.DemoAsync();
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
        await using var site = await Site.DemoAsync();
        var page = await site.PageAsync("/mixing/bottle?" + query);
        Assert.Contains(sentence, Alerts(page));
        Assert.Equal("", page.QuerySelector("#mixed").Words());
    }

    [Fact]
    public async Task Waters_feeds_and_recipes_are_kept_and_used()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/mixing/waters", ("Name", "Well"), ("Kind", "tap"), ("Tds", ""), ("Ec", "0.4"), ("Ph", "7"));
        await site.PostAsync("/mixing/feeds", ("Name", "Element powder"), ("Label", "10-4.364-8.301"), ("AsElements", "true"), ("Form", "powder"), ("Spoon", "5"), ("Full", "1/2 tsp in 1 gal"));
        await site.PostAsync("/mixing/recipes", ("Name", "Well growth"), ("For", "growth"), ("Waters", "well"), ("Shares", "100"), ("Feeds", "element-powder"), ("Strengths", "50 %"), ("Batch", "1 L"));
        var shelf = (await site.PageAsync("/mixing")).QuerySelector("main").Words();
        Assert.Contains("Well tap, pH 7.0 Well was never measured: tap water changes with the season, measure it again. 200 ppm", shelf); // 0.4 mS/cm on the 500 scale
        Assert.Contains("label 0.66 g a litre 10-10-10", shelf); // half of 5 g in 3.785 L; elements back to oxides
        Assert.Contains("In a litre: 1 L Well; 0.33 g Element powder", shelf);
        var export = await site.Http.GetStringAsync("/api/garden", Stop);
        Assert.Contains("\"element-powder\": \"50 %\"", export);
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
        await using var site = await Site.DemoAsync();
        Dictionary<string, string> sound = path switch
        {
            "/mixing/waters" => new() { ["Name"] = "Well", ["Kind"] = "tap", ["Tds"] = "200", ["Ph"] = "7" },
            "/mixing/feeds" => new() { ["Name"] = "New", ["Label"] = "5-5-5", ["Form"] = "powder", ["Spoon"] = "5", ["Full"] = "1 g in 1 L" },
            "/mixing/recipes" => new() { ["Name"] = "New", ["For"] = "growth", ["Waters"] = "rain", ["Shares"] = "100", ["Feeds"] = "balanced", ["Strengths"] = "25 %" },
            _ => new() { ["Scale"] = "0.1", ["Spoon"] = "1/8", ["Syringe"] = "0.2", ["Bottle"] = "1 L", ["Reserve"] = "10", ["Meter"] = "500" },
        };
        sound[field] = typed;
        var page = await site.PostAsync(path, [.. sound.Select(pair => (pair.Key, pair.Value))]);
        Assert.Contains(fault, Alerts(page));
        foreach (var (name, value) in sound)
            Assert.Contains(value, page.QuerySelectorAll($"[name={name}]").Select(e => e is AngleSharp.Html.Dom.IHtmlSelectElement select ? select.Value : e.GetAttribute("value") ?? ""));
    }

    [Fact]
    public async Task What_a_recipe_needs_stays_on_the_shelf()
    {
        await using var site = await Site.DemoAsync();
        Assert.Contains("It is in Bloom mix, Full strength, Growth mix, Growth mix with kelp, Plain rain, Recovery mix: change those recipes first.", Alerts(await site.PostAsync("/mixing/waters/rain?handler=Remove")));
        Assert.Contains("It is on trial: end the trial first.", Alerts(await site.PostAsync("/mixing/recipes/kelp?handler=Remove")));
        await site.PostAsync("/mixing/feeds/pellets?handler=Remove");
        Assert.DoesNotContain("Slow pellets", (await site.PageAsync("/mixing")).QuerySelector("main").Words());
    }

    [Fact]
    public async Task A_batch_survives_in_the_log_and_is_undone_as_one_act()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/mixing/batches/G310520?handler=Give", ("Tags", "SAI-04"), ("Tags", "SCH-01"), ("Amount", "120 mL"));
        foreach (var tag in (string[])["SAI-04", "SCH-01"])
            Assert.Contains("G310520", (await site.PageAsync($"/plants/{tag}")).QuerySelector(".log").Words());
        Assert.Contains("African violet, from a leaf SAI-04", (await site.PageAsync("/mixing/batches/G310520")).QuerySelector("main").Words());
        await site.PostAsync("/notes?handler=Undo");
        Assert.DoesNotContain("SAI-04 watered", (await site.PageAsync("/mixing/batches/G310520")).QuerySelector("main").Words());
        Assert.Contains("Tick at least one plant.", Alerts(await site.PostAsync("/mixing/batches/G310520?handler=Give")));
        Assert.Contains("This batch was thrown away.", Alerts(await site.PostAsync("/mixing/batches/G310420?handler=Give", ("Tags", "SAI-04"))));
    }

    [Fact]
    public async Task A_batch_above_a_carnivore_s_ceiling_is_not_given_unseen()
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/mixing/batches/G310520?handler=Give", ("Tags", "DRO-01"));
        Assert.Contains("251 ppm is above the 100 ppm that DRO-01 (sundews of bogs) bear.", Alerts(page));
        Assert.DoesNotContain("G310520", (await site.PageAsync("/plants/DRO-01")).QuerySelector(".log").Words());
    }

    [Fact]
    public async Task A_trial_begins_in_the_log_and_ends_there()
    {
        await using var site = await Site.DemoAsync();
        Assert.Contains("PIN-01 cannot be on this trial. A carnivore gets nothing in the medium", Alerts(await site.PostAsync("/mixing/trials", ("Recipe", "kelp"), ("Tags", "PIN-01"))));
        Assert.Contains("ALO-05 is on a trial already", Alerts(await site.PostAsync("/mixing/trials", ("Recipe", "kelp"), ("Tags", "ALO-05"))));
        await site.PostAsync("/mixing/trials", ("Recipe", "kelp"), ("Tags", "SAI-04"));
        Assert.Contains("Recipe kelp on trial until 21 Jun", (await site.PageAsync("/plants/SAI-04")).QuerySelector(".log").Words());
        Assert.Contains("Day 0 of 28: nothing can be concluded yet.", (await site.PageAsync("/mixing/trials")).QuerySelector(".trial").Words());
        await site.PostAsync("/mixing/trials?handler=End", ("code", "trial-2"));
        Assert.Contains("by its stage again, trial ended", (await site.PageAsync("/plants/SAI-04")).QuerySelector(".log").Words());
    }

    [Fact]
    public async Task The_salt_watch_asks_for_a_flush_and_one_tap_answers()
    {
        await using var site = await Site.DemoAsync();
        var row = (await site.PageAsync("/mixing/salts")).QuerySelectorAll("tbody tr")[0].Words();
        Assert.Contains("CAT-01 Run-off 460 ppm 4 days ago, and it bears 400: flush from the top", row);
        await site.PostAsync("/notes", ("text", "cat-01 flushed"));
        Assert.DoesNotContain("flush from the top", (await site.PageAsync("/mixing/salts")).QuerySelector("tbody").Words());
    }

    [Fact]
    public async Task An_empty_shelf_says_what_comes_first()
    {
        await using var site = await Site.EmptyAsync();
        await site.PostAsync("/start?handler=Position", ("Form.Name", "Mine"), ("Form.Latitude", "51"), ("Form.Longitude", "0"), ("Form.TimeZone", "UTC"));
        var page = await site.PageAsync("/mixing");
        Assert.Contains("No recipe yet.", page.QuerySelector("main").Words());
        Assert.Contains("No plant asks for water", page.QuerySelector("main").Words());
        Assert.Contains("nothing has to be mixed", (await site.PageAsync("/mixing/today")).QuerySelector("main").Words());
        Assert.Equal("0", (await site.PageAsync("/mixing/batches")).QuerySelectorAll("tbody tr").Length.ToString(CultureInfo.InvariantCulture));
    }
}
