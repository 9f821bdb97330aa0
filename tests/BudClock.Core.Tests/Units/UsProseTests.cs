namespace BudClock.Core.Tests.Units;

/// <summary>Values by NIST SP 811, appendix B: 1 in is 2.54 cm, 1 US fl oz 29.57353 mL, 32 °F is 0 °C.</summary>
public class UsProseTests
{
    [Theory]
    [InlineData("Roots 8.5 of 10 cm.", "Roots 3.3 of 3.9 in.")]
    [InlineData("nights 14 °C: first soak today", "nights 57 °F: first soak today")]
    [InlineData("a night was down to −2 °C", "a night was down to 28 °F")]
    [InlineData("14.1 / 12 °C", "57 / 54 °F")]
    [InlineData("25–30 °C", "77–86 °F")]
    [InlineData("the tray was down to 0.4 cm yesterday: refill to 2.5 cm", "the tray was down to 0.2 in yesterday: refill to 1 in")]
    [InlineData("Watered 300 mL", "Watered 1.3 cup")]
    [InlineData("Watered 500 mL", "Watered 2.1 cups")]
    [InlineData("60 mL from below", "2 fl oz from below")]
    [InlineData("Mix 8 L for 3 plants", "Mix 2.1 gal for 3 plants")]
    [InlineData("11 × 10 cm plastic pot", "4.3 × 3.9 in plastic pot")]
    [InlineData("0.35 cm a day", "0.1 in a day")]
    [InlineData("2 mL per L of water, 5 mL in 1 L", "2 mL per L of water, 5 mL in 1 L")]
    [InlineData("1 mL Bloom liquid", "1 mL Bloom liquid")]
    [InlineData("640 g, 460 ppm, 60 %, 24 May", "640 g, 460 ppm, 60 %, 24 May")]
    [InlineData("C-10 cm, #31 L", "C-10 cm, #31 L")]
    public void Quantities_are_said_as_a_us_gardener_reads_them(string metric, string us) => Assert.Equal(us, UsProse.Of(metric));
}
