using System.Globalization;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Support.UI;

namespace BudClock.Web.Tests.Browser;

/// <summary>A headless Chromium for a test, in a window of its own and with nothing kept from the test before.</summary>
public sealed class Chromium : IDisposable
{
    readonly ChromeDriver driver;

    public Chromium(string address, int width = 1280, int height = 800)
    {
        driver = Browsers.Take();
        Resize(width, height);
        Address = address;
    }

    public string Address { get; }

    public Chromium Resize(int width, int height = 800)
    {
        driver.ExecuteCdpCommand(
            "Emulation.setDeviceMetricsOverride",
            new()
            {
                ["width"] = width,
                ["height"] = height,
                ["deviceScaleFactor"] = 1,
                ["mobile"] = width < 500,
            }
        );
        return this;
    }

    /// <summary>Shows the evening colours, or the day's again; at once, since colours that are still turning can't be judged.</summary>
    public Chromium Darken(bool dark)
    {
        static Dictionary<string, object> Feature(string name, string value) => new() { ["name"] = name, ["value"] = value };
        driver.ExecuteCdpCommand(
            "Emulation.setEmulatedMedia",
            new()
            {
                ["features"] = new[]
                {
                    Feature("prefers-color-scheme", dark ? "dark" : "light"),
                    Feature("prefers-reduced-motion", "reduce"),
                },
            }
        );
        return this;
    }

    public Chromium Open(string path)
    {
        driver.Navigate().GoToUrl(Address + path);
        return this;
    }

    public void Back() => driver.Navigate().Back();

    public void Forward() => driver.Navigate().Forward();

    public void Reload() => driver.Navigate().Refresh();

    public string Path => new Uri(driver.Url).PathAndQuery;

    public IWebElement Find(string css) => Waiting().Until(d => d.FindElements(By.CssSelector(css)).FirstOrDefault());

    /// <summary>Waits until an element says something, through redraws.</summary>
    public void Sees(string css, string words)
    {
        try
        {
            Waiting().Until(_ => Words(css).Contains(words, StringComparison.Ordinal));
        }
        catch (WebDriverTimeoutException)
        {
            Assert.Fail($"{css} should say \"{words}\", says \"{Words(css)}\"");
        }
    }

    public string Words(string css) =>
        (string)Run("return (document.querySelector(arguments[0])?.textContent ?? '').replace(/\\s+/g, ' ').trim()", css)!;

    /// <summary>Clicks once. A try that met a redraw is made again, unless its click had landed.</summary>
    public void Click(string css)
    {
        var mark = Guid.NewGuid().ToString("n");
        Waiting()
            .Until(d =>
            {
                if (Landed(mark))
                    return true;
                var element = d.FindElement(By.CssSelector(css));
                // Out from under the fixed note line, as a person would.
                Run("arguments[0].scrollIntoView({ block: 'center', behavior: 'instant' })", element);
                Run(
                    "const m = arguments[1]; arguments[0].addEventListener('click', () => sessionStorage.setItem('clicked', m), { "
                        + "capture: true })",
                    element,
                    mark
                );
                element.Click();
                return true;
            });
    }

    bool Landed(string mark) => Run("return sessionStorage.getItem('clicked')") as string == mark;

    /// <summary>Clicks what leads to another page, and waits until that page has come: what was sent is then written.</summary>
    public void ClickThrough(string css)
    {
        Run("window.stillHere = true");
        Click(css);
        Waiting().Until(_ => (bool)Run("return !window.stillHere && document.readyState === 'complete'")!);
    }

    public IReadOnlyList<IWebElement> All(string css) => driver.FindElements(By.CssSelector(css));

    /// <summary>Presses on one element, moves to another and lets go.</summary>
    public void Drag(IWebElement from, IWebElement to)
    {
        Run("arguments[0].scrollIntoView({ block: 'center', behavior: 'instant' })", from);
        new OpenQA.Selenium.Interactions.Actions(driver).MoveToElement(from).ClickAndHold().MoveToElement(to).Release().Perform();
    }

    /// <summary>Presses on an element, moves it sideways by so many pixels and lets go.</summary>
    public void DragBy(IWebElement what, int pixels)
    {
        Run("arguments[0].scrollIntoView({ block: 'center', behavior: 'instant' })", what);
        new OpenQA.Selenium.Interactions.Actions(driver).MoveToElement(what).ClickAndHold().MoveByOffset(pixels, 0).Release().Perform();
    }

    /// <summary>The page as it prints on paper of a size in inches.</summary>
    public byte[] Pdf(double width, double height)
    {
        var printed =
            (Dictionary<string, object>)
                driver.ExecuteCdpCommand(
                    "Page.printToPDF",
                    new()
                    {
                        ["paperWidth"] = width,
                        ["paperHeight"] = height,
                        ["preferCSSPageSize"] = false,
                    }
                )!;
        return Convert.FromBase64String((string)printed["data"]!);
    }

    /// <summary>Waits until something holds.</summary>
    public void Until(Func<bool> holds) => Waiting().Until(_ => holds());

    /// <summary>Types into whatever has the focus.</summary>
    public void Press(string keys) => driver.SwitchTo().ActiveElement().SendKeys(keys);

    public object? Run(string script, params object[] arguments) => driver.ExecuteScript(script, arguments);

    /// <summary>How many pixels the page is wider than the window.</summary>
    public long Overflow =>
        Convert.ToInt64(
            Run("return document.documentElement.scrollWidth - document.documentElement.clientWidth"),
            CultureInfo.InvariantCulture
        );

    static readonly string Axe = File.ReadAllText(System.IO.Path.Combine(AppContext.BaseDirectory, "lib", "axe.min.js"));

    /// <summary>What axe-core finds wrong with the page, a line each.</summary>
    public IReadOnlyList<string> AxeFindings()
    {
        if (!(bool)Run("return 'axe' in window")!)
            Run(Axe);
        var found = driver.ExecuteAsyncScript(
            """
            const done = arguments[arguments.length - 1];
            axe.run(document, { resultTypes: ['violations'] })
              .then((result) => done(result.violations.map((v) => v.id + ': ' + v.nodes.map((n) => n.target.join(' ') + ' ' + n.failureSummary).join(' | '))));
            """
        );
        return [.. ((IEnumerable<object>)found!).Select(line => (string)line)];
    }

    /// <summary>Errors of the console: a blocked script, a failed request.</summary>
    public IReadOnlyList<string> ConsoleErrors =>
        [
            .. driver
                .Manage()
                .Logs.GetLog(LogType.Browser)
                .Where(e => e.Level >= LogLevel.Severe)
                .Select(e => e.Message)
                .Where(message => !GivenUp(message)),
        ];

    /// <summary>
    /// A request that a newer one replaces is given up on purpose; htmx writes both its end and its giving up as errors. What failed
    /// on its way says sendError, and what the server refused responseError.
    /// </summary>
    static bool GivenUp(string message) =>
        message.Contains("htmx:sendAbort", StringComparison.Ordinal) || message.Contains("htmx:afterRequest", StringComparison.Ordinal);

    WebDriverWait Waiting()
    {
        var wait = new WebDriverWait(driver, TimeSpan.FromSeconds(10)) { PollingInterval = TimeSpan.FromMilliseconds(50) };
        wait.IgnoreExceptionTypes(
            typeof(StaleElementReferenceException),
            typeof(NoSuchElementException),
            typeof(ElementClickInterceptedException),
            typeof(ElementNotInteractableException)
        );
        return wait;
    }

    public void Dispose() => Browsers.GiveBack(driver, Address);
}
