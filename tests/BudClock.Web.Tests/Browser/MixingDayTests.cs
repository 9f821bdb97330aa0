using System.Text.RegularExpressions;
using BudClock.Core.Advising;

namespace BudClock.Web.Tests.Browser;

/// <summary>Mixing day in a real browser: from the Round to the bench, to the log of each plant.</summary>
public class MixingDayTests
{
    [Fact]
    public async Task From_the_plants_that_are_due_to_a_batch_in_each_plant_s_log()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/");
        var due = int.Parse(Regex.Match(browser.Words("a[href='/mixing/today']"), @"\d+").Value);
        browser.Click("a[href='/mixing/today']");
        browser.Sees("main", $"{due} plants, 10 % spare");
        Assert.Equal(due, browser.All(".bottle input[name='Form.Tags']").Select(e => e.GetAttribute("value")).Distinct().Count());

        // Tick as you go; what is ticked stays when the page is opened again.
        browser.Click(".bottle-growth [data-tick='growth-growth-w0']");
        browser.Open("/mixing/today");
        Assert.True(browser.Find("[data-tick='growth-growth-w0']").Selected);
        Assert.False(browser.Find("[data-tick='growth-growth-w1']").Selected);

        var growth = "section[aria-labelledby='h-growth-growth']";
        var tags = browser.All($"{growth} input[name='Form.Tags']:checked").Select(e => e.GetAttribute("value")!).ToList();
        var meant = int.Parse(Regex.Match(browser.Words($"{growth} .ticks"), @"measure: (\d+) ppm").Groups[1].Value);
        browser.Find($"{growth} input[name='Form.Measured']").SendKeys($"{meant + 5}");
        browser.Find($"{growth} input[name='Form.Ph']").SendKeys("6.1");
        browser.Click($"{growth} form button");
        browser.Sees("h1", "Growth mix G310524");
        browser.Sees("main", $"Mixed for {tags.Count} plants");
        browser.Click("form[action*='Give'] button");
        browser.Sees("main", "Who got it");
        foreach (var tag in tags)
        {
            browser.Open($"/plants/{tag}");
            browser.Sees(".log", "G310524");
            browser.Find(".log a[href='/mixing/batches/G310524']");
        }
        Assert.Empty(browser.ConsoleErrors);
        // What got it is done; what is to be felt first still stands there, without a tick.
        var left = (await site.PageAsync("/mixing/today")).QuerySelectorAll($"{growth} input[name='Form.Tags']");
        Assert.Empty(left.Select(box => box.GetAttribute("value")!).Intersect(tags));
        Assert.DoesNotContain(left, box => box.HasAttribute("checked"));
    }

    [Fact]
    public async Task A_batch_forty_percent_off_is_questioned_and_kept_with_what_was_found()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/mixing/today");
        const string bloom = "section[aria-labelledby='h-bloom-bloom']";
        browser.Find($"{bloom} input[name='Form.Measured']").SendKeys("510"); // 364 meant
        browser.Find($"{bloom} input[name='Form.Ph']").SendKeys("7.4");
        browser.Click($"{bloom} form button");
        browser.Sees(
            $"{bloom} .asks",
            "510 ppm measured, 364 ppm meant: 40 % stronger. Before you trust either: Does the meter read on the other scale (500 or 700)?"
        );
        browser.Sees($"{bloom}", "pH 7.4 is outside 5.5 to 6.5");
        Assert.Equal("510", browser.Find($"{bloom} input[name='Form.Measured']").GetAttribute("value"));
        browser.Find($"{bloom} input[name='Form.Found']").SendKeys("it reads on the 700 scale");
        browser.Click($"{bloom} input[name='Form.Seen']");
        browser.Click($"{bloom} form button");
        browser.Sees("h1", "Bloom mix B310524");
        browser.Sees(".facts", "it reads on the 700 scale");
        browser.Open("/mixing/batches");
        browser.Sees(".grid", "510 ppm (+40 %)");
        Assert.Equal(2, browser.All(".batch-history .far").Count);
    }

    [Fact]
    public async Task A_recipe_above_a_carnivore_s_ceiling_needs_its_tag_typed_and_the_reason_stands_in_the_log()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/plants/DRO-01/recipe");
        browser.Find("select[name=Recipe]").SendKeys("Growth mix (");
        browser.Click("main form button");
        browser.Sees(".asks", "A carnivore gets nothing in the medium, ever");
        browser.Sees(".asks", "Growth mix comes to 244 ppm; sundews of bogs bear 100 (F10).");
        browser.Find("input[name=Confirm]").SendKeys("yes");
        browser.Click("main form button");
        browser.Sees("[role=alert]", "To do it all the same, type DRO-01.");
        browser.Find("input[name=Confirm]").Clear();
        browser.Find("input[name=Confirm]").SendKeys("dro-01");
        browser.Find("input[name=Why]").SendKeys("one leaf cutting, to see what happens");
        browser.Click("main form button");
        browser.Sees(".log", "Recipe growth against advice: one leaf cutting, to see what happens");
        Assert.Equal("/plants/DRO-01", browser.Path);
    }

    [Fact]
    public async Task A_recipe_is_worked_out_while_it_is_typed()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/mixing/recipes/growth");
        browser.Sees("#mixed", "25 % of the label, 50 ppm N");
        var strength = browser.Find("input[name=Strengths]");
        strength.Clear();
        strength.SendKeys("100 ppm N");
        browser.Sees("#mixed", "50 % of the label, 100 ppm N");
        strength.Clear();
        strength.SendKeys("a pinch");
        browser.Sees("#mixed", "\"a pinch\" is no strength of Balanced powder");
        strength.Clear();
        strength.SendKeys("1/8 tsp in 1 gal");
        browser.Sees("#mixed", "17 % of the label, 33 ppm N");
    }

    [Fact]
    public async Task A_newcomer_to_mixing_writes_down_a_water_and_a_feed_and_is_told_what_to_mix()
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        await site.PostAsync("/start?handler=Position", ("Form.Name", "Mine"), ("Form.Where", "51.5 N 0.7 E"), ("Form.TimeZone", "UTC"));
        await site.PostAsync(
            "/plants/new",
            ("Form.Tag", "CAT-1"),
            ("Form.Taxon", "Cattleya intermedia"),
            ("Form.Place", "bench"),
            ("Form.PotDiameter", "12"),
            ("Form.Medium", "bark")
        );
        await site.PostAsync("/notes", ("text", "cat-1 growth started 1 april, medium dry today"));
        using var browser = new Chromium(site.Address).Open("/mixing");
        browser.Sees("main", "No recipe yet. Write down your waters and feeds first");

        browser.ClickThrough("a[href='/mixing/waters']");
        browser.Find("input[name=Name]").SendKeys("Rain");
        browser.Find("input[name=Tds]").SendKeys("10");
        browser.ClickThrough("main form button");
        browser.ClickThrough("a[href='/mixing/feeds']");
        browser.Find("input[name=Name]").SendKeys("Powder");
        browser.Find("input[name=Label]").SendKeys("20-10-20");
        browser.Find("input[name=Full]").SendKeys("1 g in 1 L");
        browser.ClickThrough("main form button");
        browser.ClickThrough("a[href='/mixing/recipes']");
        browser.Find("input[name=Name]").SendKeys("Mine");
        browser.Find("select[name=Waters]").SendKeys("Rain");
        browser.Find("input[name=Shares]").SendKeys("100");
        browser.Find("select[name=Feeds]").SendKeys("Powder");
        browser.Find("input[name=Strengths]").SendKeys("1/4");
        browser.Sees("#mixed", "25 % of the label, 50 ppm N");
        browser.ClickThrough("main form > button");

        browser.Open("/");
        browser.Sees(".round-head", "Mix for 1 plant");
        browser.Open("/?selected=CAT-1");
        browser.Sees(
            ".why [aria-label=Feed]",
            "It grows, and no feed is on record: growth bottle, 25 % of the label, 50 ppm N in Mine (growing, nothing showing)."
        );
        browser.ClickThrough("a[href='/mixing/today']");
        browser.Sees(".bottle", "1 L Mine");
        browser.Sees(".bottle", "0.2 g on the scale Powder 20 % weaker; exact in 800 mL."); // 0.25 g, and the scale tells 0.1 g
        browser.ClickThrough(".bottle form button"); // nobody has to measure
        browser.ClickThrough("form[action*='Give'] button");
        browser.Open("/plants/CAT-1");
        browser.Sees(".advice", "Fed today: again from 23 Jun");
        browser.Sees(".advice", "Watered today");
    }

    [Theory]
    [InlineData("/mixing")]
    [InlineData("/mixing/today")]
    [InlineData("/mixing/batches/G310520")]
    [InlineData("/mixing/recipes/growth")]
    public async Task On_a_phone_targets_are_large_enough_for_wet_fingers(string path)
    {
        var site = await Site.ReadAsync();
        using var browser = new Chromium(site.Address, 390, 844).Open(path);
        Assert.Equal(
            "",
            (string)
                browser.Run(
                    """
                    return [...document.querySelectorAll('main button, main .btn, main summary, main input:not([type=hidden], [type=checkbox]), main select, .ticks label')]
                      .filter((e) => e.checkVisibility() && e.getBoundingClientRect().height > 0 && e.getBoundingClientRect().height < 44)
                      .map((e) => e.outerHTML.slice(0, 90) + ' ' + e.getBoundingClientRect().height).join('\n')
                    """
                )!
        );
        Assert.True(browser.Overflow <= 0);
    }

    [Fact]
    public async Task One_tap_on_the_salt_watch_answers_for_a_plant()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/mixing/salts");
        browser.Sees(".shelf", "flush from the top with plain water");
        browser.Click("button[aria-label='Flushed CAT-01']");
        browser.Sees("#said", "Logged on CAT-01: Flushed");
        browser.Open("/mixing/salts");
        browser.Find(".shelf");
        Assert.DoesNotContain("flush from the top", browser.Words(".shelf"));
    }

    [Fact] // read back by zbarimg, an ISO/IEC 18004 reader that is not the writer
    public async Task The_label_s_code_is_read_back_from_paper()
    {
        var site = await Site.ReadAsync();
        using var browser = new Chromium(site.Address).Open("/mixing/labels/G310520");
        var folder = Directory.CreateTempSubdirectory("bud-clock-label-");
        var (pdf, png) = (Path.Combine(folder.FullName, "label.pdf"), Path.Combine(folder.FullName, "label"));
        await File.WriteAllBytesAsync(pdf, browser.Pdf(8.27, 11.69), TestContext.Current.CancellationToken);
        await Programs.RunAsync("pdftoppm", "-r", "150", "-png", "-singlefile", pdf, png);
        Assert.Equal(
            $"{site.Address}/mixing/batches/G310520",
            (await Programs.RunAsync("zbarimg", "--quiet", "--raw", png + ".png")).Trim()
        );
        folder.Delete(recursive: true);
    }
}
