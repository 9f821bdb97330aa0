using BudClock.Core.Advising;
using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Round;

namespace BudClock.Core.Tests.Climate;

/// <summary>Sums about the surroundings against values that nobody here computed.</summary>
public class OutsideValuesTests
{
    // Reference/sun.csv, by the npm package astronomy-engine: rise and set of every day of 2026 at five places from 65° N to 65° S.
    [Theory]
    [InlineData(65, 25, 1)]
    [InlineData(51.5, 0.7, 3)]
    [InlineData(0, 100, 5)]
    [InlineData(-33.9, -70.6, 7)]
    [InlineData(-65, -60, 9)]
    public void Sunrise_and_sunset_agree_with_an_astronomy_library_within_two_minutes(double latitude, double longitude, int column)
    {
        foreach (var row in Reference.Rows("sun.csv"))
        {
            var day = DateOnly.ParseExact(row[0], "yyyy-MM-dd", null);
            var midnight = new DateTimeOffset(day, TimeOnly.MinValue, TimeSpan.Zero);
            var sun = Sun.On(day, latitude, longitude);
            Assert.True(
                Math.Abs((sun.Rise!.Value - midnight).TotalMinutes - Reference.Number(row[column])) < 2,
                $"rise {day:O}: {sun.Rise:u} {row[column]}"
            );
            Assert.True(
                Math.Abs((sun.Set!.Value - midnight).TotalMinutes - Reference.Number(row[column + 1])) < 2,
                $"set {day:O}: {sun.Set:u} {row[column + 1]}"
            );
        }
    }

    // Reference/vapour.csv, by the npm package psychrolib (ASHRAE Handbook, Fundamentals). Below freezing it is over ice, which is another
    // question than how thirsty the air is.
    [Fact]
    public void Vapour_pressure_and_its_deficit_agree_with_a_psychrometric_library()
    {
        foreach (var row in Reference.Rows("vapour.csv").Select(row => row.Select(Reference.Number).ToArray()).Where(row => row[0] >= 0))
        {
            Assert.Equal(row[2], Vpd.SaturationKPa(row[0]), row[2] * 0.002);
            Assert.Equal(row[3], Vpd.KPa(row[0], row[1]), row[2] * 0.002);
        }
    }

    // FAO Irrigation and Drainage Paper 56, annex 2 (from memory).
    [Theory]
    [InlineData(10, 1.228)]
    [InlineData(20, 2.338)]
    [InlineData(25, 3.168)]
    [InlineData(30, 4.243)]
    public void Saturation_is_that_of_the_table(double celsius, double kPa) => Assert.Equal(kPa, Vpd.SaturationKPa(celsius), 0.0006);

    // By definition from the rows above.
    [Theory]
    [InlineData(25, 60, 1.27)]
    [InlineData(20, 80, 0.47)]
    public void A_deficit_is_what_is_missing_to_saturation(double celsius, double humidity, double kPa) =>
        Assert.Equal(kPa, Vpd.KPa(celsius, humidity), 0.005);

    // The definition: 200 µmol/m²/s for 12 h are 8.64 mol/m²/day. The conversion: 1,000 lx of daylight are about 18.5 µmol/m²/s (from memory).
    [Fact]
    public void Light_is_summed_by_its_definition()
    {
        Assert.Equal(8.64, Light.Dli(200, 12), 9);
        Assert.Equal(
            18.5,
            new ClimateReading("here", default, null, null) { Lux = 1000 }
                .Photons!
                .Value,
            9
        );
        Assert.Equal(200, new ClimateReading("here", default, null, null) { Lux = 1000, Ppfd = 200 }.Photons);
    }

    // FAO Irrigation and Drainage Paper 56, example 8: 20° S on 3 September is 32.2 MJ/m²/day (from memory).
    [Fact]
    public void Sun_above_the_air_is_that_of_the_worked_example() => Assert.Equal(32.2, Light.AboveTheAirMJ(new(2031, 9, 3), -20), 0.1);

