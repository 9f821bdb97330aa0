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

    /// <summary>Rules that only lend their thresholds to others: what lengthens an interval, how strong, how old evidence may be.</summary>
    static readonly Dictionary<string, string[]> Lent = new()
    {
        ["W12"] = ["stretch"],
        ["W17"] = ["day-length", "stretch"],
        ["D7"] = ["day-length", "lamps", "stretch"],
        ["F3"] = ["share", "rising", "weak", "frequent"],
        ["V3"] = ["few", "rooting"],
        ["V6"] = ["rest", "few-roots"],
        ["V7"] = ["wet", "dry", "limp", "bulbs", "roots", "nights", "meter", "colour", "pests"],
    };

    /// <summary>Thresholds that a rule needs and a sheet that names the rule does not give, as sentences.</summary>
    public static IReadOnlyList<string> MissingOn(IEnumerable<CultureSheet> sheets) =>
        [
            .. from sheet in sheets
            from rule in sheet.Rules
            from fault in Faults(rule.Key, rule.Value)
            select $"Sheet {sheet.Name}, rule {rule.Key}: {fault}",
        ];

    static IEnumerable<string> Faults(string id, RuleSheet rule)
    {
        var advisers = All.Where(adviser => adviser.Rule == id).ToList();
        if (advisers.Count == 0 && !Lent.ContainsKey(id) && Guards.All.All(guard => guard.Rule != id))
            return ["no such rule"];
        return advisers
            .SelectMany(adviser => adviser.Thresholds)
            .Concat(Lent.GetValueOrDefault(id) ?? [])
            .Distinct()
            .Where(name => !rule.Thresholds.ContainsKey(name))
            .Select(name => $"{name} is missing");
    }
}
