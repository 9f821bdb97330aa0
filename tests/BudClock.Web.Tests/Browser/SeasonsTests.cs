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
}
