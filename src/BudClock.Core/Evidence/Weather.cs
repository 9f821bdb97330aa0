using BudClock.Core.Climate;

namespace BudClock.Core.Evidence;

/// <summary>Rules V4, E3, E4 and E7: what a place has been, by whole garden days, and what is forecast for it.</summary>
/// <param name="Nights">The coolest reading of each night, dated by the day on which it ended, newest first.</param>
/// <param name="Days">The warmest reading of each day, newest first.</param>
/// <param name="Humidity">The mean relative humidity of each day, percent, newest first.</param>
/// <param name="Ahead">Forecast days from today on, in their order.</param>
public sealed record Weather(
    IReadOnlyList<Seen<double>> Nights,
    IReadOnlyList<Seen<double>> Days,
    IReadOnlyList<Seen<double>> Humidity,
    IReadOnlyList<DayAhead> Ahead
)
{
    /// <summary>The coolest so far of the night that has begun this evening; null by day.</summary>
    public Seen<double>? Tonight { get; init; }

    /// <summary>What was measured of each day's light, newest first.</summary>
    public IReadOnlyList<Seen<LightEstimate>> Light { get; init; } = [];

    /// <summary>The nights of last year from this date on, as far as a late cold night is to be feared; empty where not measured.</summary>
    public IReadOnlyList<Seen<double>> LastYear { get; init; } = [];

    /// <summary>So many days on, last year's nights are looked at.</summary>
    public const int LateDays = 45;

    /// <summary>What is ahead is this place's own, learned from what it made of earlier weather, even of a room.</summary>
    public bool AheadIsOwn => Ahead.Count > 0 && Ahead[0].From is not AheadFrom.Outside;

    /// <summary>Nothing measured, nothing forecast.</summary>
    public static readonly Weather Unknown = new([], [], [], []);

    /// <summary>How many days back readings are read.</summary>
    public const int Kept = 14;

    /// <summary>The coolest night of the last days, °C; null when none was measured.</summary>
    public Seen<double>? CoolestNight(DateOnly today, int days)
    {
        var coolest = Within(Nights, today, days).MinBy(night => night.Value);
        return Tonight is { } evening && !(coolest?.Value <= evening.Value) ? evening : coolest;
    }

    /// <summary>The last measured night, °C; null when none was in the last days.</summary>
    public Seen<double>? LastNight(DateOnly today, int days) => Within(Nights, today, days).FirstOrDefault();

    /// <summary>How many of the last days had a reading above a limit, and the warmest of them.</summary>
    public (int Count, Seen<double>? Warmest) HotDays(DateOnly today, int days, double limit)
    {
        var hot = Within(Days, today, days).Where(day => day.Value > limit).ToList();
        return (hot.Count, hot.MaxBy(day => day.Value));
    }

    /// <summary>The mean humidity of the last days, percent; null when it was not measured.</summary>
    public Seen<double>? MeanHumidity(DateOnly today, int days) =>
        Within(Humidity, today, days).ToList() is { Count: > 0 } known ? new(known.Average(day => day.Value), known[0].On) : null;

    /// <summary>The first forecast night below a limit within so many days; null for none.</summary>
    public DayAhead? FirstBelow(double limit, DateOnly today, int days) =>
        Ahead.FirstOrDefault(day => day.On < today.AddDays(days) && day.MinC < limit);

    /// <summary>The last forecast night below a limit within so many days; null for none.</summary>
    public DayAhead? LastBelow(double limit, DateOnly today, int days) =>
        Ahead.LastOrDefault(day => day.On < today.AddDays(days) && day.MinC < limit);

    /// <summary>The first night within so many days that may go below a limit, though it is not likely to; null for none.</summary>
    public DayAhead? FirstPerhapsBelow(double limit, DateOnly today, int days) =>
        Ahead.FirstOrDefault(day => day.On < today.AddDays(days) && day.MinC >= limit && day.MinLowC < limit);

    /// <summary>The first of two days one after the other that are forecast above a limit, within so many days; null for none.</summary>
    public DayAhead? FirstHotSpell(double limit, DateOnly today, int days) =>
        Ahead
            .Zip(Ahead.Skip(1))
            .FirstOrDefault(pair => pair.First.On < today.AddDays(days) && pair.First.MaxC > limit && pair.Second.MaxC > limit)
            .First;

    /// <summary>The mean daily light of the last days, mol/m²/day, dated by the newest; null where it was not measured.</summary>
    public Seen<LightEstimate>? MeanLight(DateOnly today, int days)
    {
        var known = Light.Where(seen => seen.On <= today && seen.On > today.AddDays(-days)).ToList();
        // Today is not over: it counts only where nothing else is known.
        if (known.Any(seen => seen.On < today))
            known.RemoveAll(seen => seen.On == today);
        return known.Count == 0
            ? null
            : new(
                new(
                    known.Average(day => day.Value.Dli),
                    known.Average(day => day.Value.Low),
                    known.Average(day => day.Value.High),
                    known[0].Value.From
                ),
                known[0].On
            );
    }

    /// <summary>The first forecast night that stays above a limit within so many days; null for none.</summary>
    public DayAhead? FirstWarmNight(double limit, DateOnly today, int days) =>
        Ahead.FirstOrDefault(day => day.On < today.AddDays(days) && day.MinC > limit);

    static IEnumerable<Seen<double>> Within(IReadOnlyList<Seen<double>> series, DateOnly today, int days) =>
        series.Where(seen => seen.On <= today && seen.On > today.AddDays(-days));

    /// <summary>The same nights, days and forecast.</summary>
    public bool Same(Weather other) =>
        Nights.SequenceEqual(other.Nights)
        && Days.SequenceEqual(other.Days)
        && Humidity.SequenceEqual(other.Humidity)
        && Ahead.SequenceEqual(other.Ahead)
        && Light.SequenceEqual(other.Light)
        && LastYear.SequenceEqual(other.LastYear)
        && Tonight == other.Tonight;

    /// <summary>The weather of one place up to a day.</summary>
    /// <param name="place">The place, where it is known what lights it.</param>
    public static Weather Of(PlaceRecord record, PlaceAhead ahead, DateOnly today, Place? place = null)
    {
        var days = Enumerable.Range(0, Kept).Select(back => record.Day(today.AddDays(-back))).OfType<DayOfPlace>().ToList();
        var nights = Enumerable.Range(0, Kept).Select(back => record.Night(today.AddDays(-back))).OfType<NightOfPlace>();
        return new(
            [.. nights.Select(night => new Seen<double>(night.CoolestC, night.Ends))],
            [.. from day in days where day.MaxC is not null select new Seen<double>(day.MaxC!.Value, day.Day)],
            [.. from day in days where day.HumidityPct is not null select new Seen<double>(day.HumidityPct!.Value, day.Day)],
            [.. ahead.Days14]
        )
        {
            Tonight = record.Night(today.AddDays(1)) is { } evening ? new(evening.CoolestC, today) : null,
            LastYear = [.. LateNights(record, today)],
            Light = [.. from day in days where day.Light is not null select new Seen<LightEstimate>(LightOf(day.Light!, place), day.Day)],
        };
    }

    static LightEstimate LightOf(MeasuredLight measured, Place? place) =>
        place is { Window: "none", LampHours: > 0 and var hours } ? measured.UnderLamps(hours) : measured.Estimate;

    static IEnumerable<Seen<double>> LateNights(PlaceRecord record, DateOnly today) =>
        Enumerable
            .Range(0, LateDays)
            .Select(on => record.Night(today.AddYears(-1).AddDays(on)))
            .OfType<NightOfPlace>()
            .Select(night => new Seen<double>(night.CoolestC, night.Ends));
}
