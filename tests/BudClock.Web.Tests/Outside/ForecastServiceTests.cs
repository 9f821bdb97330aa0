using System.Net;
using System.Net.Sockets;
using System.Text;
using BudClock.Web.Outside;

namespace BudClock.Web.Tests.Outside;

/// <summary>Forecast services that answer well, badly, or not at all.</summary>
public class ForecastServiceTests
{
    static readonly DateOnly Today = new(2031, 5, 24);
    static readonly ForecastSettings Usual = new("http://127.0.0.1/");

    const string Sound = """
        {"daily": {"time": ["2031-05-24", "2031-05-25"], "temperature_2m_min": [7.5, 8], "temperature_2m_max": [16, 17],
         "sunshine_duration": [18000, 3600], "relative_humidity_2m_mean": [71, 80]}}
        """;

    [Fact]
    public void An_answer_is_read_by_its_mapping()
    {
        var answer = ForecastWatcher.Read(Usual, Sound, Today);
        Assert.Null(answer.Fault);
        Assert.Equal(
            [(7.5, 16d, 5d, 71d), (8d, 17d, 1d, 80d)],
            answer.Days.Select(d => (d.MinC!.Value, d.MaxC!.Value, d.SunHours!.Value, d.HumidityPct!.Value))
        );
        Assert.All(answer.Days, day => Assert.Equal((null, Today), (day.Place, day.Made)));
        var rows = """{"list": [{"d": "2031-05-25T00:00", "lo": 4, "hi": 12}, {"d": "2031-05-26", "lo": 5, "hi": 13}]}""";
        var mapped = ForecastWatcher.Read(new("x", "list[*].d", "list[*].lo", "list[*].hi", null, false, null), rows, Today);
        Assert.Equal([4d, 5d], mapped.Days.Select(day => day.MinC!.Value));
    }

    [Theory]
    [InlineData("<!doctype html><h1>Down</h1>", "no JSON")]
    [InlineData("{}", "check the mapping")]
    [InlineData("[1,2,3]", "check the mapping")]
    [InlineData("""{"daily": {"time": ["tomorrow"], "temperature_2m_min": [900]}}""", "cannot be, and were left out")]
    [InlineData(
        """{"daily": {"time": ["2031-05-25"], "temperature_2m_min": [20], "temperature_2m_max": [4]}}""",
        "cannot be, and were left out"
    )]
    public void What_is_no_forecast_is_said(string text, string says)
    {
        var answer = ForecastWatcher.Read(Usual, text, Today);
        Assert.Contains(says, answer.Fault);
        Assert.Empty(answer.Days);
    }

    /// <summary>Answers each request the same, or takes it and never answers.</summary>
    static (TcpListener Listener, string Address) Service(string? answer)
    {
        var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        _ = Task.Run(async () =>
        {
            while (true)
            {
                var client = await listener.AcceptTcpClientAsync();
                if (answer is not null)
                {
                    var stream = client.GetStream();
                    await stream.ReadAtLeastAsync(new byte[4096], 1);
                    await stream.WriteAsync(
                        Encoding.UTF8.GetBytes(
                            $"HTTP/1.1 200 OK\r\nContent-Length: {Encoding.UTF8.GetByteCount(answer)}\r\nConnection: close\r\n\r\n{answer}"
                        )
                    );
                    client.Client.Shutdown(SocketShutdown.Send);
                    while (await stream.ReadAsync(new byte[4096]) > 0) { }
                    client.Close();
                }
            }
        });
        return (listener, $"http://127.0.0.1:{((IPEndPoint)listener.LocalEndpoint).Port}/?days={{days}}");
    }

