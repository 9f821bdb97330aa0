using System.Globalization;
using System.Text.RegularExpressions;

namespace BudClock.Web.Tests.Browser;

/// <summary>The acts growers dread most, in a real browser from beginning to end.</summary>
public partial class PottingTests
{
    [Fact]
    public async Task A_repotting_day_for_five_plants_from_window_to_log()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/potting");
        browser.Sees("#window-PAP-04", "at once");
        string[] tags = ["PAP-04", "CAT-01", "MOR-01", "ALO-05", "CER-01"];
        browser.Open($"/potting/day?{string.Join('&', tags.Select(tag => $"tags={tag}"))}");
        Assert.Equal(5, browser.All(".stand").Count);
        Assert.Equal(5, browser.All(".stand .section").Count);
        Assert.Contains("Open bark", browser.Words(".bill"));
        foreach (var done in browser.All("input[name$='.Done']"))
            browser.Run("arguments[0].click()", done);
        browser.Click("form.fields .btn-ink");
        browser.Sees("#said", "5 plants repotted.");
        browser.Open("/plants/CAT-01");
        browser.Sees(".log", "Repotted into");
        browser.Open("/plants/CAT-01/repot");
        browser.Sees("#window + p", "It wants no repot now.");
        Assert.Empty(browser.ConsoleErrors);
    }

    [Fact]
    public async Task A_division_is_drawn_cut_and_tagged()
    {
        await using var site = await Site.DemoAsync();
        foreach (var year in new[] { "2026", "2027" })
            await site.PostAsync(
                "/plants/CAT-01/log",
                ("Form.Kind", "growth-started"),
                ("Form.Organ", "new"),
                ("Form.On", $"{year}-03-01")
            );
        using var browser = new Chromium(site.Address).Open("/plants/CAT-01/divide");
        browser.Sees("main", "up to 2 parts of 3 or more");
        Assert.Single(browser.All(".divide-line"));
        browser.Click("form.fields .btn-ink");
        browser.Sees("#said", "CAT-01 divided into 2.");
        Assert.Equal(2, browser.All(".labels svg").Count);
        browser.Open("/plants/CAT-02");
        browser.Sees(".tree", "CAT-01");
        Assert.Empty(browser.ConsoleErrors);
    }

    [Fact]
    public async Task A_rotten_base_becomes_three_corms_in_a_batch_and_one_tagged_plant()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/plants/ALO-05");
        browser.Find("#note-text").SendKeys("ALO-05: base soft" + OpenQA.Selenium.Keys.Enter);
        browser.Sees(".plant-head", "What can be saved");
        browser.Open("/plants/ALO-05/rescue");
        browser.Sees("main", "Press each corm");
        browser.Open("/young/new?parent=ALO-05&method=corm&rescue=true");
        browser.Find("input[name=HowMany]").SendKeys("3");
        browser.Click("form.fields .btn-ink");
        browser.Sees("h1", "Corm, Jewel aroid");
        browser.Sees("main", "saved from a plant in trouble");
        browser.Find("input[name=Wide]").SendKeys("6");
        browser.Click("form[action$='PotOn'] .btn-ink");
        browser.Sees("h1", "Jewel aroid");
        browser.Sees(".tree", "ALO-05");
        Assert.DoesNotContain("/young", browser.Path);
        Assert.Empty(browser.ConsoleErrors);
    }

    /// <summary>True size by pdfinfo (A4 is 210 × 297 mm, ISO 216); codes read back by zbarimg, which is not the writer.</summary>
    [Fact]
    public async Task Ten_labels_are_a_strip_in_a_pdf_of_true_size_and_each_code_is_read_back()
    {
        var site = await Site.ReadAsync();
        using var browser = new Chromium(site.Address).Open("/labels?Place=south&Sheet=strip-20");
        var all = browser.All(".labels svg").Count;
        Assert.True(all >= 10);
        var address = browser.Find("a.btn-ink").GetAttribute("href")!;
        Assert.Equal((100, 200), await SizeAsync(site, address));
        Assert.Equal((210, 297), await SizeAsync(site, address.Replace("strip-20", "a4-65", StringComparison.Ordinal)));
        var folder = Directory.CreateTempSubdirectory("bud-clock-labels-");
        var (pdf, png) = (Path.Combine(folder.FullName, "labels.pdf"), Path.Combine(folder.FullName, "labels"));
        await File.WriteAllBytesAsync(
            pdf,
            await site.Http.GetByteArrayAsync(address, TestContext.Current.CancellationToken),
            TestContext.Current.CancellationToken
        );
        await Programs.RunAsync("pdftoppm", "-r", "300", "-png", "-singlefile", pdf, png); // as a printer prints it
        var read = (await Programs.RunAsync("zbarimg", "--quiet", "--raw", png + ".png")).Split(
            '\n',
            StringSplitOptions.RemoveEmptyEntries
        );
        Assert.Equal(10, read.Distinct().Count());
        Assert.All(read, code => Assert.StartsWith($"{site.Address}/plants/", code));
        var words = await Programs.RunAsync("pdftotext", "-layout", pdf, "-");
        Assert.All(read, code => Assert.Contains(code.Split('/')[^1], words));
        folder.Delete(recursive: true);
    }

    static async Task<(int Wide, int High)> SizeAsync(Site site, string address)
    {
        var file = Path.GetTempFileName();
        await File.WriteAllBytesAsync(
            file,
            await site.Http.GetByteArrayAsync(address, TestContext.Current.CancellationToken),
            TestContext.Current.CancellationToken
        );
        var size = PageSize().Match(await Programs.RunAsync("pdfinfo", file));
        File.Delete(file);
        return (Mm(size.Groups[1].Value), Mm(size.Groups[2].Value));
    }

    static int Mm(string points) => (int)Math.Round(double.Parse(points, CultureInfo.InvariantCulture) * 25.4 / 72);

    [GeneratedRegex(@"Page size:\s+([\d.]+) x ([\d.]+) pts")]
    private static partial Regex PageSize();
}
