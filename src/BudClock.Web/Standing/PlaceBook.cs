using System.Collections.Concurrent;
using BudClock.Core.Climate;
using BudClock.Core.Evidence;
using BudClock.Data;

namespace BudClock.Web.Standing;

/// <summary>
/// The records of the garden's places, kept in memory by their days. A reading drops its place and its days, and nothing else; they
/// are read again when somebody asks.
/// </summary>
public sealed class PlaceBook(GardenStore store)
{
    /// <summary>
    /// How far back the air is remembered, to scale a plant's own rhythm by it and to learn what a place makes of a forecast.
    /// </summary>
    const int Remembered = 120;

    /// <summary>Out of doors last spring's late nights are remembered too.</summary>
    const int RememberedOutdoors = 412;

    readonly Lock gate = new();
    readonly Dictionary<string, Kept> kept = new(StringComparer.OrdinalIgnoreCase);
    GardenDays? calendar;
    int dropped;

    /// <summary>How many days of a place had to be read anew so far, for tests and the bench.</summary>
    public int DaysRead { get; private set; }

    sealed record Kept(PlaceRecord Record, DateOnly From, DateOnly To)
    {
        public SortedSet<DateOnly> Stale { get; } = [];
    }

    /// <summary>The days of a garden; those that are kept as long as the garden stands where it stands.</summary>
    public GardenDays CalendarOf(Garden garden)
    {
        lock (gate)
        {
            if (calendar?.Garden != garden)
            {
                calendar = new(garden);
                kept.Clear();
            }
            return calendar;
        }
    }

    /// <summary>Forgets the days that readings came for; everything where it is not known which.</summary>
    public void Drop(IReadOnlyList<Measured> spans)
    {
        lock (gate)
        {
            dropped++;
            if (spans.Count == 0)
                kept.Clear();
            foreach (var span in spans)
            {
                if (calendar is null || !kept.TryGetValue(span.Place, out var known))
                    continue;
                // A reading tells of its day, and in the evening of the night that ends on the next.
                var (from, to) = (calendar.At(span.From).Day, calendar.At(span.To).Day.AddDays(1));
                for (var day = from < known.From ? known.From : from; day <= to && day <= known.To; day = day.AddDays(1))
                    known.Stale.Add(day);
            }
        }
    }

    /// <summary>The weather of all places on a day.</summary>
    public async Task<PlaceWeathers> WeathersAsync(GardenRecord record, DateOnly today)
    {
        var days = CalendarOf(record.Garden);
        await FirstAsync(record.Places, days, today);
        var records = new Dictionary<string, PlaceRecord>();
        foreach (var place in record.Places)
            records[place.Code] = await RecordAsync(days, place.Code, From(place, today), today.AddDays(1));
        return new(days, record.Places, today, code => (records[code], AheadOf(code, today, records[code], record.Forecast)));
    }

    /// <summary>What is ahead for a place is learned anew only where its record, the forecast or the day is another.</summary>
    PlaceAhead AheadOf(string place, DateOnly today, PlaceRecord record, IReadOnlyList<ForecastDay> forecast)
    {
        if (learned.TryGetValue(place, out var known) && known.Day == today && known.Record == record && known.Forecast == forecast)
            return known.Ahead;
        var ahead = PlaceAhead.Read(place, today, record, forecast);
        learned[place] = new(today, record, forecast, ahead);
        return ahead;
    }

    readonly ConcurrentDictionary<string, Learned> learned = new(StringComparer.OrdinalIgnoreCase);

    sealed record Learned(DateOnly Day, PlaceRecord Record, IReadOnlyList<ForecastDay> Forecast, PlaceAhead Ahead);

    /// <summary>A place's record from one day to another, both counted.</summary>
    public async Task<PlaceRecord> RecordAsync(GardenDays days, string place, DateOnly from, DateOnly to)
    {
        while (true)
        {
            Kept? known;
            List<DateOnly> stale;
            int before;
            lock (gate)
            {
                before = dropped;
                known = kept.GetValueOrDefault(place);
                stale = known is null ? [] : [.. known.Stale];
            }
            if (known is not null && known.From <= from && known.To >= to && stale.Count == 0)
                return known.Record;
            var next =
                known is null || known.From > from || known.To < to
                    ? await ReadAsync(days, place, Earlier(from, known?.From), Later(to, known?.To))
                    : await AgainAsync(days, place, known, stale);
            lock (gate)
                if (before == dropped)
                {
                    kept[place] = next;
                    return next.Record;
                }
        }
    }

    /// <summary>At the start all places are read in one go, which is quicker than one by one.</summary>
    async Task FirstAsync(IReadOnlyList<Place> places, GardenDays days, DateOnly today)
    {
        lock (gate)
            if (kept.Count > 0 || places.Count == 0)
                return;
        var before = dropped;
        var first = places.Min(place => From(place, today));
        var readings = await store.ReadingsSinceAsync(Moment(days, first.AddDays(-1)));
        var fresh = places
            .AsParallel()
            .Select(place => (place.Code, Kept: new Kept(PlaceRecord.Of(days, readings[place.Code]), first, today.AddDays(1))))
            .ToList();
        lock (gate)
            if (before == dropped && calendar == days)
                foreach (var (code, one) in fresh)
                {
                    kept[code] = one;
                    DaysRead += today.DayNumber - first.DayNumber;
                }
    }

    static DateOnly From(Place place, DateOnly today) => today.AddDays(-(place.Outdoors ? RememberedOutdoors : Remembered));

    async Task<Kept> ReadAsync(GardenDays days, string place, DateOnly from, DateOnly to)
    {
        var readings = await store.ReadingsAsync(place, Moment(days, from.AddDays(-1)), Moment(days, to.AddDays(1)));
        lock (gate)
            DaysRead += to.DayNumber - from.DayNumber + 1;
        return new(PlaceRecord.Of(days, readings), from, to);
    }

    async Task<Kept> AgainAsync(GardenDays days, string place, Kept known, List<DateOnly> stale)
    {
        var fresh = await ReadAsync(days, place, stale[0], stale[^1]);
        return new(known.Record.With(fresh.Record, stale[0], stale[^1]), known.From, known.To);
    }

    static DateTimeOffset Moment(GardenDays days, DateOnly day) => new(days.Of(day).From, TimeSpan.Zero);

    static DateOnly Earlier(DateOnly day, DateOnly? other) => other < day ? other.Value : day;

    static DateOnly Later(DateOnly day, DateOnly? other) => other > day ? other.Value : day;
}
