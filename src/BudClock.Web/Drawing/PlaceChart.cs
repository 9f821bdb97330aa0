using System.Globalization;
using BudClock.Core.Climate;

namespace BudClock.Web.Drawing;

/// <summary>A limit of plants that stand at a place, drawn across.</summary>
/// <param name="Celsius">The limit, °C.</param>
/// <param name="Names">Whose limit it is, for the end of the line.</param>
public sealed record PlaceLimit(double Celsius, bool Cold, string Names);

/// <summary>A line across, with its words.</summary>
public sealed record LimitLine(double Y, double TextY, string Words, bool Cold);

/// <summary>A stretch of the chart, such as a night.</summary>
public sealed record Stretch(double X, double Width);

/// <summary>
/// A place's temperatures over a year or a week: the band from lowest to highest, the line of the nights, what is ahead as a fan, and
/// beneath them light and day length.
/// </summary>
public sealed record PlaceChart(
    double Width,
    IReadOnlyList<string> Bands,
    IReadOnlyList<string> Nights,
    string? Fan,
    string? Likely,
    double? Now,
    IReadOnlyList<ChartLine> Grid,
    IReadOnlyList<ChartLabel> Times,
    IReadOnlyList<Stretch> Dark,
    IReadOnlyList<Stretch> Bars,
    IReadOnlyList<double> BarTops,
    string DayLength,
    IReadOnlyList<LimitLine> Limits,
    string Summary
)
{
    /// <summary>Height of the whole drawing.</summary>
    public const double Height = 380;

    /// <summary>Where the light's bars stand.</summary>
    public const double LightBottom = 318;

    /// <summary>Where the line of day length ends.</summary>
    public const double DayBottom = 356;

    const double Left = 44;
    const double Top = 10;
    const double Bottom = 262;
    const double LightTop = 276;
    const double DayTop = 326;
    const double LineHeight = 15;

    /// <summary>A year, or another span of days, drawn by days.</summary>
    public static PlaceChart OfDays(
        GardenDays calendar,
        PlaceRecord record,
        PlaceAhead ahead,
        DateOnly from,
        DateOnly today,
        IReadOnlyList<PlaceLimit> limits,
        double width
    )
    {
        var to = today.AddDays(PlaceAhead.Furthest);
        var days = record.Days.Where(day => day.Day >= from && day.Day <= today && day.MaxC is not null).ToList();
        var nights = record.Nights.Where(night => night.Ends >= from && night.Ends <= today).ToList();
        var scale = Scale.Of([.. days.Select(d => d.MinC!.Value), .. Values(ahead)], [.. days.Select(d => d.MaxC!.Value)], limits);
        var frame = new Frame(from, to, width);
        return new(
            width,
            [.. Runs(days, day => day.Day).Select(run => Band(run, frame, scale))],
            [.. Runs(nights, night => night.Ends).Select(run => Line(run.Select(n => (frame.X(n.Ends), scale.Y(n.CoolestC)))))],
            FanOf(ahead, frame.X, scale),
            Line(ahead.Days14.Where(day => day.MinC is not null).Select(day => (frame.X(day.On), scale.Y(day.MinC!.Value)))),
            frame.X(today),
            [.. scale.Lines(Left, width)],
            [.. Months(frame)],
            [],
            [.. days.Where(day => day.Light is not null).Select(day => new Stretch(frame.X(day.Day), Math.Max(1, frame.Step - 0.5)))],
            Tops([.. days.Where(day => day.Light is not null).Select(day => day.Light!.Estimate.Dli)]),
            DayLengths(calendar, frame),
            [.. Spread(limits, scale)],
            Say(days, nights, ahead)
        );
    }

    /// <summary>Some days, drawn by hours.</summary>
    public static PlaceChart OfHours(
        GardenDays calendar,
        IReadOnlyList<ClimateReading> readings,
        PlaceRecord record,
        PlaceAhead ahead,
        DateOnly from,
        DateOnly today,
        IReadOnlyList<PlaceLimit> limits,
        double width
    )
    {
        var frame = new Frame(from, today.AddDays(3), width);
        var pieces = Pieces.Of(calendar, readings).Where(piece => piece.MeanC is not null && piece.Day >= from).ToList();
        var scale = Scale.Of(
            [.. pieces.Select(p => p.MinC!.Value), .. Values(ahead, frame.To)],
            [.. pieces.Select(p => p.MaxC!.Value)],
            limits
        );
        var nights = Enumerable
            .Range(0, frame.To.DayNumber - from.DayNumber)
            .Select(n => from.AddDays(n))
            .Select(day => (From: frame.X(calendar.Of(day).Set), To: frame.X(calendar.Of(day.AddDays(1)).Rise)));
        var near = ahead with { Days14 = [.. ahead.Days14.Where(day => day.On > today && day.On <= frame.To)] };
        return new(
            width,
            [],
            [.. Hours(pieces).Select(run => Line(run.Select(p => (frame.X(p.At.UtcTicks), scale.Y(p.MeanC!.Value)))))],
            FanOf(near, Dawn, scale),
            Line(near.Days14.Where(day => day.MinC is not null).Select(day => (Dawn(day.On), scale.Y(day.MinC!.Value)))),
            pieces.Count == 0 ? null : frame.X(pieces[^1].At.UtcTicks),
            [.. scale.Lines(Left, width)],
            [.. Weekdays(frame)],
            [.. nights.Select(night => new Stretch(night.From, Math.Max(0, Math.Min(night.To, width) - night.From)))],
            [
                .. pieces
                    .Where(p => p.Photons is not null)
                    .Select(p => new Stretch(frame.X(p.At.UtcTicks), Math.Max(1, (frame.Step / 24) - 0.5))),
            ],
            Tops([.. pieces.Where(p => p.Photons is not null).Select(p => p.Photons!.Value)]),
            DayLengths(calendar, frame),
            [.. Spread(limits, scale)],
            Say([.. record.Days.Where(day => day.Day >= from && day.MaxC is not null)], [.. record.Nights.Where(n => n.Ends >= from)], near)
        );

        // The lowest of a night comes about its end.
        double Dawn(DateOnly day) => frame.X(calendar.Of(day).Rise);
    }

    /// <summary>From days to places across.</summary>
    sealed record Frame(DateOnly From, DateOnly To, double Width)
    {
        public double Step => (Width - Left) / Math.Max(1, To.DayNumber - From.DayNumber + 1);

        public double X(DateOnly day) => Left + (Step * (day.DayNumber - From.DayNumber + 0.5));

        /// <summary>A moment, by UTC days: within a day's width of where its garden day begins.</summary>
        public double X(long ticks) => Left + (Step * ((ticks / (double)TimeSpan.TicksPerDay) - From.DayNumber));
    }

    /// <summary>From degrees to places up and down.</summary>
    sealed record Scale(double Low, double High, double By)
    {
        public static Scale Of(List<double> low, List<double> high, IReadOnlyList<PlaceLimit> limits)
        {
            var all = low.Concat(high).Concat(limits.Select(limit => limit.Celsius)).DefaultIfEmpty(0).ToList();
            var by = all.Max() - all.Min() > 25 ? 10 : 5;
            return new(
                Math.Floor((all.Min() - 1) / by) * by,
                Math.Max(Math.Ceiling((all.Max() + 1) / by) * by, Math.Floor(all.Min() / by * by) + by),
                by
            );
        }

        public double Y(double celsius) => Bottom - ((Bottom - Top) * (celsius - Low) / (High - Low));

        public IEnumerable<ChartLine> Lines(double left, double right)
        {
            for (var at = Low; at <= High; at += By)
                yield return new(left, Y(at), right, Y(at), string.Create(CultureInfo.InvariantCulture, $"{at:0} °C").Replace('-', '−'));
        }
    }

    static IEnumerable<double> Values(PlaceAhead ahead, DateOnly? to = null) =>
        ahead.Days14.Where(day => !(day.On > to)).SelectMany(day => new[] { day.MinC, day.MinLowC, day.MinHighC }).OfType<double>();

    /// <summary>Days without a gap: over one no line is drawn.</summary>
    static IEnumerable<List<T>> Runs<T>(IEnumerable<T> days, Func<T, DateOnly> on)
    {
        var run = new List<T>();
        foreach (var day in days)
        {
            if (run.Count > 0 && on(day).DayNumber - on(run[^1]).DayNumber > 1)
            {
                yield return run;
                run = [];
            }
            run.Add(day);
        }
        if (run.Count > 0)
            yield return run;
    }

    static IEnumerable<List<Piece>> Hours(List<Piece> pieces)
    {
        var run = new List<Piece>();
        foreach (var piece in pieces)
        {
            if (run.Count > 0 && piece.At - run[^1].At > TimeSpan.FromHours(Math.Max(3, run[^1].Hours + 1)))
            {
                yield return run;
                run = [];
            }
            run.Add(piece);
        }
        if (run.Count > 0)
            yield return run;
    }

    static string Band(List<DayOfPlace> run, Frame frame, Scale scale) =>
        Line(
            run.Select(day => (frame.X(day.Day), scale.Y(day.MaxC!.Value)))
                .Concat(run.AsEnumerable().Reverse().Select(day => (frame.X(day.Day), scale.Y(day.MinC!.Value))))
        );

    static string? FanOf(PlaceAhead ahead, Func<DateOnly, double> x, Scale scale)
    {
        var ranged = ahead.Days14.Where(day => day is { MinLowC: not null, MinHighC: not null }).ToList();
        return ranged.Count < 2
            ? null
            : Line(
                ranged
                    .Select(day => (x(day.On), scale.Y(day.MinHighC!.Value)))
                    .Concat(ranged.AsEnumerable().Reverse().Select(day => (x(day.On), scale.Y(day.MinLowC!.Value))))
            );
    }

    static string Line(IEnumerable<(double X, double Y)> points) =>
        string.Join(' ', points.Select(p => $"{Svg.N(Math.Round(p.X, 1))},{Svg.N(Math.Round(p.Y, 1))}"));

    static IReadOnlyList<double> Tops(List<double> values)
    {
        var most = values.DefaultIfEmpty(1).Max();
        return [.. values.Select(value => Math.Round(LightBottom - ((LightBottom - LightTop) * value / Math.Max(most, 1e-6)), 1))];
    }

    static string DayLengths(GardenDays calendar, Frame frame)
    {
        var days = Enumerable.Range(0, frame.To.DayNumber - frame.From.DayNumber + 1).Select(frame.From.AddDays).ToList();
        return Line(days.Select(day => (frame.X(day), DayBottom - ((DayBottom - DayTop) * calendar.Of(day).LightHours / 24))));
    }

    static IEnumerable<ChartLabel> Months(Frame frame)
    {
        for (var month = new DateOnly(frame.From.Year, frame.From.Month, 1).AddMonths(1); month <= frame.To; month = month.AddMonths(1))
            if (frame.X(month) < frame.Width - 20)
                yield return new(frame.X(month), month.ToString("MMM", CultureInfo.InvariantCulture), "start", month.Month == 1);
    }

    static IEnumerable<ChartLabel> Weekdays(Frame frame)
    {
        for (var day = frame.From; day <= frame.To; day = day.AddDays(1))
            yield return new(frame.X(day), day.ToString("ddd d", CultureInfo.InvariantCulture), "middle", false);
    }

    /// <summary>Words of lines that lie close are moved apart.</summary>
    static IEnumerable<LimitLine> Spread(IReadOnlyList<PlaceLimit> limits, Scale scale)
    {
        var last = double.MaxValue;
        foreach (var limit in limits.OrderBy(limit => limit.Celsius))
        {
            var y = scale.Y(limit.Celsius);
            last = Math.Min(y - 4, last - LineHeight);
            yield return new(y, last, limit.Names, limit.Cold);
        }
    }

    static string Say(List<DayOfPlace> days, List<NightOfPlace> nights, PlaceAhead ahead)
    {
        if (days.Count == 0)
            return "No temperature is on record in this span.";
        var (coolest, warmest) = (nights.MinBy(night => night.CoolestC), days.MaxBy(day => day.MaxC));
        var cold = coolest is null ? "" : $"coolest night {coolest.CoolestC:0.#} °C on {Dates.Short(coolest.Ends)}, ";
        var next = ahead.Days14.Where(day => day.MinC is not null).MinBy(day => day.MinC) is { } least
            ? $"; coolest night ahead {least.MinC:0.#} °C on {Dates.Short(least.On)}"
            : "";
        return string.Create(
                CultureInfo.InvariantCulture,
                $"Temperatures of {days.Count} days: {cold}warmest {warmest!.MaxC:0.#} °C on {Dates.Short(warmest.Day)}{next}."
            )
            .Replace(" -", " −", StringComparison.Ordinal);
    }
}
