using BudClock.Core.Culture;

namespace BudClock.Web.Tests.Browser;

/// <summary>
/// Every page that a link leads to, one of each kind, at each width: nothing over anything, nothing cut, nothing out of reach, no link to
/// nowhere, no error in the console.
/// </summary>
public class EveryPageLaidOutTests
{
    [Fact, Long]
    public async Task In_the_demo()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/places", ("Name", "Attic")); // only a name so far: it is asked what it is
        var list = await site.SendAsync(
            "/plants/list",
            false,
            ("Text", "3 x Phalaenopsis\nA rose of no name that anybody knows\nDendrobium nobile")
        );
        Assert.True(await AreLaidOutAsync(site, list.RequestMessage!.RequestUri!.PathAndQuery) >= 45);
    }

    static readonly (string Page, string Style, string Words)[] Breaks =
    [
        ("/mixing", ".shelf { max-height: 220px; display: block }", "lies over"),
        ("/triggers/programmes", ".table { white-space: nowrap } .sheet-page { overflow-x: auto }", "is cut by"),
        ("/places", ".places-table { min-width: 1400px }", "too wide"),
        ("/bench", "form.many { position: sticky; top: 0; z-index: 1 }", "scrolled by 600"),
        ("/bench", "form.many { position: relative; top: -60px; z-index: 2; background: red }", "lies beneath"),
    ];

    /// <summary>The look itself sees what it is to see: each fault is put onto a page that has none, and named.</summary>
    [Fact]
    public async Task A_broken_style_is_seen()
    {
        var site = await Site.ReadAsync();
        using var browser = new Chromium(site.Address, 768);
        foreach (var (page, style, words) in Breaks)
        {
            browser.Open(page);
            Assert.Empty(Laid.Look(browser));
            browser.Run(
                "document.adoptedStyleSheets = [new CSSStyleSheet()]; document.adoptedStyleSheets[0].replaceSync(arguments[0])",
                style
            );
            Assert.True(Laid.Look(browser).Any(fault => fault.Contains(words, StringComparison.Ordinal)), $"{page}: {style}");
        }
    }

    /// <param name="besides">Pages that no link leads to, such as a list that waits to be taken in.</param>
    internal static async Task<int> AreLaidOutAsync(Site site, params string[] besides)
    {
        var (pages, dead) = await Laid.WalkAsync(site);
        Assert.True(dead.Count == 0, string.Join("\n", dead));
        var faults = Laid.Faults(site.Address, [.. pages, .. besides]);
        Assert.True(faults.Count == 0, $"{faults.Count} on {pages.Count} pages\n{string.Join("\n", faults)}");
        return pages.Count;
    }
}

/// <summary>The same before there is anything, and in a garden that is fuller than most.</summary>
public class EveryPageOfOtherGardensTests
{
    [Fact, Long]
    public async Task In_an_empty_garden()
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        Assert.Equal(1, await EveryPageLaidOutTests.AreLaidOutAsync(site));
        await site.PostAsync(
            "/start?handler=Position",
            ("Form.Name", "Empty"),
            ("Form.Where", "51.5 N 0.7 E"),
            ("Form.TimeZone", "Europe/London")
        );
        var pages = await EveryPageLaidOutTests.AreLaidOutAsync(site);
        Assert.True(pages >= 25, $"{pages} pages");
    }

    /// <summary>Two hundred plants with names of forty characters, in inches and fluid ounces.</summary>
    [Fact, Long]
    public async Task In_a_crowded_garden()
    {
        await using var site = await Site.DemoAsync();
        await site.SpeakUsUnitsAsync();
        var genera = CultureSheets.Shipped.All.SelectMany(sheet => sheet.Genera.Take(4)).ToList();
        var rows = Enumerable
            .Range(0, 170)
            .SelectMany(i =>
                new[]
                {
                    ("Rows[" + i + "].Tag", $"XXX-{i:000}"),
                    ("Rows[" + i + "].Taxon", $"{genera[i % genera.Count]} longissimifolia"),
                    ("Rows[" + i + "].Name", $"{genera[i % genera.Count]} of the far end of the eastern garden wall"[..40]),
                    ("Rows[" + i + "].Place", i % 7 == 0 ? "The lean-to behind the keeper's cottage" : "South bench"),
                    ("Rows[" + i + "].Stage", i % 3 == 0 ? "in leaf" : ""),
                }
            );
        var taken = await site.PostAsync("/plants/list?handler=Take", [.. rows]);
        Assert.Contains("170 plants are taken in", taken.Body.Words(), StringComparison.Ordinal);
        Assert.True(await EveryPageLaidOutTests.AreLaidOutAsync(site) >= 45);
    }
}
