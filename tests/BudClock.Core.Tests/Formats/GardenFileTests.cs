using System.Text.Json;
using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Formats;
using CsCheck;
using NJsonSchema;

namespace BudClock.Core.Tests.Formats;

public class GardenFileTests
{
    const string Example = """
        {
          "format": "bud-clock-garden", "version": 1,
          "garden": { "name": "Lighthouse glass", "latitude": 51.5, "longitude": 0.1, "timeZone": "Europe/London", "units": "metric" },
          "places": [ { "code": "south", "name": "South bench", "setting": "glasshouse" } ],
          "plants": [ {
            "tag": "LYC-01", "name": "Lycaste, yellow", "taxon": "Lycaste aromatica", "sheet": "leafless-pseudobulb",
            "place": "south", "acquired": "2028-03-02",
            "pot": { "diameterCm": 11, "heightCm": 10, "kind": "plastic" }, "medium": "bark",
            "schools": { "first-water": "soak" },
            "organs": [ { "id": "g31", "kind": "growth", "label": "2031", "parent": "g30" } ],
            "entries": [
              { "on": "2031-04-05", "kind": "growth-started", "organ": "g31" },
              { "on": "2031-05-20", "kind": "root-length", "organ": "g31", "value": 11, "unit": "cm" },
              { "on": "2031-05-21", "kind": "bulbs", "text": "wrinkled" }
            ] } ],
          "readings": [ { "place": "south", "at": "2031-05-20T03:00:00Z", "temperatureC": 14.2, "humidityPct": 78 } ],
          "forecast": [ { "place": "south", "on": "2031-05-25", "minC": 9, "maxC": 17 } ]
        }
        """;

    [Fact]
    public void The_example_gives_its_advice()
    {
        var garden = Read(Example);
        using var json = JsonDocument.Parse(AdviceJson.Write(Assessor.Shipped.Assess(garden.Plants[0], garden, new(2031, 5, 24))));
        Assert.Equal("waking", json.RootElement.GetProperty("phase").GetString());
        var advice = json.RootElement.GetProperty("advice")[0];
        Assert.Equal(
            "Roots 11 cm, bulbs wrinkled, nights 14 °C: first soak today, with the first light feed in it. The night of 25 May is "
                + "forecast at "
                + "9 °C: keep it warm then.",
            advice.GetProperty("reason").GetString()
        );
        Assert.Equal(
            ("first-soak", "do", "W1", "2031-05-24", "soak"),
            (Text("topic"), Text("verdict"), Text("rule"), Text("due"), Text("school"))
        );
        var roots = advice.GetProperty("conditions").EnumerateArray().Single(c => c.GetProperty("name").GetString() == "root length");
        Assert.Equal(
            """{"name":"root length","have":11,"need":10,"unit":"cm","met":true,"seen":"2031-05-20"}""",
            JsonSerializer.Serialize(roots)
        );

        string? Text(string member) => advice.GetProperty(member).GetString();
    }

    [Fact]
    public void Writing_and_reading_again_is_the_same_to_the_byte()
    {
        var written = GardenFileWriter.Write(Read(Example));
        Assert.Equal(written, GardenFileWriter.Write(Read(written)));
    }

    [Fact]
    public void Any_garden_comes_back_as_it_was()
    {
        var entry =
            from kind in Gen.OneOf(EntryKinds.RootLength, EntryKinds.Soaked, EntryKinds.Note)
            from day in Gen.Int[0, 900]
            from value in Gen.Double[0, 200]
            from text in Gen.String[0, 40]
            from struck in Gen.Bool
            from id in Gen.Guid
            select new Entry
            {
                Id = id,
                On = new DateOnly(2029, 1, 1).AddDays(day),
                Kind = kind,
                Struck = struck,
                Amount = kind == EntryKinds.Note ? null : new(value, kind == EntryKinds.Soaked ? Unit.Cup : Unit.In),
                Text = kind == EntryKinds.Note ? text : null,
                Logged = DateTimeOffset.UnixEpoch.AddSeconds(day),
                Act = id,
            };
        entry
            .Where(e => EntryCheck.AmountFault(e.Kind, e.Amount) is null && e.Text?.Any(char.IsSurrogate) != true)
            .Array[0, 8]
            .Sample(
                entries =>
                {
                    var garden = Read(Example);
                    var changed = garden with { Plants = [garden.Plants[0] with { Entries = entries, Doubtful = true }] };
                    Assert.Equal(entries, Read(GardenFileWriter.Write(changed)).Plants[0].Entries);
                },
                iter: 300
            );
    }

