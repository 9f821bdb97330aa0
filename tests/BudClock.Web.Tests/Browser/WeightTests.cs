using System.Globalization;
using System.Text.Json;

namespace BudClock.Web.Tests.Browser;

/// <summary>
/// What a browser fetches: little on a first visit, next to nothing later, and nothing jumps while it comes. scripts/weigh.sh prints the
/// figures.
/// </summary>
/// <remarks>
/// By the browser's own account: Resource Timing (transferSize is 0 for what it had already) and Layout Instability (W3C, both).
/// </remarks>
public class WeightTests
{
    sealed record Visit(int Requests, long Bytes);

    static readonly string[] Later = ["/bench", "/plants/CAL-02", "/mixing", "/triggers", "/store", "/places/south", "/sheets/clivia", "/"];

    [Fact]
    public async Task A_first_visit_is_light_and_later_pages_are_lighter()
    {
        var site = await Site.ReadAsync();
        using var browser = new Chromium(site.Address);
        var first = Open(browser, "/");
        Assert.True(first is { Requests: <= 12, Bytes: <= 150_000 }, $"first visit: {first}");
        foreach (var page in Later)
        {
            var later = Open(browser, page);
            Assert.True(later is { Requests: <= 2, Bytes: <= 15_000 }, $"{page}: {later}");
        }
    }

    [Theory]
    [InlineData(1280, 800)]
    [InlineData(390, 844)]
    public async Task Nothing_on_the_round_jumps_while_it_comes(int width, int height)
    {
        var site = await Site.ReadAsync();
        using var browser = new Chromium(site.Address, width, height);
        browser.Open("/");
        var shift = Convert.ToDouble(browser.Run(Shifts), CultureInfo.InvariantCulture);
        Print($"The Round, {width} wide: layout shift {shift:0.000}");
        Assert.True(shift < 0.01, $"{shift}");
    }

    static Visit Open(Chromium browser, string page)
    {
        browser.Open(page);
        var visit = JsonSerializer.Deserialize<Visit>((string)browser.Run(Fetched)!)!;
        Print($"{page, -18} {visit.Requests, 3} requests {visit.Bytes / 1000.0, 7:0.0} kB");
        return visit;
    }

    static void Print(string line) => TestContext.Current.TestOutputHelper?.WriteLine(line);

    const string Fetched = """
        const all = [...performance.getEntriesByType('navigation'), ...performance.getEntriesByType('resource')].filter((one) => one.transferSize > 0);
        return JSON.stringify({ Requests: all.length, Bytes: all.reduce((sum, one) => sum + one.transferSize, 0) });
        """;

    const string Shifts = """
        let shift = 0;
        const watch = new PerformanceObserver(() => {});
        watch.observe({ type: 'layout-shift', buffered: true });
        for (const one of watch.takeRecords()) if (!one.hadRecentInput) shift += one.value;
        return shift;
        """;
}
