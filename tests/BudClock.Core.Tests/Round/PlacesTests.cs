using BudClock.Core.Advising;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Formats;
using BudClock.Core.Round;

namespace BudClock.Core.Tests.Round;

/// <summary>Which place suits a plant, what comes in before the cold and where to, and what is at stake.</summary>
public class PlacesTests
{
    static readonly DateOnly Today = new(2031, 9, 25);
    static readonly Garden Glass = new("Glass", 51.5, 0.7, "Europe/London");

    static readonly Place[] Places =
    [
        new("frame", "Cold frame", "cold-frame") { Light = "bright" },
        new("sill", "Sill", "indoors") { Light = "bright" },
        new("cellar", "Cellar", "indoors") { Window = "none" },
        new("cold", "Cold porch", "glasshouse") { Light = "bright" },
        new("new", "New shelf", "indoors") { Light = "bright" },
    ];

    static IEnumerable<ClimateReading> Nights(string place, double celsius) =>
        Enumerable.Range(0, 5).Select(back => new ClimateReading(place, new(Today.AddDays(-back), new(2, 0), TimeSpan.Zero), celsius, 60));

    static Plant Plant(string tag, string taxon, string place) =>
        new()
        {
            Tag = tag,
            Taxon = taxon,
            Place = place,
            Acquired = new(2028, 3, 1),
        };

    static (GardenRecord Record, List<Assessment> Assessed, PlaceWeathers Weathers) Garden(double frameNight, params Plant[] plants)
    {
        var record = new GardenRecord(
            Glass,
            Places,
            plants,
            [.. Nights("frame", 13), .. Nights("sill", 17), .. Nights("cellar", 16), .. Nights("cold", 8)],
            [new("frame", Today.AddDays(1), 14, 18), new("frame", Today.AddDays(2), frameNight, 14)]
        );
        return (record, [.. plants.Select(plant => Assessor.Shipped.Assess(plant, record, Today))], PlaceWeathers.Of(record, Today));
    }

    [Fact]
    public void Six_plants_come_in_by_one_act_to_the_place_that_is_warm_enough_for_all()
    {
        string[] taxa =
        [
            "Hoya carnosa",
            "Hoya linearis",
            "Alocasia odora",
            "Phalaenopsis amabilis",
            "Saintpaulia ionantha",
            "Caladium bicolor",
        ];
        var plants = taxa.Select((taxon, n) => Plant($"P-0{n}", taxon, "frame")).ToArray();
        var (_, assessed, weathers) = Garden(3, plants);
        var group = Assert.Single(BringIn.Of(Places, assessed, weathers));
        Assert.Equal("Bring in by the evening of 26 Sep: 6 plants from Cold frame to Sill", group.Words);
        Assert.Equal("P-00, P-01, P-02, P-03, P-04, P-05: moved to Sill", group.Line);
        Assert.Contains("3 °C is forecast for the night of 27 Sep", group.Why);
        var frame = PlaceOutlook.Of(assessed, weathers, Today).Single(at => at.Place.Code == "frame");
        Assert.Equal(("3 °C on 27 Sep: 6 plants at stake", 14), (frame.Stake, frame.Tonight!.MinC));
        Assert.All(PlaceOutlook.Of(assessed, weathers, Today).Where(at => at.Place.Code != "frame"), at => Assert.Null(at.Stake));
    }

    [Fact]
    public void Nothing_comes_in_on_a_mild_night_and_nowhere_is_said_where_no_place_is_known_to_be_warm()
    {
        var (_, mild, weathers) = Garden(13, Plant("P-1", "Hoya carnosa", "frame"));
        Assert.Empty(BringIn.Of(Places, mild, weathers));
        var record = new GardenRecord(Glass, Places, [Plant("P-1", "Hoya carnosa", "frame")], [], [new("frame", Today.AddDays(1), 2, 9)]);
        var unknown = BringIn
            .Of(Places, [Assessor.Shipped.Assess(record.Plants[0], record, Today)], PlaceWeathers.Of(record, Today))
            .Single();
        Assert.Null(unknown.To);
        Assert.Null(unknown.Line);
        Assert.Contains("measure nights indoors", unknown.Why);
        Assert.StartsWith("Bring in tonight: 1 plant", unknown.Words);
    }

    [Fact]
    public void A_place_is_judged_thing_by_thing_and_what_nobody_measured_is_said_to_be_unknown()
    {
        var (_, assessed, weathers) = Garden(3, Plant("P-1", "Hoya carnosa", "frame"));
        var fits = PlaceFit.Of(assessed[0], weathers);
        Assert.Equal("sill", fits[0].Place.Code);
        Suits Of(string place, string what) => fits.Single(fit => fit.Place.Code == place).Things.Single(thing => thing.What == what).Suits;
        Assert.Equal(
            (Suits.Not, Suits.Well, Suits.Not, Suits.Unknown),
            (Of("frame", "Cold"), Of("sill", "Cold"), Of("cold", "Cold"), Of("new", "Cold"))
        );
        Assert.Equal((Suits.Nearly, Suits.Not), (Of("sill", "Light"), Of("cellar", "Light")));
        Assert.True(fits.Single(fit => fit.Place.Code == "frame").Here);
        Assert.False(PlaceFit.WarmEnough(assessed[0].Situation, weathers.All.Single(at => at.Place.Code == "new")));
    }

