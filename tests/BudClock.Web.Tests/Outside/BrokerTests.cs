using System.Net;
using System.Net.Sockets;
using BudClock.StandIns;
using BudClock.Web.Outside;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests.Outside;

/// <summary>Home sensors over a real broker, brokers that hang, and what goes wrong with devices on request.</summary>
public class BrokerTests
{
    static async Task ListenAsync(Site site, int port, string topic = "home/+/climate")
    {
        await site.PostAsync(
            "/places/devices",
            ("Form.Name", "Home sensor"),
            ("Form.Place", "sill"),
            ("Form.Way", "mqtt"),
            ("Form.Due", "60"),
            ("Form.Topic", topic),
            ("Form.Temperature", "sensors[0].temperature"),
            ("Form.Humidity", "sensors[0].humidity"),
            ("Form.At", "time")
        );
        await site.PostAsync("/places/devices?handler=Broker", ("Broker.Host", "127.0.0.1"), ("Broker.Port", $"{port}"));
    }

    static async Task UntilAsync(Func<Task<bool>> holds)
    {
        for (var tries = 0; tries < 150; tries++)
        {
            if (await holds())
                return;
            await Task.Delay(100);
        }
        Assert.Fail("It did not come to pass within 15 seconds.");
    }

    [Fact]
    public async Task A_reading_over_the_broker_stands_on_the_place_and_a_lost_connection_is_made_again()
    {
        await using var site = await Site.DemoAsync();
        var (broker, port) = await StandIn.BrokerAsync();
        using (broker)
        {
            await ListenAsync(site, port);
            var listener = site.Services.GetRequiredService<MqttListener>();
            await UntilAsync(() => Task.FromResult(listener.Connected));
            using var sensor = StandIn.Device(
                "sensor",
                "--mqtt",
                $"127.0.0.1:{port}",
                "--topic",
                "home/bench/climate",
                "--count",
                "2",
                "--every",
                "0.2",
                "--clock",
                "2031-05-24T02:00:00Z",
                "--step",
                "30"
            );
            await sensor.EndAsync();
            await UntilAsync(async () =>
                (await site.TextAsync("/api/readings.csv?place=sill&from=2031-05-24"))
                    .Split('\n')
                    .Count(line => line.Contains("home-sensor", StringComparison.Ordinal)) == 2
            );
            Assert.Contains("Home sensor", (await site.PageAsync("/places/sill")).Body!.TextContent);
            Assert.Contains("Connected", (await site.PageAsync("/places/devices")).Body!.TextContent);
        }
        await UntilAsync(async () =>
            (await site.PageAsync("/places/devices")).Body!.TextContent.Contains("it is called again", StringComparison.Ordinal)
        );
    }

    [Fact]
    public async Task A_broker_that_hangs_is_said_and_nothing_waits_for_it()
    {
        await using var site = await Site.DemoAsync();
        using var deaf = new TcpListener(IPAddress.Loopback, 0);
        deaf.Start();
        site.Services.GetRequiredService<MqttListener>().Patience = TimeSpan.FromMilliseconds(300);
        await ListenAsync(site, ((IPEndPoint)deaf.LocalEndpoint).Port);
        // The broker never answers, and this page does.
        await site.PageAsync("/");
        await UntilAsync(async () =>
            (await site.PageAsync("/places/devices")).Body!.TextContent.Contains("does not answer", StringComparison.Ordinal)
        );
    }

    static SimulatedReading Reading(int n) => new(new DateTimeOffset(2031, 5, 24, n, 0, 0, TimeSpan.Zero), 10 + n, 70, null);

    static List<string> Sent(string fault)
    {
        var faults = new Faults([Fault.Read(fault)!]);
        return [.. Enumerable.Range(0, 8).SelectMany(n => faults.Messages(n, Reading(n), r => $"{r.At.Hour}h{r.TemperatureC}"))];
    }

