using System.Diagnostics;
using BudClock.Core.Advising;
using OpenQA.Selenium;

namespace BudClock.Web.Tests.Browser;

/// <summary>Water and rest, in a real browser.</summary>
public class RestTests
{
    [Theory]
    [InlineData("firm", "it is going to rest, which is normal")]
    [InlineData("soft", "act today. Set it apart, take it out of its pot, cut to firm tissue")]
    public async Task Leaves_drop_and_the_base_tells_rest_from_rot(string felt, string says)
    {
        await using var site = await Site.DemoAsync(new(2031, 10, 30));
        using var browser = new Chromium(site.Address).Open("/plants/ALO-01");
        browser.Find("#note-text").SendKeys("alo-01 leaf dropped 20 october" + Keys.Enter);
        browser.Sees("#said", "Logged on ALO-01");
        browser.Find("#note-text").SendKeys("alo-01 leaf dropped" + Keys.Enter);
        browser.Sees(".advice", "Leaves are going: feel the base. Firm, soft, or smelling?");
        browser.Find("#note-text").SendKeys($"alo-01 base {felt}" + Keys.Enter);
        browser.Sees(".advice", says);
    }

    [Fact]
    public async Task A_stored_tuber_goes_soft_and_leaves_the_store()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/store");
        browser.Sees(
            "[aria-label='Angel wings, white']",
            "Its time to wake and warm enough: feel it, and plant it with 4.5 cm of medium above"
        );
        browser.Find("#note-text").SendKeys("cld-01 tuber soft #t2" + Keys.Enter);
        browser.Sees("#said", "Logged on CLD-01");
        browser.Open("/");
        browser.Sees("#row-CLD-01", "Tuber soft today: act today. Set it apart, take it out of its store or pot, cut to firm tissue");
        browser.Find("#note-text").SendKeys("cld-01 died" + Keys.Enter);
        browser.Sees("#said .question", "Is CLD-01 dead, or does it rest?");
        browser.Click("#said .question button");
        browser.Sees("#said", "Logged on CLD-01");
        browser.Open("/store");
        browser.Find(".store-row");
        Assert.DoesNotContain("CLD-01", browser.Words("main"));
    }

    [Theory]
    [InlineData(8.27, 11.69)] // A4, inches
    [InlineData(8.5, 11)] // US letter
    public async Task The_sitter_s_sheet_prints_without_a_cut_row(double width, double height)
    {
        var site = await Site.ReadAsync();
        using var browser = new Chromium(site.Address).Open("/sitter?days=21");
        var pages = await PagesAsync(browser.Pdf(width, height));
        Assert.True(pages.Count > 1, "more than one page, so that a row could be cut");
        // A name stands at the top of its row and the tag at its foot: cut, they would be on two pages.
        foreach (
            var row in browser
                .All(".grid tbody tr td:first-child")
                .Select(cell => cell.Text.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries))
        )
            Assert.True(pages.Any(page => row.All(page.Contains)), $"{string.Join(' ', row)} is cut");
        Assert.DoesNotContain("Pretend day", string.Join(" ", pages));
    }

    /// <summary>The words of each page, by pdftotext.</summary>
    static async Task<IReadOnlyList<string>> PagesAsync(byte[] pdf)
    {
        var file = Path.GetTempFileName();
        await File.WriteAllBytesAsync(file, pdf, TestContext.Current.CancellationToken);
        using var reader = Process.Start(new ProcessStartInfo("pdftotext", ["-layout", file, "-"]) { RedirectStandardOutput = true })!;
        var text = await reader.StandardOutput.ReadToEndAsync(TestContext.Current.CancellationToken);
        File.Delete(file);
        return [.. text.Split('\f').Where(page => page.Trim().Length > 0)];
    }
}
