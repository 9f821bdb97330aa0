using System.Net;
using System.Net.Http.Json;
using System.Text.Json;
using BudClock.Core.Advising;

namespace BudClock.Web.Tests;

public class ApiTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_note_can_be_sent_by_a_program()
    {
        await using var site = await Site.DemoAsync();
        using var answer = await site.Http.PostAsJsonAsync(
            "/api/notes",
            new { text = "lyc-01 roots 11cm, bulbs wrinkled", on = "2031-05-24" },
            Stop
        );
        var json = await answer.Content.ReadFromJsonAsync<JsonElement>(Stop);
        Assert.True(json.GetProperty("logged").GetBoolean());
        Assert.Equal(["root-length", "bulbs"], json.GetProperty("entries").EnumerateArray().Select(e => e.GetProperty("kind").GetString()));
    }

    [Fact]
    public async Task What_is_not_understood_is_said_and_not_logged()
    {
        await using var site = await Site.DemoAsync();
        using var answer = await site.Http.PostAsJsonAsync("/api/notes", new { text = "lyc-01 roots 11cm, rots" }, Stop);
        Assert.Equal(HttpStatusCode.UnprocessableEntity, answer.StatusCode);
        var json = await answer.Content.ReadFromJsonAsync<JsonElement>(Stop);
        Assert.Equal("roots", json.GetProperty("unread")[0].GetProperty("nearest").GetString());
        Assert.False(json.GetProperty("logged").GetBoolean());
    }

    [Theory]
    [InlineData("{ \"text\": 7 }")]
    [InlineData("not json")]
    [InlineData("{ \"text\": \"lyc-01 soaked\", \"on\": \"2032-01-01\" }")]
    public async Task A_wrong_request_is_answered_with_its_fault(string body)
    {
        await using var site = await Site.DemoAsync();
        using var answer = await site.Http.PostAsync(
            "/api/notes",
            new StringContent(body, System.Text.Encoding.UTF8, "application/json"),
            Stop
        );
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.NotEmpty((await answer.Content.ReadFromJsonAsync<JsonElement>(Stop)).GetProperty("error").GetString()!);
    }

    [Fact]
    public async Task Advice_of_a_past_day_is_that_day_s()
    {
        var site = await Site.ReadAsync();
        var winter = await site.Http.GetFromJsonAsync<JsonElement>("/api/plants/cal-02/advice?on=2030-12-24", Stop);
        Assert.Equal(("2030-12-24", "spiking"), (winter.GetProperty("on").GetString(), winter.GetProperty("phase").GetString()));
        Assert.Equal(HttpStatusCode.BadRequest, (await site.Http.GetAsync("/api/plants/cal-02/advice?on=Friday", Stop)).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await site.Http.GetAsync("/api/plants/none-1/advice", Stop)).StatusCode);
    }

    [Fact]
    public async Task It_is_healthy_while_the_database_can_be_written()
    {
        var site = await Site.ReadAsync();
        Assert.Equal("ok", await site.Http.GetStringAsync("/healthz", Stop));
    }

    [Fact]
    public async Task A_page_elsewhere_that_points_here_gets_nothing()
    {
        await using var site = await Site.DemoAsync();
        using var request = new HttpRequestMessage(HttpMethod.Get, "/") { Headers = { Host = "elsewhere.example" } };
        Assert.Equal(HttpStatusCode.BadRequest, (await site.Http.SendAsync(request, Stop)).StatusCode);
    }
}
