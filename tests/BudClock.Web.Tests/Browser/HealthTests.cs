using OpenQA.Selenium;

namespace BudClock.Web.Tests.Browser;

public class HealthTests
{
    [Fact]
    public async Task Pests_are_followed_from_the_sighting_to_the_all_clear()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/health");
        Note(browser, "hoy-03 few mealy bugs in the folds 20 days ago");
        browser.Open("/health").Sees("article[aria-label=HOY-03]", "set it apart, rinse them off");
        browser.Sees("article[aria-label=HOY-03] summary", "there too: look at them");
        browser.Sees(".caution", "only by their label and local law");
        Note(browser, "hoy-03 treated with soap spray 18 days ago");
        browser.Open("/health").Sees("article[aria-label=HOY-03] .steps", "Treated 6 May: with soap spray");
        Note(browser, "hoy-03 pests none 10 days ago");
        browser.Open("/health").Sees("article[aria-label=HOY-03] .steps .done:nth-child(3)", "First clear look");
        Note(browser, "hoy-03 pests none");
        browser.Open("/health");
        Assert.Empty(browser.All("article[aria-label=HOY-03]"));
        browser.Sees("table[aria-label='Treatments and what came of them']", "with soap spray 1 0 0 20");
    }

    static void Note(Chromium browser, string line)
    {
        browser.Find("#note-text").SendKeys(line + Keys.Enter);
        browser.Sees("#said", "Logged on HOY-03");
    }
}
