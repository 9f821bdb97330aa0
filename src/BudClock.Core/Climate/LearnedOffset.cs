namespace BudClock.Core.Climate;

/// <summary>What was forecast for a day outside, and what a place then had.</summary>
/// <param name="Lead">Days from the day it was said to the day it was for, 0 or more.</param>
public sealed record ForecastOutcome(DateOnly On, int Lead, double ForecastC, double MeasuredC);

/// <summary>
/// How one place differs from the forecast of the weather outside, learned from what was forecast for it and what it then had:
/// nights by themselves, days by themselves.
/// </summary>
/// <remarks>
/// Two ways are weighed against each other: the place follows the weather with an offset of its own (the median difference), or it
/// keeps its own temperature, as a heated or lit room does (the median of its last two weeks). The range is that in which eight of
/// ten of the last 59 outcomes lay (order statistics 6 and 54 of 59, which hold 80 % of what comes next if it comes as before).
/// </remarks>
/// <param name="Follows">It follows the weather; false for a room that keeps its own.</param>
/// <param name="OffsetC">The likely difference from the forecast; for a room of its own, its likely temperature.</param>
/// <param name="Outcomes">How many outcomes it rests on.</param>
/// <param name="Score">How it would have done; null while there is too little to say.</param>
public sealed record LearnedOffset(bool Follows, double OffsetC, int Outcomes, OffsetScore? Score)
{
    /// <summary>Outcomes it needs before it says anything.</summary>
    public const int Least = 10;

    /// <summary>Outcomes it looks back on; with these the range of 80 % falls on whole places of the order.</summary>
    public const int Window = 59;

    const int OwnDays = 14;
    const double Tail = 0.1;

    /// <summary>A range is wider by this share for each day of lead that no outcome tells of (assumed).</summary>
    const double WidensADay = 0.1;

    IReadOnlyList<(int Lead, double Low, double High)> Ranges { get; init; } = [];

    /// <summary>The likely temperature, and the range that it has eight times in ten.</summary>
    /// <param name="lead">Days ahead, 0 or more.</param>
    public (double Likely, double Low, double High) At(double forecastC, int lead)
    {
        var likely = Follows ? forecastC + OffsetC : OffsetC;
        var known = Ranges.Last(range => range.Lead <= Math.Max(lead, Ranges[0].Lead));
        var wider = 1 + (WidensADay * Math.Max(0, lead - known.Lead - 2));
        return (likely, likely + (known.Low * wider), likely + (known.High * wider));
    }

    /// <summary>Learns from outcomes up to now; null with fewer than <see cref="Least"/>.</summary>
    public static LearnedOffset? Learn(IEnumerable<ForecastOutcome> outcomes)
    {
        var all = outcomes.OrderBy(outcome => outcome.On).ToList();
        var near = all.GroupBy(outcome => outcome.On).Select(day => day.MinBy(outcome => outcome.Lead)!).ToList();
        if (near.Count < Least)
            return null;
        var model = Model.Of(near.TakeLast(Window).ToList());
        var errors = Errors(near);
        var ranges = new List<(int Lead, double Low, double High)> { Range(near[^1].Lead, errors.Select(e => e.Error)) };
        foreach (var group in all.Where(o => o.Lead > 1).GroupBy(o => o.Lead / 3 * 3).Where(g => g.Count() >= Least).OrderBy(g => g.Key))
            ranges.Add(Range(Math.Max(group.Key, 2), group.TakeLast(Window).Select(outcome => outcome.MeasuredC - model.Says(outcome.ForecastC))));
        return new(model.Follows, model.Value, near.Count, OffsetScore.Of(errors)) { Ranges = ranges };
    }

    static (int Lead, double Low, double High) Range(int lead, IEnumerable<double> errors)
    {
        var (low, high) = Spread([.. errors.TakeLast(Window)]);
        return (lead, low, high);
    }

    /// <summary>The order statistics between which eight of ten lie.</summary>
    static (double Low, double High) Spread(List<double> errors)
    {
        errors.Sort();
        var below = Math.Max(1, (int)Math.Floor((errors.Count + 1) * Tail));
        return (errors[below - 1], errors[^below]);
    }

    /// <summary>The error of each night as it would have been said the day before, from what was known by then, and its range.</summary>
    static List<Backtest> Errors(List<ForecastOutcome> near)
    {
        var told = new List<Backtest>();
        var errors = new List<double>();
        for (var i = Math.Min(Least - 1, near.Count - 1); i < near.Count; i++)
        {
            var model = Model.Of(near[Math.Max(0, i - Window)..i]);
            var error = near[i].MeasuredC - model.Says(near[i].ForecastC);
            var (low, high) = errors.Count >= Least ? Spread([.. errors.TakeLast(Window)]) : (double.NaN, double.NaN);
            told.Add(new(near[i].On, error, near[i].MeasuredC - near[i].ForecastC, low, high));
            errors.Add(error);
        }
        return told;
    }

    /// <summary>One of the two ways, whichever was nearer.</summary>
    sealed record Model(bool Follows, double Value)
    {
        public double Says(double forecast) => Follows ? forecast + Value : Value;

        public static Model Of(List<ForecastOutcome> near)
        {
            var offset = Median(near.Select(o => o.MeasuredC - o.ForecastC));
            var own = Median(near.TakeLast(OwnDays).Select(o => o.MeasuredC));
            var follows = near.Sum(o => Math.Abs(o.MeasuredC - o.ForecastC - offset)) <= near.Sum(o => Math.Abs(o.MeasuredC - own));
            return follows ? new(true, offset) : new(false, own);
        }

        static double Median(IEnumerable<double> values)
        {
            var sorted = values.Order().ToList();
            return (sorted[(sorted.Count - 1) / 2] + sorted[sorted.Count / 2]) / 2;
        }
    }
}

/// <summary>One outcome as it would have been forecast.</summary>
/// <param name="Error">What came less what the place's own forecast said.</param>
/// <param name="OutsideErrorC">What came less what was forecast outside.</param>
sealed record Backtest(DateOnly On, double Error, double OutsideErrorC, double Low, double High)
{
    public bool Ranged => !double.IsNaN(Low);

    public bool Inside => Error >= Low && Error <= High;
}

/// <summary>How a place's own forecasts would have done, each made from what was known before.</summary>
/// <param name="Nights">How many were scored.</param>
/// <param name="InRange">The share that lay in its range of 80 %, 0 to 1.</param>
/// <param name="MeanErrorC">How far off the likely value was on the mean, °C.</param>
/// <param name="OutsideErrorC">How far off the forecast of the weather outside was for this place, °C.</param>
public sealed record OffsetScore(int Nights, double InRange, double MeanErrorC, double OutsideErrorC)
{
    internal static OffsetScore? Of(IReadOnlyList<Backtest> told)
    {
        var ranged = told.Where(one => one.Ranged).ToList();
        return ranged.Count == 0
            ? null
            : new(
                ranged.Count,
                ranged.Average(one => one.Inside ? 1.0 : 0.0),
                ranged.Average(one => Math.Abs(one.Error)),
                ranged.Average(one => Math.Abs(one.OutsideErrorC))
            );
    }
}
