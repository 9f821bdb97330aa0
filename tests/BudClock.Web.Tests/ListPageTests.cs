using BudClock.Web.Doorstep;

namespace BudClock.Web.Tests;

/// <summary>A collection taken in from a list, the first page of a garden, the page of words, units at the edge.</summary>
public class ListPageTests
{
    static CancellationToken Stop => TestContext.Current.CancellationToken;

    static (string, string)[] Row(int row, string tag, string taxon, params (string Field, string Value)[] more) =>
        [($"Rows[{row}].Tag", tag), ($"Rows[{row}].Taxon", taxon), .. more.Select(field => ($"Rows[{row}].{field.Field}", field.Value))];

    static Task<string> GardenAsync(Site site) => site.Http.GetStringAsync("/api/garden", Stop);

    [Fact]
    public async Task A_spreadsheet_is_shown_as_it_would_be_taken_in()
    {
        await using var site = await Site.DemoAsync();
        const string sheet =
            "No\tPlant\tSpecies\tWhere\tPot\tLast repot\tPrice\nL9\tThe pale one\tLycaste aromatica\tPorch\t11 cm plastic\t20/4/2030\t12";
        var page = await site.PostAsync("/plants/list", ("Text", sheet));
        string Field(string name) => page.QuerySelector($"[name='Rows[0].{name}']")!.GetAttribute("value")!;
        Assert.Equal(("L9", "The pale one", "Lycaste aromatica", "Porch"), (Field("Tag"), Field("Name"), Field("Taxon"), Field("Place")));
        Assert.Contains("New places: Porch.", page.QuerySelector(".taking").Words());
        Assert.Contains("What each column became; not read: Price", page.QuerySelector(".taking").Words());
        Assert.Contains("Leafless pseudobulbs, dry rest", page.QuerySelector(".row-says").Words());
    }

    [Fact]
    public async Task What_is_wrong_comes_back_as_typed_and_nothing_is_written()
    {
        await using var site = await Site.DemoAsync();
        var before = await GardenAsync(site);
        var page = await site.PostAsync(
            "/plants/list?handler=Take",
            [.. Row(0, "LYC-01", "Lycaste"), .. Row(1, "NEW-1", "Hoya carnosa", ("Pot", "900 cm"), ("Repotted", "last spring"))]
        );
        Assert.Contains("LYC-01 is taken. Nothing was taken in.", page.QuerySelector("[role=alert]").Words());
        Assert.Equal("900 cm", page.QuerySelector("[name='Rows[1].Pot']")!.GetAttribute("value"));
        Assert.Equal("last spring", page.QuerySelector("[name='Rows[1].Repotted']")!.GetAttribute("value"));
        Assert.Equal(before, await GardenAsync(site));
    }

    [Fact]
    public async Task Rows_are_taken_in_as_one_act_with_their_first_entries()
    {
        await using var site = await Site.DemoAsync();
        var before = await GardenAsync(site);
        await site.PostAsync(
            "/plants/list?handler=Take",
            [
                .. Row(0, "", "Hoya carnosa", ("Place", "Porch"), ("Repotted", "2030-04-20"), ("Note", "from the swap")),
                .. Row(1, "CLI-09", "Clivia miniata", ("Stage", "bloom"), ("Pot", "18 cm clay"), ("Place", "porch")),
                .. Row(2, "OUT-1", "Lycaste", ("Leave", "true")),
            ]
        );
        var after = await GardenAsync(site);
        Assert.Contains("\"HOY-01\"", after);
        Assert.Contains("\"Porch\"", after);
        Assert.Contains("from the swap", after);
        Assert.Contains("\"diameterCm\": 18", after);
        Assert.DoesNotContain("OUT-1", after);
        Assert.Contains(
            "in bloom",
            (await site.PageAsync("/plants/CLI-09")).QuerySelector(".plant").Words(),
            StringComparison.OrdinalIgnoreCase
        );
        await site.PostAsync("/notes?handler=Undo");
        Assert.Equal(before, await GardenAsync(site));
    }

