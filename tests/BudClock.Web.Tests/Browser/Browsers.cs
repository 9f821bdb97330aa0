using System.Collections.Concurrent;
using BudClock.Web.Tests.Browser;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

[assembly: AssemblyFixture(typeof(Browsers))]

namespace BudClock.Web.Tests.Browser;

/// <summary>
/// The browsers of a run. One is started when none is free, so there are as many as tests that look at once; each test gets a window of its
/// own, and its cookies, cache and storage are gone before the next one comes.
/// </summary>
/// <remarks>Each site has a port of its own, so what a page stores is of another origin in any case.</remarks>
public sealed class Browsers : IDisposable
{
    static readonly string[] Flags =
    [
        "--headless=new",
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        "--hide-scrollbars",
    ];

    static readonly ConcurrentBag<ChromeDriver> Free = [];
    static readonly ConcurrentBag<(ChromeDriver Driver, DirectoryInfo Profile)> Started = [];

    internal static ChromeDriver Take()
    {
        var driver = Free.TryTake(out var free) ? free : Start();
        driver.SwitchTo().NewWindow(WindowType.Tab);
        return driver;
    }

    internal static void GiveBack(ChromeDriver driver, string address)
    {
        driver.ExecuteCdpCommand("Network.clearBrowserCookies", []);
        driver.ExecuteCdpCommand("Network.clearBrowserCache", []);
        driver.ExecuteCdpCommand("Storage.clearDataForOrigin", new() { ["origin"] = address, ["storageTypes"] = "all" });
        _ = driver.Manage().Logs.GetLog(LogType.Browser);
        foreach (var window in driver.WindowHandles.Skip(1))
        {
            driver.SwitchTo().Window(window);
            driver.Close();
        }
        driver.SwitchTo().Window(driver.WindowHandles[0]);
        Free.Add(driver);
    }

    static ChromeDriver Start()
    {
        var profile = Directory.CreateTempSubdirectory("bud-clock-chromium-");
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments([.. Flags, $"--user-data-dir={profile.FullName}"]);
        var driver = new ChromeDriver(ChromeDriverService.CreateDefaultService("/usr/bin/chromedriver"), options);
        Started.Add((driver, profile));
        return driver;
    }

    public void Dispose()
    {
        foreach (var (driver, profile) in Started)
        {
            driver.Quit();
            driver.Dispose();
            profile.Delete(recursive: true);
        }
    }
}
