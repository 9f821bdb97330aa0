namespace BudClock.Core.Culture;

/// <summary>How one habit is grown: which rules it follows, with which thresholds, and its usual year.</summary>
/// <param name="Name">Used in files, such as leafless-pseudobulb.</param>
/// <param name="Genera">The genera, and species, that this sheet is found from.</param>
public sealed record CultureSheet(
    string Name,
    string Title,
    string About,
    IReadOnlyList<string> Genera,
    SheetRules Rules,
    IReadOnlyDictionary<string, SchoolQuestion> Schools,
    IReadOnlyList<UsualLane> Usual
)
{
    /// <summary>What the habit makes: growths or vines or leaves, spikes or lasting peduncles.</summary>
    public OrganHabit Organs { get; init; } = OrganHabit.Usual;

    /// <summary>Media it is meant for; empty for any that no other sheet of the genus claims.</summary>
    public IReadOnlyList<string> Media { get; init; } = [];

    /// <summary>The phases of its year in their order, with their usual times.</summary>
    public IReadOnlyList<UsualPhase> Phases { get; init; } = [];

    /// <summary>What to look for, and what it means.</summary>
    public IReadOnlyList<SheetSign> Signs { get; init; } = [];

    /// <summary>
    /// Numbers of rules that only some habits follow, for those that follow them; none but on the general sheet.
    /// </summary>
    public SheetRules HabitRules { get; init; } = SheetRules.None;

    /// <summary>Names of <see cref="Cautions"/> that hold for the whole plant.</summary>
    public IReadOnlyList<string> Cautions { get; init; } = [];

    /// <summary>What the habit is, from <see cref="Culture.Traits"/>.</summary>
    public IReadOnlyList<string> Traits { get; init; } = [];

    /// <summary>How much sun it bears at most (rule E8).</summary>
    public LightClass Light { get; init; } = LightClass.Bright;

    /// <summary>What of it can be saved when its base rots (rule V2), such as "firm back bulbs".</summary>
    public string Rescue { get; init; } = "whatever is firm";

    /// <summary>Parts and states of a medium that it must not stay in when it arrives (rule F2), as media.yaml names them.</summary>
    public IReadOnlyList<string> WrongMedia { get; init; } = [];

    /// <summary>The school of a name, whichever question it answers; null where the sheet knows none such.</summary>
    public School? School(string? name) =>
        name is null
            ? null
            : Schools.Values.Select(question => question.Answers.GetValueOrDefault(name)).FirstOrDefault(answer => answer is not null);

    /// <summary>The name of a sheet whose rules, schools and year hold where this one gives none; null for none but the general.</summary>
    public string? Like { get; init; }

    /// <summary>Whether the habit is so; one of <see cref="Culture.Traits"/>.</summary>
    public bool Is(string trait) => Traits.Contains(trait);

    /// <summary>The sheet with all that it lacks taken from the sheet it is like.</summary>
    public CultureSheet LikeSheet(CultureSheet other) =>
        Over(other) with
        {
            Usual = Usual.Count > 0 ? Usual : other.Usual,
            Phases = Phases.Count > 0 ? Phases : other.Phases,
            Signs = Signs.Count > 0 ? Signs : other.Signs,
            Cautions = Cautions.Count > 0 ? Cautions : other.Cautions,
        };

    /// <summary>The sheet of a cross (rule V9): the parent that rests dry leads, and of each limit the stricter one holds.</summary>
    public CultureSheet Stricter(CultureSheet other)
    {
        if (other.Name == Name)
            return this;
        var (lead, second) = other.Is(Culture.Traits.DryRest) && !Is(Culture.Traits.DryRest) ? (other, this) : (this, other);
        return lead with
        {
            Rules = lead.Rules.Each((id, rule) => second.Rule(id) is { } limits ? rule.Stricter(limits) : rule),
            Light = (LightClass)Math.Min((int)lead.Light, (int)second.Light),
            WrongMedia = [.. lead.WrongMedia.Union(second.WrongMedia)],
            Cautions = [.. lead.Cautions.Union(second.Cautions)],
        };
    }

    /// <summary>The sheet for a way of growing, with what its kind bears of cold, heat and light where that is less.</summary>
    /// <param name="kind">The sheet of the kind, however it is grown.</param>
    public CultureSheet Narrowed(CultureSheet kind) =>
        this with
        {
            Rules = Rules.Each((id, rule) => id == Temperature && kind.Rule(id) is { } limits ? rule.Narrowed(limits) : rule),
            Light = (LightClass)Math.Min((int)Light, (int)kind.Light),
            Rescue = kind.Rescue,
            Cautions = [.. Cautions.Union(kind.Cautions)],
        };

    /// <summary>The rule that says what a kind bears of cold and heat.</summary>
    const string Temperature = "V4";

    /// <summary>
    /// The span of its usual year that a day lies in, with the day it began; null in a gap, and for a sheet without phases.
    /// </summary>
    /// <param name="southern">The south is half a year later.</param>
    public (UsualPhase Phase, DateOnly From)? PhaseOn(DateOnly day, bool southern)
    {
        foreach (var phase in Phases)
            for (var year = day.Year - 1; year <= day.Year; year++)
            {
                var from = phase.From.In(year, southern);
                var to = phase.To.In(year, southern);
                if (to < from)
                    to = to.AddYears(1);
                if (day >= from && day <= to)
                    return (phase, from);
            }
        return null;
    }

    /// <summary>The sheet with the rules, numbers and schools of another where it has none of its own.</summary>
    public CultureSheet Over(CultureSheet basis) =>
        this with
        {
            Rules = Rules.Over(basis.Rules).Each((id, rule) => rule.Over(basis.HabitRules.Find(id))),
            WrongMedia = [.. WrongMedia.Union(basis.WrongMedia)],
            Schools = Schools.Concat(basis.Schools.Where(school => !Schools.ContainsKey(school.Key))).ToDictionary(),
        };

    /// <summary>The sheet's word on a rule; null when the habit does not follow it.</summary>
    /// <param name="id">The rule's id, such as W1.</param>
    public RuleSheet? Rule(string id) => Rules.Find(id);

    /// <summary>The limits of a rule that this habit follows.</summary>
    /// <typeparam name="T">The record of the rule's limits.</typeparam>
    /// <exception cref="InvalidOperationException">The habit does not follow the rule: ask with <see cref="Find{T}"/>.</exception>
    public T Limits<T>()
        where T : class =>
        Rules.Limits<T>() ?? throw new InvalidOperationException($"The sheet {Name} follows no rule with {typeof(T).Name}.");

    /// <summary>The limits of a rule; null when the habit does not follow it.</summary>
    /// <typeparam name="T">The record of the rule's limits.</typeparam>
    public T? Find<T>()
        where T : class => Rules.Limits<T>();
}

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
