using System.Globalization;

namespace BudClock.Core.Culture;

/// <summary>A grower's change put into its sheet, and the one check that every change goes through: form, file and command line.</summary>
public static class ChangedSheets
{
    /// <summary>The sheet with the change in it; unchanged where the change is faulty, so that a bad number never reaches a rule.</summary>
    public static CultureSheet On(this SheetChange change, CultureSheet sheet)
    {
        if (change.Fault(sheet) is not null)
            return sheet;
        if (change.Value is not { } value)
            return sheet with
            {
                Schools = new Dictionary<string, SchoolQuestion>(sheet.Schools)
                {
                    [change.Name] = sheet.Schools[change.Name] with { Default = change.School! },
                },
            };
        var (rule, name) = Split(change.Name);
        var known = sheet.Rule(rule)!;
        var thresholds = new Dictionary<string, Threshold>(known.Thresholds);
        thresholds[name] = thresholds[name] with { Value = value };
        return sheet with { Rules = sheet.Rules.With(rule, known with { Thresholds = thresholds }) };
    }

    /// <summary>What is wrong with a change of this sheet, as a sentence; null when it is sound.</summary>
    public static string? Fault(this SheetChange change, CultureSheet sheet)
    {
        if (change.Value is not { } value)
            return SchoolFault(change, sheet);
        var (rule, name) = Split(change.Name);
        if (sheet.Rule(rule)?.Thresholds.GetValueOrDefault(name) is not { } threshold)
            return $"{change.Name} is no number on the sheet {sheet.Name}.";
        var limit = threshold.Limit;
        return limit.Allows(value)
            ? null
            : Numbers($"{value:0.###} is outside {limit.Least:0.###} to {$"{limit.Most:0.###} {limit.Unit}".TrimEnd()}.");
    }

    static string? SchoolFault(SheetChange change, CultureSheet sheet)
    {
        if (change.School is null)
            return "A change gives a number or a school.";
        if (sheet.Schools.GetValueOrDefault(change.Name) is not { } question)
            return $"{change.Name} is no question on the sheet {sheet.Name}.";
        return question.Answers.ContainsKey(change.School)
            ? null
            : $"\"{change.School}\" is no school here; known are {string.Join(", ", question.Answers.Keys)}.";
    }

    static (string Rule, string Name) Split(string name) =>
        name.Split('.', 2) is [var rule, var threshold] ? (rule, threshold) : (name, "");

    static string Numbers(FormattableString text) => text.ToString(CultureInfo.InvariantCulture);
}
