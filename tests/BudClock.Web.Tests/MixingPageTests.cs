using System.Globalization;
using AngleSharp.Dom;
using BudClock.Core.Advising;

namespace BudClock.Web.Tests;

/// <summary>The mixing shelf over HTTP: bottles worked out, things kept, and what is said when they cannot be.</summary>
public class MixingPageTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    internal static string Alerts(IDocument page) => string.Join(" ", page.QuerySelectorAll("[role=alert]").Select(e => e.Words()));

    [Fact]
    public async Task A_strength_gives_the_dose_and_what_the_scale_can_tell()
    {
        var site = await Site.ReadAsync();
        var mixed = (await site.PageAsync("/mixing/bottle?batch=9.5+L&label=20-20-20&strength=100+ppm+N&spoon=5"))
            .QuerySelector("#mixed")
            .Words();
        Assert.Contains("4.8 g on the scale", mixed); // 100 ppm × 9.5 L ÷ (20 × 10) is 4.75 g
        Assert.Contains("1 % stronger than meant (4.75 g). It is exact in 9.6 L.", mixed);
        Assert.Contains("Nitrogen100 ppm Phosphorus44 ppm Potassium83 ppm", mixed);
        Assert.Contains("The same on a 700 meter700 ppm Conductivity1.00 mS/cm", mixed);
    }

    [Fact]
    public async Task Waters_feeds_and_recipes_are_kept_and_used()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/mixing/waters", ("Name", "Well"), ("Kind", "tap"), ("Tds", ""), ("Ec", "0.4"), ("Ph", "7"));
        await site.PostAsync(
            "/mixing/feeds",
            ("Name", "Element powder"),
            ("Label", "10-4.364-8.301"),
            ("AsElements", "true"),
            ("Form", "powder"),
            ("Spoon", "5"),
            ("Full", "1/2 tsp in 1 gal")
        );
        await site.PostAsync(
            "/mixing/recipes",
            ("Name", "Well growth"),
            ("For", "growth"),
            ("Waters", "well"),
            ("Shares", "100"),
            ("Feeds", "element-powder"),
            ("Strengths", "50 %"),
            ("Batch", "1 L")
        );
        var shelf = (await site.PageAsync("/mixing")).QuerySelector("main").Words();
        // 0.4 mS/cm on the 500 scale
        Assert.Contains("Well tap, pH 7.0 Well was never measured: tap water changes with the season, measure it again. 200 ppm", shelf);
        Assert.Contains("label 0.66 g a litre 10-10-10", shelf); // half of 5 g in 3.785 L; elements back to oxides
        Assert.Contains("In a litre: 1 L Well; 0.33 g Element powder", shelf);
        Assert.Contains("In a litre: 1 L Rain from the butt; 1 mL Bloom liquid", shelf); // a liquid is poured, not weighed
        var export = await site.Http.GetStringAsync("/api/garden", Stop);
        Assert.Contains("\"element-powder\": \"50 %\"", export);
    }

    [Fact]
    public async Task What_a_recipe_needs_stays_on_the_shelf()
    {
        await using var site = await Site.DemoAsync();
        Assert.Contains(
            "It is in Bloom mix, Full strength, Growth mix, Growth mix with kelp, Plain rain, Recovery mix: change those recipes first.",
            Alerts(await site.PostAsync("/mixing/waters/rain?handler=Remove"))
        );
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
        Assert.Contains(
            "African violet, from a leaf SAI-04",
            (await site.PageAsync("/mixing/batches/G310520")).QuerySelector("main").Words()
        );
        await site.PostAsync("/notes?handler=Undo");
        Assert.DoesNotContain("SAI-04 watered", (await site.PageAsync("/mixing/batches/G310520")).QuerySelector("main").Words());
        Assert.Contains("Tick at least one plant.", Alerts(await site.PostAsync("/mixing/batches/G310520?handler=Give")));
        Assert.Contains(
            "This batch was thrown away.",
            Alerts(await site.PostAsync("/mixing/batches/G310420?handler=Give", ("Tags", "SAI-04")))
        );
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
        Assert.Contains(
            "PIN-01 cannot be on this trial. A carnivore gets nothing in the medium",
            Alerts(await site.PostAsync("/mixing/trials", ("Recipe", "kelp"), ("Tags", "PIN-01")))
        );
        Assert.Contains(
            "ALO-05 is on a trial already",
            Alerts(await site.PostAsync("/mixing/trials", ("Recipe", "kelp"), ("Tags", "ALO-05")))
        );
        Assert.Contains(
            "Bloom mix is the only recipe of the bloom bottle",
            Alerts(await site.PostAsync("/mixing/trials", ("Recipe", "bloom"), ("Tags", "SAI-04")))
        );
        await site.PostAsync("/mixing/trials", ("Recipe", "kelp"), ("Tags", "SAI-04"));
        Assert.Contains("Recipe kelp on trial until 21 Jun", (await site.PageAsync("/plants/SAI-04")).QuerySelector(".log").Words());
        Assert.Contains(
            "Day 0 of 28: nothing can be concluded yet.",
            (await site.PageAsync("/mixing/trials")).QuerySelector(".trial").Words()
        );
        await site.PostAsync("/mixing/trials?handler=End", ("code", "trial-2"));
        Assert.Contains("by its stage again, trial ended", (await site.PageAsync("/plants/SAI-04")).QuerySelector(".log").Words());
    }

    [Fact]
    public async Task The_salt_watch_asks_for_a_flush_and_one_tap_answers()
    {
        await using var site = await Site.DemoAsync();
        var row = (await site.PageAsync("/mixing/salts")).QuerySelectorAll(".shelf li")[0].Words();
        Assert.Contains("CAT-01 8 feeds, and no flush on record. Run-off 460 ppm 4 days ago, and it bears 400: flush from the top", row);
        await site.PostAsync("/notes", ("text", "cat-01 flushed"));
        var after = (await site.PageAsync("/mixing/salts")).QuerySelector(".shelf").Words();
        Assert.DoesNotContain("flush from the top", after);
        Assert.Contains("CAT-01 No feed since 24 May, when it was flushed or repotted. Run-off 460 ppm, 20 May. It bears 400 ppm.", after);
    }

    [Fact]
    public async Task An_empty_shelf_says_what_comes_first()
    {
        await using var site = await Site.EmptyAsync();
        await site.PostAsync("/start?handler=Position", ("Form.Name", "Mine"), ("Form.Where", "51 N 0 E"), ("Form.TimeZone", "UTC"));
        var page = await site.PageAsync("/mixing");
        Assert.Contains("No recipe yet.", page.QuerySelector("main").Words());
        Assert.Contains("No plant asks for water", page.QuerySelector("main").Words());
        Assert.Contains("nothing has to be mixed", (await site.PageAsync("/mixing/today")).QuerySelector("main").Words());
        Assert.Equal(
            "0",
            (await site.PageAsync("/mixing/batches")).QuerySelectorAll("tbody tr").Length.ToString(CultureInfo.InvariantCulture)
        );
    }

    [Fact]
    public async Task A_bare_shelf_begins_with_examples_once_and_a_newcomer_can_mix()
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        await site.PostAsync("/start?handler=Position", ("Form.Name", "Mine"), ("Form.Where", "51 N 0 E"), ("Form.TimeZone", "UTC"));
        await site.PostAsync(
            "/plants/new?place=bench",
            ("Form.Tag", "D-1"),
            ("Form.Taxon", "Drosera capensis"),
            ("Form.Place", "bench"),
            ("Form.PotDiameter", "9")
        );
        Assert.Contains(
            "There is no recipe for the plain bottle yet.",
            (await site.PageAsync("/mixing/today")).QuerySelector("main").Words()
        );
        await site.PostAsync("/mixing?handler=Examples");
        Assert.Contains("Stir, wait, measure: 10 ppm", (await site.PageAsync("/mixing/today")).QuerySelector("main").Words());
        var shelf = await site.PageAsync("/mixing");
        Assert.DoesNotContain("Begin with examples", shelf.QuerySelector("main").Words());
        Assert.Contains("Tap (example) was never measured", shelf.QuerySelector("main").Words());
        await site.PostAsync("/mixing/waters/rain", ("Name", "Butt"), ("Kind", "rain"), ("Tds", "17"));
        await site.PostAsync("/mixing?handler=Examples"); // a page that had stood open: what was changed stays
        Assert.Contains("Butt rain", (await site.PageAsync("/mixing")).QuerySelector("main").Words());
    }

    [Fact]
    public async Task A_us_garden_keeps_the_batch_that_it_was_shown()
    {
        await using var site = await Site.DemoAsync();
        await site.SpeakUsUnitsAsync();
        var form = (await site.PageAsync("/mixing/today")).QuerySelector("section[aria-labelledby='h-bloom-bloom']")!;
        Assert.StartsWith("33.8 fl oz Bloom mix", form.QuerySelector("h2").Words());
        var litres = form.QuerySelector("[name='Form.Litres']")!.GetAttribute("value")!;
        var kept = await site.PostAsync(
            "/mixing/today",
            ("Form.Recipe", "bloom"),
            ("Form.Bottle", "bloom"),
            ("Form.Litres", litres),
            ("Form.Measured", "360")
        );
        Assert.Contains("Mixed 24 May, 33.8 fl oz: 33.8 fl oz Rain from the butt; 1 mL Bloom liquid.", kept.QuerySelector("main").Words());
    }
}
