using BudClock.Core.Climate;

namespace BudClock.Core.Evidence;

/// <summary>The weather of every place of a garden on one day: what was measured, and what is ahead.</summary>
public sealed class PlaceWeathers
{
    readonly Dictionary<string, (PlaceRecord Record, PlaceAhead Ahead, Weather Weather)> byPlace;

    /// <param name="places">In walking order.</param>
    /// <param name="of">The record and what is ahead of each.</param>
    public PlaceWeathers(
        GardenDays calendar,
        IReadOnlyList<Place> places,
        DateOnly today,
        Func<string, (PlaceRecord Record, PlaceAhead Ahead)> of
    )
    {
        Calendar = calendar;
        byPlace = Cores.Spread(places, place => (place.Code, Read(place)), worth: 8).ToDictionary(one => one.Code, one => one.Item2);
        All = [.. places.Select(place => new PlaceWeather(place, byPlace[place.Code].Weather))];

        (PlaceRecord Record, PlaceAhead Ahead, Weather Weather) Read(Place place)
        {
            var (record, ahead) = of(place.Code);
            return (record, ahead, Weather.Of(record, ahead, today, place));
        }
    }

    /// <summary>Read from a garden's own readings and forecasts.</summary>
    public static PlaceWeathers Of(GardenRecord record, DateOnly today)
    {
        var calendar = new GardenDays(record.Garden);
        var readings = record.Readings.ToLookup(reading => reading.Place);
        return new(calendar, record.Places, today, Read);

        (PlaceRecord, PlaceAhead) Read(string place)
        {
            var until = calendar.Of(today).To;
            var measured = PlaceRecord.Of(calendar, readings[place].Where(reading => reading.At.UtcTicks < until));
            return (measured, PlaceAhead.Read(place, today, measured, record.Forecast));
        }
    }

    /// <summary>The days and nights they are told by.</summary>
    public GardenDays Calendar { get; }

    /// <summary>Every place with its weather, in walking order.</summary>
    public IReadOnlyList<PlaceWeather> All { get; }

    /// <summary>The weather at a place; unknown for a plant without one.</summary>
    public Weather At(string? place) => Find(place)?.Weather ?? Weather.Unknown;

    /// <summary>The record of a place; empty where nothing was measured.</summary>
    public PlaceRecord RecordOf(string? place) => Find(place)?.Record ?? PlaceRecord.Empty;

    /// <summary>What is ahead for a place.</summary>
    public PlaceAhead AheadOf(string? place) => Find(place)?.Ahead ?? PlaceAhead.None;

    /// <summary>The mean vapour pressure deficit of each day at a place, kPa; null for a day without readings.</summary>
    public Func<DateOnly, double?> VpdAt(string? place)
    {
        var record = RecordOf(place);
        return day => record.Day(day)?.VpdKPa;
    }

    (PlaceRecord Record, PlaceAhead Ahead, Weather Weather)? Find(string? place) =>
        place is not null && byPlace.TryGetValue(place, out var known) ? known : null;
}
