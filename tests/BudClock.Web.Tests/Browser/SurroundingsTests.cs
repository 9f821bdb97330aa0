using BudClock.Web.Tests.Outside;
using Microsoft.Extensions.Time.Testing;
using OpenQA.Selenium;

namespace BudClock.Web.Tests.Browser;

/// <summary>The weather of places, in a real browser.</summary>
public class SurroundingsTests
{
    [Fact]
    public async Task A_cold_night_in_the_forecast_closes_a_first_soak_and_moves_six_plants_with_one_act()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address).Open("/");
        browser.Sees("#row-LYC-01", "first soak today");
        browser.Find("#note-text").SendKeys("hoy-02, hoy-03, pha-01: moved to cold frame" + Keys.Enter);
        browser.Sees("#said", "Logged on");
        foreach (var (place, night) in new[] { ("south", "10.5"), ("frame", "1.5") })
        {
            browser.Open($"/places/forecast?at={place}");
            foreach (var day in (int[])[2, 3])
            {
                Type($"input[name='Days[{day}].Min']", night);
                Type($"input[name='Days[{day}].Max']", "14");
            }
            browser.ClickThrough("form[action*=Hand] .btn-ink");
        }
        browser.Open("/plants/LYC-01");
        browser.Sees(
            ".advice",
            "but a night of 10.5 °C is forecast for 26 May: after the cold, from 28 May if nights then stay at 12 °C and more."
        );
        browser.Open("/");
        browser.Sees(".bring-in", "Bring in tonight: 6 plants from Cold frame to Potting-room sill");
        browser.Sees(".weather", "1.5 °C on 26 May: 6 plants at stake");
        browser.Click(".bring-in .tap button");
        browser.Sees("#said", "Logged on 6 plants");
        browser.Until(() => browser.All(".bring-in").Count == 0);
        browser.Open("/places");
        browser.Sees("main", "Potting-room sill");
        browser.Open("/plants/MIL-01");
        browser.Sees(".plant-head", "Potting-room sill");
        browser.Press(Keys.Control + "z" + Keys.Null);
        browser.Sees("#said", "Taken back: Moved to Potting-room sill on 6 plants");
        browser.Open("/plants/MIL-01");
        browser.Sees(".plant-head", "Cold frame");

        void Type(string css, string words)
        {
            var field = browser.Find(css);
            field.Clear();
            field.SendKeys(words);
        }
    }

    [Fact]
    public async Task The_stand_in_sensor_dies_and_is_named_comes_back_and_is_quiet()
    {
        var time = new FakeTimeProvider(new(2031, 5, 24, 9, 0, 0, TimeSpan.Zero));
        await using var site = await Site.AtAsync(time);
        await site.PostAsync(
            "/start?handler=Position",
            ("Form.Name", "Glass"),
            ("Form.Where", "51.5 N 0.7 E"),
            ("Form.TimeZone", "Europe/London")
        );
        await site.PostAsync("/places", ("Name", "Bench"), ("Setting", "glasshouse"));
        using var browser = new Chromium(site.Address).Open("/places/devices");
        browser.Find("section[aria-labelledby=add] input[name='Form.Name']").SendKeys("Bench sensor");
        browser.ClickThrough("section[aria-labelledby=add] .btn-ink");
        var token = browser.Find(".token code").Text;
        using (Sensor())
            browser.Until(() => Heard("24 May, 10:0"));
        browser.Open("/");
        Assert.Empty(browser.All(".device-trouble"));
        time.Advance(TimeSpan.FromHours(3));
        browser.Open("/");
        browser.Sees(".device-trouble", "Bench sensor is silent since 3 h; it should send every 60 min.");
        using (Sensor())
            browser.Until(() => Heard("24 May, 13:0"));
        browser.Open("/");
        browser.Find(".round");
        Assert.Empty(browser.All(".device-trouble"));

        StandIn Sensor() =>
            StandIn.Device(
                "sensor",
                "--to",
                $"{site.Address}/api/readings",
                "--token",
                token,
                "--every",
                "0.3",
                "--clock",
                time.GetUtcNow().ToString("O")
            );

        bool Heard(string when)
        {
            browser.Open("/places/devices");
            return browser.Words("main").Contains($"last heard {when}", StringComparison.Ordinal);
        }
    }

    [Fact]
    public async Task A_logger_s_file_in_fahrenheit_is_mapped_once_and_its_next_goes_straight_in()
    {
        await using var site = await Site.DemoAsync();
        using var browser = new Chromium(site.Address);
        var folder = Directory.CreateTempSubdirectory("bud-clock-logger-").FullName;
        foreach (var (day, lowest) in new[] { (22, "50.0"), (23, "41.0") })
        {
            var file = Path.Combine(folder, $"{day}.csv");
            await File.WriteAllTextAsync(
                file,
                $"Logger 4\nWhen,Temp F,Moisture of air\n05/{day}/2031 02:00,{lowest},80\n05/{day}/2031 03:00,52.0,81\n",
                TestContext.Current.CancellationToken
            );
            browser.Open("/places/devices");
            browser.Find("#frame-sensor input[type=file]").SendKeys(file);
            browser.ClickThrough("#frame-sensor button[aria-label^='Read it']");
            if (day != 22)
                continue;
            browser.Sees("main", "Say once what its columns hold");
            Choose("Map.Time", "When");
            Choose("Map.Temperature", "Temp F");
            Choose("Map.Humidity", "Moisture of air");
            Choose("Map.Fahrenheit", "true");
            Choose("Map.MonthFirst", "true");
            browser.ClickThrough("form[action*=Map] .btn-line");
            browser.Sees("main", "2 readings understood");
            browser.ClickThrough("button[formaction*=Write]");
        }
        browser.Sees("#said", "2 readings of Frame sensor taken in");
        Assert.StartsWith("/places/frame", browser.Path);
        browser.Open("/places/frame?span=week");
        browser.Click(".place-page .dial-table summary");
        browser.Sees(".place-page .dial-table", "5 °C");
        Directory.Delete(folder, recursive: true);

        void Choose(string name, string value) => browser.Run($"document.querySelector(\"[name='{name}']\").value = arguments[0]", value);
    }

    [Fact]
    public async Task A_reading_over_the_broker_appears_on_the_place_s_page()
    {
        await using var site = await Site.DemoAsync();
        var (broker, port) = await StandIn.BrokerAsync();
        using var _ = broker;
        using var browser = new Chromium(site.Address).Open("/places/devices");
        browser.Find("section[aria-labelledby=add] input[name='Form.Name']").SendKeys("Home sensor");
        browser.Run(
            "const form = document.querySelector('section[aria-labelledby=add]'); form.querySelector('[name=\"Form.Way\"]').value = "
                + "'mqtt'; form.querySelector('[name=\"Form.Place\"]').value = 'store'; form.querySelector('details').open = true"
        );
        browser.Find("section[aria-labelledby=add] input[name='Form.Topic']").SendKeys("home/#");
        browser.Find("section[aria-labelledby=add] input[name='Form.Temperature']").SendKeys("sensors[0].temperature");
        browser.ClickThrough("section[aria-labelledby=add] .btn-ink");
        browser.Find("input[name='Broker.Host']").SendKeys("127.0.0.1");
        browser.Find("input[name='Broker.Port']").Clear();
        browser.Find("input[name='Broker.Port']").SendKeys($"{port}");
        browser.ClickThrough("form[action*=Broker] .btn-line");
        browser.Until(() =>
        {
            browser.Open("/places/devices");
            return browser.Words("section[aria-labelledby=broker]").Contains("Connected.", StringComparison.Ordinal);
        });
        using var sensor = StandIn.Device(
            "sensor",
            "--mqtt",
            $"127.0.0.1:{port}",
            "--topic",
            "home/store",
            "--place",
            "outdoors",
            "--count",
            "1",
            "--seed",
            "3"
        );
        await sensor.EndAsync();
        browser.Until(() =>
        {
            browser.Open("/places/store?span=week");
            return browser.Words("main").Contains("Home sensor: well, last heard", StringComparison.Ordinal);
        });
    }
}
