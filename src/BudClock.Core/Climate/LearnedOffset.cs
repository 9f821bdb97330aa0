using MathNet.Numerics.Statistics;

namespace BudClock.Core.Climate;

/// <summary>What was forecast for a day outside, and what a place then had.</summary>
/// <param name="Lead">Days from the day it was said to the day it was for, 0 or more.</param>
public sealed record ForecastOutcome(DateOnly On, int Lead, double ForecastC, double MeasuredC);

/// <summary>
/// How one place differs from the forecast of the weather outside, learned from what was forecast for it and what it then had:
/// nights by themselves, days by themselves.
/// </summary>
/// <remarks>
/// A few ways are weighed against each other: the place follows the weather wholly, by three quarters, half or a quarter, each with the
/// median difference; or it keeps its own temperature, as a heated or lit room does (the median of its last two weeks). The nearest is
/// taken. The range is that in which eight of ten of the last 59 outcomes lay, wider after misses and narrower after hits, so that it
/// holds 80 % in the long run also where the seasons change what is learned (adaptive conformal inference, Gibbs and Candès 2021; from
/// memory).
/// </remarks>
/// <param name="Share">The share of a change outside that it makes with it, 0 to 1; 0 for a room that keeps its own.</param>
/// <param name="OffsetC">What is added to that share of the forecast, °C; for a room of its own, its likely temperature.</param>
/// <param name="Outcomes">How many outcomes it rests on.</param>
/// <param name="Score">How it would have done; null while there is too little to say.</param>
public sealed record LearnedOffset(double Share, double OffsetC, int Outcomes, OffsetScore? Score)
{
    /// <summary>Outcomes it needs before it says anything.</summary>
    public const int Least = 10;

    /// <summary>Outcomes it looks back on; with these the range of 80 % falls on whole places of the order.</summary>
    public const int Window = 59;

    const int OwnDays = 14;

    /// <summary>Outcomes from one learning to the next, where it is tried how it would have done.</summary>
    const int Relearned = 7;

    /// <summary>The share that a range is to miss.</summary>
    const double Missing = 0.2;

    /// <summary>How much one outcome moves the range.</summary>
    const double Step = 0.03;

    /// <summary>A range is wider by this share for each day of lead that no outcome tells of (assumed).</summary>
    const double WidensADay = 0.1;

    IReadOnlyList<(int Lead, double Low, double High)> Ranges { get; init; } = [];

    /// <summary>It follows the weather; false for a room that keeps its own.</summary>
    public bool Follows => Share > 0;

    /// <summary>The likely temperature, and the range that it has eight times in ten.</summary>
    /// <param name="lead">Days ahead, 0 or more.</param>
    public (double Likely, double Low, double High) At(double forecastC, int lead)
    {
        var likely = (Share * forecastC) + OffsetC;
        var known = Ranges.Last(range => range.Lead <= Math.Max(lead, Ranges[0].Lead));
        var wider = 1 + (WidensADay * Math.Max(0, lead - known.Lead - 2));
        return (likely, likely + (known.Low * wider), likely + (known.High * wider));
    }

    /// <summary>Fewer errors than this tell no range.</summary>
    const int Few = 5;

    /// <summary>Learns from outcomes up to now; null with fewer than <see cref="Least"/>.</summary>
    public static LearnedOffset? Learn(IEnumerable<ForecastOutcome> outcomes)
    {
        var all = outcomes.OrderBy(outcome => outcome.On).ToList();
        var near = all.GroupBy(outcome => outcome.On).Select(day => day.MinBy(outcome => outcome.Lead)!).ToList();
        if (near.Count < Least)
            return null;
        var model = Model.Of(near.TakeLast(Window).ToList());
        var (errors, missing) = Errors(near);
        // In the first days too few were foretold to tell a range: then what the model says of the days it was learned from.
        var first = errors.Count >= Few ? errors.Select(e => e.Error) : near.Select(o => o.MeasuredC - model.Says(o.ForecastC));
        var ranges = new List<(int Lead, double Low, double High)> { Range(near[^1].Lead, first, missing) };
        foreach (var group in all.Where(o => o.Lead > 1).GroupBy(o => o.Lead / 3 * 3).Where(g => g.Count() >= Least).OrderBy(g => g.Key))
            ranges.Add(
                Range(
                    Math.Max(group.Key, 2),
                    group.TakeLast(Window).Select(outcome => outcome.MeasuredC - model.Says(outcome.ForecastC)),
                    missing
                )
            );
        return new(model.Share, model.Value, near.Count, OffsetScore.Of(errors)) { Ranges = ranges };
    }