    [Theory]
    [InlineData("2017", "2017", "2017-12-31", "2017-12-31")]
    [InlineData("2018-05", "May 2018", "2018-05-31", "2018-05-31")]
    [InlineData("2016-02", "February 2016", "2016-02-29", "2016-02-29")]
    [InlineData("2018-spring", "spring 2018", "2018-05-31", "2018-11-30")]
    [InlineData("2018-winter", "winter 2018", "2018-02-28", "2018-08-31")]
    [InlineData("2018-autumn", "autumn 2018", "2018-11-30", "2019-05-31")]
    public void A_rough_date_stays_as_rough_as_it_is(string code, string words, string north, string south)
    {
        var rough = RoughDate.Parse(code)!;
        Assert.Equal((code, words), (rough.Code, rough.ToString()));
        Assert.Equal((north, south), (rough.Latest(false).ToString("yyyy-MM-dd"), rough.Latest(true).ToString("yyyy-MM-dd")));
        var file = $$"""
            {"format":"bud-clock-garden","version":1,"garden":{"name":"a"},"places":[],
             "plants":[{"tag":"A-1","taxon":"Hoya","acquiredAbout":"{{code}}","pottedAbout":"{{code}}"}]}
            """;
        var read = GardenFileReader.Read(file, CultureSheets.Shipped).Garden!;
        Assert.Equal((rough, rough), (read.Plants[0].AcquiredAbout, read.Plants[0].PottedAbout));
        Assert.Contains($"\"acquiredAbout\": \"{code}\"", GardenFileWriter.Write(read));
        Assert.Null(RoughDate.Parse("2018-05-01"));
    }

    [Theory]
    [InlineData("\"value\": 11,", "\"value\": \"long\",", "plants[0].entries[1].value: expected a number, got \"long\"")]
    [InlineData("\"value\": 11,", "\"value\": -3,", "plants[0].entries[1].value: Roots can be 0 to 200 cm; −3 cm is outside that.")]
    [InlineData("\"value\": 11,", "", "plants[0].entries[1].unit: stands without a value")]
    [InlineData("\"unit\": \"cm\"", "\"unit\": \"ells\"", "plants[0].entries[1].unit: \"ells\" is no unit known here")]
    [InlineData("\"kind\": \"bulbs\"", "\"kind\": \"bulb-colour\"", "plants[0].entries[2].kind: \"bulb-colour\" is no kind of entry")]
    [InlineData(
        "\"text\": \"wrinkled\"",
        "\"text\": \"odd\"",
        "plants[0].entries[2].text: Bulbs can be plump, wrinkled, shrivelled; \"odd\" is none of these."
    )]
    [InlineData(
        "\"on\": \"2031-05-21\"",
        "\"on\": \"21 May\"",
        "plants[0].entries[2].on: expected a date such as 2031-05-24, got \"21 May\""
    )]
    [InlineData(
        "\"tag\": \"LYC-01\"",
        "\"tag\": \"LYC 01\"",
        "plants[0].tag: \"LYC 01\" cannot be a tag: letters, digits and hyphens, at most 20, such as LYC-01"
    )]
    [InlineData("\"latitude\": 51.5", "\"latitude\": 151.5", "garden.latitude: expected -90 to 90, got 151.5")]
    [InlineData(
        "\"place\": \"south\", \"acquired\"",
        "\"place\": \"north\", \"acquired\"",
        "plants[0].place: \"north\" is not among the places"
    )]
    [InlineData(
        "\"text\": \"wrinkled\"",
        "\"text\": \"wrinkled\", \"file\": \"../../etc/x.jpg\"",
        "plants[0].entries[2].file: \"../../etc/x.jpg\" is no name of a picture, such as 0198f3c2.jpg"
    )]
    [InlineData("\"medium\": \"bark\"", "\"synonyms\": \"bark\"", "plants[0].synonyms: expected a list of texts, got \"bark\"")]
    [InlineData(
        "\"medium\": \"bark\"",
        "\"origin\": \"cloning\"",
        "plants[0].origin: expected one of division, cutting, layer, leaf, corm, tuber, offset, seed, got \"cloning\""
    )]
    [InlineData(
        "\"first-water\": \"soak\"",
        "\"first-water\": \"flood\"",
        "plants[0].schools.first-water: \"flood\" is no answer to first-water; expected sip or soak"
    )]
    [InlineData("\"version\": 1", "\"version\": 2", "version: this reads version 1, got 2")]
    public void Names_the_place_of_a_fault(string sound, string broken, string fault)
    {
        var read = GardenFileReader.Read(Example.Replace(sound, broken), CultureSheets.Shipped);
        Assert.Null(read.Garden);
        Assert.Contains(fault, read.Faults.Select(found => found.ToString()));
    }

