using BudClock.Core.Climate;

namespace BudClock.Core.Tests.Climate;

/// <summary>Devices that are silent, stuck, an hour off, or well.</summary>
public class DevicesTests
{
    static readonly Device Sensor = new("bench", "Bench sensor", "south", Device.Http) { DueMinutes = 60 };
    static readonly DateTimeOffset Now = new(2031, 5, 24, 12, 0, 0, TimeSpan.Zero);

    static List<ClimateReading> Hours(int count, Func<int, double> celsius, int endedHoursAgo = 0) =>
        [
            .. Enumerable
                .Range(0, count)
                .Select(n => new ClimateReading("south", Now.AddHours(n - count + 1 - endedHoursAgo), celsius(n), 70)),
        ];

    static DeviceHealth Health(List<ClimateReading> last, TimeSpan? off = null) => DeviceState.Read(Sensor, last, Now, off).Health;

    [Fact]
    public void It_is_missed_when_its_time_is_over_and_well_again_with_the_next_reading()
    {
        Assert.Equal(DeviceHealth.New, Health([]));
        Assert.Equal(DeviceHealth.Well, Health(Hours(20, n => 10 + n, endedHoursAgo: 1)));
        Assert.Equal(DeviceHealth.Silent, Health(Hours(20, n => 10 + n, endedHoursAgo: 2)));
        var silent = DeviceState.Read(Sensor, Hours(20, n => 10 + n, endedHoursAgo: 3), Now);
        Assert.Equal(
            (DeviceHealth.Silent, "Bench sensor is silent since 3 h; it should send every 60 min."),
            (silent.Health, silent.Words)
        );
        Assert.Equal(DeviceHealth.Well, Health([.. Hours(20, n => 10 + n, endedHoursAgo: 3), new("south", Now, 12, 70)]));
        Assert.Equal("", DeviceState.Read(Sensor, Hours(20, n => 10 + n), Now).Words);
    }

    [Fact]
    public void A_file_that_the_grower_brings_is_never_missed() =>
        Assert.Equal(
            DeviceHealth.Well,
            DeviceState.Read(Sensor with { Way = Device.File }, Hours(20, n => n, endedHoursAgo: 400), Now).Health
        );

    [Fact]
    public void The_same_to_the_last_digit_for_half_a_day_is_stuck()
    {
        Assert.Equal(DeviceHealth.Stuck, Health(Hours(14, _ => 21.3)));
        Assert.Equal(DeviceHealth.Well, Health(Hours(11, _ => 21.3)));
        Assert.Equal(DeviceHealth.Well, Health(Hours(14, n => n == 13 ? 21.4 : 21.3)));
    }

    [Fact]
    public void What_cannot_be_is_said_of_its_device()
    {
        var last = Hours(5, n => n);
        last[^1] = last[^1] with { Doubt = "no place has 300 °C" };
        Assert.Equal(DeviceHealth.Doubted, Health(last));
    }

    static List<(DateTimeOffset At, DateTimeOffset Came)> Arrivals(Func<int, double> lagMinutes, int count = 8) =>
        [.. Enumerable.Range(0, count).Select(n => (Now.AddHours(n), Now.AddHours(n).AddMinutes(lagMinutes(n))))];

    [Fact]
    public void A_clock_an_hour_off_is_found_and_late_deliveries_are_no_clock()
    {
        Assert.Equal(TimeSpan.FromMinutes(61), HourOff.ByArrival(Arrivals(n => 60 + (n % 3))));
        Assert.Equal(TimeSpan.FromMinutes(-60), HourOff.ByArrival(Arrivals(_ => -60)));
        Assert.Null(HourOff.ByArrival(Arrivals(n => n % 3)));
        Assert.Null(HourOff.ByArrival(Arrivals(n => 60 - (n * 7)))); // kept back, and handed over one after the other
        Assert.Null(HourOff.ByArrival(Arrivals(_ => 60, count: 5)));
        var off = DeviceState.Read(Sensor, Hours(20, n => n), Now, TimeSpan.FromMinutes(60));
        Assert.Equal((DeviceHealth.ClockOff, "The clock of Bench sensor is 60 min behind."), (off.Health, off.Words));
    }

    [Theory]
    [InlineData(0, null)]
    [InlineData(1, 1)]
    [InlineData(-1, -1)]
    [InlineData(2, 2)]
    public void A_file_an_hour_off_is_found_against_what_is_on_record(int early, int? off)
    {
        var random = new Random(4);
        var course = Enumerable.Range(0, 120).Select(n => 15 + (6 * Math.Sin(n * 2 * Math.PI / 24)) + random.NextDouble()).ToList();
        List<ClimateReading> Series(double hours, double warmer) =>
            [
                .. course.Select(
                    (celsius, n) =>
                        new ClimateReading("south", Now.AddHours(n + hours), celsius + warmer + (0.1 * random.NextDouble()), null)
                ),
            ];
        Assert.Equal(off, HourOff.Against(Series(-early, 0.8), Series(0, 0)));
        Assert.Null(HourOff.Against(Series(-early, 0).Take(30), Series(0, 0)));
    }
}
