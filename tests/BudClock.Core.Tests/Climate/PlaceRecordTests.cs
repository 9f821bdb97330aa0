using BudClock.Core.Climate;
using CsCheck;

namespace BudClock.Core.Tests.Climate;

/// <summary>
/// Days and nights of a place: by whole garden days, right across both changes of clock, the same in whatever order readings come.
/// </summary>
public class PlaceRecordTests
{
    static readonly GardenDays Estuary = new(new("Glass", 51.5, 0.7, "Europe/London"));

    static ClimateReading At(string at, double? celsius, double? humidity = null) =>
        new("south", DateTimeOffset.Parse(at, System.Globalization.CultureInfo.InvariantCulture), celsius, humidity);

    static PlaceRecord Record(params ClimateReading[] readings) => PlaceRecord.Of(Estuary, readings);

    [Fact]
    public void A_night_is_one_from_sunset_to_sunrise_and_is_named_by_the_day_on_which_it_ends()
    {
        var record = Record(
            At("2031-05-22T22:00Z", 9),
            At("2031-05-23T02:00Z", 7),
            At("2031-05-23T12:00Z", 21),
            At("2031-05-23T23:30Z", 8)
        );
        Assert.Equal(
            [(new DateOnly(2031, 5, 23), 7, 9), (new DateOnly(2031, 5, 24), 8, 8)],
            record.Nights.Select(n => (n.Ends, n.CoolestC, n.WarmestC))
        );
        // By midnight and not by the sun: 23:30 UTC is half past midnight of the next day on this garden's clock.
        Assert.Equal((7, 21), (record.Day(new(2031, 5, 23))!.MinC, record.Day(new(2031, 5, 23))!.MaxC));
        Assert.Equal(8, record.Day(new(2031, 5, 24))!.MinC);
    }

    [Theory]
    [InlineData("2031-03-30", 23)]
    [InlineData("2031-10-26", 25)]
    public void A_night_in_which_the_clock_changes_is_counted_once(string changes, int hours)
    {
        var day = DateOnly.Parse(changes, System.Globalization.CultureInfo.InvariantCulture);
        var from = new DateTimeOffset(day.AddDays(-2), new(12, 0), TimeSpan.Zero);
        var record = PlaceRecord.Of(Estuary, Enumerable.Range(0, 4 * 24).Select(h => new ClimateReading("south", from.AddHours(h), 5, 80)));
        Assert.Equal(hours, record.Day(day)!.Hours, 6);
        Assert.Equal((3, 3, 0), record.CountNights(5, day.AddDays(-1), day.AddDays(1)));
        Assert.Equal(5, record.Night(day)!.MeanC, 6);
    }

    [Fact]
    public void Nights_nobody_measured_count_for_nothing_and_are_told_apart()
    {
        var record = Record(At("2031-05-20T02:00Z", 10), At("2031-05-21T02:00Z", 10.1), At("2031-05-23T02:00Z", 4));
        Assert.Equal((2, 3, 1), record.CountNights(10, new(2031, 5, 20), new(2031, 5, 23)));
        Assert.Equal((0, 0, 0), record.CountNights(10, new(2031, 5, 23), new(2031, 5, 22)));
    }

    [Fact]
    public void Each_hour_counts_once_in_a_mean_however_often_it_was_read()
    {
        var often = Enumerable
            .Range(0, 12)
            .Select(n => new ClimateReading("south", DateTimeOffset.Parse("2031-05-23T09:00Z", null).AddMinutes(5 * n), 20, 60));
        var record = PlaceRecord.Of(Estuary, [.. often, At("2031-05-23T10:00Z", 10, 80)]);
        Assert.Equal(
            (15d, 70d, 2d),
            (
                record.Day(new(2031, 5, 23))!.MeanC!.Value,
                record.Day(new(2031, 5, 23))!.HumidityPct!.Value,
                Math.Round(record.Day(new(2031, 5, 23))!.Hours, 6)
            )
        );
    }