    [Fact]
    public async Task A_near_name_is_taken_by_its_button()
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/plants/list?handler=Again", [.. Row(0, "X-1", "Phalenopsis"), ("meant", "0:Phalaenopsis")]);
        Assert.Equal("Phalaenopsis", page.QuerySelector("[name='Rows[0].Taxon']")!.GetAttribute("value"));
        Assert.Null(page.QuerySelector(".doubtful"));
    }

    [Theory]
    [InlineData("", "There is nothing in the list yet")]
    [InlineData("   \n  ", "There is nothing in the list yet")]
    public async Task An_empty_list_says_what_is_wanted(string text, string words)
    {
        await using var site = await Site.DemoAsync();
        Assert.Contains(words, (await site.PostAsync("/plants/list", ("Text", text))).QuerySelector("[role=alert]").Words());
    }

    [Fact]
    public async Task Too_many_lines_are_refused_in_a_sentence()
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PostAsync("/plants/list", ("Text", string.Join("\n", Enumerable.Repeat("Lycaste", 501))));
        Assert.Contains("500 at a time are taken in", page.QuerySelector("[role=alert]").Words());
    }

    [Fact]
    public async Task The_examples_to_fill_in_are_taken_as_they_stand()
    {
        await using var site = await Site.DemoAsync();
        var list = await site.Http.GetStringAsync("/plants/list?handler=Example", Stop);
        Assert.Contains("3 plants", (await site.PostAsync("/plants/list", ("Text", list))).QuerySelector(".taking [role=status]").Words());
        var csv = await site.Http.GetByteArrayAsync("/garden/csv?handler=Example", Stop);
        var read = await site.UploadAsync("/garden/csv?handler=Read", "file", ("entries.csv", csv));
        Assert.Contains("4 entries understood", read.QuerySelector("main").Words());
    }

    [Fact]
    public async Task A_spike_from_a_csv_is_a_part_of_its_plant()
    {
        await using var site = await Site.DemoAsync();
        const string csv = "tag,on,kind,value,unit\nVAN-01,2031-05-10,spike showing,,\nVAN-01,2031-05-20,spk,6,cm\n";
        var read = await site.UploadAsync("/garden/csv?handler=Read", "file", ("spikes.csv", System.Text.Encoding.UTF8.GetBytes(csv)));
        await site.PostAsync("/garden/csv?handler=Write", ("Sent", read.QuerySelector("[name=Sent]")!.GetAttribute("value")!));
        using var garden = System.Text.Json.JsonDocument.Parse(await GardenAsync(site));
        var vanda = garden
            .RootElement.GetProperty("plants")
            .EnumerateArray()
            .Single(plant => plant.GetProperty("tag").GetString() == "VAN-01");
        var spikes = vanda.GetProperty("organs").EnumerateArray().Where(organ => organ.GetProperty("label").GetString() == "2031");
        var id = spikes.Single(organ => organ.GetProperty("kind").GetString() == "spike").GetProperty("id").GetString();
        Assert.Equal(
            2,
            vanda.GetProperty("entries").EnumerateArray().Count(e => e.TryGetProperty("organ", out var of) && of.GetString() == id)
        );
    }

    [Fact]
    public async Task The_page_of_words_has_lines_of_this_garden_that_read()
    {
        await using var site = await Site.DemoAsync();
        var page = await site.PageAsync("/words");
        Assert.Equal(6, page.QuerySelectorAll(".words h2").Length);
        var lines = page.QuerySelectorAll(".words .take").Select(button => button.GetAttribute("data-line")!).ToList();
        Assert.True(lines.Count > 60);
        foreach (var line in lines.Where((_, index) => index % 7 == 0))
        {
            var reading = await Site.ParseAsync(await site.SendAsync("/notes?handler=Read", true, ("text", line)));
            Assert.True(reading.QuerySelector(".unread") is null, $"{line}: {reading.Body.Words()}");
        }
    }

    [Theory]
    [InlineData("<p>Roots 10 cm</p>", "<p>Roots 3.9 in</p>")]
    [InlineData("<p>nights &#xB0;C 14 &#xB0;C</p>", "<p>nights °C 57 °F</p>")]
    [InlineData("<input value=\"10 cm\" />", "<input value=\"10 cm\" />")]
    [InlineData("<textarea>10 cm</textarea>", "<textarea>10 cm</textarea>")]
    [InlineData("<script>var a = '10 cm';</script>", "<script>var a = '10 cm';</script>")]
    [InlineData("<b>8.5</b> of <b>10 cm</b>", "<b>8.5</b> of <b>3.9 in</b>")]
    public void Only_the_text_of_a_page_is_converted(string html, string converted) => Assert.Equal(converted, UnitsAtTheEdge.Of(html));
}
