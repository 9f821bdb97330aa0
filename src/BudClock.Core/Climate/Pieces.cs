namespace BudClock.Core.Climate;

/// <summary>
/// What readings say of one hour, or of its dark or its light half where the sun rises or sets in it: the grain that days, nights
/// and thinned readings are all made of.
/// </summary>
/// <param name="At">The first reading in it.</param>
/// <param name="Hours">The hours it speaks for; the halves of one hour share it by how many readings each holds.</param>
/// <param name="Photons">Mean µmol/m²/s; null where no light was read.</param>
public readonly record struct Piece(
    DateOnly Day,
    DayPart Part,
    DateTimeOffset At,
    double Hours,
    double? MeanC,
    double? MinC,
    double? MaxC,
    double? HumidityPct,
    double? Photons
);

/// <summary>Makes pieces of readings.</summary>
public static class Pieces
{
    /// <summary>The pieces of one place's readings, in the order of time. Readings that are not believed are not in them.</summary>
    public static IEnumerable<Piece> Of(GardenDays calendar, IEnumerable<ClimateReading> readings)
    {
        DayFrame? frame = null;
        var hour = new List<(ClimateReading Reading, DayPart Part)>();
        var slot = -1L;
        var day = default(DateOnly);
        foreach (var reading in Believed.Only(readings))
        {
            var ticks = reading.At.UtcTicks;
            if (frame is null || ticks < frame.From || ticks >= frame.To)
                frame = calendar.At(reading.At);
            // By the day and the hour of it, so that no hour lies in two days where a zone is half an hour off.
            var mine = (frame.Day.DayNumber * 100L) + ((ticks - frame.From) / TimeSpan.TicksPerHour);
            if (mine != slot && hour.Count > 0)
            {
                for (var part = DayPart.Morning; part <= DayPart.Evening; part++)
                    if (Cut(hour, day, part) is { } piece)
                        yield return piece;
                hour.Clear();
            }
            (slot, day) = (mine, frame.Day);
            hour.Add((reading, frame.PartOf(ticks)));
        }
        for (var part = DayPart.Morning; part <= DayPart.Evening; part++)
            if (Cut(hour, day, part) is { } piece)
                yield return piece;
    }

    /// <summary>What readings of one hour say of a part of the day; null where none of them lies in it.</summary>
    static Piece? Cut(List<(ClimateReading Reading, DayPart Part)> hour, DateOnly day, DayPart part)
    {
        if (hour is [var (only, its)])
            return its == part ? Of(only, day, part) : null;
        var single = 0;
        foreach (var (reading, _) in hour)
            single += reading.Hours is null ? 1 : 0;
        Tally? sum = null;
        DateTimeOffset at = default;
        foreach (var (reading, mine) in hour)
        {
            if (mine != part)
                continue;
            if (sum is null)
                (sum, at) = (new(), reading.At);
            sum.Add(reading, reading.Hours ?? (1.0 / single));
        }
        return sum?.ToPiece(day, part, at);
    }

    /// <summary>The usual case: one reading in its hour.</summary>
    static Piece Of(ClimateReading reading, DateOnly day, DayPart part) =>
        new(
            day,
            part,
            reading.At,
            reading.Hours ?? 1,
            reading.TemperatureC,
            reading.MinC ?? reading.TemperatureC,
            reading.MaxC ?? reading.TemperatureC,
            reading.HumidityPct,
            reading.Photons
        );
}

/// <summary>A running sum of readings or pieces, each by the hours that it speaks for.</summary>
sealed class Tally
{
    double hours,
        warm,
        warmHours,
        humid,
        humidHours,
        light,
        lightHours;
    double? min,
        max;

    public void Add(ClimateReading reading, double weight) =>
        Add(
            weight,
            reading.TemperatureC,
            reading.MinC ?? reading.TemperatureC,
            reading.MaxC ?? reading.TemperatureC,
            reading.HumidityPct,
            reading.Photons
        );

    public void Add(Piece piece) => Add(piece.Hours, piece.MeanC, piece.MinC, piece.MaxC, piece.HumidityPct, piece.Photons);

    void Add(double weight, double? mean, double? low, double? high, double? humidity, double? photons)
    {
        hours += weight;
        if (mean is { } celsius)
            (warm, warmHours) = (warm + (celsius * weight), warmHours + weight);
        if (low < (min ?? double.MaxValue))
            min = low;
        if (high > (max ?? double.MinValue))
            max = high;
        if (humidity is { } percent)
            (humid, humidHours) = (humid + (percent * weight), humidHours + weight);
        if (photons is { } bright)
            (light, lightHours) = (light + (bright * weight), lightHours + weight);
    }

    static double? Mean(double sum, double weight) => weight > 0 ? sum / weight : null;

    public Piece ToPiece(DateOnly day, DayPart part, DateTimeOffset at) =>
        new(day, part, at, hours, Mean(warm, warmHours), min, max, Mean(humid, humidHours), Mean(light, lightHours));

    public DayOfPlace ToDay(DateOnly day, MeasuredLight? measured) =>
        new(day, hours, min, max, Mean(warm, warmHours), Mean(humid, humidHours), measured);

    public NightOfPlace? ToNight(DateOnly ends) =>
        min is { } low && max is { } high ? new(ends, warmHours, low, Mean(warm, warmHours) ?? low, high) : null;
}
