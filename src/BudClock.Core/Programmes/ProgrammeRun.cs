namespace BudClock.Core.Programmes;

/// <summary>How a programme of a plant stands.</summary>
public enum RunState
{
    /// <summary>It starts on a later day.</summary>
    Planned,

    /// <summary>It is at a step.</summary>
    Running,

    /// <summary>The grower paused it: nothing is counted and nothing forbidden.</summary>
    Paused,

    /// <summary>Every step is done, or what it is for has come.</summary>
    Done,

    /// <summary>Given up.</summary>
    Abandoned,
}

/// <summary>One step of a running programme, as far as it has come.</summary>
/// <param name="From">The day it began.</param>
/// <param name="To">The day it was done; null while it goes on.</param>
/// <param name="Count">How much of its measure is counted.</param>
/// <param name="Missed">How many nights or days did not qualify.</param>
/// <param name="Unknown">How many nobody measured: they do not count.</param>
public sealed record StepRun(Step Step, DateOnly From, DateOnly? To, int Count, int Missed, int Unknown)
{
    /// <summary>What set it back last; null for nothing.</summary>
    public Setback? Setback { get; init; }

    /// <summary>"12 of 30".</summary>
    public string Progress => $"{Math.Min(Count, Step.Measure.Need)} of {Step.Measure.Need}";
}

/// <summary>What set a step back.</summary>
/// <param name="On">The day on which it happened.</param>
/// <param name="By">The entry that says so; null for a lamp that the place's meter saw.</param>
/// <param name="Lost">How many days or nights that were counted are lost, or did not count.</param>
/// <param name="Costs">What it costs, as a clause.</param>
public sealed record Setback(DateOnly On, EntryKind? By, int Lost, string Costs);

/// <summary>A programme of one plant, read from its journal and the readings of where it stood. Derived, never stored.</summary>
/// <param name="Steps">Those that have begun, in their order; none before the start.</param>
public sealed record ProgrammeRun(Programme Programme, ProgrammeOrder Order, RunState State, IReadOnlyList<StepRun> Steps)
{
    /// <summary>The step it is at; null before its start and after its end.</summary>
    public StepRun? Now => State is RunState.Running or RunState.Paused && Steps.Count > 0 && Steps[^1].To is null ? Steps[^1] : null;

    /// <summary>The step before, which made way for this one; null at the first.</summary>
    public StepRun? Before => Steps.Count > 1 ? Steps[^2] : null;

    /// <summary>The step that forbids and asks for something today; null while it is paused, before its start and after its end.</summary>
    public Step? Rules => State is RunState.Running ? Now?.Step : null;

    /// <summary>Steps that are still to come.</summary>
    public IEnumerable<Step> Ahead => Programme.Steps.Skip(Steps.Count);

    /// <summary>The day on which it ended; null while it goes on.</summary>
    public DateOnly? EndedOn { get; init; }
}
