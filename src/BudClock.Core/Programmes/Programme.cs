using BudClock.Core.Culture;

namespace BudClock.Core.Programmes;

/// <summary>
/// What brings on a bloom, a rest or a rooted cutting, as ordered steps: data that Bud Clock reads and a grower can copy and change.
/// </summary>
/// <param name="Name">Unique among programmes, such as cool-nights.</param>
/// <param name="Title">How pages call it.</param>
/// <param name="Rule">The rule of the job it stands for, such as B1.</param>
/// <param name="About">What it is and what it is for.</param>
/// <param name="Words">How a log names it: "cool nights"; longer ones are looked for first.</param>
/// <param name="Sheets">Names of the culture sheets that it is meant for; empty for any.</param>
/// <param name="Steps">At least one, in their order.</param>
public sealed record Programme(
    string Name,
    string Title,
    string Rule,
    string About,
    IReadOnlyList<string> Words,
    IReadOnlyList<string> Sheets,
    IReadOnlyList<Step> Steps
)
{
    /// <summary>Entries that say that it has done what it is for, whatever step it is at.</summary>
    public IReadOnlyList<EntryKind> Done { get; init; } = [];

    /// <summary>What speaks against it, from <see cref="Vetoes"/>.</summary>
    public IReadOnlyList<string> NotWhile { get; init; } = [];

    /// <summary>When in a northern year it is usually begun; null for any time. The south is half a year later.</summary>
    public (MonthDay From, MonthDay To)? Season { get; init; }

    /// <summary>Where its numbers come from.</summary>
    public string Source { get; init; } = "common practice";

    /// <summary>Written or changed by the grower.</summary>
    public bool Own { get; init; }

    /// <summary>It is meant for a plant on that sheet.</summary>
    public bool IsFor(CultureSheet sheet) => Sheets.Count == 0 || Sheets.Contains(sheet.Name);
}

/// <summary>One step of a programme.</summary>
/// <param name="Name">Unique in the programme, such as dry.</param>
/// <param name="Title">What it is, in a few words that begin small: "cool nights".</param>
/// <param name="Measure">When it is done.</param>
/// <param name="Turn">What to do as it begins, as one sentence.</param>
public sealed record Step(string Name, string Title, StepMeasure Measure, string Turn)
{
    /// <summary>What water it gets meanwhile.</summary>
    public StepWater Water { get; init; } = StepWater.AsUsual;

    /// <summary>It may be fed meanwhile.</summary>
    public bool Feed { get; init; }

    /// <summary>What light it gets meanwhile.</summary>
    public StepLight Light { get; init; } = StepLight.AsUsual;

    /// <summary>What sets it back, and what that costs, each as words.</summary>
    public IReadOnlyList<StepBreak> Breaks { get; init; } = [];

    /// <summary>Entries that say that the turn was made; none where nobody has to do anything.</summary>
    public IReadOnlyList<EntryKind> TurnedBy { get; init; } = [];
}

/// <summary>Something that sets a step back.</summary>
/// <param name="By">The entry that says that it happened.</param>
/// <param name="Costs">What it costs, as a clause: "the dry days begin again".</param>
public sealed record StepBreak(EntryKind By, string Costs);

/// <summary>Water in a step.</summary>
public enum StepWater
{
    /// <summary>By the ordinary rules.</summary>
    AsUsual,

    /// <summary>None: a dry pot is what is wanted.</summary>
    None,
}

/// <summary>Light in a step.</summary>
public enum StepLight
{
    /// <summary>By the ordinary rules.</summary>
    AsUsual,

    /// <summary>No lamp after dusk.</summary>
    LongNights,

    /// <summary>Dark by day too.</summary>
    Dark,
}

/// <summary>What can speak against a programme.</summary>
public static class Vetoes
{
    /// <summary>In its first weeks here.</summary>
    public const string Newcomer = "newcomer";

    /// <summary>Rot, open pests or no live roots.</summary>
    public const string Sick = "sick";

    /// <summary>A spike or buds on their way when it was started.</summary>
    public const string InBud = "in-bud";

    /// <summary>Every veto.</summary>
    public static readonly IReadOnlyList<string> All = [Newcomer, Sick, InBud];
}
