using System.Net;
using System.Net.Http.Headers;
using System.Text;
using BudClock.Data;
using BudClock.Practice;
using BudClock.Web.Outside;
using BudClock.Web.Stepping;
using Microsoft.Extensions.DependencyInjection;

namespace BudClock.Web.Tests.Keeping;

/// <summary>What undo passes over, and what a practice leaves alone.</summary>
public class NothingVanishesTests
{
    static CancellationToken Cancel => TestContext.Current.CancellationToken;

    static Task<string> GardenAsync(Site site) => site.Http.GetStringAsync("/api/garden", Cancel);

    [Fact]
    public async Task A_garden_that_the_command_line_began_is_not_undone()
    {
        var folder = Directory.CreateTempSubdirectory("bud-clock-import-");
        try
        {
            var file = Path.Combine(folder.FullName, "garden.json");
            await File.WriteAllTextAsync(
                file,
                """{"format":"bud-clock-garden","version":1,"garden":{"name":"Mine","latitude":51.5,"longitude":0.7,"timeZone":"Europe/London"},"places":[],"plants":[{"tag":"A-1","taxon":"Hoya carnosa"}]}""",
                Cancel
            );
            var data = Path.Combine(folder.FullName, "data");
            var import = new System.CommandLine.RootCommand { BudClock.Web.CommandLine.ImportCommand.Create() };
            Assert.Equal(0, await import.Parse(["import", file, "--data", data]).InvokeAsync(cancellationToken: Cancel));
            await using var site = await Site.InAsync(data, new(2031, 5, 24));
            await site.PostAsync("/notes", ("text", "a-1 watered"));
            await site.PostAsync("/notes?handler=Undo");
            var said = (await site.SendAsync("/notes?handler=Undo", true)).Content.ReadAsStringAsync(Cancel);
            Assert.Contains("nothing left to undo", await said, StringComparison.Ordinal);
            Assert.Contains("\"A-1\"", await GardenAsync(site), StringComparison.Ordinal);
        }
        finally
        {
            folder.Delete(recursive: true);
        }
    }

    [Fact]
    public async Task An_old_token_stays_given_up_whatever_is_taken_back()
    {
        await using var site = await Site.DemoAsync();
        var logbook = site.Services.GetRequiredService<Logbook>();
        var (first, firstHash) = DeviceToken.New();
        await logbook.WriteAsync(null, "a device", Changes.Device(new("sill2", "Second", "sill", Device.Http), firstHash), Cancel);
        await site.PostAsync("/notes", ("text", "lyc-01 turned"));
        Assert.Equal(HttpStatusCode.OK, await SendAsync(site, first));
        await site.PostAsync("/places/devices?handler=Token", ("Form.Code", "sill2"));
        Assert.Equal(HttpStatusCode.Unauthorized, await SendAsync(site, first));

        // Undo passes over the token, takes the note back, and says what it passed over.
        var said = await (await site.SendAsync("/notes?handler=Undo", true)).Content.ReadAsStringAsync(Cancel);
        Assert.Contains("Turned", said, StringComparison.Ordinal);
        Assert.Contains("the new token of Second", WebUtility.HtmlDecode(said), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.Unauthorized, await SendAsync(site, first));

        // A device that was taken away comes back without a token.
        await site.PostAsync("/places/devices?handler=Remove", ("Form.Code", "sill2"));
        await site.PostAsync("/notes?handler=Undo");
        Assert.Contains("Second", (await site.PageAsync("/places/devices")).QuerySelector("main").Words(), StringComparison.Ordinal);
        Assert.Equal(HttpStatusCode.Unauthorized, await SendAsync(site, first));
    }

