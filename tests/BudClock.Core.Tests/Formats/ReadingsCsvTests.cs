using BudClock.Core.Formats;

namespace BudClock.Core.Tests.Formats;

/// <summary>Loggers' files: any layout, any clock, °F, and what is wrong with a line named.</summary>
public class ReadingsCsvTests
{
    static readonly Garden London = new("Glass", 51.5, 0.7, "Europe/London");
    static readonly Garden Denver = new("Glass", 40, -105, "America/Denver", UsUnits: true);
    static readonly DateTimeOffset Now = new(2031, 12, 1, 0, 0, 0, TimeSpan.Zero);

    static ReadingsRead Read(string csv, Garden? garden = null, LoggerLayout? layout = null) =>
        ReadingsCsv.Read(csv, "south", "logger", garden ?? London, layout, Now);

    [Fact]
    public void Fahrenheit_and_local_time_with_lines_of_its_own_before_the_headings()
    {
        var read = Read(
            "\"Logger 4\"\n\"By hand\"\nDate/Time,Temp (°F),RH (%)\n07/15/2031 01:00,57.2,80\n07/15/2031 02:00,50,82\n",
            Denver
        );
        Assert.Empty(read.Faults);
        Assert.True(read.Layout.Fahrenheit && read.Layout.MonthFirst);
        Assert.Equal(
            [("2031-07-15T07:00:00Z", 14d, 80d), ("2031-07-15T08:00:00Z", 10d, 82d)],
            read.Readings.Select(r =>
                (r.At.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss'Z'", null), r.TemperatureC!.Value, r.HumidityPct!.Value)
            )
        );
    }

    [Fact]
    public void Semicolons_decimal_commas_a_date_apart_and_blanks_for_nothing()
    {
        var read = Read("Datum date;time;temp;humidity\n20.05.2031;02:00;13,5;81\n20.05.2031;03:00;--;82\n20.05.2031;04:00;;\n");
        Assert.Empty(read.Faults);
        Assert.Equal([(13.5, 81d), (double.NaN, 82d)], read.Readings.Select(r => (r.TemperatureC ?? double.NaN, r.HumidityPct!.Value)));
    }

    [Fact]
    public void The_hour_that_comes_twice_in_autumn_is_read_as_two_in_either_direction()
    {
        string[] lines = ["26/10/2031 00:30,10", "26/10/2031 01:30,9", "26/10/2031 01:30,8", "26/10/2031 02:30,7"];
        foreach (var order in new[] { lines, [.. lines.Reverse()] })
        {
            var read = Read("time,temperature\n" + string.Join("\n", order));
            Assert.Equal([23, 0, 1, 2], read.Readings.Select(r => r.At.UtcDateTime.Hour));
            Assert.Equal([10, 9, 8, 7], read.Readings.Select(r => r.TemperatureC!.Value));
        }
    }

    [Fact]
    public void A_time_that_summer_time_skipped_is_a_clock_that_was_not_put_forward_and_the_way_out_is_named()
    {
        const string csv = "time,temperature\n2031-03-30 00:30,5\n2031-03-30 01:30,4\n2031-03-30 02:30,3\n";
        var read = Read(csv);
        Assert.Contains("line 3: 30 Mar 2031 01:30 was skipped when the clock went forward", Assert.Single(read.Faults).ToString());
        Assert.Empty(read.Readings);
        var standard = Read(csv, layout: read.Layout with { Clock = LoggerLayout.StandardClock });
        Assert.Equal([0, 1, 2], standard.Readings.Select(r => r.At.UtcDateTime.Hour));
    }

    [Fact]
    public void A_time_with_its_own_offset_needs_no_clock_and_utc_is_utc()
    {
        Assert.Equal(22, Read("time,temperature\n2031-07-01T00:00:00+02:00,5\n").Readings.Single().At.UtcDateTime.Hour);
        Assert.Equal(
            0,
            Read(
                "time,temperature\n2031-07-01 00:00,5\n",
                layout: new()
                {
                    Time = "time",
                    Temperature = "temperature",
                    Clock = LoggerLayout.Utc,
                }
            )
                .Readings.Single()
                .At.UtcDateTime.Hour
        );
    }

    [Fact]
    public void Every_fault_has_its_line_and_nothing_is_taken_of_a_file_with_one()
    {
        var read = Read("time,temperature\n2031-05-20 02:00,13\nyesterday,12\n2031-05-20 04:00,warm\n");
        Assert.Equal(["line 3", "line 4, temperature"], read.Faults.Select(fault => fault.Place));
        Assert.Empty(read.Readings);
    }

    [Fact]
    public void What_cannot_be_is_kept_and_marked()
    {
        var read = Read(
            "time,temperature,humidity\n2031-05-20 02:00,300,80\n2031-05-20 03:00,14,140\n1970-01-01 00:00,14,80\n2031-05-20 04:00,14,80\n"
        );
        Assert.Empty(read.Faults);
        Assert.Equal(3, read.Readings.Count(reading => reading.Doubt is not null));
    }

    [Theory]
    [InlineData("")]
    [InlineData("a,b\n1,2\n")]
    [InlineData("<!doctype html><h1>no</h1>")]
    [InlineData("time,temperature")]
    public void What_is_no_file_of_readings_is_said(string text) =>
        Assert.True(
            Read(text) is { Readings.Count: 0 } read && (read.Faults.Count > 0 || text.StartsWith("time", StringComparison.Ordinal))
        );

    [Fact]
    public void A_layout_whose_columns_are_not_there_names_what_is() =>
        Assert.Contains(
            "its columns are time, temperature",
            Assert
                .Single(
                    Read("time,temperature\n2031-05-20 02:00,13\n", layout: new() { Time = "When", Temperature = "temperature" }).Faults
                )
                .ToString()
        );

    [Fact]
    public void Our_own_file_reads_back()
    {
        ClimateReading[] readings =
        [
            new("south", new(2031, 10, 26, 0, 30, 0, TimeSpan.Zero), 9.25, 81) { Lux = 1200, Device = "logger" },
            new("south", new(2031, 10, 26, 1, 30, 0, TimeSpan.Zero), -3.5, null) { Device = "logger" },
        ];
        using var text = new StringWriter();
        ReadingsCsv.Write(text, readings, London.Zone);
        Assert.Equal(readings, Read(text.ToString()).Readings.Select(r => r with { At = r.At.ToUniversalTime() }));
    }
}
