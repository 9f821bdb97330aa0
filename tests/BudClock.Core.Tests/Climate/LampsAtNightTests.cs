using BudClock.Core.Climate;
using CsCheck;

namespace BudClock.Core.Tests.Climate;

/// <summary>Rule B6: a lamp that the meter of a place saw, and what is none.</summary>
public class LampsAtNightTests
{
    static readonly Garden London = new("Glass", 51.5, 0.7, "Europe/London");
    static readonly Garden Cape = new("Glass", -33.9, 18.4, "Africa/Johannesburg");
    static readonly DateOnly Night = new(2031, 11, 10);

    static ClimateReading Reading(DateTime at, double? lux = null, double? ppfd = null) =>
        new("here", new(at, TimeSpan.Zero), 14, 70) { Lux = lux, Ppfd = ppfd };

    /// <summary>A day of light as the sun makes it, read every twenty minutes: dark at night, twilight at its ends.</summary>
    static IEnumerable<ClimateReading> Sunlit(Garden garden, DateOnly from, int days)
    {
        var calendar = new GardenDays(garden);
        for (var day = from; day < from.AddDays(days); day = day.AddDays(1))
        {
            var frame = calendar.Of(day);
            for (var minute = 0; minute < 24 * 60; minute += 20)
            {
                var at = day.ToDateTime(TimeOnly.MinValue).AddMinutes(minute);
                // Minutes of the sun above the horizon, negative below: bright by day, a few hundred lux as it sets, none soon after.
                var above = Math.Min(at.Ticks - frame.Rise, frame.Set - at.Ticks) / (double)TimeSpan.TicksPerMinute;
                yield return Reading(at, above > 0 ? 400 + (above * 40) : Math.Max(0, 400 + (above * 12)));
            }
        }
    }

    [Fact]
    public void Neither_sun_nor_twilight_is_a_lamp_at_any_time_of_the_year() =>
        Gen.Select(Gen.Int[0, 364], Gen.Bool)
            .Sample(
                one =>
                {
                    var garden = one.Item2 ? Cape : London;
                    var from = new DateOnly(2031, 1, 1).AddDays(one.Item1);
                    var record = PlaceRecord.Of(new(garden), Sunlit(garden, from, 3));
                    Assert.DoesNotContain(Enumerable.Range(0, 4), n => record.LitAtNight(from.AddDays(n)));
                },
                iter: 120
            );

    [Theory]
    [InlineData(20, 30, true)]
    [InlineData(23, 59, true)]
    [InlineData(0, 30, true)]
    [InlineData(4, 30, true)]
    [InlineData(12, 0, false)]
    public void A_lamp_costs_the_night_it_burns_in_and_no_other(int hour, int minute, bool costs)
    {
        var day = hour < 12 ? Night.AddDays(1) : Night;
        var lamp = Reading(day.ToDateTime(new(hour, minute)), 150);
        var record = PlaceRecord.Of(new(London), Sunlit(London, Night.AddDays(-1), 4).Append(lamp).OrderBy(reading => reading.At));
        Assert.Equal(costs, record.LitAtNight(Night.AddDays(1)));
        Assert.False(record.LitAtNight(Night) || record.LitAtNight(Night.AddDays(2)));
    }

    [Fact]
    public void In_photons_it_is_the_same_and_the_moon_is_none()
    {
        var midnight = Night.ToDateTime(new(23, 0));
        Assert.True(PlaceRecord.Of(new(London), [Reading(midnight, ppfd: 2)]).LitAtNight(Night.AddDays(1)));
        Assert.False(PlaceRecord.Of(new(London), [Reading(midnight, lux: 0.3)]).LitAtNight(Night.AddDays(1))); // a full moon
        Assert.False(PlaceRecord.Of(new(London), [Reading(midnight)]).LitAtNight(Night.AddDays(1))); // nobody measured
        Assert.False(PlaceRecord.Empty.LitAtNight(Night));
    }

    [Fact]
    public void Newer_days_take_the_place_of_older_ones()
    {
        var lamp = PlaceRecord.Of(new(London), [Reading(Night.ToDateTime(new(23, 0)), 150)]);
        var dark = PlaceRecord.Of(new(London), [Reading(Night.ToDateTime(new(23, 0)), 0)]);
        Assert.False(lamp.With(dark, Night, Night.AddDays(1)).LitAtNight(Night.AddDays(1)));
        Assert.True(dark.With(lamp, Night, Night.AddDays(1)).LitAtNight(Night.AddDays(1)));
        Assert.True(lamp.With(dark, Night.AddDays(5), Night.AddDays(6)).LitAtNight(Night.AddDays(1)));
    }
}
