using System.Net;
using System.Net.Http.Json;
using System.Text.Json;

namespace BudClock.Web.Tests;

/// <summary>What a program is answered when it sends a line, and what a second Enter does on the page.</summary>
public class NoteAnswersTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    static async Task<(HttpStatusCode Status, JsonElement Answer)> SendAsync(Site site, object note)
    {
        using var response = await site.Http.PostAsJsonAsync("/api/notes", note, Stop);
        using var read = JsonDocument.Parse(await response.Content.ReadAsStringAsync(Stop));
        return (response.StatusCode, read.RootElement.Clone());
    }

    static string Entries(JsonElement answer) =>
        string.Join(
            "; ",
            answer
                .GetProperty("entries")
                .EnumerateArray()
                .Select(e => $"{e.GetProperty("tag")} {e.GetProperty("kind")} {e.GetProperty("text")}".TrimEnd())
        );

    static Task<string> GardenAsync(Site site) => site.Http.GetStringAsync("/api/garden", Stop);

    [Fact]
    public async Task Each_entry_names_its_plant()
    {
        await using var site = await Site.DemoAsync();
        var (status, answer) = await SendAsync(site, new { text = "watered lyc-04 and cal-02; cat-01 dry" });
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal("LYC-04 watered; CAL-02 watered; CAT-01 medium dry", Entries(answer));
        Assert.True(answer.GetProperty("logged").GetBoolean());
    }

    [Fact]
    public async Task What_was_given_stands_in_the_text_and_by_its_code()
    {
        await using var site = await Site.DemoAsync();
        var (_, answer) = await SendAsync(site, new { text = "cat-01 fed #g310520 half strength 300 ml" });
        var entry = answer.GetProperty("entries")[0];
        Assert.Equal("G310520 half strength", entry.GetProperty("text").GetString());
        Assert.Equal(("G310520", 300), (entry.GetProperty("mix").GetString(), entry.GetProperty("value").GetDouble()));
    }

    [Fact]
    public async Task A_question_comes_with_lines_to_send()
    {
        await using var site = await Site.DemoAsync();
        var before = await GardenAsync(site);
        var (status, answer) = await SendAsync(site, new { text = "sai-04 died" });
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Equal(before, await GardenAsync(site));
        var question = answer.GetProperty("questions")[0];
        Assert.Equal("Is SAI-04 dead, or does it rest?", question.GetProperty("ask").GetString());
        var (again, _) = await SendAsync(site, new { text = question.GetProperty("answers")[0].GetProperty("text").GetString() });
        Assert.Equal(HttpStatusCode.OK, again);
        Assert.Contains("\"kind\": \"died\"", await GardenAsync(site));
    }

    [Fact]
    public async Task What_is_not_understood_is_kept_as_a_note_only_when_asked()
    {
        await using var site = await Site.DemoAsync();
        var (status, answer) = await SendAsync(site, new { text = "cat-01 roots 3 cm, the bees found it" });
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.Contains("note \"the bees found it\"", answer.GetProperty("asNote").GetString());
        var (kept, logged) = await SendAsync(site, new { text = "cat-01 roots 3 cm, the bees found it", asNote = true });
        Assert.Equal(HttpStatusCode.OK, kept);
        Assert.Equal("CAT-01 root-length; CAT-01 note the bees found it", Entries(logged));
    }

    [Fact]
    public async Task A_slip_is_said()
    {
        await using var site = await Site.DemoAsync();
        var (_, answer) = await SendAsync(site, new { text = "lyc-01 rotos 12 cm" });
        var taken = answer.GetProperty("taken")[0];
        Assert.Equal(("rotos", "roots"), (taken.GetProperty("written").GetString(), taken.GetProperty("as").GetString()));
    }

    [Fact]
    public async Task A_reading_of_a_place_is_kept_and_taken_back()
    {
        await using var site = await Site.DemoAsync();
        var before = await GardenAsync(site);
        var (status, answer) = await SendAsync(site, new { text = "night 3.5 C cold frame" });
        Assert.Equal(HttpStatusCode.OK, status);
        Assert.Equal(3.5, answer.GetProperty("readings")[0].GetProperty("temperatureC").GetDouble());
        Assert.Contains("3.5 °C", (await site.PageAsync("/places")).QuerySelector("main").Words());
        await site.PostAsync("/notes?handler=Undo");
        Assert.Equal(before, await GardenAsync(site));
    }

    [Fact]
    public async Task Two_parts_of_a_line_about_one_plant_are_one_act()
    {
        await using var site = await Site.DemoAsync();
        var before = await GardenAsync(site);
        var (_, answer) = await SendAsync(site, new { text = "cat-01 dry; pha-01 turned; cat-01 watered 300 ml" });
        Assert.Equal("CAT-01 medium dry; PHA-01 turned; CAT-01 watered", Entries(answer));
        await site.PostAsync("/notes?handler=Undo");
        Assert.Equal(Standing(before), Standing(await GardenAsync(site)));
    }

    /// <summary>How many entries stand: what was taken back stays in the file, struck.</summary>
    static int Standing(string garden)
    {
        using var read = JsonDocument.Parse(garden);
        return read
            .RootElement.GetProperty("plants")
            .EnumerateArray()
            .SelectMany(plant => plant.GetProperty("entries").EnumerateArray())
            .Count(entry => !entry.TryGetProperty("struck", out _));
    }

    [Theory]
    [InlineData("zzz-01 watered")]
    [InlineData("rose bush watered 2L")]
    [InlineData("cat-01 watered?")]
    [InlineData("cat-01 should be fed")]
    [InlineData("cat-01 watered tomorrow")]
    public async Task What_never_happened_is_not_logged(string text)
    {
        await using var site = await Site.DemoAsync();
        var before = await GardenAsync(site);
        var (status, answer) = await SendAsync(site, new { text });
        Assert.Equal(HttpStatusCode.UnprocessableEntity, status);
        Assert.False(answer.GetProperty("logged").GetBoolean());
        Assert.Equal(before, await GardenAsync(site));
    }

    /// <summary>The page shows a line as it reads, and logs what it showed: for lines of every sort.</summary>
    [Fact]
    public async Task The_page_logs_what_it_showed_and_nothing_else()
    {
        await using var site = await Site.DemoAsync();
        string[] lines =
        [
            "lyc-01 rts 12 cm, bulbs puckered",
            "watered cat-01 300 ml from below yday",
            "hoyas dry",
            "cal-02 9 cm roots plump bulbs",
            "hoy-02 no mealies",
            "mil-01 7 buds, spike 19 cm",
            "cat-01 dry so watered 300ml and turned",
            "pha-01 repotted into 14cm plastic, fine bark",
            "lick one soaked three hundred mils",
            "str-07 wilted but soil wet",
        ];
        foreach (var line in lines)
        {
            var shown = await site.SendAsync("/notes?handler=Read", true, ("text", line));
            var reading = await Site.ParseAsync(shown);
            var entries = reading.QuerySelectorAll(".entry").Select(entry => entry.FirstChild!.TextContent.Trim()).ToList();
            Assert.NotEmpty(entries);
            var plants = reading.QuerySelector(".understood b").Words() == "2 plants" ? 2 : 1;
            var before = Standing(await GardenAsync(site));
            var logged = (await site.PostAsync("/notes", ("text", line), ("returnUrl", "/"))).QuerySelector("#said").Words();
            Assert.All(entries, entry => Assert.Contains(entry, logged));
            Assert.Equal(before + (entries.Count * plants), Standing(await GardenAsync(site)));
        }
    }

    [Fact]
    public async Task Without_script_a_second_enter_keeps_the_note_too()
    {
        await using var site = await Site.DemoAsync();
        const string line = "cat-01 the bees found it";
        var first = await site.PostAsync("/notes", ("text", line));
        var keep = first.QuerySelector("input[name=keep]")!.GetAttribute("value")!;
        Assert.Equal(line, first.QuerySelector("input[name=kept]")!.GetAttribute("value"));
        Assert.DoesNotContain("the bees found it", await GardenAsync(site));
        // Another line in the meantime is not taken for this one.
        await site.PostAsync("/notes", ("text", "cat-01 the bees left"), ("keep", keep), ("kept", line));
        Assert.DoesNotContain("the bees", await GardenAsync(site));
        await site.PostAsync("/notes", ("text", line), ("keep", keep), ("kept", line));
        Assert.Contains("the bees found it", await GardenAsync(site));
    }
}
