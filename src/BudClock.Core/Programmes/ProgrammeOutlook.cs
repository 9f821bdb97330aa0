using BudClock.Core.Climate;
using BudClock.Core.Measuring;
using MathNet.Numerics.Distributions;

namespace BudClock.Core.Programmes;

/// <summary>When a step is likely to end, as the range that eight in ten lie in.</summary>
/// <param name="Earliest">The early end; null where nothing tells.</param>
/// <param name="Likely">The middle; null where the place is not likely ever to do it.</param>
/// <param name="Latest">The late end; null where it may never come.</param>
public sealed record StepAhead(Step Step, DateOnly? Earliest, DateOnly? Likely, DateOnly? Latest)
{
    /// <summary>"about 28 Dec (20 Dec – 8 Jan)"; null where nothing tells.</summary>
    public string? InWords() =>
        (Likely, Earliest, Latest) switch
        {
            ({ } likely, { } from, { } to) when from != to => $"about {Dates.Short(likely)} ({Dates.Range(from, to)})",
            ({ } likely, _, null) => $"about {Dates.Short(likely)}, or much later",
            ({ } likely, _, _) => $"about {Dates.Short(likely)}",
            _ => null,
        };
}

/// <summary>
/// What is ahead of a programme: from the forecast as the place makes it, then from the place's own record of last year, then from
/// its last nights; and from how long the step took before.
/// </summary>
public sealed class ProgrammeOutlook(ProgrammeAround around, string? place, DateOnly today)
{
    const int Horizon = 240;

    /// <summary>Half of the days around a date of last year that tell of this year's.</summary>
    const int Window = 7;

    /// <summary>The last nights tell of the next where nothing of last year is known.</summary>
    const int LastNights = 14;

    /// <summary>Warm and cold spells last some days, so nights are less alike over weeks than chance alone would have it.</summary>
    const double Spells = 4;

    /// <summary>A forecast that was not learned yet misses by so much, °C.</summary>
    const double UnlearnedC = 2;

    /// <summary>How long a step took in earlier programmes of this plant or its kind here, by programme and step.</summary>
    public Func<Programme, Step, IReadOnlyList<int>> Earlier { get; init; } = (_, _) => [];

    /// <summary>The end of the step it is at and of each that follows, in their order.</summary>
    public IReadOnlyList<StepAhead> Of(ProgrammeRun run)
    {
        var ahead = new List<StepAhead>();
        var (early, likely, late) = (0d, (double?)0, (double?)0);
        if (run.Now is { } now)
        {
            (early, likely, late) = Rest(run.Programme, now);
            ahead.Add(Say(now.Step));
        }
        else if (run.State is RunState.Planned)
            early = (likely = late = run.Order.Start.DayNumber - today.DayNumber).Value;
        foreach (var step in run.Ahead)
        {
            (early, likely, late) = (
                After(run.Programme, step, early).Early,
                likely is { } middle ? After(run.Programme, step, middle).Likely : null,
                late is { } end ? After(run.Programme, step, end).Late : null
            );
            ahead.Add(Say(step));
        }
        return ahead;

        StepAhead Say(Step step) => new(step, On(early), likely is { } l ? On(l) : null, late is { } e ? On(e) : null);
    }

    DateOnly? On(double days) => days >= Horizon ? null : today.AddDays((int)Math.Round(days));

    (double Early, double? Likely, double? Late) Rest(Programme programme, StepRun now)
    {
        var gone = today.DayNumber - now.From.DayNumber;
        var left = Math.Max(0, now.Step.Measure.Need - now.Count);
        return now.Step.Measure switch
        {
            EntrySeen seen => Left(Usual(programme, now.Step, seen).After(gone)),
            DryDays dry => (left, left, Math.Max(left, dry.Most - now.Count)),
            _ => Reach(now.Step.Measure, left, 0),
        };
    }

