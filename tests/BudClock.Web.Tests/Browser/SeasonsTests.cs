using OpenQA.Selenium;

namespace BudClock.Web.Tests.Browser;

public class SeasonsTests
{
    [Fact]
    public async Task Years_stand_side_by_side_and_the_ribbon_is_read_by_keyboard()
    {
        var site = await Site.ReadAsync();
        using var browser = new Chromium(site.Address).Open("/seasons");
        Assert.True(browser.All("table[aria-label='Year beside year'] tbody tr").Count >= 3, "three years of the demo");
        browser.Sees("#week", "Week of 21 May");
        browser.Click(".seasons a[href='/seasons?year=2030']");
        browser.Sees("h2", "In bloom through 2030");
        browser.Run("document.querySelectorAll('.ribbon a')[8].focus()");
        browser.Press(Keys.Tab);
        var week = (string)browser.Run("return document.activeElement.getAttribute('aria-label')")!;
        Assert.StartsWith("Week of 5 Mar", week);
        browser.Press(Keys.Enter);
        browser.Sees("#week", "Week of 5 Mar 2030");
        foreach (var tag in week.Split("bloom, ")[^1].Split(", "))
            browser.Sees("#week", tag);
    }

    [Fact]
    public async Task One_plant_s_years_stand_alone()
    {
        var site = await Site.ReadAsync();
        Assert.Contains("the whole garden", await site.TextAsync("/seasons?plant=PHA-01"));
        var none = await site.Http.GetAsync("/seasons?plant=none-9", TestContext.Current.CancellationToken);
        Assert.Equal(System.Net.HttpStatusCode.NotFound, none.StatusCode);
    }

    [Fact]
    public async Task A_year_is_printed_one_page_a_plant()
    {
        var site = await Site.ReadAsync();
        var year = await site.PageAsync("/seasons/print?year=2030");
        Assert.Contains("Kite orchid MAS-01, 9 Aug 2030", year.QuerySelector(".one-page").Words());
        Assert.True(year.QuerySelectorAll(".one-page").Length > 20);
        var one = await site.PageAsync("/seasons/print?year=2030&plant=PHA-01");
        Assert.Single(one.QuerySelectorAll(".one-page"));
        using var browser = new Chromium(site.Address).Open("/seasons/print?year=2030&plant=PHA-01");
        Assert.NotEmpty(browser.Pdf(8.27, 11.69));
    }
}
