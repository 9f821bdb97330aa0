using BudClock.Core.Advising;
using BudClock.Core.Measuring;

namespace BudClock.Core.Years;

/// <summary>A week of the ribbon.</summary>
/// <param name="From">Its first day; weeks are counted from the first day of the year, and the last one has a day or two more.</param>
/// <param name="InBloom">What had a flower open on any of its days.</param>
/// <param name="Likely">What is forecast to have one, where the week lies ahead.</param>
public sealed record BloomWeek(
    int Number,
    DateOnly From,
    DateOnly To,
    IReadOnlyList<Assessment> InBloom,
    IReadOnlyList<Assessment> Likely,
    bool Ahead
)
{
    /// <summary>It was over before anything was written down.</summary>
    public bool Unknown { get; init; }

    /// <summary>Nothing bloomed, and the week is over.</summary>
    public bool Gap => !Ahead && !Unknown && InBloom.Count == 0;
}

/// <summary>What blooms in every week of a year, and where nothing does.</summary>
public sealed record BloomRibbon(GrowingYear Year, IReadOnlyList<BloomWeek> Weeks)
{
    const int InAYear = 52;

    /// <summary>Reads a year of a garden; weeks after today tell what is forecast.</summary>
    public static BloomRibbon Of(IReadOnlyList<Assessment> plants, GrowingYear year, DateOnly today)
    {
        var open = plants.Select(plant => (plant, Spans: Spans(plant, today))).Where(one => one.Spans.Count > 0).ToList();
        var ahead = plants.Select(plant => (plant, Spans: Ahead(plant, today))).Where(one => one.Spans.Count > 0).ToList();
        var first = plants.Min(plant => plant.Situation.Journal.Entries.FirstOrDefault()?.On);
        return new(year, [.. Enumerable.Range(1, InAYear).Select(Week)]);

        BloomWeek Week(int number)
        {
            var from = year.From.AddDays((number - 1) * 7);
            var to = number == InAYear ? year.To : from.AddDays(6);
            IReadOnlyList<Assessment> In(IEnumerable<(Assessment plant, List<(DateOnly From, DateOnly To)> Spans)> some) =>
                [.. some.Where(one => one.Spans.Exists(span => span.From <= to && span.To >= from)).Select(one => one.plant)];
            return new(number, from, to, In(open), to > today ? In(ahead) : [], from > today) { Unknown = !(to >= first) };
        }
    }

    /// <summary>The longest runs of weeks that are over and had no flower, the longest first.</summary>
    public IReadOnlyList<(BloomWeek First, BloomWeek Last)> Gaps
    {
        get
        {
            var gaps = new List<(BloomWeek First, BloomWeek Last)>();
            foreach (var week in Weeks.Where(week => week.Gap))
                if (gaps is [.., var open] && open.Last.Number == week.Number - 1)
                    gaps[^1] = open with { Last = week };
                else
                    gaps.Add((week, week));
            return [.. gaps.OrderByDescending(gap => gap.Last.Number - gap.First.Number)];
        }
    }

    static List<(DateOnly From, DateOnly To)> Spans(Assessment plant, DateOnly today) =>
        [
            .. plant
                .Recorded.Where(lane => lane is { Kind: LaneKind.Bloom, Expected: false })
                .Select(lane => (lane.From, lane.To is { } to && to > lane.From ? to.AddDays(-1) : lane.To ?? today)),
        ];

    /// <summary>What is open until its likely end; what is to open from its likely day for as long as usual.</summary>
    static List<(DateOnly From, DateOnly To)> Ahead(Assessment plant, DateOnly today)
    {
        if (plant.Gone)
            return [];
        var opening = plant.Forecasts.Where(forecast => forecast.Of == Forecasts.FirstFlower);
        var fading = plant.Forecasts.Where(forecast => forecast.Of == Forecasts.Faded);
        return
        [
            .. fading.Select(forecast => (today, forecast.Likely)),
            .. opening.Select(forecast => (forecast.Likely, forecast.Likely.AddDays(UsualDays(plant)))),
        ];
    }

    /// <summary>As long as its last blooms lasted, or three weeks.</summary>
    static int UsualDays(Assessment plant) =>
        Forecasts.Before(Forecasts.Faded, plant.Recorded, plant.Plant.Acquired) is [_, ..] before
            ? (int)before.Average(took => took.Days)
            : 21;
}
