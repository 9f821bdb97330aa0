namespace BudClock.Core.Climate;

/// <summary>Where a place's forecast is taken from.</summary>
public enum AheadFrom
{
    /// <summary>The weather outside as it is forecast; what the place makes of it is not known yet.</summary>
    Outside,

    /// <summary>Said for this place by the grower.</summary>
    Place,

    /// <summary>The weather outside with what this place makes of it.</summary>
    Learned,

    /// <summary>A room that keeps its own temperature.</summary>
    Own,
}

/// <summary>What is ahead for a place on a day.</summary>
/// <param name="MinC">The likely lowest, °C: of the night that ends on that day.</param>
/// <param name="MaxC">The likely highest by day, °C.</param>
public sealed record DayAhead(DateOnly On, double? MinC, double? MaxC)
{
    /// <summary>
    /// Eight nights in ten are not colder than this and not warmer than <see cref="MinHighC"/>; null where it is not learned.
    /// </summary>
    public double? MinLowC { get; init; }

    /// <summary>The warm end of the night's range, °C.</summary>
    public double? MinHighC { get; init; }

    /// <summary>The cool end of the day's range, °C.</summary>
    public double? MaxLowC { get; init; }

    /// <summary>The hot end of the day's range, °C.</summary>
    public double? MaxHighC { get; init; }

    /// <summary>Hours of sun; null where not said.</summary>
    public double? SunHours { get; init; }

    /// <summary>Relative humidity outside, percent; null where not said.</summary>
    public double? HumidityPct { get; init; }

    /// <summary>Where it is taken from.</summary>
    public AheadFrom From { get; init; }
}

/// <summary>What a place makes of the weather outside, and what is ahead for it.</summary>
/// <param name="Nights">Learned of its nights; null while too few are known.</param>
/// <param name="Days">Learned of its days; null likewise.</param>
/// <param name="Days14">The days from today on that something is said of, in their order.</param>
public sealed record PlaceAhead(LearnedOffset? Nights, LearnedOffset? Days, IReadOnlyList<DayAhead> Days14)
{
    /// <summary>Nothing is forecast.</summary>
    public static readonly PlaceAhead None = new(null, null, []);

    /// <summary>How far ahead a forecast is read, days.</summary>
    public const int Furthest = 14;

    /// <summary>How far back outcomes are learned from, days.</summary>
    public const int Remembered = 150;

    /// <summary>Reads what is ahead for a place.</summary>
    /// <param name="forecast">All forecasts, of any place and of the weather outside, as they were made.</param>
    public static PlaceAhead Read(string place, DateOnly today, PlaceRecord record, IReadOnlyCollection<ForecastDay> forecast)
    {
        var mine = Newest(forecast.Where(day => day.Place == place), today);
        var outside = forecast.Where(day => day.Place is null).ToList();
        var (nights, days) = (
            Learn(outside, today, day => day.MinC, day => record.Night(day)?.CoolestC),
            Learn(outside, today, day => day.MaxC, day => record.Day(day)?.MaxC)
        );
        var next = Newest(outside, today);
        return new(
            nights,
            days,
            [
                .. mine
                    .Keys.Union(next.Keys)
                    .Order()
                    .Select(day => mine.TryGetValue(day, out var own) ? Own(own) : Learned(next[day], today, nights, days)),
            ]
        );
    }

    /// <summary>The newest forecast of each day from today on.</summary>
    static Dictionary<DateOnly, ForecastDay> Newest(IEnumerable<ForecastDay> forecast, DateOnly today) =>
        forecast
            .Where(day => day.On >= today && day.On < today.AddDays(Furthest) && !(day.Made > today))
            .GroupBy(day => day.On)
            .ToDictionary(day => day.Key, day => day.MaxBy(one => one.Made ?? DateOnly.MinValue)!);

    static LearnedOffset? Learn(
        IEnumerable<ForecastDay> outside,
        DateOnly today,
        Func<ForecastDay, double?> forecast,
        Func<DateOnly, double?> measured
    ) =>
        LearnedOffset.Learn(
            from day in outside
            where day.On <= today && day.On > today.AddDays(-Remembered)
            let said = forecast(day)
            let had = measured(day.On)
            where said is not null && had is not null
            let lead = day.Made is { } made ? Math.Max(0, day.On.DayNumber - made.DayNumber) : 1
            select new ForecastOutcome(day.On, lead, said.Value, had.Value)
        );

    static DayAhead Own(ForecastDay day) =>
        new(day.On, day.MinC, day.MaxC)
        {
            SunHours = day.SunHours,
            HumidityPct = day.HumidityPct,
            From = AheadFrom.Place,
        };

    static DayAhead Learned(ForecastDay day, DateOnly today, LearnedOffset? nights, LearnedOffset? days)
    {
        var lead = day.On.DayNumber - (day.Made ?? today).DayNumber;
        var (min, max) = (Say(day.MinC, nights, lead), Say(day.MaxC, days, lead));
        return new(day.On, min?.Likely ?? day.MinC, max?.Likely ?? day.MaxC)
        {
            MinLowC = min?.Low,
            MinHighC = min?.High,
            MaxLowC = max?.Low,
            MaxHighC = max?.High,
            SunHours = day.SunHours,
            HumidityPct = day.HumidityPct,
            From =
                nights is null ? AheadFrom.Outside
                : nights.Follows ? AheadFrom.Learned
                : AheadFrom.Own,
        };
    }

    static (double Likely, double Low, double High)? Say(double? forecast, LearnedOffset? learned, int lead) =>
        forecast is { } said ? learned?.At(said, lead) : null;
}