    static async Task<HttpStatusCode> SendAsync(Site site, string token)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/readings")
        {
            Content = new StringContent("""{"temperature": 14.5}""", Encoding.UTF8, "application/json"),
        };
        request.Headers.Authorization = new AuthenticationHeaderValue("Bearer", token);
        using var answer = await site.Http.SendAsync(request, Cancel);
        return answer.IsSuccessStatusCode ? HttpStatusCode.OK : answer.StatusCode;
    }

    [Fact, Long]
    public async Task A_practice_leaves_every_note_where_it_was_written()
    {
        await using var site = await Site.DemoAsync();
        await site.PostAsync("/notes", ("text", "lyc-01 note \"my own words of this evening\""));
        var mine = await GardenAsync(site);
        await site.PostAsync("/practice", ("name", PracticeSituations.All[0].Name));
        Assert.DoesNotContain("my own words", await GardenAsync(site), StringComparison.Ordinal);
        Assert.DoesNotContain(
            "my own words",
            await (await site.SendAsync("/notes?handler=Undo", true)).Content.ReadAsStringAsync(Cancel),
            StringComparison.Ordinal
        );
        await site.PostAsync("/practice?handler=Demo"); // a fresh lighthouse beside it
        Assert.DoesNotContain("my own words", await GardenAsync(site), StringComparison.Ordinal);
        await site.PostAsync("/practice?handler=Home");
        Assert.Equal(mine, await GardenAsync(site));
        Assert.False(site.Services.GetRequiredService<SteppingDesk>().Away);

        // A practice that was open goes on after a start; the lighthouse still waits.
        await site.PostAsync("/practice", ("name", PracticeSituations.All[1].Name));
        var practice = await GardenAsync(site);
        await using var again = await site.AgainAsync(null);
        Assert.Equal(practice, await GardenAsync(again));
        await again.PostAsync("/practice?handler=Home");
        Assert.Equal(mine, await GardenAsync(again));
    }

    [Theory]
    [InlineData("Freiburg", "Europe/Berlin", 48.0)]
    [InlineData("freiburg, DE", "Europe/Berlin", 48.0)]
    [InlineData("Springfield, IL", "America/Chicago", 39.8)]
    [InlineData("Sao Paulo", "America/Sao_Paulo", -23.5)]
    public async Task A_garden_begins_in_a_town_with_its_clock(string town, string zone, double latitude)
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        await site.PostAsync("/start?handler=Position", ("Form.Name", "A"), ("Form.Where", town), ("Form.TimeZone", "UTC"));
        var garden = await GardenAsync(site);
        Assert.Contains($"\"timeZone\": \"{zone}\"", garden, StringComparison.Ordinal);
        var north = double.Parse(garden.Split("\"latitude\": ")[1].Split(',')[0], System.Globalization.CultureInfo.InvariantCulture);
        Assert.Equal(latitude, north, 0.1);
    }

    [Fact]
    public async Task Of_several_towns_one_is_chosen_and_an_american_browser_is_offered_its_units()
    {
        await using var site = await Site.EmptyAsync(new(2031, 5, 24));
        var page = await site.PostAsync(
            "/start?handler=Position",
            ("Form.Name", "A"),
            ("Form.Where", "Springfield"),
            ("Form.TimeZone", "UTC")
        );
        Assert.Contains("Several towns are called Springfield", page.QuerySelector("main").Words(), StringComparison.Ordinal);
        Assert.Contains(page.QuerySelectorAll("[data-fill=where]"), button => button.GetAttribute("data-value") == "Springfield, IL, US");
        using var request = new HttpRequestMessage(HttpMethod.Get, "/start");
        request.Headers.Add("Accept-Language", "en-US,en;q=0.9");
        using var answer = await site.Http.SendAsync(request, Cancel);
        Assert.Contains("set to the United States", await answer.Content.ReadAsStringAsync(Cancel), StringComparison.Ordinal);
    }

    [Fact]
    public async Task Saving_without_a_change_writes_nothing()
    {
        await using var site = await Site.DemoAsync();
        var before = await GardenAsync(site);
        var page = await site.PageAsync("/plants/LYC-01/edit");
        var fields = page.QuerySelectorAll("form.fields [name^='Form.']")
            .Select(field => (Name: field.GetAttribute("name")!, Field: field))
            .Where(one => one.Field.GetAttribute("type") is not ("radio" or "checkbox") || one.Field.HasAttribute("checked"))
            .Select(one =>
                (
                    one.Name,
                    one.Field.QuerySelector("option[selected]")?.GetAttribute("value")
                        ?? one.Field.GetAttribute("value")
                        ?? one.Field.TextContent
                )
            );
        await site.PostAsync("/plants/LYC-01/edit", [.. fields]);
        Assert.Equal(before, await GardenAsync(site));
    }
}
