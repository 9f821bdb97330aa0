namespace BudClock.Core.Climate;

/// <summary>What one garden day at a place has been, from midnight to midnight.</summary>
/// <param name="Hours">Hours of it that readings speak for.</param>
/// <param name="MinC">The lowest believed temperature, °C; null where none was read.</param>
/// <param name="MaxC">The highest, °C.</param>
/// <param name="MeanC">The mean of its hours, °C, each hour counted once however often it was read.</param>
/// <param name="HumidityPct">The mean relative humidity of its hours, percent.</param>
/// <param name="Light">What was measured of light; null where nothing was.</param>
public sealed record DayOfPlace(
    DateOnly Day,
    double Hours,
    double? MinC,
    double? MaxC,
    double? MeanC,
    double? HumidityPct,
    MeasuredLight? Light
)
{
    /// <summary>The vapour pressure deficit of the day's mean air, kPa (rule E7); null without temperature or humidity.</summary>
    public double? VpdKPa { get; } = MeanC is { } celsius && HumidityPct is { } humidity ? Vpd.KPa(celsius, humidity) : null;
}

/// <summary>One night at a place, from sunset to sunrise, named by the day on which it ends.</summary>
/// <param name="Hours">Hours of it that readings speak for.</param>
/// <param name="CoolestC">The lowest reading, °C.</param>
/// <param name="MeanC">The mean of its hours, °C.</param>
/// <param name="WarmestC">The highest reading, °C.</param>
public sealed record NightOfPlace(DateOnly Ends, double Hours, double CoolestC, double MeanC, double WarmestC);

/// <summary>
/// A place by its whole garden days and nights: the one estimator behind every page, rule and report. Shuffled, doubled or late
/// readings give the same record, and so do readings that were thinned.
/// </summary>
public sealed class PlaceRecord
{
    readonly SortedDictionary<DateOnly, DayOfPlace> days;
    readonly SortedDictionary<DateOnly, NightOfPlace> nights;

    /// <summary>Nights in which a lamp was measured, by the day on which they end.</summary>
    readonly HashSet<DateOnly> lit;

    /// <summary>The days once more, for who asks for one of them: every plant does, for many.</summary>
    readonly Dictionary<int, DayOfPlace> byNumber;

    PlaceRecord(SortedDictionary<DateOnly, DayOfPlace> days, SortedDictionary<DateOnly, NightOfPlace> nights, HashSet<DateOnly> lit) =>
        (this.days, this.nights, this.lit, byNumber) = (days, nights, lit, days.ToDictionary(day => day.Key.DayNumber, day => day.Value));

    /// <summary>Nothing was measured there.</summary>
    public static readonly PlaceRecord Empty = new([], [], []);

    /// <summary>Its days, the earliest first; days without readings are not among them.</summary>
    public IReadOnlyCollection<DayOfPlace> Days => days.Values;

    /// <summary>Its nights, the earliest first; nights without a temperature are not among them.</summary>
    public IReadOnlyCollection<NightOfPlace> Nights => nights.Values;

    /// <summary>A day; null where nothing was read.</summary>
    public DayOfPlace? Day(DateOnly day) => byNumber.GetValueOrDefault(day.DayNumber);

    /// <summary>The night that ends on a day; null where no temperature was read in it.</summary>
    public NightOfPlace? Night(DateOnly ends) => nights.GetValueOrDefault(ends);

    /// <summary>Whether a meter saw a lamp in the night that ends on a day; false where no light was measured.</summary>
    public bool LitAtNight(DateOnly ends) => lit.Contains(ends);

    /// <summary>The record of one place.</summary>
    /// <param name="readings">Of that place only, in any order; readings that are not believed are passed over.</param>
    public static PlaceRecord Of(GardenDays calendar, IEnumerable<ClimateReading> readings)
    {
        SortedDictionary<DateOnly, DayOfPlace> days = [];
        SortedDictionary<DateOnly, NightOfPlace> nights = [];
        HashSet<DateOnly> lit = [];
        var (day, night, light) = (new Tally(), new Tally(), new List<Piece>());
        (DayFrame? Frame, DateOnly? Night) now = default;
        foreach (var piece in Pieces.Of(calendar, readings))
        {
            if (piece.Day != now.Frame?.Day)
            {
                EndDay(days, now.Frame, day, light);
                now.Frame = calendar.Of(piece.Day);
                (day, light) = (new(), []);
            }
            day.Add(piece);
            if (piece.Photons is not null)
                light.Add(piece);
            if (now.Frame!.NightOf(piece.Part) is not { } mine)
                continue;
            if (mine != now.Night)
            {
                EndNight(nights, now.Night, night);
                (now.Night, night) = (mine, new());
            }
            night.Add(piece);
            if (Darkness.Broken(piece, now.Frame))
                lit.Add(mine);
        }
        EndDay(days, now.Frame, day, light);
        EndNight(nights, now.Night, night);
        return new(days, nights, lit);
    }

    static void EndDay(SortedDictionary<DateOnly, DayOfPlace> days, DayFrame? frame, Tally day, List<Piece> light)
    {
        if (frame is not null)
            days[frame.Day] = day.ToDay(frame.Day, light.Count == 0 ? null : MeasuredLight.Of(frame, light));
    }

    static void EndNight(SortedDictionary<DateOnly, NightOfPlace> nights, DateOnly? ends, Tally night)
    {
        if (ends is { } day && night.ToNight(day) is { } told)
            nights[day] = told;
    }

    /// <summary>The same record with some days, and the nights that end on them, as another record has them.</summary>
    public PlaceRecord With(PlaceRecord fresh, DateOnly from, DateOnly to)
    {
        SortedDictionary<DateOnly, DayOfPlace> all = new(days);
        SortedDictionary<DateOnly, NightOfPlace> dark = new(nights);
        HashSet<DateOnly> lamps = [.. lit.Where(day => day < from || day > to), .. fresh.lit.Where(day => day >= from && day <= to)];
        for (var day = from; day <= to; day = day.AddDays(1))
        {
            all.Remove(day);
            dark.Remove(day);
            if (fresh.Day(day) is { } light)
                all[day] = light;
            if (fresh.Night(day) is { } night)
                dark[day] = night;
        }
        return new(all, dark, lamps);
    }

    /// <summary>How many nights were at or below a temperature, of those that ended from one day to another, both counted.</summary>
    /// <returns>Those that qualified, those that were measured, and those nobody measured, which count for nothing.</returns>
    public (int AtOrBelow, int Measured, int Unknown) CountNights(double celsius, DateOnly from, DateOnly to)
    {
        var (count, measured) = (0, 0);
        for (var day = from; day <= to; day = day.AddDays(1))
            if (Night(day) is { } night)
                (count, measured) = (count + (night.CoolestC <= celsius ? 1 : 0), measured + 1);
        return (count, measured, Math.Max(0, to.DayNumber - from.DayNumber + 1) - measured);
    }

    /// <summary>
    /// Degree-days above a base from one day to another, both counted: the sum of (highest + lowest) / 2 − base where that is
    /// positive. Days without readings add nothing and are counted apart.
    /// </summary>
    /// <remarks>The simple average method (McMaster and Wilhelm 1997, method 1; from memory).</remarks>
    public (double DegreeDays, int Unknown) DegreeDays(double baseC, DateOnly from, DateOnly to)
    {
        var (sum, unknown) = (0d, 0);
        for (var day = from; day <= to; day = day.AddDays(1))
            if (Day(day) is { MinC: { } low, MaxC: { } high })
                sum += Math.Max(0, ((low + high) / 2) - baseC);
            else
                unknown++;
        return (sum, unknown);
    }
}
