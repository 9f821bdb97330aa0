using BudClock.Core.Advising;

namespace BudClock.Web.Tests.Browser;

/// <summary>Every main view: nothing for axe-core to find, and nothing wider than the window.</summary>
/// <remarks>The views stand in two classes, since test classes run side by side.</remarks>
public class EveryViewTests
{
    const string LongName = "Calanthe of the far end of the east wall"; // forty characters

    /// <summary>What is looked at at each step; the others are in the long set.</summary>
    static readonly string[] MainViews =
    [
        "/",
        "/bench",
        "/plants/CAL-02",
        "/plants/CAL-02/edit",
        "/places/south",
        "/garden",
        "/notes",
        "/potting",
    ];

    static readonly string[] Views =
    [
        "/",
        "/bench",
        "/?selected=CAL-02",
        "/?selected=HOY-02",
        "/plants/CAL-02",
        "/plants/CTM-07",
        "/plants/CLD-01",
        "/plants/new",
        "/plants/CAL-02/edit",
        "/places",
        "/places/south",
        "/places/frame?span=week",
        "/places/sill?span=quarter",
        "/places/fit?plant=MIL-01",
        "/places/devices",
        "/places/forecast",
        "/places/file",
        "/garden",
        "/notes",
        "/plants/none-1",
        "/plants/ONC-02",
        "/plants/SIN-01",
        "/plants/PHA-01",
        "/plants/PAP-02",
        "/plants/MAS-01",
        "/plants/SAI-03",
        "/plants/CAL-06/look",
        "/plants/CAL-02/why",
        "/plants/CLD-01/why",
        "/plants/LYC-01/sisters",
        "/health",
        "/seasons",
        "/plants/CTM-07/why?q=smaller",
        "/potting",
        "/potting/day?tags=CAT-01&tags=PAP-04",
        "/potting/mix?Mix=bulbs&Pots=12&Pot=14",
        "/potting/pots",
        "/young",
        "/young/new?parent=EUP-01",
        "/young/C1",
        "/labels?Place=sill",
        "/plants/CAT-01/repot",
        "/plants/CAT-01/divide",
        "/plants/PAP-04/rescue",
        "/plants/ONC-02/compare",
        "/plants/ONC-02/log?kind=spike-length",
        "/words",
        "/plants/list",
    ];

    [Fact]
    public async Task Axe_finds_nothing_and_nothing_overflows()
    {
        await using var site = await Site.DemoAsync();
        Assert.Equal(40, LongName.Length);
        await site.PostAsync(
            "/plants/CAL-02/edit",
            await site.VersionAsync("CAL-02"),
            ("Form.Taxon", "Calanthe vestita"),
            ("Form.Name", LongName),
            ("Form.Place", "south")
        );
        await site.PostAsync(
            "/plants/LYC-01/edit",
            await site.VersionAsync("LYC-01"),
            ("Form.Taxon", "Lycaste aromatica"),
            ("Form.Name", new string('W', 40)),
            ("Form.Place", "south")
        );
        AreClean(site, MainViews);
    }

    [Fact, Long]
    public async Task And_nothing_in_any_other_view() => AreClean(await Site.ReadAsync(), Views.Except(MainViews));

    [Fact, Long]
    public async Task On_a_phone_and_in_the_evening_too() => AreCleanOtherwise(await Site.ReadAsync(), Views);

    /// <summary>Opens every view with its folds open. How pages lie at other widths is looked at by <see cref="EveryPageLaidOutTests"/>.</summary>
    internal static void AreClean(Site site, IEnumerable<string> views)
    {
        using var browser = new Chromium(site.Address);
        foreach (var view in views)
        {
            Unfolded(browser.Resize(1280), view);
            Suits(browser, view);
            Assert.True(browser.Resize(320).Overflow <= 0, $"{view} at 320 is {browser.Overflow} px too wide");
        }
    }

