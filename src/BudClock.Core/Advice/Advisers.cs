using BudClock.Core.Culture;

namespace BudClock.Core.Advice;

/// <summary>Every rule, in the order in which a plant's advice is given.</summary>
public static class Advisers
{
    public static readonly IReadOnlyList<IAdviser> All =
        [new FirstSoakAdviser(), new FirstWaterAdviser(), new SecondLookAdviser(), new TwoGrowthsAdviser(), new MeasureAdviser()];

    /// <summary>Thresholds that a rule needs and a sheet that names the rule does not give, as sentences.</summary>
    public static IReadOnlyList<string> MissingOn(IEnumerable<CultureSheet> sheets) =>
    [
        .. from sheet in sheets
           from rule in sheet.Rules
           let adviser = All.FirstOrDefault(a => a.Rule == rule.Key)
           from fault in Faults(adviser, rule.Value)
           select $"Sheet {sheet.Name}, rule {rule.Key}: {fault}",
    ];

    static IEnumerable<string> Faults(IAdviser? adviser, RuleSheet rule) => adviser is null
        ? ["no such rule"]
        : adviser.Thresholds.Where(name => !rule.Thresholds.ContainsKey(name)).Select(name => $"{name} is missing");
}
