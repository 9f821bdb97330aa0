using BudClock.Core.Climate;
using BudClock.Core.Culture;
using BudClock.Core.Evidence;
using BudClock.Core.Programmes;
using static BudClock.Core.Advising.Sentence;

namespace BudClock.Core.Advising.Blooming;

/// <summary>
/// Rules B1, B2, B5, B6 and D2: how a running programme stands, what to do at its turn, what set it back and what that costs, and what
/// keeps it from being counted.
/// </summary>
/// <remarks>It waters nothing itself: what it forbids is said by its guard, and the ordinary rules do the rest.</remarks>
public sealed class ProgrammeAdviser : IAdviser
{
    /// <inheritdoc/>
    public string Rule => "B1";

    /// <inheritdoc/>
    public IEnumerable<Advice> Advise(Situation now)
    {
        if (now.Programme is not { } run || now.HeldBack)
            return [];
        return Said(now, run) is { } advice ? [advice] : [];
    }

    static Advice? Said(Situation now, ProgrammeRun run) =>
        run.State switch
        {
            RunState.Planned => Planned(now, run),
            RunState.Paused when run.Now is { } at => Say(
                run,
                at,
                Verdict.Hold,
                null,
                $"{run.Programme.Title} is paused at {at.Progress} {at.Step.Measure.Words}: nothing is counted and nothing forbidden."
            ),
            RunState.Running when run.Now is { } at => Running(now, run, at),
            _ => null,
        };

    static Advice Planned(Situation now, ProgrammeRun run) =>
        new(
            Topics.Trigger,
            run.Programme.Rule,
            Care.Trigger,
            Verdict.Hold,
            run.Order.Start,
            $"{run.Programme.Title} is planned from {Dates.Near(run.Order.Start, now.Today)}.",
            [Condition.Known("planned", new("on record"), null, run.Order.Entry.On)]
        )
        {
            Ground = Ground.Interval,
        };

    static Advice Running(Situation now, ProgrammeRun run, StepRun at) =>
        Vetoed(now, run) is { } veto ? Say(run, at, Verdict.Look, now.Today, veto)
        : Setback(now, run, at) is { } setback ? Say(run, at, Verdict.Look, now.Today, setback)
        : Turn(now, run, at) is { } turn ? turn
        : Uncounted(now, run, at) is { } gap ? Say(run, at, Verdict.Look, now.Today, gap)
        : Overdue(now, at) is { } overdue ? Say(run, at, Verdict.Look, now.Today, overdue)
        : Say(run, at, Verdict.Hold, Ends(now, run), Going(now, run, at));

    /// <summary>What speaks against it; a sick plant's own advice comes first, and the count waits.</summary>
    static string? Vetoed(Situation now, ProgrammeRun run)
    {
        var (title, not) = (run.Programme.Title, run.Programme.NotWhile);
        if (not.Contains(Vetoes.Newcomer) && now.Arrival is { IsNewcomer: true } arrival)
            return $"{title} was started on a newcomer, here for {Weeks.Days(arrival.Day)}: let it settle until "
                + $"{Dates.Short(arrival.Until)}, and pause the programme.";
        var spike = now.Lanes.LastOrDefault(lane => lane is { Kind: LaneKind.Spike or LaneKind.Bloom, Open: true });
        return not.Contains(Vetoes.InBud) && spike is not null && spike.From <= run.Order.Start
            ? $"{title} was started with a spike on its way: cold or dryness now costs its flowers. Pause the programme until they are "
                + $"over."
            : null;
    }

    /// <summary>It is ill: what the programme would have done now waits.</summary>
    static bool Sick(Situation now) =>
        now.Rot is { Open: true } || now.Roots.Dead || now.Thirst.Kind is ThirstKind.RootAlarm || now.Pests is { Open: true };

