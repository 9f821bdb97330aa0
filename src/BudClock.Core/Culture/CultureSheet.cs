namespace BudClock.Core.Culture;

/// <summary>How one habit is grown: which rules it follows, with which thresholds, and its usual year.</summary>
/// <param name="Name">Used in files, such as leafless-pseudobulb.</param>
/// <param name="Genera">The genera, and species, that this sheet is found from.</param>
public sealed record CultureSheet(
    string Name,
    string Title,
    string About,
    IReadOnlyList<string> Genera,
    IReadOnlyDictionary<string, RuleSheet> Rules,
    IReadOnlyDictionary<string, SchoolQuestion> Schools,
    IReadOnlyList<UsualLane> Usual)
{
    /// <summary>What the habit makes: growths or vines or leaves, spikes or lasting peduncles.</summary>
    public OrganHabit Organs { get; init; } = OrganHabit.Usual;

    /// <summary>Media it is meant for; empty for any that no other sheet of the genus claims.</summary>
    public IReadOnlyList<string> Media { get; init; } = [];

    /// <summary>The phases of its year in their order, with their usual times.</summary>
    public IReadOnlyList<UsualPhase> Phases { get; init; } = [];

    /// <summary>What to look for, and what it means.</summary>
    public IReadOnlyList<SheetSign> Signs { get; init; } = [];

    /// <summary>Names of <see cref="Cautions"/> that hold for the whole plant.</summary>
    public IReadOnlyList<string> Cautions { get; init; } = [];

    /// <summary>The sheet with the rules, thresholds and schools of another where it has none of its own.</summary>
    public CultureSheet Over(CultureSheet basis) => this with
    {
        Rules = basis.Rules.Keys.Union(Rules.Keys).ToDictionary(id => id, id => (Rule(id), basis.Rule(id)) switch
        {
            ({ } own, { } other) => own.Over(other),
            (var own, var other) => (own ?? other)!,
        }),
        Schools = Schools.Concat(basis.Schools.Where(school => !Schools.ContainsKey(school.Key))).ToDictionary(),
    };

    /// <summary>The sheet's word on a rule; null when the habit does not follow it.</summary>
    public RuleSheet? Rule(string id) => Rules.GetValueOrDefault(id);
}

/// <summary>One rule's thresholds on a sheet, by name.</summary>
public sealed record RuleSheet(IReadOnlyDictionary<string, Threshold> Thresholds)
{
    /// <summary>A threshold that the rule needs. Sheets are checked at start, so it is there.</summary>
    public double this[string name] => Thresholds[name].Value;

    public RuleSheet Over(RuleSheet basis) => new(basis.Thresholds.Where(threshold => !Thresholds.ContainsKey(threshold.Key)).Concat(Thresholds).ToDictionary());
}

/// <summary>A number to decide by, with its unit and the reason for it.</summary>
/// <param name="Genera">Genera it holds for; empty when it holds for the whole sheet.</param>
public sealed record Threshold(double Value, string Unit, string Reason, IReadOnlyList<string> Genera);

/// <summary>A question on which good growers differ.</summary>
public sealed record SchoolQuestion(string Question, string Default, IReadOnlyDictionary<string, School> Answers);

/// <summary>One way that growers defend: what they do and what it risks.</summary>
public sealed record School(string Name, string Does, string Risks);

/// <summary>When a lane usually runs, as days of a northern year; the south is half a year later.</summary>
public sealed record UsualLane(LaneKind Lane, MonthDay From, MonthDay To);

/// <summary>A phase of the year with its usual days, and what it is like.</summary>
public sealed record UsualPhase(Phase Phase, MonthDay From, MonthDay To, string About);

/// <summary>Something to look for on this habit.</summary>
/// <param name="State">The state, for kinds that have states.</param>
/// <param name="Means">What it says, as a sentence.</param>
/// <param name="Phases">When it is worth a button; empty for always.</param>
public sealed record SheetSign(EntryKind Kind, string? State, string Means, IReadOnlyList<Phase> Phases);

/// <summary>A day of any year.</summary>
public readonly record struct MonthDay(int Month, int Day)
{
    /// <summary>The day in a given year, half a year later in the southern hemisphere.</summary>
    public DateOnly In(int year, bool southern) =>
        southern ? new DateOnly(year, Month, Day).AddMonths(6) : new DateOnly(year, Month, Day);
}
