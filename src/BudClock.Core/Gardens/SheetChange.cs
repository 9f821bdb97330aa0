using BudClock.Core.Culture;

namespace BudClock.Core.Gardens;

/// <summary>A grower's own number or school in place of the sheet's, for the whole sheet or for one plant.</summary>
/// <param name="Plant">A plant's tag; null changes the sheet for all its plants.</param>
/// <param name="Name">A threshold as rule.name ("W3.every-from"), or the question of a school ("tuber-rest").</param>
/// <param name="Value">The number, for a threshold; null for a school.</param>
/// <param name="School">The school, for a question; null for a threshold.</param>
public sealed record SheetChange(string Sheet, string? Plant, string Name, double? Value, string? School)
{
    /// <summary>What it replaces: later changes of the same thing stand in its place.</summary>
    public bool Replaces(SheetChange other) => (Sheet, Plant, Name) == (other.Sheet, other.Plant, other.Name);

    /// <summary>The sheet with the change in it; unchanged where the sheet has no such threshold or school.</summary>
    public CultureSheet On(CultureSheet sheet)
    {
        if (Value is { } value && Name.Split('.', 2) is [var rule, var threshold] && sheet.Rule(rule)?.Thresholds.GetValueOrDefault(threshold) is { } known)
        {
            var thresholds = new Dictionary<string, Threshold>(sheet.Rule(rule)!.Thresholds) { [threshold] = known with { Value = value } };
            return sheet with { Rules = new Dictionary<string, RuleSheet>(sheet.Rules) { [rule] = new(thresholds) } };
        }
        if (School is not null && sheet.Schools.GetValueOrDefault(Name) is { } question && question.Answers.ContainsKey(School))
            return sheet with { Schools = new Dictionary<string, SchoolQuestion>(sheet.Schools) { [Name] = question with { Default = School } } };
        return sheet;
    }
}