    static string? Setback(Situation now, ProgrammeRun run, StepRun at)
    {
        if (at.Setback is not { } setback || setback.On <= now.Today.AddDays(-now.Limits<ProgrammeLimits>().News))
            return null;
        var when = Dates.Ago(setback.On, now.Today);
        var what = setback.By switch
        {
            null => $"The meter saw a lamp in the night of {Dates.Short(setback.On)}",
            var kind when kind == EntryKinds.NightLit => $"A lamp burned in the night {when}",
            var kind => $"{kind.Words} {when}",
        };
        var lost = setback.Lost > 0 && at.Step.Measure is DryDays ? $", {Weeks.Days(setback.Lost)} of them lost" : "";
        return $"{what}, in its {at.Step.Title}: {setback.Costs}{lost}. It stands at {at.Progress}{Then(now, run)}.";
    }

    /// <summary>What to do as a step begins, until it is done or some days have passed.</summary>
    static Advice? Turn(Situation now, ProgrammeRun run, StepRun at)
    {
        if (run.Before is not { } before || at.From <= now.Today.AddDays(-now.Limits<ProgrammeLimits>().Turn) || at.From <= run.Order.Start)
            return null;
        if (at.Step.TurnedBy.Count > 0 && now.Journal.FirstSince(at.From, [.. at.Step.TurnedBy]) is not null)
            return null;
        var done = $"{Capital(before.Step.Title)}: {before.Progress}. {at.Step.Turn}";
        if (Sick(now))
            return Say(
                run,
                at,
                Verdict.Hold,
                null,
                $"{Capital(before.Step.Title)}: {before.Progress}. First the plant itself; its count waits."
            );
        // Water in the cold is for somebody who looks; so is anything that is only told by days.
        var asks = at.Step.Water is StepWater.None || !now.Temper.Cold || before.Step.Water is not StepWater.None;
        return Say(
            run,
            at,
            asks ? Verdict.Do : Verdict.Look,
            now.Today,
            asks ? done : $"{done} Nights are down to {Degrees.Of(now.Temper.Night!.Value)}: warmer first."
        );
    }

    /// <summary>Why nothing is counted, or not all.</summary>
    static string? Uncounted(Situation now, ProgrammeRun run, StepRun at)
    {
        if (at.Step.Measure is LongNights nights)
            return LongNight(now, at, nights);
        if (at.Step.Measure is not (CoolNights or CoolDays))
            return null;
        var place = now.Around.Place?.Name ?? "its place";
        if (at.Unknown > 0 && at.Count + at.Missed == 0)
            return $"Since {Dates.Short(at.From)} nobody measured a night at {place}, so none counts: write the lowest of each night "
                + "down, or hang a thermometer there.";
        if (at.Unknown >= now.Limits<ProgrammeLimits>().Gap && LastUnknown(now))
            return $"{at.Progress} {at.Step.Measure.Words}; {Weeks.Nights(at.Unknown)} at {place} nobody measured, and they do not "
                + "count. Write down what you know of them.";
        var days = now.Today.DayNumber - at.From.DayNumber;
        return at.Missed >= now.Limits<ProgrammeLimits>().Barren && at.Count == 0 ? TooWarm(now, run, at, $"in {Weeks.Days(days)}")
            : Moved(now) && !Qualifies(now, at.Step.Measure) ? TooWarm(now, run, at, "since it was moved")
            : null;
    }

    static bool LastUnknown(Situation now) => now.Counted.RecordOf(now.Plant.Place).Night(now.Today.AddDays(-5)) is null;

    static bool Moved(Situation now) =>
        now.Journal.Last(EntryKinds.Moved) is { } moved
        && moved.On > now.Today.AddDays(-now.Limits<ProgrammeLimits>().Barren)
        && moved.On < now.Today.AddDays(-2);

    /// <summary>One of the last nights or days here would count.</summary>
    static bool Qualifies(Situation now, StepMeasure measure)
    {
        var record = now.Counted.RecordOf(now.Plant.Place);
        return Enumerable
            .Range(0, 4)
            .Select(back => now.Today.AddDays(-back))
            .Any(day =>
                measure switch
                {
                    CoolNights nights => record.Night(day)?.CoolestC <= nights.AtOrBelowC,
                    CoolDays days => record.Day(day)?.MaxC <= days.AtOrBelowC,
                    _ => true,
                }
            );
    }

