using BudClock.Core.Culture;

namespace BudClock.Core.Advising;

/// <summary>Every rule that there is.</summary>
public static class Advisers
{
    /// <summary>Every adviser, by its rule.</summary>
    public static readonly IReadOnlyList<IAdviser> All =
    [
        .. Parts
            .Of<IAdviser>()
            .OrderBy(adviser => adviser.Rule, StringComparer.Ordinal)
            .ThenBy(adviser => adviser.GetType().Name, StringComparer.Ordinal),
    ];

    /// <summary>Rules that a sheet names and nobody knows, each with its file and line.</summary>
    public static IReadOnlyList<SheetFault> UnknownOn(IEnumerable<CultureSheet> sheets) =>
        [
            .. from sheet in sheets
            from rule in sheet.Rules.All
            where !Known.Contains(rule.Key)
            select new SheetFault(rule.Value.At?.File ?? sheet.Name, rule.Value.At?.Line ?? 1, $"{rule.Key} is no rule"),
        ];

    /// <summary>Rules that an adviser or a guard speaks for, or that have limits which evidence asks for.</summary>
    static readonly HashSet<string> Known =
    [
        .. All.Select(adviser => adviser.Rule),
        .. Guards.All.Select(guard => guard.Rule),
        .. RuleLimits.Rules,
    ];
}