    /// <summary>What axe-core finds on a phone and in the evening's colours.</summary>
    internal static void AreCleanOtherwise(Site site, IEnumerable<string> views)
    {
        using var browser = new Chromium(site.Address);
        foreach (var view in views)
        {
            Unfolded(browser.Resize(390).Darken(false), view);
            Suits(browser, $"{view} on a phone");
            Suits(browser.Darken(true), $"{view} on a phone in the evening");
            Suits(browser.Resize(1280), $"{view} in the evening");
        }
    }

    static void Unfolded(Chromium browser, string view) =>
        browser.Open(view).Run("document.querySelectorAll('details').forEach((fold) => fold.open = true)");

    static void Suits(Chromium browser, string where)
    {
        var findings = browser.AxeFindings();
        Assert.True(findings is { Count: 0 }, $"{where}: {string.Join("\n", findings)}");
    }

    [Fact]
    public async Task The_start_is_clean_too()
    {
        await using var site = await Site.EmptyAsync();
        using var browser = new Chromium(site.Address);
        foreach (var width in (int[])[1280, 390])
        {
            browser.Resize(width).Open("/start");
            Assert.Empty(browser.AxeFindings());
            Assert.True(browser.Overflow <= 0);
        }
    }

    [Fact]
    public async Task Targets_on_a_phone_are_large_enough_for_wet_fingers()
    {
        var site = await Site.ReadAsync();
        using var browser = new Chromium(site.Address, 390, 844);
        foreach (
            var view in (string[])
                [
                    "/?selected=LYC-01",
                    "/bench",
                    "/mixing/today",
                    "/mixing/batches/G310520",
                    "/mixing/trials",
                    "/mixing/salts",
                    "/plants/CAL-06/look",
                    "/trays/silltray",
                ]
        )
        {
            browser.Open(view);
            Assert.Equal("", (string)browser.Run(TooSmall)!);
        }
    }

    /// <summary>What is below 44 px high, by itself and by the words beside it; and to whose edge a finger does not reach.</summary>
    const string TooSmall = """
        const reaches = (e) => {
          e.scrollIntoView({ block: 'center', behavior: 'instant' });
          const box = e.getBoundingClientRect();
          return [-20, 20].every((off) => e.contains(document.elementFromPoint(box.left + box.width / 2, box.top + box.height / 2 + off)));
        };
        const high = (e) => e.getBoundingClientRect().height >= 44;
        document.querySelectorAll('details').forEach((fold) => fold.open = true);
        return [...document.querySelectorAll('button, .btn, .walk a, .main-nav a, summary, select, input:not([type=hidden])')]
          .filter((e) => e.checkVisibility() && e.getBoundingClientRect().height > 0 && !e.closest('dialog, .note'))
          .filter((e) => !high(e) && ![...(e.labels ?? [])].some(high) && !reaches(e))
          .map((e) => e.outerHTML.slice(0, 90) + ' ' + e.getBoundingClientRect().height).join('\n')
        """;
}

/// <summary>The same for the views around the plants: the shelves, the sheets and mixing.</summary>
public class EveryShelfViewTests
{
    static readonly string[] Views =
    [
        "/garden/csv",
        "/store",
        "/trays",
        "/trays/silltray",
        "/sheets",
        "/sheets/wax-vine-thick",
        "/sitter",
        "/rules",
        "/mixing",
        "/mixing/today",
        "/mixing/bottle",
        "/mixing/recipes/growth",
        "/mixing/waters/tap",
        "/mixing/feeds/bloom",
        "/mixing/tools",
        "/mixing/batches",
        "/mixing/batches/G310520",
        "/mixing/labels/G310520",
        "/mixing/trials",
        "/mixing/salts",
        "/plants/DRO-01/recipe",
    ];

    [Fact, Long]
    public async Task Axe_finds_nothing_and_nothing_overflows()
    {
        var site = await Site.ReadAsync();
        EveryViewTests.AreClean(site, Views);
    }

    [Fact, Long]
    public async Task On_a_phone_and_in_the_evening_too() => EveryViewTests.AreCleanOtherwise(await Site.ReadAsync(), Views);
}