    [Fact]
    public void A_member_that_the_format_does_not_have_is_named_with_those_it_has()
    {
        var read = GardenFileReader.Read(Example.Replace("\"medium\": \"bark\"", "\"colour\": \"bark\""), CultureSheets.Shipped);
        var fault = read.Faults.Single().ToString();
        Assert.StartsWith("plants[0].colour: not a member of this format; known here are tag, formerTags, name, ", fault);
        Assert.EndsWith("schools, organs, forecasts, entries", fault);
    }

    [Fact]
    public void A_sheet_that_is_not_there_is_named_with_those_that_are()
    {
        var fault = GardenFileReader
            .Read(Example.Replace("\"sheet\": \"leafless-pseudobulb\"", "\"sheet\": \"cactus\""), CultureSheets.Shipped)
            .Faults.Single()
            .ToString();
        Assert.StartsWith("plants[0].sheet: expected one of ", fault);
        Assert.EndsWith("got \"cactus\"", fault);
    }

    [Fact]
    public void Parents_older_names_kept_forecasts_and_pictures_travel_along()
    {
        var forecast = new Forecast(
            "first-flower",
            "g31",
            new(2031, 5, 1),
            new(2031, 6, 1),
            new(2031, 6, 5),
            new(2031, 6, 9),
            "this plant's earlier spike"
        );
        var garden = Read(Example);
        var plant = garden.Plants[0] with
        {
            Synonyms = ["Lycaste, old name"],
            Parent = "LYC-00",
            Origin = "division",
            Source = "a friend",
            QuarantineUntil = new(2031, 6, 1),
            Forecasts = [forecast],
            Entries = [.. garden.Plants[0].Entries, Specimens.At("2031-05-22", EntryKinds.Photo) with { File = "0198f3c2.jpg" }],
        };
        var back = Read(GardenFileWriter.Write(garden with { Plants = [plant] })).Plants[0];
        Assert.Equal(
            (plant.Parent, plant.Origin, plant.Source, plant.QuarantineUntil, "0198f3c2.jpg"),
            (back.Parent, back.Origin, back.Source, back.QuarantineUntil, back.Entries[^1].File)
        );
        Assert.Equal(plant.Synonyms, back.Synonyms);
        Assert.Equal(plant.Forecasts, back.Forecasts);
    }

    const string Mixing = """
        "mixing": {
          "tools": { "scaleGrams": 0.01, "meterScale": 700 },
          "waters": [ { "code": "rain", "kind": "rain", "tdsPpm": 12, "ph": 6.2, "hardnessPpm": 5, "measured": "2031-05-03" } ],
          "feeds": [ { "code": "balanced", "n": 20, "p2o5": 20, "k2o": 20, "ureaN": 10, "ca": 1, "mg": 0.5, "form": "powder", "gramsPerTeaspoon": 5, "labelGramsPerLitre": 1, "densityGPerMl": 1, "saltsPercent": 90, "pricePerKg": 9, "stimulant": true } ],
          "recipes": [ { "code": "growth", "bottle": "growth", "waters": { "rain": 100 }, "feeds": { "balanced": "1/8 tsp in 1 gal" } } ],
          "batches": [ { "code": "G1", "made": "2031-05-20", "recipe": "growth", "litres": 2, "contents": "2 L rain", "predictedPpm": 100, "measuredPpm": 90, "ph": 6, "found": "heaped", "thrownAway": "2031-05-21" } ],
          "trials": [ { "code": "t1", "recipe": "growth", "from": "2031-05-01", "plants": [ "LYC-01" ], "ended": "2031-05-20" } ]
        },
        """;

    static readonly string WithMixing = Example
        .Replace("\"readings\":", Mixing + "\"readings\":")
        .Replace("\"kind\": \"bulbs\", \"text\": \"wrinkled\"", "\"kind\": \"fed\", \"mix\": \"G1\"");

    [Fact]
    public async Task The_mixing_shelf_travels_along()
    {
        var garden = Read(WithMixing);
        Assert.Equal(
            (700, "0.125 tsp in 1 gal", 90, "G1"),
            (
                garden.Shelf.Tools.MeterScale,
                garden.Shelf.Recipes[0].Feeds["balanced"].ToString(),
                garden.Shelf.Batches[0].MeasuredPpm,
                garden.Plants[0].Entries[^1].Mix
            )
        );
        var written = GardenFileWriter.Write(garden);
        Assert.Equal(written, GardenFileWriter.Write(Read(written)));
        var schema = await JsonSchema.FromJsonAsync(GardenSchema.Text, TestContext.Current.CancellationToken);
        Assert.Empty(schema.Validate(written));
        Assert.Empty(schema.Validate(WithMixing));
    }

