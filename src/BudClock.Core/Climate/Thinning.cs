namespace BudClock.Core.Climate;

/// <summary>
/// Old readings made fewer: after two years hours, after five years the parts of a day, so that the record stays as it is.
/// </summary>
/// <remarks>
/// A place's days and nights (lowest, highest, mean, hours) are the same before and after. What is lost is the course within an hour,
/// later within a morning, a day's light and an evening. Readings that are not believed stay as they are.
/// </remarks>
public static class Thinning
{
    /// <summary>Older readings become hours, years.</summary>
    public const int HoursAfterYears = 2;

    /// <summary>Older readings become the parts of their day, years.</summary>
    public const int PartsAfterYears = 5;

    /// <summary>Readings of this day and earlier are thinned to hours.</summary>
    public static DateOnly HoursUntil(DateOnly today) => today.AddYears(-HoursAfterYears);

    /// <summary>Readings of this day and earlier are thinned to the parts of a day.</summary>
    public static DateOnly PartsUntil(DateOnly today) => today.AddYears(-PartsAfterYears);

    /// <summary>What one place's readings become; those that are not old stay as they are.</summary>
    public static IReadOnlyList<ClimateReading> Thin(GardenDays calendar, IReadOnlyList<ClimateReading> readings, DateOnly today)
    {
        if (readings.Count == 0)
            return [];
        var (place, hours) = (readings[0].Place, calendar.Of(HoursUntil(today)).To);
        var old = readings.Where(reading => reading.At.UtcTicks < hours && reading.Doubt is null).ToList();
        var parts = PartsUntil(today);
        var pieces = Pieces
            .Of(calendar, old)
            .GroupBy(piece => piece.Day > parts ? (piece.Day, piece.Part, piece.At) : (piece.Day, piece.Part, default));
        return
        [
            .. pieces.Select(group => Join(place, [.. group])),
            .. readings.Where(reading => reading.At.UtcTicks >= hours || reading.Doubt is not null),
        ];
    }

    static ClimateReading Join(string place, IReadOnlyList<Piece> pieces)
    {
        var sum = new Tally();
        foreach (var piece in pieces)
            sum.Add(piece);
        var whole = sum.ToPiece(pieces[0].Day, pieces[0].Part, pieces[0].At);
        return new(place, whole.At, whole.MeanC, whole.HumidityPct)
        {
            Hours = whole.Hours,
            MinC = whole.MinC,
            MaxC = whole.MaxC,
            Ppfd = whole.Photons,
        };
    }
}
