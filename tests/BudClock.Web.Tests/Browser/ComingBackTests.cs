namespace BudClock.Web.Tests.Browser;

/// <summary>Back, forward and reload on every page that changes by pieces; and what was typed, which no click loses.</summary>
public class ComingBackTests
{
    static Task<string> Garden(Site site) => site.Http.GetStringAsync("/api/garden", TestContext.Current.CancellationToken);

    static void IsWhole(Chromium browser)
    {
        browser.Until(() => browser.Run("return document.readyState") as string == "complete");
        Assert.True(browser.All("header.top").Count == 1 && browser.All("#note-text").Count == 1 && browser.All("main h1").Count >= 1);
        Assert.Empty(browser.ConsoleErrors);
    }

    [Fact]
    public async Task The_round_comes_back_whole_with_its_choice_and_its_place_on_the_page()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address, 1280, 700).Open("/");
        browser.Click("#row-LYC-01 .choose");
        browser.Sees(".why h2", "Lycaste, yellow");
        browser.Run("scrollTo({ top: 400, behavior: 'instant' })");
        browser.Until(() => double.TryParse(Scrolled(browser), out var kept) && kept > 300);
        browser.Run("document.querySelector('#row-GLO-01 .choose').click()"); // from where one stands, without a scroll
        browser.Sees(".why h2", "Flame lily");
        browser.Back();
        browser.Sees(".why h2", "Lycaste, yellow");
        IsWhole(browser);
        Assert.Equal("/?selected=LYC-01", browser.Path);
        browser.Until(() => Convert.ToInt32(browser.Run("return Math.round(scrollY)")) is > 300 and < 500);
        browser.Forward();
        browser.Sees(".why h2", "Flame lily");
        IsWhole(browser);
        browser.Reload();
        browser.Sees(".why h2", "Flame lily");
        IsWhole(browser);
        // Away to another page, and back.
        browser.Open("/store");
        browser.Back();
        browser.Sees(".why h2", "Flame lily");
        IsWhole(browser);
    }

    [Fact]
    public async Task The_bench_comes_back_whole_with_its_filter_and_its_ticks()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/bench");
        browser.Click("[name=tags][value=LYC-01]");
        browser.Find("[name=q]").SendKeys("calanthe");
        browser.Sees("#bench-list [role=status]", "2 plants");
        browser.Click(".tile .choose");
        browser.Sees("h1", "Calanthe");
        browser.Back();
        browser.Sees("#bench-list [role=status]", "2 plants");
        IsWhole(browser);
        Assert.Equal("calanthe", browser.Find("[name=q]").GetAttribute("value"));
        Assert.Equal("1", browser.Words("[data-count]"));
        browser.Reload();
        Assert.Equal("1", browser.Words("[data-count]"));
        browser.Back();
        browser.Sees("#bench-list [role=status]", "plants");
        IsWhole(browser);
        Assert.True(browser.Find("[name=tags][value=LYC-01]").Selected);
    }

    [Fact]
    public async Task Whatever_answers_in_pieces_answers_whole_to_who_comes_back()
    {
        await using var site = await Site.DemoAsync();
        foreach (
            var path in (string[])
                ["/", "/?selected=LYC-01", "/bench?q=cal", "/plants/LYC-01", "/plants/CAT-01/compare", "/triggers", "/plants/ONC-02/log"]
        )
        {
            using var request = new HttpRequestMessage(HttpMethod.Get, path);
            request.Headers.Add("HX-Request", "true");
            request.Headers.Add("HX-History-Restore-Request", "true");
            using var answer = await site.Http.SendAsync(request, TestContext.Current.CancellationToken);
            Assert.Contains("<header class=\"top\">", await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken));
            Assert.Contains("HX-Request", string.Join(',', answer.Headers.Vary));
        }
    }

    /// <summary>Forty rows, three mended, one cell of each kind: they survive a click on the brand, a reload, Back and Forward.</summary>
    [Fact, Long]
    public async Task A_list_of_forty_mended_rows_survives_what_happens_to_a_browser()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address, 1280, 800).Open("/plants/list");
        browser.Run(
            "document.getElementById('list-text').value = arguments[0]",
            string.Join("\n", Enumerable.Range(0, 40).Select(i => i % 2 == 0 ? "Hoya carnosa" : "Clivia miniata"))
        );
        browser.ClickThrough(".taking .fields .btn-ink");
        for (var row = 0; row < 40; row++)
            Type(browser, $"Rows[{row}].Note", $"mended {row}");
        Type(browser, "Rows[7].Tag", "SEVEN-1");
        browser.Click("[name='Rows[3].Ticked']");

        // A mistaken click at the top of a scrolled list is not taken by the header.
        browser.Run("scrollTo({ top: 900, behavior: 'instant' })");
        Assert.Equal(
            true,
            browser.Run(
                "const b = document.querySelector('.sticky-taps .btn-ink'), r = b.getBoundingClientRect();"
                    + "return document.elementFromPoint(r.left + r.width / 2, r.top + r.height / 2) === b"
            )
        );
        AllThere(browser);
        browser.Reload();
        browser.Sees(".given-back", "is back");
        AllThere(browser);
        browser.ClickThrough(".brand");
        browser.Back();
        browser.Until(() => browser.All("[name='Rows[39].Note']").Count == 1);
        AllThere(browser);
        browser.Forward();
        browser.Sees("h1", "round");
        // From the menu, with no list on the page: it is named, and gone on with.
        browser.Open("/plants/list");
        browser.Sees(".given-back", "The list that you were mending");
        browser.ClickThrough(".given-back button");
        AllThere(browser);
        browser.ClickThrough(".sticky-taps .btn-ink");
        browser.Sees("#said", "40 plants are taken in.");
        Assert.Contains("SEVEN-1", await Garden(site));
        Assert.Contains("mended 39", await Garden(site));
        // Once it is taken in it is forgotten.
        browser.Open("/plants/list");
        Assert.Empty(browser.All(".given-back"));
        Assert.Empty(browser.ConsoleErrors);

        static void AllThere(Chromium browser)
        {
            browser.Until(() => Value(browser, "Rows[39].Note") == "mended 39");
            for (var row = 0; row < 40; row++)
                Assert.Equal($"mended {row}", Value(browser, $"Rows[{row}].Note"));
            Assert.Equal("SEVEN-1", Value(browser, "Rows[7].Tag"));
            Assert.Equal(true, browser.Run("return document.querySelector(\"[name='Rows[3].Ticked']\").checked"));
        }
    }

    [Fact]
    public async Task A_long_form_that_was_left_by_mistake_gives_back_what_was_typed_once()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/plants/LYC-01/edit");
        Type(browser, "Form.Source", "the autumn swap");
        browser.ClickThrough(".brand");
        browser.Open("/plants/LYC-01/edit");
        browser.Sees(".given-back", "is back");
        Assert.Equal("the autumn swap", Value(browser, "Form.Source"));
        browser.ClickThrough("form.fields button.btn-ink");
        browser.Sees("h1", "Lycaste, yellow");
        browser.Open("/plants/LYC-01/edit");
        Assert.Empty(browser.All(".given-back"));
        Assert.Equal("the autumn swap", Value(browser, "Form.Source"));
        // What is not wanted goes away by its button.
        Type(browser, "Form.Source", "somewhere else");
        browser.Reload();
        browser.Sees(".given-back", "is back");
        browser.ClickThrough(".given-back button");
        Assert.Equal("the autumn swap", Value(browser, "Form.Source"));
        Assert.Empty(browser.All(".given-back"));
    }

    static string? Scrolled(Chromium browser) =>
        browser.Run("return sessionStorage.getItem('scrolled ' + location.pathname + location.search) + ''") as string;

    static void Type(Chromium browser, string name, string value) =>
        browser.Run(
            "const field = document.getElementsByName(arguments[0])[0]; field.value = arguments[1];"
                + "field.dispatchEvent(new Event('input', { bubbles: true }))",
            name,
            value
        );

    static string? Value(Chromium browser, string name) =>
        browser.Run("return document.getElementsByName(arguments[0])[0]?.value", name) as string;
}