    [Fact]
    public void A_measured_day_is_summed_and_a_single_reading_reckoned_with_twice_the_doubt()
    {
        var calendar = new GardenDays(new("Glass", 51.5, 0.7, "Europe/London"));
        var day = new DateOnly(2031, 6, 21);
        var hours = Enumerable
            .Range(3, 18)
            .Select(hour => new ClimateReading("south", new(day, new(hour, 30), TimeSpan.Zero), null, null) { Ppfd = 100 });
        var summed = PlaceRecord.Of(calendar, hours).Day(day)!.Light!.Estimate;
        Assert.Equal((6.48, "readings through the day"), (Math.Round(summed.Dli, 6), summed.From));
        // Half a sine of a peak of 1,000 through the whole day: its mean is 2/π of it.
        var noon = new ClimateReading("south", new(day, new(11, 59), TimeSpan.Zero), null, null) { Ppfd = 1000 };
        var spot = PlaceRecord.Of(calendar, [noon]).Day(day)!.Light!.Estimate;
        Assert.Equal(Light.Dli(1000, calendar.Of(day).LightHours) * 2 / Math.PI, spot.Dli, 0.2);
        Assert.Equal((spot.Dli / 2, spot.Dli * 2), (spot.Low, spot.High));
        // By night a meter says nothing of the day.
        var night = new ClimateReading("south", new(day, new(1, 0), TimeSpan.Zero), null, null) { Ppfd = 0 };
        Assert.Null(PlaceRecord.Of(calendar, [night]).Day(day)!.Light);
    }

    // The definition again: lamps of 200 µmol/m²/s for 12 h, read once, are 8.64 mol/m²/day; they do not rise and set.
    [Fact]
    public void A_single_reading_under_lamps_counts_for_the_hours_they_burn()
    {
        var garden = new Garden("Glass", 51.5, 0.7, "Europe/London");
        var read = new ClimateReading("shelf", new(2031, 6, 20, 9, 0, 0, TimeSpan.Zero), null, null) { Ppfd = 200 };
        var shelf = new Place("shelf", "Shelf", "indoors", 12) { Window = "none" };
        LightEstimate Light(Place place) =>
            PlaceWeathers.Of(new(garden, [place], [], [read], []), new(2031, 6, 21)).At("shelf").MeanLight(new(2031, 6, 21), 7)!.Value;
        Assert.Equal(8.64, Light(shelf).Dli, 9);
        Assert.Equal("its lamps' light and hours", Light(shelf).From);
        Assert.Equal("single readings", Light(shelf with { Window = "east" }).From);
    }

    [Theory]
    [InlineData(2, LightClass.Shade)]
    [InlineData(4, LightClass.Bright)]
    [InlineData(9, LightClass.MorningSun)]
    [InlineData(16, LightClass.FullSun)]
    public void Light_classes_begin_at_their_daily_light(double dli, LightClass light) => Assert.Equal(light, PlaceLight.ClassOf(dli));

    [Fact]
    public void Day_length_rises_and_falls_at_its_turning_points_in_both_hemispheres()
    {
        foreach (var (latitude, longest) in new[] { (51.5, 6), (-33.9, 12) })
        {
            var length = Enumerable
                .Range(0, 365)
                .Select(n => new DateOnly(2031, 1, 1).AddDays(n))
                .MaxBy(day => Sun.On(day, latitude).DayHours);
            Assert.Equal(longest, length.Month);
            Assert.InRange(length.Day, 20, 23);
        }
    }

    // Common practice: a lamp in the evening or at midnight breaks a long night, one within the day does not.
    [Theory]
    [InlineData("08:00", 6.0, 13.2)]
    [InlineData("17:00", 6.0, 8.0)]
    [InlineData("23:00", 1.0, 7.0)]
    [InlineData("22:00", 10.0, 3.8)]
    public void Lamps_leave_the_longest_stretch_of_dark(string from, double hours, double dark)
    {
        var calendar = new GardenDays(new("Glass", 51.5, 0.7, "Europe/London"));
        Assert.Equal(dark, Darkness.UnbrokenHours(calendar, new(2031, 10, 12), [(TimeOnly.Parse(from, null), hours)]), 0.35);
    }
}
