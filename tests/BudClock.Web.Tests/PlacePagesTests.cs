using System.Text;
using BudClock.Data;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests;

/// <summary>Places: what they are like, readings by hand and from a logger's file, old readings.</summary>
public class PlacePagesTests
{
    static (string, string)[] Form(string? field = null, string value = "") =>
        [
            .. new[]
            {
                ("Form.Name", "Potting-room sill"),
                ("Form.Setting", "indoors"),
                ("Form.Window", "east"),
                ("Form.LampHours", "12"),
                ("Form.LampsFrom", "06:30"),
                ("Form.LampDistance", "12"),
                ("Form.Draughts", "yes"),
            }.Where(one => one.Item1 != field),
            .. field is null ? [] : new[] { (field, value) },
        ];

    [Fact]
    public async Task What_a_place_is_like_is_kept_and_comes_into_the_garden_s_file()
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/places/sill", Form());
        Assert.Contains("Unbroken dark tonight", page.Body!.TextContent);
        var garden = await site.TextAsync("/api/garden");
        foreach (
            var member in (string[])["\"window\": \"east\"", "\"lampsFrom\": \"06:30\"", "\"lampDistanceCm\": 12", "\"draughts\": true"]
        )
            Assert.Contains(member, garden);
    }

    [Theory]
    [InlineData("Form.Name", "", "needs a name")]
    [InlineData("Form.Name", "South bench", "called South bench already")]
    [InlineData("Form.Window", "up", "Choose one of the answers")]
    [InlineData("Form.LampHours", "25", "is no number of hours")]
    [InlineData("Form.LampsFrom", "dawn", "is no time")]
    [InlineData("Form.LampDistance", "near", "is no distance")]
    public async Task What_cannot_be_of_a_place_is_said_and_stays_as_typed(string field, string value, string says)
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/places/sill", Form(field, value));
        Assert.Contains(says, page.QuerySelector(".fault").Words());
        if (page.QuerySelector($"input[name='{field}']") is { } input)
            Assert.Equal(value, input.GetAttribute("value") ?? "");
    }

    [Fact]
    public async Task A_us_garden_sees_inches_and_a_save_changes_nothing_that_was_not_changed()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/places/sill", Form());
        await site.SpeakUsUnitsAsync();
        var page = await site.PageAsync("/places/sill");
        var shown = page.QuerySelector("input[name='Form.LampDistance']")!.GetAttribute("value")!;
        Assert.Equal("4.72", shown);
        await site.PostAsync("/places/sill", Form("Form.LampDistance", shown));
        Assert.Contains("\"lampDistanceCm\": 12\n", (await site.TextAsync("/api/garden")).Replace("12,", "12\n", StringComparison.Ordinal));
        Assert.Contains("°F", page.QuerySelector(".place-chart")!.TextContent);
        Assert.DoesNotContain("°C", page.QuerySelector("main")!.TextContent);
    }

    [Theory]
    [InlineData("300", "", "", "is no temperature of a night")]
    [InlineData("", "140", "", "is no humidity")]
    [InlineData("", "", "bright", "is no light")]
    [InlineData("", "", "", "at least one of them")]
    public async Task A_reading_by_hand_that_cannot_be_is_said_and_stays_as_typed(string night, string humidity, string light, string says)
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync(
            "/places/sill?handler=Reading",
            ("Reading.On", "2031-05-24"),
            ("Reading.Night", night),
            ("Reading.Humidity", humidity),
            ("Reading.Light", light)
        );
        Assert.Contains(says, page.QuerySelector(".fault").Words());
        Assert.Equal((night, humidity, light), (Value("Night"), Value("Humidity"), Value("Light")));

        string Value(string name) => page.QuerySelector($"input[name='Reading.{name}']")!.GetAttribute("value") ?? "";
    }

    [Fact]
    public async Task A_reading_by_hand_counts_at_once_and_can_be_undone()
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync(
            "/places/sill?handler=Reading",
            ("Reading.On", "2031-05-24"),
            ("Reading.Night", "3"),
            ("Reading.Light", "9000"),
            ("Reading.LightUnit", "lux")
        );
        Assert.Contains("coolest night 3 °C", page.QuerySelector("#suffers")!.ParentElement.Words());
        Assert.Contains("mol", page.QuerySelector(".facts").Words());
        Assert.Contains("plants at stake", await StakeAsync());
        await site.PostAsync("/notes?handler=Undo");
        Assert.Equal("", await StakeAsync());

        // The strip names places with their nights, and under one what is at stake there.
        async Task<string> StakeAsync() =>
            (await site.PageAsync("/"))
                .QuerySelectorAll(".weather dt")
                .Single(dt => dt.TextContent.Contains("sill", StringComparison.Ordinal))
                .NextElementSibling!.NextElementSibling
                is { ClassName: "stake" } stake
                ? stake.Words()
                : "";
    }

    const string Fahrenheit = "Date/Time,Temp (°F),RH (%)\n05/20/2031 00:00,57.2,80\n05/20/2031 01:00,56.3,81\n";

    [Fact]
    public async Task A_file_is_mapped_once_and_the_next_goes_straight_in()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/places/devices", ("Form.Name", "Logger"), ("Form.Place", "sill"), ("Form.Way", "file"), ("Form.Due", "60"));
        var shown = await UploadAsync(site, Fahrenheit);
        Assert.Contains("2 readings understood", shown.Body!.TextContent);
        Assert.DoesNotContain("logger", await site.TextAsync("/api/readings.csv?place=sill&from=2031-05-20&to=2031-05-20"));
        await site.PostAsync(
            "/places/file?handler=Write",
            ("Device", "logger"),
            ("Sent", shown.QuerySelector("input[name=Sent]")!.GetAttribute("value")!),
            ("Map.Time", "Date/Time"),
            ("Map.Temperature", "Temp (°F)"),
            ("Map.Humidity", "RH (%)"),
            ("Map.Fahrenheit", "true"),
            ("Map.MonthFirst", "true"),
            ("Map.Clock", "garden")
        );
        Assert.Contains(
            "sill,2031-05-20T00:00:00+01:00,14,80,,,logger,",
            await site.TextAsync("/api/readings.csv?place=sill&from=2031-05-20")
        );
        var next = await UploadAsync(site, Fahrenheit.Replace("05/20", "05/21", StringComparison.Ordinal));
        Assert.Contains("2 readings of Logger taken in", next.Body!.TextContent);
        // Sent again it changes nothing, and it is undone as a whole.
        await UploadAsync(site, Fahrenheit.Replace("05/20", "05/21", StringComparison.Ordinal));
        Assert.Equal(4, await CountAsync(site));
        await site.PostAsync("/notes?handler=Undo");
        await site.PostAsync("/notes?handler=Undo");
        Assert.Equal(2, await CountAsync(site));
    }

    static async Task<int> CountAsync(Site site) =>
        (await site.TextAsync("/api/readings.csv?place=sill&from=2031-05-19"))
            .Split('\n')
            .Count(line => line.Contains(",logger,", StringComparison.Ordinal));

    static async Task<AngleSharp.Dom.IDocument> UploadAsync(Site site, string csv, string name = "logger.csv")
    {
        using var form = new MultipartFormDataContent
        {
            { new StringContent("logger"), "Device" },
            { new ByteArrayContent(Encoding.UTF8.GetBytes(csv)), "file", name },
        };
        return await Site.ParseAsync(await site.SendAsync("/places/file?handler=Read", false, form));
    }

    [Fact]
    public async Task A_file_with_faults_is_refused_whole_and_one_that_is_too_large_is_said()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/places/devices", ("Form.Name", "Logger"), ("Form.Place", "sill"), ("Form.Way", "file"), ("Form.Due", "60"));
        var faults = await UploadAsync(site, "time,temperature\n2031-05-20 00:00,14\nyesterday,warm\n");
        Assert.Contains("line 3", faults.QuerySelector(".faults").Words());
        Assert.Null(faults.QuerySelector("button[formaction*=Write]"));
        Assert.Contains("is no text", (await UploadAsync(site, "PK\0\0")).QuerySelector(".fault").Words());
        using var large = new HttpRequestMessage(HttpMethod.Post, "/places/file?handler=Read")
        {
            Content = new StreamContent(new MemoryStream(new byte[200_000_000])),
        };
        // It is refused before it is read: the answer comes, or the sender finds the door shut.
        try
        {
            Assert.False((await site.Http.SendAsync(large, TestContext.Current.CancellationToken)).IsSuccessStatusCode);
        }
        catch (HttpRequestException) { }
        await site.PageAsync("/places");
        Assert.Equal(0, await CountAsync(site));
    }

    [Fact]
    public async Task Old_readings_are_thinned_only_when_asked_and_days_and_nights_stay()
    {
        await using var site = await Site.DemoAsync();
        var logbook = site.Services.GetRequiredService<Logbook>();
        var from = new DateTimeOffset(2025, 3, 1, 0, 0, 0, TimeSpan.Zero);
        await logbook.MeasureAsync(
            [.. Enumerable.Range(0, 1500).Select(n => new ClimateReading("sill", from.AddMinutes(n * 15), 10 + (n % 7), 60))],
            TestContext.Current.CancellationToken
        );
        Assert.Contains(
            "1,500 readings are older than two years. Thinned, they become",
            (await site.PageAsync("/places")).QuerySelector("#old")!.ParentElement.Words()
        );
        var (store, book) = (site.Services.GetRequiredService<GardenStore>(), site.Services.GetRequiredService<PlaceBook>());
        var days = book.CalendarOf((await site.Services.GetRequiredService<TodaysGarden>().TodayAsync())!.Garden);
        var before = await book.RecordAsync(days, "sill", new(2025, 3, 1), new(2025, 3, 20));
        var page = await site.PostAsync("/places?handler=Thin");
        Assert.Matches("1,500 readings thinned to 4[78]", page.Body!.TextContent);
        Assert.InRange((await store.ReadingsAsync("sill", from, from.AddDays(30))).Count, 47, 48);
        var after = await book.RecordAsync(days, "sill", new(2025, 3, 1), new(2025, 3, 20));
        Assert.Equal(before.Nights.Select(n => (n.Ends, n.CoolestC)), after.Nights.Select(n => (n.Ends, n.CoolestC)));
        Assert.Equal(before.Days.Select(d => (d.Day, d.MinC, d.MaxC)), after.Days.Select(d => (d.Day, d.MinC, d.MaxC)));
        Assert.Null((await site.PageAsync("/places")).QuerySelector("#old"));
    }

    [Fact]
    public async Task Nothing_of_a_place_stops_a_page_about_it()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/places", ("Name", "Bare shelf"));
        var page = await site.PageAsync("/places/bare-shelf");
        Assert.Contains("Nothing stands here.", page.Body!.TextContent);
        Assert.Contains("No temperature is on record in this span.", page.QuerySelector("svg.place-chart")!.GetAttribute("aria-label"));
        Assert.Contains("not known", (await site.PageAsync("/places/fit?plant=HOY-03")).Body!.TextContent);
        Assert.Contains("That place", (await site.PostAsync("/places?handler=Remove", ("Code", "moon"))).QuerySelector(".fault").Words());
        Assert.Contains("stand there", (await site.PostAsync("/places?handler=Remove", ("Code", "sill"))).QuerySelector(".fault").Words());
    }
}
