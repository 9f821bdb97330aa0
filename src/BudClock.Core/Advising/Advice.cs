using BudClock.Core.Evidence;
using BudClock.Core.Measuring;

namespace BudClock.Core.Advising;

/// <summary>What is said of one act of care for a plant on a day, and why.</summary>
/// <param name="Topic">One of <see cref="Topics"/>.</param>
/// <param name="Rule">The rule's id, such as W1.</param>
/// <param name="Care">The act that is ordered, held back, or looked at first.</param>
/// <param name="Due">The day to act or look next; null when the plant has to show something first.</param>
/// <param name="Reason">One sentence for the grower.</param>
public sealed record Advice(
    string Topic,
    string Rule,
    Care Care,
    Verdict Verdict,
    DateOnly? Due,
    string Reason,
    IReadOnlyList<Condition> Conditions
)
{
    /// <summary>What the verdict rests on; where rules differ on one question, the stronger ground stands.</summary>
    public Ground Ground { get; init; } = Ground.Sign;

    /// <summary>Why the act is proposed, as a clause without its end: "Leaves limp today"; a guard that stops it says both.</summary>
    public string? Because { get; init; }

    /// <summary>The guards that this advice goes ahead against, by name; only an emergency names any.</summary>
    public IReadOnlyList<string> Overrides { get; init; } = [];

    /// <summary>The guard that stopped the act, by name; null where none did.</summary>
    public string? StoppedBy { get; init; }

    /// <summary>How much, for an act: "200 mL", "30 minutes".</summary>
    public string? Amount { get; init; }

    /// <summary>Which bottle, for advice on feed; one of <see cref="Mixing.Bottles.All"/>.</summary>
    public string? Bottle { get; init; }

    /// <summary>The entry that the act is logged as: that of its kind of care, unless the rule says another.</summary>
    public EntryKind? LoggedAs
    {
        get => field ?? Care.Facts().LoggedAs;
        init;
    }

    /// <summary>The school this advice follows, where growers differ.</summary>
    public string? School { get; init; }

    /// <summary>What the other schools would do with the same plant today.</summary>
    public IReadOnlyList<OtherSchool> Others { get; init; } = [];

    /// <summary>When the measured length is likely to get there.</summary>
    public Projection? Projection { get; init; }

    /// <summary>The kind of entry that answers a question, where the advice asks one.</summary>
    public EntryKind? AnsweredBy { get; init; }

    /// <summary>The last day of the span that opens at <see cref="Due"/>, where there is one.</summary>
    public DateOnly? Until { get; init; }

    /// <summary>It asks only because its log has nothing yet that it could go by: one word for many plants at once answers it.</summary>
    public bool Begins { get; init; }

    /// <summary>The day on which a question arose, where its conditions do not tell it.</summary>
    public DateOnly? Since { get; init; }

    /// <summary>It asks about a danger.</summary>
    public bool Danger { get; init; }

    /// <summary>Another rule waits for the answer, so that it is more than a habit.</summary>
    public bool Needed { get; init; }

    /// <summary>It is due by habit alone, and a grower may not want to be asked for it.</summary>
    public bool ByHabit => Care.Facts().ByHabit && !Needed;

    /// <summary>A question about a danger never grows quiet.</summary>
    public bool Urgent => Danger || Ground is Ground.Emergency || Care.Facts().Question is "cold" or "heat";

    /// <summary>It is ordered or asked about today.</summary>
    public bool Asks => Verdict is not Verdict.Hold;

    /// <summary>With a school, and what the others would do.</summary>
    public Advice By(ChosenSchool? school) => school is null ? this : this with { School = school.Chosen.Name, Others = school.Others };
}