    [Fact]
    public void Degree_days_are_the_days_mean_above_a_base_and_days_without_readings_are_told()
    {
        var record = Record(
            At("2031-05-20T02:00Z", 8),
            At("2031-05-20T14:00Z", 20),
            At("2031-05-21T02:00Z", 2),
            At("2031-05-21T14:00Z", 10)
        );
        Assert.Equal((4, 1), record.DegreeDays(10, new(2031, 5, 20), new(2031, 5, 22)));
    }

    [Fact]
    public void Without_a_position_night_is_nineteen_to_seven_and_in_the_polar_night_the_whole_day_is_one()
    {
        var nowhere = new GardenDays(new("Glass", TimeZone: "Europe/London"));
        Assert.True(nowhere.IsNight(DateTimeOffset.Parse("2031-05-23T05:30Z", null)));
        Assert.False(nowhere.IsNight(DateTimeOffset.Parse("2031-05-23T06:30Z", null)));
        var tromso = new GardenDays(new("Glass", 69.6, 19, "Europe/Oslo"));
        var dark = PlaceRecord.Of(tromso, [At("2031-12-21T11:00Z", -3), At("2031-12-21T20:00Z", -8)]);
        Assert.Equal((new DateOnly(2031, 12, 21), -8), (dark.Nights.Single().Ends, dark.Nights.Single().CoolestC));
        Assert.Empty(PlaceRecord.Of(tromso, [At("2031-06-21T00:30Z", 5)]).Nights);
    }

    [Fact]
    public void Without_a_longitude_the_sun_is_that_of_the_middle_of_the_zone()
    {
        var denver = new GardenDays(new("Glass", 40, null, "America/Denver"));
        var here = new GardenDays(new("Glass", 40, -105, "America/Denver"));
        Assert.Equal(here.Of(new(2031, 5, 23)).Rise, denver.Of(new(2031, 5, 23)).Rise);
    }

    static readonly Gen<ClimateReading> Reading = Gen.Select(
        Gen.Int[0, 60 * 24 * 40],
        Gen.Double[-12, 38],
        Gen.Int[0, 100],
        Gen.Int[0, 2],
        (minute, celsius, humidity, device) =>
            new ClimateReading(
                "south",
                new DateTimeOffset(2031, 10, 10, 0, 0, 0, TimeSpan.Zero).AddMinutes(minute),
                Math.Round(celsius, 1),
                humidity
            )
            {
                Device = device == 0 ? null : $"d{device}",
                Lux = humidity * 100,
            }
    );

    [Fact]
    public void Shuffled_doubled_and_late_readings_give_the_same_record() =>
        Gen.Select(Reading.Array[0, 120], Gen.Int[0, 1_000_000])
            .Sample(
                (readings, seed) =>
                {
                    var mixed = readings.Concat(readings.Where((_, i) => i % 3 == 0)).ToArray();
                    new Random(seed).Shuffle(mixed);
                    var (whole, other) = (PlaceRecord.Of(Estuary, readings), PlaceRecord.Of(Estuary, mixed));
                    Assert.Equal(whole.Days, other.Days);
                    Assert.Equal(whole.Nights, other.Nights);
                    // Late: some days are read without their last readings, then those days anew.
                    var late = readings.Length == 0 ? [] : readings[^(readings.Length / 4)..];
                    var early = PlaceRecord.Of(Estuary, readings.Except(late));
                    foreach (var reading in late)
                    {
                        var day = Estuary.At(reading.At).Day;
                        early = early.With(whole, day, day.AddDays(1));
                    }
                    Assert.Equal(
                        whole.Days.Where(d => late.Any(r => Estuary.At(r.At).Day == d.Day)),
                        early.Days.Where(d => late.Any(r => Estuary.At(r.At).Day == d.Day))
                    );
                }
            );