    [Theory]
    [InlineData("gap@2-4", "0h10 1h11 5h15 6h16 7h17")]
    [InlineData("stuck@2-3", "0h10 1h11 2h11 3h11 4h14 5h15 6h16 7h17")]
    [InlineData("spike@2-2", "0h10 1h11 2h52 3h13 4h14 5h15 6h16 7h17")]
    [InlineData("late@2-4", "0h10 1h11 2h12 3h13 4h14 5h15 6h16 7h17")]
    [InlineData("hour-off@3-3", "0h10 1h11 2h12 2h13 4h14 5h15 6h16 7h17")]
    [InlineData("duplicates@1-1", "0h10 1h11 1h11 2h12 3h13 4h14 5h15 6h16 7h17")]
    public void Faults_come_on_request(string fault, string sent) => Assert.Equal(sent, string.Join(' ', Sent(fault)));

    [Fact]
    public void Late_readings_come_together_and_an_unknown_fault_is_none()
    {
        var faults = new Faults([Fault.Read("late@0-2")!]);
        Assert.Equal([0, 0, 0, 4], Enumerable.Range(0, 4).Select(n => faults.Messages(n, Reading(n), r => "").Count));
        Assert.Null(Fault.Read("tired"));
        Assert.Null(Fault.Read("stuck@soon"));
        Assert.Contains("??", Sent("rubbish@0-0")[0]);
    }

    [Fact]
    public void The_same_seed_makes_the_same_weather_and_another_another()
    {
        var at = new DateTimeOffset(2031, 5, 24, 4, 0, 0, TimeSpan.Zero);
        Assert.Equal(new SimulatedWeather(7).OutsideC(at), new SimulatedWeather(7).OutsideC(at));
        Assert.NotEqual(new SimulatedWeather(7).OutsideC(at), new SimulatedWeather(8).OutsideC(at));
        var (min, max) = new SimulatedWeather(7).Day(new(2031, 5, 24));
        Assert.True(min < max && new SimulatedWeather(7).Lux(at.AddHours(8)) > 1000 && new SimulatedWeather(7).Lux(at.AddHours(20)) == 0);
    }

    [Theory]
    [InlineData("Form.Name", "", "needs a name")]
    [InlineData("Form.Place", "moon", "Choose the place")]
    [InlineData("Form.Way", "pigeon", "Choose how it sends")]
    [InlineData("Form.Due", "soon", "is no number of minutes")]
    [InlineData("Form.Topic", "home/a+b", "is no topic")]
    [InlineData("Form.Topic", "home/#/x", "is no topic")]
    [InlineData("Form.Temperature", "sensors[", "is not written as a path")]
    public async Task A_device_that_cannot_be_is_said_and_stays_as_typed(string field, string value, string says)
    {
        await using var site = await Site.DemoAsync();
        (string Name, string Value)[] sound =
        [
            ("Form.Name", "Odd sensor"),
            ("Form.Place", "sill"),
            ("Form.Way", "mqtt"),
            ("Form.Due", "60"),
            ("Form.Topic", "home/x"),
        ];
        var page = await site.PostAsync("/places/devices", [.. sound.Where(one => one.Name != field), (field, value)]);
        Assert.Contains(says, page.QuerySelector(".fault").Words());
        if (field != "Form.Name" && field != "Form.Place" && field != "Form.Way")
            Assert.Equal(value, page.QuerySelectorAll($"input[name='{field}']").Last().GetAttribute("value"));
    }

    [Theory]
    [InlineData("http://broker", "1883", "is no address of a broker")]
    [InlineData("broker", "x", "is no port")]
    public async Task A_broker_that_cannot_be_is_said(string host, string port, string says)
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/places/devices?handler=Broker", ("Broker.Host", host), ("Broker.Port", port));
        Assert.Contains(says, page.QuerySelector(".fault").Words());
        Assert.Equal(host, page.QuerySelector("input[name='Broker.Host']")!.GetAttribute("value"));
    }

    [Fact]
    public async Task A_broker_s_password_is_kept_unreadable()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync(
            "/places/devices?handler=Broker",
            ("Broker.Host", "127.0.0.1"),
            ("Broker.Port", "1"),
            ("Broker.User", "glass"),
            ("Broker.Password", "lantern-room-77")
        );
        var settings = site.Services.GetRequiredService<OutsideSettings>();
        var kept = (await settings.BrokerAsync())!;
        Assert.DoesNotContain("lantern", kept.Password);
        Assert.Equal("lantern-room-77", settings.Open(kept.Password));
        Assert.Null(settings.Open("rubbish"));
        Assert.DoesNotContain("lantern", await site.TextAsync("/places/devices"));
    }
}
