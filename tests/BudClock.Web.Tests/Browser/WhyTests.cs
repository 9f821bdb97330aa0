using System.Text.RegularExpressions;
using OpenQA.Selenium;

namespace BudClock.Web.Tests.Browser;

public class WhyTests
{
    [Fact]
    public async Task A_stored_tuber_is_asleep_until_it_is_soft_and_what_hangs_has_lost_its_roots()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/plants/CLD-01/why");
        browser.Sees(".certificate", "Its kind usually wakes about");
        browser.Sees("#asleep .finding", "Most likely: its season to rest");
        browser.Find("#note-text").SendKeys("cld-01 tuber soft #t2" + Keys.Enter);
        browser.Sees("#said", "Logged on CLD-01");
        browser.Open("/plants/CLD-01/why");
        browser.Sees("#asleep .finding", "Most likely: rot (tuber soft on 24 May)");
        browser.Find("#note-text").SendKeys("hoy-03 roots lost" + Keys.Enter);
        browser.Sees("#said", "Logged on HOY-03");
        browser.Open("/plants/HOY-03").Click("a[href='/plants/HOY-03/why']");
        browser.Sees("#limp .finding", "Most likely: roots lost (its roots were lost on 24 May)");
    }

    [Fact]
    public async Task One_question_is_asked_and_what_nothing_raises_says_what_to_note()
    {
        var site = await Site.ReadAsync();
        var scorched = await site.TextAsync("/plants/CAL-02/why?q=scorched");
        Assert.Contains("Nothing in its log raises this. Write down when it was moved", scorched);
        var all = Hearings(await site.TextAsync("/plants/HOY-03/why"));
        Assert.Contains("Most likely", all);
        Assert.Equal(all, Hearings(await site.TextAsync("/plants/HOY-03/why?q=purple")));
        Assert.Equal(
            System.Net.HttpStatusCode.NotFound,
            (await site.Http.GetAsync("/plants/none-1/why", TestContext.Current.CancellationToken)).StatusCode
        );
    }

    static string Hearings(string page) =>
        string.Join('\n', Regex.Matches(page, "class=\"finding\"><b>[^<]*").Select(match => match.Value));
}