    static string TooWarm(Situation now, ProgrammeRun run, StepRun at, string since) =>
        $"{at.Progress} {at.Step.Measure.Words}, and none {since}: the count stands. It wants a cooler place"
        + $"{(CoolPlaces.Best(now, at.Step.Measure) is { } best ? $", such as {best.Name}" : "")}; "
        + $"{run.Programme.Title.ToLowerInvariant()} waits until then.";

    static string? LongNight(Situation now, StepRun at, LongNights nights)
    {
        if (now.Around.Garden.Latitude is null)
            return "Long nights are counted by the sun, and the garden's latitude is not known: enter it under Garden.";
        if (now.Around.Place is not { LampHours: > 0 and var burn } place)
            return null;
        if (place.LampsFrom is not { } from)
            return $"Lamps burn here for {burn:0.#} h a day: when do they come on? Until that is set on the place's page, no night counts.";
        return Darkness.UnbrokenHours(now.Around.Days, now.Today, [(from, burn)]) is var left && left < nights.Hours
            ? string.Create(
                System.Globalization.CultureInfo.InvariantCulture,
                $"{at.Progress} {at.Step.Measure.Words}, and a lamp from {from:HH:mm} leaves {left:0.#} h: the count stands. No lamp "
                    + $"after dusk, or another place."
            )
            : null;
    }

    static string? Overdue(Situation now, StepRun at) =>
        at.Step.Measure is EntrySeen seen && now.Today > at.From.AddDays(seen.Latest + now.Limits<ProgrammeLimits>().Overdue)
            ? $"Since {Dates.Short(at.From)} it waits for {seen.Words}, {seen.UsualWords}: look closer, and end the programme where "
                + "nothing comes this year."
            : null;

    static string Going(Situation now, ProgrammeRun run, StepRun at)
    {
        if (at.Step.Measure is EntrySeen seen)
            return $"{run.Programme.Title}: {at.Step.Title} since {Dates.Short(at.From)}; {seen.Words} {seen.UsualWords}.";
        var not = at.Missed > 0 ? $", {at.Missed} that did not count" : "";
        var unknown = at.Unknown > 0 ? $", {at.Unknown} not measured" : "";
        return $"{run.Programme.Title}: {at.Progress} {at.Step.Measure.Words}{not}{unknown}{Then(now, run)}.";
    }

    /// <summary>"; dry weeks from about 28 Dec (20 Dec – 8 Jan)".</summary>
    static string Then(Situation now, ProgrammeRun run)
    {
        var ahead = now.Outlook.Of(run);
        if (ahead.Count == 0 || ahead[0].InWords() is not { } words)
            return "";
        return run.Ahead.FirstOrDefault() is { } next ? $"; {next.Title} from {words}" : $"; done {words}";
    }

    static DateOnly? Ends(Situation now, ProgrammeRun run) => now.Outlook.Of(run) is [{ Likely: { } likely }, ..] ? likely : null;

    static Advice Say(ProgrammeRun run, StepRun at, Verdict verdict, DateOnly? due, string reason) =>
        new(
            Topics.Trigger,
            run.Programme.Rule,
            Care.Trigger,
            verdict,
            due,
            reason,
            [new(at.Step.Measure.Words, new(at.Count), new(at.Step.Measure.Need), null, at.Count >= at.Step.Measure.Need, at.From)]
        );
}

/// <summary>Rule B1: what a running programme is asked about, and how long it is news.</summary>
[Rule("B1", "what a running programme is asked about, and how long it is news")]
public sealed record ProgrammeLimits(
    [Limit("days", 2, 60, "a turn that was not made is asked for so long")] int Turn,
    [Limit("days", 1, 30, "so long a setback is told")] int News,
    [Limit("days", 3, 90, "so long without one that counts, and the place is asked about")] int Barren,
    [Limit("nights", 1, 14, "so many that nobody measured ask for a look")] int Gap,
    [Limit("days", 7, 120, "so long past its usual time it is looked at")] int Overdue
);
