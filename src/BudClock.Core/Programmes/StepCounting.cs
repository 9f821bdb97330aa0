using BudClock.Core.Climate;

namespace BudClock.Core.Programmes;

/// <summary>Whether a day, or the night that ends on it, counts for a step.</summary>
enum Counts
{
    Yes,
    No,
    Unknown,
}

/// <summary>Counts the days of one step, from its first day to today or to the day on which it was done.</summary>
sealed class StepCounting(PlantJournal journal, ProgrammeAround around, Whereabouts where, Func<DateOnly, bool> paused)
{
    /// <summary>The step from its first day on.</summary>
    public StepRun Run(Step step, DateOnly from, DateOnly today) =>
        step.Measure switch
        {
            CoolNights nights => Days(step, from, today, day => Cool(nights, day)),
            CoolDays days => Days(step, from, today, day => Cool(days, day)),
            LongNights nights => Days(step, from, today, day => Long(nights, day)),
            DryDays => Dry(step, from, today),
            EntrySeen seen => Seen(step, seen, from),
            _ => Days(step, from, today, _ => Counts.Yes),
        };

    /// <summary>The night that ends on the first day belongs to what was before.</summary>
    StepRun Days(Step step, DateOnly from, DateOnly today, Func<DateOnly, Counts> counts)
    {
        var (count, missed, unknown) = (0, 0, 0);
        Setback? setback = null;
        for (var day = from.AddDays(1); day <= today; day = day.AddDays(1))
        {
            if (paused(day))
                continue;
            if ((Broken(step, day.AddDays(-1)) ?? Lit(step, day)) is { } broken)
            {
                (missed, setback) = (missed + 1, broken);
                continue;
            }
            var told = counts(day);
            (count, missed, unknown) = (
                count + (told is Counts.Yes ? 1 : 0),
                missed + (told is Counts.No ? 1 : 0),
                unknown + (told is Counts.Unknown ? 1 : 0)
            );
            if (count >= step.Measure.Need)
                return new(step, from, day, count, missed, unknown) { Setback = setback };
        }
        // What happened today breaks the night that is to come.
        return new(step, from, null, count, missed, unknown) { Setback = Broken(step, today) ?? setback };
    }

    Setback? Broken(Step step, DateOnly day) =>
        step.Breaks.Count == 0
            ? null
            : step
                .Breaks.Select(one => (one, Entry: journal.Of(one.By).LastOrDefault(entry => entry.On == day)))
                .Where(pair => pair.Entry is not null)
                .Select(pair => new Setback(day, pair.Entry!.Kind, 1, pair.one.Costs))
                .FirstOrDefault();

    /// <summary>A lamp that the meter of the place saw in the night that ends on a day.</summary>
    Setback? Lit(Step step, DateOnly ends)
    {
        var evening = ends.AddDays(-1);
        return step.Measure is LongNights && around.RecordOf(where.On(evening)).LitAtNight(ends)
            ? new(evening, null, 1, step.Breaks.FirstOrDefault(one => one.By == EntryKinds.NightLit)?.Costs ?? "that night does not count")
            : null;
    }

    StepRun Dry(Step step, DateOnly from, DateOnly today)
    {
        var (since, count) = (from, 0);
        Setback? setback = null;
        for (var day = from.AddDays(1); day <= today; day = day.AddDays(1))
        {
            if (journal.Waterings.LastOrDefault(water => water.On == day) is { } water)
            {
                var costs = step.Breaks.FirstOrDefault(one => one.By == water.Kind)?.Costs ?? step.Breaks.FirstOrDefault()?.Costs;
                (since, setback) = (day, new(day, water.Kind, count, costs ?? "the dry days begin again"));
                count = 0;
                continue;
            }
            if (paused(day))
                continue;
            if (++count >= step.Measure.Need)
                return new(step, from, day, count, 0, 0) { Setback = setback };
        }
        return new(step, from, null, count, 0, 0) { Setback = setback };
    }

    StepRun Seen(Step step, EntrySeen seen, DateOnly from)
    {
        var entry = journal.FirstSince(from, [.. seen.Kinds]);
        return new(step, from, entry?.On, entry is null ? 0 : 1, 0, 0);
    }

    Counts Cool(CoolNights nights, DateOnly ends) =>
        around.RecordOf(where.On(ends.AddDays(-1))).Night(ends) is not { } night ? Counts.Unknown
        : night.CoolestC <= nights.AtOrBelowC ? Counts.Yes
        : Counts.No;

    /// <summary>A day counts when it is over: the day before.</summary>
    Counts Cool(CoolDays days, DateOnly day) =>
        around.RecordOf(where.On(day.AddDays(-1))).Day(day.AddDays(-1)) is not { MaxC: { } warmest } ? Counts.Unknown
        : warmest <= days.AtOrBelowC ? Counts.Yes
        : Counts.No;

    Counts Long(LongNights nights, DateOnly ends)
    {
        if (around.Days.Garden.Latitude is null)
            return Counts.Unknown;
        var place = around.PlaceOf(where.On(ends.AddDays(-1)));
        if (place is { LampHours: > 0, LampsFrom: null })
            return Counts.Unknown;
        IReadOnlyList<(TimeOnly, double)> lit = place is { LampHours: > 0 and var hours, LampsFrom: { } on } ? [(on, hours)] : [];
        return Darkness.UnbrokenHours(around.Days, ends.AddDays(-1), lit) >= nights.Hours ? Counts.Yes : Counts.No;
    }
}
