using BudClock.Core.Measuring;
using BudClock.Core.Mixing;

namespace BudClock.Core.Advising;

/// <summary>What a rule says about a plant on a day, and why.</summary>
/// <param name="Topic">One of <see cref="Topics"/>.</param>
/// <param name="Rule">The rule's id, such as W1.</param>
/// <param name="Due">The day to act or look next; null when the plant has to show something first.</param>
/// <param name="Reason">One sentence for the grower.</param>
public sealed record Advice(string Topic, string Rule, Verdict Verdict, DateOnly? Due, string Reason, IReadOnlyList<Condition> Conditions)
{
    /// <summary>What the verdict rests on; where rules differ on one topic, the stronger ground stands.</summary>
    public Ground Ground { get; init; } = Ground.Sign;

    /// <summary>How much, for an act: "200 mL", "30 minutes".</summary>
    public string? Amount { get; init; }

    /// <summary>Which bottle, for advice on feed; one of <see cref="Bottles.All"/>.</summary>
    public string? Bottle { get; init; }

    /// <summary>The entry that the act is logged as, where it is not plain from the topic.</summary>
    public EntryKind? LoggedAs { get; init; }

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
}

/// <summary>Another school's way, with what it risks.</summary>
public sealed record OtherSchool(string Name, string Would, string Risks);