    static (int Lead, double Low, double High) Range(int lead, IEnumerable<double> errors, double missing)
    {
        var (low, high) = Spread([.. errors.TakeLast(Window)], missing);
        return (lead, low, high);
    }

    /// <summary>The order statistics between which all but a share lie, half of it on either side.</summary>
    static (double Low, double High) Spread(List<double> errors, double missing)
    {
        errors.Sort();
        var below = Math.Clamp((int)Math.Floor((errors.Count + 1) * missing / 2), 1, Math.Max(1, errors.Count / 2));
        return (errors[below - 1], errors[^below]);
    }

    /// <summary>
    /// The error of each night as it would have been said from what was known by then, and its range; learned anew each week, as the
    /// season moves no faster.
    /// </summary>
    static (List<Backtest> Told, double Missing) Errors(List<ForecastOutcome> near)
    {
        var (told, missing) = (new List<Backtest>(), Missing);
        var errors = new List<double>();
        var (first, model) = (Least - 1, Model.Of(near[..(Least - 1)]));
        for (var i = first; i < near.Count; i++)
        {
            if ((i - first) % Relearned == 0)
                model = Model.Of(near[Math.Max(0, i - Window)..i]);
            var error = near[i].MeasuredC - model.Says(near[i].ForecastC);
            var (low, high) = errors.Count >= Least ? Spread([.. errors.TakeLast(Window)], missing) : (double.NaN, double.NaN);
            told.Add(new(near[i].On, error, near[i].MeasuredC - near[i].ForecastC, low, high));
            if (told[^1].Ranged)
                missing = Math.Clamp(missing + (Step * (Missing - (told[^1].Inside ? 0 : 1))), 0.02, 0.5);
            errors.Add(error);
        }
        return (told, missing);
    }

    /// <summary>One of the ways, whichever was nearest.</summary>
    sealed record Model(double Share, double Value)
    {
        static readonly double[] Shares = [0.75, 0.5, 0.25];

        /// <summary>To follow wholly is the plainest way; another has to be nearer by this share.</summary>
        const double Nearer = 0.93;

        public double Says(double forecast) => (Share * forecast) + Value;

        public static Model Of(List<ForecastOutcome> near)
        {
            var whole = Following(near, 1);
            var (best, least) = (whole, Off(near, whole));
            var enough = least * Nearer;
            foreach (var share in Shares)
                Try(Following(near, share));
            var own = near.TakeLast(OwnDays).Select(outcome => outcome.MeasuredC).ToArray();
            Try(new(0, ArrayStatistics.MedianInplace(own)));
            return least < enough ? best : whole;

            void Try(Model way)
            {
                var off = Off(near, way);
                if (off < least)
                    (best, least) = (way, off);
            }
        }

        static Model Following(List<ForecastOutcome> near, double share)
        {
            var differences = new double[near.Count];
            for (var i = 0; i < differences.Length; i++)
                differences[i] = near[i].MeasuredC - (share * near[i].ForecastC);
            return new(share, ArrayStatistics.MedianInplace(differences));
        }

        static double Off(List<ForecastOutcome> near, Model way)
        {
            var sum = 0.0;
            foreach (var outcome in near)
                sum += Math.Abs(outcome.MeasuredC - way.Says(outcome.ForecastC));
            return sum;
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
