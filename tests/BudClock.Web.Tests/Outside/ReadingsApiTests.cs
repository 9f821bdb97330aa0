using System.Net;
using System.Net.Http.Headers;
using System.Text;
using BudClock.Web.Outside;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests.Outside;

/// <summary>Readings that devices send over HTTP, and readings out.</summary>
public class ReadingsApiTests
{
    /// <summary>Adds a device over its page; its token is shown once.</summary>
    static async Task<string> TokenAsync(Site site, params (string Name, string Value)[] more)
    {
        var page = await site.PostAsync(
            "/places/devices",
            [("Form.Name", "Kitchen sensor"), ("Form.Place", "sill"), ("Form.Way", "http"), ("Form.Due", "30"), .. more]
        );
        return page.QuerySelector(".token code")!.TextContent;
    }

    static async Task<(HttpStatusCode Status, string Body)> SendAsync(Site site, string? token, string body)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/readings")
        {
            Content = new StringContent(body, Encoding.UTF8, "application/json"),
        };
        if (token is not null)
            request.Headers.Authorization = new AuthenticationHeaderValue("Bearer", token);
        using var answer = await site.Http.SendAsync(request);
        return (answer.StatusCode, await answer.Content.ReadAsStringAsync());
    }

    static Task<string> ReadingsAsync(Site site, string from = "2031-05-24") => site.TextAsync($"/api/readings.csv?place=sill&from={from}");

    [Fact]
    public async Task A_reading_with_its_token_stands_on_the_place_and_the_token_is_shown_once()
    {
        await using var site = await Site.DemoAsync();
        var token = await TokenAsync(site);
        Assert.Empty((await site.PageAsync("/places/devices")).QuerySelectorAll(".token"));
        Assert.Equal(
            (HttpStatusCode.OK, "{\"kept\":1,\"notBelieved\":[]}"),
            await SendAsync(site, token, """{"temperatureC": 3.25, "humidityPct": 61, "at": "2031-05-24T02:30:00Z"}""")
        );
        Assert.Contains("sill,2031-05-24T03:30:00+01:00,3.25,61,,,kitchen-sensor,", await ReadingsAsync(site));
        Assert.Contains("3.3 °C", (await site.PageAsync("/places")).QuerySelector("table")!.TextContent);
        // The same again, and late, changes nothing.
        await SendAsync(site, token, """{"temperatureC": 3.25, "humidityPct": 61, "at": "2031-05-24T02:30:00Z"}""");
        Assert.Single((await ReadingsAsync(site)).Split('\n'), line => line.Contains("kitchen-sensor", StringComparison.Ordinal));
        var (_, json) = (0, await site.TextAsync("/api/readings.json?place=sill&from=2031-05-24"));
        Assert.Contains("\"device\": \"kitchen-sensor\"", json);
    }

    [Theory]
    [InlineData("""[{"temperature": 12}, {"temperature": 13, "at": "2031-05-24T05:00:00Z"}]""", "\"kept\":2")]
    [InlineData("""{"temperature": 12, "at": 1937536200}""", "\"kept\":1")]
    [InlineData("14.5", "\"kept\":1")]
    public async Task Lists_seconds_since_1970_and_a_bare_number_are_read(string body, string answer)
    {
        await using var site = await Site.DemoAsync();
        var (status, said) = await SendAsync(site, await TokenAsync(site), body);
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Contains(answer, said);
    }

    [Fact]
    public async Task What_cannot_be_is_kept_said_and_believed_by_nobody()
    {
        await using var site = await Site.DemoAsync();
        var token = await TokenAsync(site);
        var before = (await site.PageAsync("/places")).QuerySelectorAll("tbody tr")[1].Words();
        var (_, hot) = await SendAsync(site, token, """{"temperatureC": 300, "at": "2031-05-24T02:00:00Z"}""");
        var (_, wet) = await SendAsync(site, token, """{"temperatureC": -30, "humidityPct": 140, "at": "2031-05-24T02:10:00Z"}""");
        var (_, old) = await SendAsync(site, token, """{"temperatureC": -30, "at": "1970-01-01T00:00:00Z"}""");
        Assert.Contains("no place has 300 °C", hot);
        Assert.Contains("humidity is never 140", wet);
        Assert.Contains("its time is 1 Jan 1970", old);
        Assert.Equal(before, (await site.PageAsync("/places")).QuerySelectorAll("tbody tr")[1].Words());
        Assert.Contains("300", await ReadingsAsync(site));
        Assert.Contains("Kitchen sensor is silent", (await site.PageAsync("/")).Body!.TextContent);
        await SendAsync(site, token, """{"temperatureC": 300}""");
        Assert.Contains("3 readings of this week kept and not believed", (await site.PageAsync("/places/sill")).Body!.Words());
        Assert.Contains("1970-01-01", await ReadingsAsync(site, "1969-01-01"));
        Assert.Contains("Kitchen sensor is not believed", (await site.PageAsync("/")).Body!.TextContent);
        await SendAsync(site, token, """{"temperatureC": 16}""");
        Assert.DoesNotContain("Kitchen sensor", (await site.PageAsync("/")).QuerySelector(".round")!.TextContent);
    }

    [Theory]
    [InlineData("""{"temperature": "??""", 400, "is no JSON")]
    [InlineData("""{"temperature": "warm"}""", 400, "which is no number")]
    [InlineData("""{"temperature": 14, "at": "yesterday"}""", 400, "its time is")]
    [InlineData("""{"colour": "green"}""", 400, "nothing was found at temperature")]
    [InlineData("[]", 400, "Expected")]
    [InlineData("", 400, "Expected")]
    [InlineData("""[{"temperature": 14}, {"temperature": "warm"}]""", 400, "Reading 2")]
    public async Task What_cannot_be_read_is_said_and_nothing_of_it_is_kept(string body, int status, string says)
    {
        await using var site = await Site.DemoAsync();
        var answer = await SendAsync(site, await TokenAsync(site), body);
        Assert.Equal(status, (int)answer.Status);
        Assert.Contains(says, answer.Body);
        Assert.DoesNotContain("kitchen-sensor", await ReadingsAsync(site));
    }

    [Fact]
    public async Task Without_its_token_nobody_writes_and_too_much_is_refused()
    {
        await using var site = await Site.DemoAsync();
        var token = await TokenAsync(site);
        Assert.Equal(HttpStatusCode.Unauthorized, (await SendAsync(site, null, "14")).Status);
        Assert.Equal(HttpStatusCode.Unauthorized, (await SendAsync(site, "0123", "14")).Status);
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, (await SendAsync(site, token, "[" + new string(' ', 3_000_000) + "14]")).Status);
        var code = (await site.PageAsync("/places/devices"))
            .QuerySelector("[aria-label='Kitchen sensor'] input[name='Form.Code']")!
            .GetAttribute("value")!;
        var anew = (await site.PostAsync("/places/devices?handler=Token", ("Form.Code", code))).QuerySelector(".token code")!.TextContent;
        Assert.Equal(HttpStatusCode.Unauthorized, (await SendAsync(site, token, "14")).Status);
        Assert.Equal(HttpStatusCode.OK, (await SendAsync(site, anew, "14")).Status);
        await site.PostAsync("/places/devices?handler=Remove", ("Form.Code", code));
        Assert.Equal(HttpStatusCode.Unauthorized, (await SendAsync(site, anew, "14")).Status);
    }

    [Fact]
    public async Task A_message_is_read_by_the_paths_that_were_set_and_fahrenheit_is_turned()
    {
        await using var site = await Site.DemoAsync();
        var token = await TokenAsync(
            site,
            ("Form.Fahrenheit", "true"),
            ("Form.Temperature", "sensors[0].t"),
            ("Form.Humidity", "sensors[1].rh")
        );
        var (status, _) = await SendAsync(site, token, """{"sensors": [{"t": 50}, {"rh": "44"}], "temperature": 999}""");
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Contains(",10,44,,,kitchen-sensor,", await ReadingsAsync(site));
    }

    [Fact]
    public async Task A_reading_drops_no_more_than_its_place_and_days_from_memory()
    {
        await using var site = await Site.DemoAsync();
        var token = await TokenAsync(site);
        var (book, todaysGarden) = (site.Services.GetRequiredService<PlaceBook>(), site.Services.GetRequiredService<TodaysGarden>());
        var before = (await todaysGarden.TodayAsync())!;
        var read = book.DaysRead;
        await SendAsync(site, token, """{"temperatureC": 12.5, "at": "2031-05-24T02:30:00Z"}""");
        var after = (await todaysGarden.TodayAsync())!;
        Assert.InRange(book.DaysRead - read, 1, 2);
        foreach (var plant in before.Plants)
            Assert.Equal(plant.Plant.Place != "sill", ReferenceEquals(plant, after.Find(plant.Plant.Tag)));
        // What says nothing new of any day changes nobody's assessment.
        await SendAsync(site, token, """{"temperatureC": 12.5, "at": "2031-05-24T02:30:00Z"}""");
        Assert.All(after.Plants, plant =>
            Assert.Same(plant, before.Day == after.Day ? todaysGarden.TodayAsync().Result!.Find(plant.Plant.Tag) : plant)
        );
    }

    static Device Sensor(params (string Measure, string Path)[] paths) =>
        new("d", "D", "south", Device.Mqtt) { Paths = paths.ToDictionary(path => path.Measure, path => path.Path) };

    [Theory]
    [InlineData("21.5", 21.5)]
    [InlineData("""{"temperature": "21.5"}""", 21.5)]
    [InlineData("""{"temperature": null, "humidity": 50}""", null)]
    public void A_message_without_paths_is_read_by_its_usual_names(string message, double? celsius) =>
        Assert.Equal(celsius, MessageReader.Read(Sensor(), message, DateTimeOffset.UnixEpoch).Reading!.TemperatureC);

    [Theory]
    [InlineData("1937536200", 2031)]
    [InlineData("1937536200000", 2031)]
    [InlineData("\"2031-05-25T10:30:00+02:00\"", 2031)]
    public void Times_are_seconds_milliseconds_or_written_out(string at, int year) =>
        Assert.Equal(
            year,
            MessageReader
                .Read(
                    Sensor(("temperature", "t"), ("at", "x.when")),
                    """{"t": 3, "x": {"when": AT}}""".Replace("AT", at, StringComparison.Ordinal),
                    DateTimeOffset.UnixEpoch
                )
                .Reading!.At.Year
        );
}