    [Fact]
    public void Asleep_a_plant_does_not_look_at_the_light_but_wants_no_rain()
    {
        var shrub = Plant("P-1", "Adenium obesum", "frame") with
        {
            Entries = [Specimens.At(Today.AddDays(-5), EntryKinds.LeavesGone, null, null)],
        };
        var (_, assessed, weathers) = Garden(13, shrub);
        var fits = PlaceFit.Of(assessed[0], weathers);
        var cellar = fits.Single(fit => fit.Place.Code == "cellar");
        Assert.Equal(
            (Suits.Well, Suits.Well),
            (cellar.Things.Single(t => t.What == "Light").Suits, cellar.Things.Single(t => t.What == "Rain").Suits)
        );
        Assert.Equal(Suits.Unknown, fits.Single(fit => fit.Place.Code == "frame").Things.Single(t => t.What == "Rain").Suits);
    }

    [Theory]
    [InlineData("south", 51.5, true)]
    [InlineData("north", 51.5, false)]
    [InlineData("south", -33.9, false)]
    [InlineData("north", -33.9, true)]
    public void The_sunny_side_is_that_of_the_hemisphere(string window, double latitude, bool sunny)
    {
        var garden = Glass with { Latitude = latitude };
        var here = PlaceLight.Guess(new("here", "Here") { Window = window }, new(2031, 3, 21), garden)!;
        var other = PlaceLight.Guess(new("here", "Here") { Window = window == "south" ? "north" : "south" }, new(2031, 3, 21), garden)!;
        Assert.Equal(sunny, here.Dli > other.Dli);
        Assert.Null(PlaceLight.Guess(new("here", "Here") { Window = window }, Today, garden with { Latitude = null }));
        Assert.Null(PlaceLight.Guess(new("here", "Here"), Today, garden));
    }

    [Fact]
    public void The_example_of_every_new_member_of_the_file_reads_and_writes_the_same()
    {
        var record = new GardenRecord(
            Glass,
            [
                new("sill", "Sill", "indoors", 12)
                {
                    Window = "south-east",
                    Light = "bright",
                    LampsFrom = new(7, 30),
                    LampDistanceCm = 12,
                    LampHeightCm = 30,
                    Draughts = false,
                    Cover = "rain",
                },
            ],
            [],
            [
                new("sill", new(2031, 5, 20, 3, 0, 0, TimeSpan.Zero), 14.2, 78)
                {
                    Lux = 900,
                    Ppfd = 17,
                    Device = "bench",
                },
                new("sill", new(2031, 5, 20, 4, 0, 0, TimeSpan.Zero), 300, null) { Doubt = "no place has 300 °C", Device = "bench" },
                new("sill", new(2026, 5, 20, 4, 0, 0, TimeSpan.Zero), 14, 70)
                {
                    Hours = 1,
                    MinC = 13,
                    MaxC = 15,
                },
            ],
            [
                new(null, new(2031, 5, 25), 9, 17)
                {
                    SunHours = 6.5,
                    HumidityPct = 70,
                    Made = new(2031, 5, 24),
                },
            ]
        )
        {
            Devices =
            [
                new("bench", "Bench sensor", "sill", "mqtt")
                {
                    DueMinutes = 15,
                    Fahrenheit = true,
                    Topic = "home/+",
                    Paths = new Dictionary<string, string> { ["temperature"] = "t" },
                },
            ],
        };
        var json = GardenFileWriter.Write(record);
        var read = GardenFileReader.Read(json, CultureSheets.Shipped);
        Assert.Empty(read.Faults);
        Assert.Equal(json, GardenFileWriter.Write(read.Garden!));
        Assert.Equal((record.Places[0], record.Devices[0]), (read.Garden!.Places[0], read.Garden.Devices[0]));
        Assert.Equal(record.Readings, read.Garden.Readings);
        Assert.Equal(record.Forecast, read.Garden.Forecast);
    }

    [Theory]
    [InlineData("""{"place":"sill","at":"2031-05-20T03:00:00Z","temperatureC":300}""", "readings[0].temperatureC")]
    [InlineData("""{"place":"sill","at":"2031-05-20T03:00:00Z","lux":-1}""", "readings[0].lux")]
    [InlineData("""{"place":"sill","at":"2031-05-20T03:00:00Z","colour":1}""", "readings[0].colour")]
    public void What_cannot_be_is_a_fault_of_a_file_that_does_not_doubt_it(string reading, string place)
    {
        var json = """{"format":"bud-clock-garden","version":1,"places":[{"code":"sill"}],"plants":[],"readings":[READING]}""".Replace(
            "READING",
            reading,
            StringComparison.Ordinal
        );
        Assert.Equal(place, Assert.Single(GardenFileReader.Read(json, CultureSheets.Shipped).Faults).Place);
    }
}
