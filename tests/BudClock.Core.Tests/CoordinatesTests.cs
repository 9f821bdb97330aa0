namespace BudClock.Core.Tests;

/// <summary>Positions as ISO 6709 and common practice write them; the cities' values are from memory, to a tenth of a degree.</summary>
public class CoordinatesTests
{
    [Theory]
    [InlineData("40.7 N 74 W", 40.7, -74)] // New York
    [InlineData("51°30'N, 0°42'E", 51.5, 0.7)]
    [InlineData("51° 30' 0\" N 0° 42' 0\" E", 51.5, 0.7)]
    [InlineData("N 51 30 E 0 42", 51.5, 0.7)]
    [InlineData("N51.5 E0.7", 51.5, 0.7)]
    [InlineData("51 30 N 0 42 E", 51.5, 0.7)]
    [InlineData("0.7 E 51.5 N", 51.5, 0.7)]
    [InlineData("-33.9, 18.4", -33.9, 18.4)] // Cape Town
    [InlineData("33.9 south 18.4 east", -33.9, 18.4)]
    [InlineData("33,9 S 18,4 E", -33.9, 18.4)]
    [InlineData("51.5,0.7", 51.5, 0.7)]
    [InlineData("51,5 0,7", 51.5, 0.7)]
    [InlineData("lat 51.5 lon -0.1", 51.5, -0.1)]
    [InlineData("Latitude: 51.5, Longitude: -0.1", 51.5, -0.1)]
    [InlineData("35.7 N. 139.7 E.", 35.7, 139.7)] // Tokyo
    [InlineData("−12.05; −77.05", -12.05, -77.05)] // Lima
    public void A_position_is_read_as_people_write_it(string written, double latitude, double longitude)
    {
        var read = Coordinates.Read(written);
        Assert.NotNull(read);
        Assert.Equal((latitude, longitude), (read.Latitude, read.Longitude));
        Assert.Equal(read, Coordinates.Read(read.ToString()));
    }

    [Theory]
    [InlineData("")]
    [InlineData("51.5")]
    [InlineData("north of the river")]
    [InlineData("91 N 0 E")]
    [InlineData("51.5 N 181 E")]
    [InlineData("51 75 N 0 0 E")] // no 75 minutes
    [InlineData("51.5 N 0.7 N")]
    [InlineData("51.5 E 0.7 E")]
    [InlineData("-51.5 S 0.7 E")]
    [InlineData("51 N 0 7 E 3")]
    [InlineData("1 2 3")]
    public void What_is_no_position_is_none(string written) => Assert.Null(Coordinates.Read(written));

    [Theory]
    [InlineData("51.5, 0.7", "Europe/London", true)]
    [InlineData("40.7 N 74 W", "America/New_York", true)]
    [InlineData("40.7 N 74 W", "Europe/London", false)]
    [InlineData("39.5 N 76 E", "Asia/Shanghai", true)] // Kashgar keeps the clock of the coast
    [InlineData("-13.8, -171.8", "Pacific/Apia", true)] // Samoa, beyond the date line
    [InlineData("-37, 175", "America/Los_Angeles", false)]
    public void A_zone_far_from_its_sun_is_asked_about(string written, string zone, bool sound) =>
        Assert.Equal(sound, Coordinates.Read(written)!.ZoneFault(TimeZoneInfo.FindSystemTimeZoneById(zone)) is null);
}