    [Theory]
    [InlineData("<!doctype html><h1>Down</h1>", "no JSON")]
    [InlineData(null, "does not answer")]
    public async Task A_service_that_answers_rubbish_or_hangs_is_said_and_the_last_forecast_stands(string? answer, string says)
    {
        await using var site = await Site.HastyAsync();
        var (listener, address) = Service(answer);
        using (listener)
        {
            var page = await site.PostAsync(
                "/places/forecast?handler=Service",
                ("Service.Address", address),
                ("Service.SunSeconds", "true")
            );
            Assert.Contains(says, page.QuerySelector(".fault").Words());
            Assert.Equal(address, page.QuerySelector("input[name='Service.Address']")!.GetAttribute("value"));
            Assert.Contains(says, (await site.PageAsync("/")).QuerySelector(".weather").Words());
            Assert.Contains("forecast", await site.TextAsync("/api/garden"));
        }
    }

    [Fact]
    public async Task A_service_that_answers_is_kept_and_each_place_makes_its_own_of_it()
    {
        await using var site = await Site.DemoAsync();
        var (listener, address) = Service(Sound.Replace("8]", "-3]", StringComparison.Ordinal));
        using (listener)
        {
            await site.PostAsync("/places/forecast?handler=Service", ("Service.Address", address), ("Service.SunSeconds", "true"));
            var frame = (await site.PageAsync("/places/frame")).QuerySelector("[aria-label='The next days']").Words();
            Assert.True(frame.Contains("Sun 25 May", StringComparison.Ordinal), frame);
            Assert.Matches(@"Sun 25 May [0-6](\.\d)? °C", frame); // what the frame makes of −3 outside
            Assert.Matches(
                @"Sun 25 May ([5-9]|1[0-4])(\.\d)? °C",
                (await site.PageAsync("/places/south")).QuerySelector("[aria-label='The next days']").Words()
            );
        }
    }

    [Theory]
    [InlineData("ftp://here", "begins with http")]
    [InlineData("forecast", "begins with http")]
    public async Task An_address_that_is_none_is_refused_as_typed(string address, string says)
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/places/forecast?handler=Service", ("Service.Address", address));
        Assert.Contains(says, page.QuerySelector(".fault").Words());
        Assert.Equal(address, page.QuerySelector("input[name='Service.Address']")!.GetAttribute("value"));
    }

    [Theory]
    [InlineData("warm", "9", "are not both temperatures")]
    [InlineData("17", "9", "lowest is above the highest")]
    [InlineData("", "", "at least one day")]
    public async Task A_forecast_by_hand_says_what_is_wrong_and_stays_as_typed(string min, string max, string says)
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync(
            "/places/forecast?handler=Hand&at=frame",
            ("Days[0].On", "2031-05-25"),
            ("Days[0].Min", min),
            ("Days[0].Max", max)
        );
        Assert.Contains(says, page.QuerySelector(".fault").Words());
        Assert.Equal(min, page.QuerySelector("input[name='Days[0].Min']")!.GetAttribute("value") ?? "");
    }

    [Fact]
    public async Task By_hand_in_fahrenheit_for_a_place_it_stands_over_the_weather_outside_and_can_be_undone()
    {
        await using var site = await Site.DemoAsync();
        await site.SpeakUsUnitsAsync();
        await site.PostAsync(
            "/places/forecast?handler=Hand&at=frame",
            ("Days[0].On", "2031-05-25"),
            ("Days[0].Min", "41"),
            ("Days[0].Max", "68")
        );
        var form = await site.PageAsync("/places/forecast?at=frame");
        Assert.Equal(
            ("41", "68"),
            (
                form.QuerySelector("input[name='Days[1].Min']")!.GetAttribute("value"),
                form.QuerySelector("input[name='Days[1].Max']")!.GetAttribute("value")
            )
        );
        Assert.Matches("\"place\": \"frame\",\\s*\"on\": \"2031-05-25\",\\s*\"minC\": 5,", await site.TextAsync("/api/garden"));
        await site.PostAsync("/notes?handler=Undo");
        Assert.DoesNotMatch("\"place\": \"frame\",\\s*\"on\"", await site.TextAsync("/api/garden"));
    }
}