    [Theory]
    [InlineData("\"ph\": 6.2", "\"ph\": 15", "mixing.waters[0].tdsPpm: pH runs from 0 to 14; 15 is outside that.")]
    [InlineData("\"n\": 20", "\"n\": 70", "mixing.feeds[0].n: The label's parts add up to 111.5 %; there are only 100.")]
    [InlineData(
        "1/8 tsp in 1 gal",
        "a pinch",
        "mixing.recipes[0].feeds.balanced: \"a pinch\" is no strength; write 25 %, 100 ppm N, or 1/8 tsp in 1 gal"
    )]
    [InlineData("{ \"rain\": 100 }", "{ \"rain\": 60 }", "mixing.recipes[0]: The waters make up 60 %; together they are 100.")]
    [InlineData("{ \"rain\": 100 }", "{ \"well\": 100 }", "mixing.recipes[0]: No water here is called \"well\".")]
    [InlineData(
        "\"recipe\": \"growth\", \"from\"",
        "\"recipe\": \"bloom\", \"from\"",
        "mixing.trials[0].recipe: \"bloom\" is not among the recipes"
    )]
    [InlineData("\"meterScale\": 700", "\"meterScale\": 640", "mixing.tools.meterScale: A meter's scale is 500 or 700.")]
    public void Names_the_place_of_a_fault_on_the_shelf(string sound, string broken, string fault) =>
        Assert.Contains(
            fault,
            GardenFileReader.Read(WithMixing.Replace(sound, broken), CultureSheets.Shipped).Faults.Select(found => found.ToString())
        );

    [Fact]
    public void Lists_every_fault_and_takes_nothing()
    {
        var read = GardenFileReader.Read(
            Example.Replace("11,", "\"long\",").Replace("growth-started", "grown").Replace("51.5", "\"north\""),
            CultureSheets.Shipped
        );
        Assert.Null(read.Garden);
        Assert.True(read.Faults.Count >= 3, string.Join("; ", read.Faults));
    }

    [Theory]
    [InlineData("{ \"format\": ", "line 1, column")]
    [InlineData("[]", "file")]
    [InlineData("", "line 1, column")]
    public void A_broken_file_says_where(string text, string place) =>
        Assert.StartsWith(place, GardenFileReader.Read(text, CultureSheets.Shipped).Faults.Single().Place);

    [Fact]
    public void Entries_after_the_last_allowed_day_are_faults() =>
        Assert.Equal(
            "plants[0].entries[2].on",
            GardenFileReader.Read(Example, CultureSheets.Shipped, new(2031, 5, 20)).Faults.Single().Place
        );

    [Fact]
    public void Only_format_version_tag_and_taxon_are_needed()
    {
        var garden = Read(
            """{ "format": "bud-clock-garden", "version": 1, "plants": [ { "tag": "CYC-01", "taxon": "Cycnoches egertonianum", "entries": [ { "on": "2031-04-20", "kind": "growth-started" }, { "on": "2031-05-20", "kind": "root-length", "value": 8, "unit": "cm" } ] } ] }"""
        );
        var advice = Assessor.Shipped.Assess(garden.Plants[0], garden, new(2031, 5, 24)).Settled[0];
        Assert.Equal(Verdict.Look, advice.Verdict);
        Assert.Null(advice.Conditions.Single(c => c.Name == "coolest night").Have);
    }

    [Fact]
    public async Task What_is_written_follows_the_schema()
    {
        // Checked by NJsonSchema, which knows nothing of our reader.
        var schema = await JsonSchema.FromJsonAsync(GardenSchema.Text, TestContext.Current.CancellationToken);
        var garden = Read(Example);
        var full = garden.Plants[0] with
        {
            Synonyms = ["x"],
            Parent = "LYC-00",
            Origin = "seed",
            Source = "y",
            QuarantineUntil = new(2031, 6, 1),
            Entries = [Specimens.At("2031-05-22", EntryKinds.Photo) with { File = "a.jpg" }],
            Forecasts = [new("matured", null, new(2031, 5, 1), new(2031, 6, 1), new(2031, 6, 5), new(2031, 6, 9), "z")],
        };
        Assert.Empty(schema.Validate(GardenFileWriter.Write(garden)));
        Assert.Empty(schema.Validate(GardenFileWriter.Write(garden with { Plants = [full] })));
        Assert.Empty(schema.Validate(Example));
        Assert.NotEmpty(schema.Validate(Example.Replace("\"medium\"", "\"colour\"")));
    }

    static GardenRecord Read(string json)
    {
        var read = GardenFileReader.Read(json, CultureSheets.Shipped);
        return read.Garden ?? throw new InvalidDataException(string.Join("; ", read.Faults));
    }
}