    /// <summary>What has not come yet will come after today.</summary>
    static (double, double?, double?) Left(Spread days) =>
        (Math.Max(1, days.From - days.Gone), Math.Max(1, days.Likely - days.Gone), Math.Max(1, days.To - days.Gone));

    (double Early, double? Likely, double? Late) After(Programme programme, Step step, double start) =>
        step.Measure switch
        {
            EntrySeen seen when Usual(programme, step, seen) is var usual => (start + usual.From, start + usual.Likely, start + usual.To),
            DryDays dry => (start + dry.Need, start + dry.Need, start + dry.Most),
            _ => Reach(step.Measure, step.Measure.Need, (int)Math.Round(start)),
        };

    Spread Usual(Programme programme, Step step, EntrySeen seen) =>
        Earlier(programme, step) is { Count: > 0 } earlier ? Spread.Of(earlier) : Spread.Waiting(seen.Usual, seen.Latest);

    /// <summary>Days from today until so many are counted, from a day on.</summary>
    (double Early, double? Likely, double? Late) Reach(StepMeasure measure, int left, int start)
    {
        if (left <= 0)
            return (start, start, start);
        var (mean, variance) = (0d, 0d);
        (double? early, double? likely, double? late) = (null, null, null);
        for (var days = start + 1; days < Horizon && late is null; days++)
        {
            var chance = Chance(measure, today.AddDays(days));
            (mean, variance) = (mean + chance, variance + (chance * (1 - chance)));
            var spread = Spread.Tail * Math.Sqrt(variance * Spells);
            early ??= mean + spread >= left ? days : null;
            likely ??= mean >= left - 0.5 ? days : null;
            late = mean - spread >= left - 0.5 ? days : null;
        }
        return (early ?? Horizon, likely, late);
    }

    /// <summary>How likely a day, or the night that ends on it, is to count.</summary>
    double Chance(StepMeasure measure, DateOnly day) =>
        measure switch
        {
            CoolNights nights => Chance(day, nights.AtOrBelowC, d => (d.MinC, d.MinLowC, d.MinHighC), d => Record.Night(d)?.CoolestC),
            CoolDays days => Chance(day, days.AtOrBelowC, d => (d.MaxC, d.MaxLowC, d.MaxHighC), d => Record.Day(d)?.MaxC),
            LongNights nights => IsLong(nights, day) ? 1 : 0,
            _ => 1,
        };

    PlaceRecord Record => record ??= around.RecordOf(place);

    PlaceRecord? record;

    double Chance(DateOnly day, double limit, Func<DayAhead, (double? Likely, double? Low, double? High)> said, Func<DateOnly, double?> was)
    {
        if (Forecast.FirstOrDefault(d => d.On == day) is { } ahead && said(ahead) is { Likely: { } likely } range)
        {
            var spread = range is { Low: { } low, High: { } high } && high > low ? (high - low) / (2 * Spread.Tail) : UnlearnedC;
            return Normal.CDF(likely, spread, limit);
        }
        var lastYear = Enumerable.Range(-Window, (2 * Window) + 1).Select(off => was(day.AddDays(off - 365))).OfType<double>().ToList();
        var known =
            lastYear.Count >= Window
                ? lastYear
                : [.. Enumerable.Range(0, LastNights).Select(back => was(today.AddDays(-back))).OfType<double>()];
        return known.Count == 0 ? 0 : (known.Count(value => value <= limit) + 0.5) / (known.Count + 1);
    }

    IReadOnlyList<DayAhead> Forecast => forecast ??= around.AheadOf(place);

    IReadOnlyList<DayAhead>? forecast;

    bool IsLong(LongNights nights, DateOnly ends)
    {
        if (around.Days.Garden.Latitude is null)
            return false;
        IReadOnlyList<(TimeOnly, double)> lit = around.PlaceOf(place) is { LampHours: > 0 and var hours, LampsFrom: { } on }
            ? [(on, hours)]
            : [];
        return Darkness.UnbrokenHours(around.Days, ends.AddDays(-1), lit) >= nights.Hours;
    }
}
