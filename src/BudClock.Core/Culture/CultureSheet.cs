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

    /// <summary>Names of <see cref="Cautions"/> that hold for the whole plant.</summary>
    public IReadOnlyList<string> Cautions { get; init; } = [];

    /// <summary>What the habit is, from <see cref="Culture.Traits"/>.</summary>
    public IReadOnlyList<string> Traits { get; init; } = [];

    /// <summary>How much sun it bears at most (rule E8).</summary>
    public LightClass Light { get; init; } = LightClass.Bright;

    /// <summary>What of it can be saved when its base rots (rule V2), such as "firm back bulbs".</summary>
    public string Rescue { get; init; } = "whatever is firm";

    /// <summary>Words for a medium it must not stay in when it arrives (rule F2), in lower case.</summary>
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
            Rules = lead.Rules.ToDictionary(
                rule => rule.Key,
                rule => second.Rule(rule.Key) is { } limits ? rule.Value.Stricter(rule.Key, limits) : rule.Value
            ),
            Light = (LightClass)Math.Min((int)lead.Light, (int)second.Light),
            WrongMedia = [.. lead.WrongMedia.Union(second.WrongMedia)],
            Cautions = [.. lead.Cautions.Union(second.Cautions)],
        };
    }

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

    /// <summary>The sheet with the rules, thresholds and schools of another where it has none of its own.</summary>
    public CultureSheet Over(CultureSheet basis) =>
        this with
        {
            Rules = basis
                .Rules.Keys.Union(Rules.Keys)
                .ToDictionary(
                    id => id,
                    id =>
                        (Rule(id), basis.Rule(id)) switch
                        {
                            ({ } own, { } other) => own.Over(other),
                            (var own, var other) => (own ?? other)!,
                        }
                ),
            WrongMedia = [.. WrongMedia.Union(basis.WrongMedia)],
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

    /// <summary>A threshold that a sheet may leave out; null then.</summary>
    public double? Find(string name) => Thresholds.GetValueOrDefault(name)?.Value;

    /// <summary>Thresholds of which the higher one is the stricter; of all others it is the lower, and what no list names stays.</summary>
    static readonly HashSet<string> HigherIsStricter =
    [
        "V4.feed",
        "V4.danger",
        "V4.danger-rest",
        "W1.root-length-small",
        "W1.root-length-large",
        "W1.night",
        "D3.warm",
        "D4.night",
        "E7.humid-from",
        "F10.ph-from",
    ];

    static readonly HashSet<string> LowerIsStricter =
    [
        "V4.hot-night",
        "V4.hot-day",
        "F10.tds",
        "F10.ph-to",
        "F3.share",
        "F3.rising",
        "W6.tds",
        "W6.depth",
    ];

    /// <summary>The thresholds of a rule with the stricter of two limits for each.</summary>
    public RuleSheet Stricter(string rule, RuleSheet other) =>
        new(
            Thresholds.ToDictionary(
                pair => pair.Key,
                pair =>
                    other.Thresholds.GetValueOrDefault(pair.Key) is { } second
                    && IsStricter($"{rule}.{pair.Key}", second.Value, pair.Value.Value)
                        ? second
                        : pair.Value
            )
        );

    static bool IsStricter(string name, double second, double first) =>
        (HigherIsStricter.Contains(name) && second > first) || (LowerIsStricter.Contains(name) && second < first);

    /// <summary>The thresholds of a rule, with those of another where it gives none.</summary>
    public RuleSheet Over(RuleSheet basis) =>
        new(basis.Thresholds.Where(threshold => !Thresholds.ContainsKey(threshold.Key)).Concat(Thresholds).ToDictionary());
}

/// <summary>A number to decide by, with its unit and the reason for it.</summary>
/// <param name="Least">The least value that makes sense.</param>
/// <param name="Most">The most that makes sense.</param>
/// <param name="Genera">Genera it holds for; empty when it holds for the whole sheet.</param>
public sealed record Threshold(double Value, double Least, double Most, string Unit, string Reason, IReadOnlyList<string> Genera)
{
    /// <summary>Whether a grower may set it to that: a number from <see cref="Least"/> to <see cref="Most"/>.</summary>
    public bool Allows(double value) => value >= Least && value <= Most;
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
