using BudClock.Core.Culture;
using static BudClock.Core.Journal.EntryKinds;

namespace BudClock.Core.Programmes;

/// <summary>Reads the programmes of a plant from its journal.</summary>
public static class ProgrammeRuns
{
    /// <summary>The newest programme up to a day; null for none, and for words that name none.</summary>
    public static ProgrammeRun? Newest(
        Plant plant,
        CultureSheet sheet,
        PlantJournal journal,
        ProgrammeAround around,
        ProgrammeBook book,
        DateOnly today
    ) => journal.Last(ProgrammeStarted) is { } entry ? Read(entry, plant, sheet, journal, around, book, today) : null;

    /// <summary>Every programme that was started, the oldest first; earlier ones end where the next began.</summary>
    public static IReadOnlyList<ProgrammeRun> All(
        Plant plant,
        CultureSheet sheet,
        PlantJournal journal,
        ProgrammeAround around,
        ProgrammeBook book,
        DateOnly today
    ) => [.. journal.Of(ProgrammeStarted).Select(entry => Read(entry, plant, sheet, journal, around, book, today)).OfType<ProgrammeRun>()];

    static ProgrammeRun? Read(
        Entry entry,
        Plant plant,
        CultureSheet sheet,
        PlantJournal journal,
        ProgrammeAround around,
        ProgrammeBook book,
        DateOnly today
    )
    {
        var order = new ProgrammeOrder(entry);
        if (book.Find(order.Text, sheet) is not { } programme)
            return null;
        var next = journal.Of(ProgrammeStarted).FirstOrDefault(other => PlantJournal.IsAfter(other, entry));
        var ended =
            journal.Of(ProgrammeEnded).FirstOrDefault(end => PlantJournal.IsAfter(end, entry)) is { } end
            && (next is null || PlantJournal.IsAfter(next, end))
                ? end
                : next;
        if (order.Start > today)
            return new(programme, order, ended is null ? RunState.Planned : RunState.Abandoned, []) { EndedOn = ended?.On };
        var until = ended is not null && ended.On < today ? ended.On : today;
        var achieved = programme.Done.Count == 0 ? null : journal.FirstSince(order.Start, [.. programme.Done]);
        if (achieved is not null && achieved.On < until)
            until = achieved.On;
        var pauses = new Pauses(journal, entry);
        var steps = Steps(programme, order.Start, until, new(journal, around, new(plant), pauses.On));
        var over = achieved is not null || (steps.Count == programme.Steps.Count && steps[^1].To is not null);
        return new(programme, order, State(over, ended is not null, pauses.On(today)), steps)
        {
            EndedOn = achieved?.On ?? (over ? steps[^1].To : ended?.On),
        };
    }

    static RunState State(bool over, bool ended, bool paused) =>
        over ? RunState.Done
        : ended ? RunState.Abandoned
        : paused ? RunState.Paused
        : RunState.Running;

    static List<StepRun> Steps(Programme programme, DateOnly from, DateOnly until, StepCounting counting)
    {
        var steps = new List<StepRun>();
        foreach (var step in programme.Steps)
        {
            steps.Add(counting.Run(step, from, until));
            if (steps[^1].To is not { } done)
                break;
            from = done;
        }
        return steps;
    }

    /// <summary>Spans in which the grower paused a programme.</summary>
    sealed class Pauses(PlantJournal journal, Entry started)
    {
        readonly List<Entry> marks =
        [
            .. journal.Of(ProgrammePaused, ProgrammeResumed).Where(entry => PlantJournal.IsAfter(entry, started)),
        ];

        /// <summary>Whether a day lies in a pause: from the day it was paused to the day it was resumed.</summary>
        public bool On(DateOnly day) => marks.Count > 0 && marks.LastOrDefault(mark => mark.On <= day)?.Kind == ProgrammePaused;
    }
}
