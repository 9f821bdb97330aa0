namespace BudClock.Web.Tests.Browser;

public class SistersTests
{
    [Fact]
    public async Task Two_sisters_are_compared_and_a_trial_is_begun()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/plants/LYC-01");
        browser.Click("a[href='/plants/LYC-01/sisters']");
        browser.Sees("#pair", "days after the first measurement");
        browser.Sees(".finding", "so the cause can't be told apart");
        var year = browser.All("select[name=b] option")[^1];
        var words = year.Text;
        year.Click();
        browser.Sees("#pair", $"({words})");
        browser.Open("/mixing/trials");
        browser.Find("select[name=Recipe] option[value=kelp]").Click();
        browser.Run("document.querySelector('#try-SAI-04').click()");
        browser.ClickThrough("form.fields button");
        browser.Open("/mixing/trials").Sees(".trial", "Day 0 of 28: nothing can be concluded yet");
    }
}