    /// <summary>One device that reads steadily, as those that are old enough to be thinned do.</summary>
    static readonly Gen<ClimateReading[]> Steady = Gen.Select(Gen.Int[5, 70], Gen.Int[50, 400], Gen.Double[-8, 25].Array[48])
        .Select(
            (every, count, celsius) =>
                Enumerable
                    .Range(0, count)
                    .Select(n => new ClimateReading(
                        "south",
                        new DateTimeOffset(2031, 10, 23, 7, 0, 0, TimeSpan.Zero).AddMinutes((double)n * every),
                        celsius[n % 48],
                        50 + (n % 40)
                    ))
                    .ToArray()
        );

    [Fact]
    public void Thinning_to_hours_and_to_parts_of_days_leaves_days_and_nights_as_they_were() =>
        Steady.Sample(readings =>
        {
            var whole = PlaceRecord.Of(Estuary, readings);
            foreach (var years in (int[])[3, 6])
            {
                var thin = Thinning.Thin(Estuary, readings, new DateOnly(2031, 11, 20).AddYears(years));
                var record = PlaceRecord.Of(Estuary, thin);
                Assert.Equal(whole.Days.Select(Rounded), record.Days.Select(Rounded));
                Assert.Equal(whole.Nights.Select(Rounded), record.Nights.Select(Rounded));
                Assert.True(years == 3 || thin.Count <= whole.Days.Count * 3);
            }
            Assert.Equal(readings.Length, Thinning.Thin(Estuary, readings, new(2032, 1, 1)).Count);
        });

    static string Rounded(DayOfPlace day) =>
        $"{day.Day:O} {day.Hours:0.0000} {day.MinC:0.0000} {day.MaxC:0.0000} {day.MeanC:0.0000} {day.HumidityPct:0.0000}";

    static string Rounded(NightOfPlace night) =>
        $"{night.Ends:O} {night.Hours:0.0000} {night.CoolestC:0.0000} {night.MeanC:0.0000} {night.WarmestC:0.0000}";

    [Theory]
    [InlineData(300.0, null, "no place has 300 °C")]
    [InlineData(14.0, 140.0, "humidity is never 140 %")]
    [InlineData(14.0, 100.0, null)]
    public void What_cannot_be_is_not_believed(double celsius, double? humidity, string? why) =>
        Assert.Equal(why, Believed.Doubt(At("2031-05-23T02:00Z", celsius, humidity), DateTimeOffset.Parse("2031-05-23T02:05Z", null)));

    [Fact]
    public void A_time_in_1970_or_tomorrow_is_not_believed_and_a_doubted_reading_is_in_no_record()
    {
        var now = DateTimeOffset.Parse("2031-05-23T02:05Z", null);
        Assert.Equal("its time is 1 Jan 1970", Believed.Doubt(At("1970-01-01T00:00Z", 14), now));
        Assert.Equal("its time is 24 h ahead", Believed.Doubt(At("2031-05-24T02:05Z", 14), now));
        Assert.Empty(Record(At("2031-05-23T02:00Z", 300) with { Doubt = "no place has 300 °C" }).Days);
    }

    [Fact]
    public void A_spike_is_no_weather_and_a_steep_fall_that_stays_is()
    {
        var spike = Record(At("2031-05-23T01:00Z", 12), At("2031-05-23T01:30Z", -20), At("2031-05-23T02:00Z", 12));
        Assert.Equal(12, spike.Nights.Single().CoolestC);
        var frost = Record(At("2031-05-23T01:00Z", 12), At("2031-05-23T01:30Z", -2), At("2031-05-23T02:00Z", -2));
        Assert.Equal(-2, frost.Nights.Single().CoolestC);
        // Hours apart they tell nothing of each other.
        Assert.Equal(
            -20,
            Record(At("2031-05-23T00:00Z", 12), At("2031-05-23T01:30Z", -20), At("2031-05-23T03:00Z", 12)).Nights.Single().CoolestC
        );
    }
}
