using BudClock.Core.Lanes;

namespace BudClock.Core.Culture;

/// <summary>How one habit is grown: which rules it follows, with which thresholds, and its usual year.</summary>
/// <param name="Name">Used in files, such as leafless-pseudobulb.</param>
/// <param name="Genera">The genera that this sheet is found from.</param>
public sealed record CultureSheet(
    string Name,
    string Title,
    string About,
    IReadOnlyList<string> Genera,
    IReadOnlyDictionary<string, RuleSheet> Rules,
    IReadOnlyDictionary<string, SchoolQuestion> Schools,
    IReadOnlyList<UsualLane> Usual)
{
    /// <summary>The sheet's word on a rule; null when the habit does not follow it.</summary>
    public RuleSheet? Rule(string id) => Rules.GetValueOrDefault(id);
}

/// <summary>One rule's thresholds on a sheet, by name.</summary>
public sealed record RuleSheet(IReadOnlyDictionary<string, Threshold> Thresholds)
{
    /// <summary>A threshold that the rule needs. Sheets are checked at start, so it is there.</summary>
    public double this[string name] => Thresholds[name].Value;
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

/// <summary>A day of any year.</summary>
public readonly record struct MonthDay(int Month, int Day)
{
    /// <summary>The day in a given year, half a year later in the southern hemisphere.</summary>
    public DateOnly In(int year, bool southern) =>
        southern ? new DateOnly(year, Month, Day).AddMonths(6) : new DateOnly(year, Month, Day);
}
