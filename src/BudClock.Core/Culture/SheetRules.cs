namespace BudClock.Core.Culture;

/// <summary>The rules that a habit follows, with what its sheet says of each; never changed once made.</summary>
/// <param name="rules">By the rule's id.</param>
public sealed class SheetRules(IReadOnlyDictionary<string, RuleSheet> rules)
{
    /// <summary>No rule.</summary>
    public static readonly SheetRules None = new(new Dictionary<string, RuleSheet>());

    /// <summary>Read when first asked for; two that ask at once read the same.</summary>
    readonly object?[] typed = new object?[RuleLimits.Count];

    /// <summary>What the sheet says of each rule, by the rule's id.</summary>
    public IReadOnlyDictionary<string, RuleSheet> All => rules;

    /// <summary>What the sheet says of a rule; null when the habit does not follow it.</summary>
    /// <param name="id">The rule's id, such as W1.</param>
    public RuleSheet? Find(string id) => rules.GetValueOrDefault(id);

    /// <summary>The limits of a rule; null when the habit does not follow it.</summary>
    /// <typeparam name="T">The record of the rule's limits.</typeparam>
    public T? Limits<T>()
        where T : class
    {
        var declared = LimitsOf<T>.Declared;
        return (T?)(typed[declared.Number] ??= Find(declared.Rule) is { } rule ? declared.Read(rule.Thresholds) : null);
    }

    /// <summary>The same rules with another word on one.</summary>
    public SheetRules With(string id, RuleSheet rule) => new(new Dictionary<string, RuleSheet>(rules) { [id] = rule });

    /// <summary>The same rules, each with what another sheet says of it, which is null for none.</summary>
    public SheetRules Each(Func<string, RuleSheet, RuleSheet> word) =>
        new(rules.ToDictionary(rule => rule.Key, rule => word(rule.Key, rule.Value)));

    /// <summary>These rules and all of a basis, with the numbers and reasons of the basis where these give none.</summary>
    public SheetRules Over(SheetRules basis) =>
        new(
            basis.All.Keys.Union(rules.Keys).ToDictionary(id => id, id => Find(id) is { } own ? own.Over(basis.Find(id)) : basis.Find(id)!)
        );
}

/// <summary>One rule's numbers on a sheet, by name.</summary>
/// <param name="At">Where a sheet names the rule; null for a sheet that was made in code.</param>
public sealed record RuleSheet(IReadOnlyDictionary<string, Threshold> Thresholds, SheetPlace? At = null)
{
    /// <summary>The numbers with the safer of two for each (rule V9); one that the leading parent lacks stays away.</summary>
    public RuleSheet Stricter(RuleSheet other) =>
        this with
        {
            Thresholds = Thresholds.ToDictionary(
                pair => pair.Key,
                pair =>
                    other.Thresholds.GetValueOrDefault(pair.Key) is { } second && second.Limit.IsStricter(second.Value, pair.Value.Value)
                        ? second
                        : pair.Value
            ),
        };

    /// <summary>The numbers with the safer of two for each, and those that only the other gives.</summary>
    public RuleSheet Narrowed(RuleSheet other) => Stricter(other).Over(other);

    /// <summary>The numbers, with those of another where it gives none, and the other's reasons where it gives none.</summary>
    public RuleSheet Over(RuleSheet? basis)
    {
        if (basis is null)
            return this;
        var rows = new Dictionary<string, Threshold>(basis.Thresholds);
        foreach (var (name, own) in Thresholds)
            rows[name] = own.Reason.Length == 0 && rows.TryGetValue(name, out var other) ? own with { Reason = other.Reason } : own;
        return this with { Thresholds = rows };
    }
}

/// <summary>A line of a sheet's file.</summary>
public sealed record SheetPlace(string File, long Line);

/// <summary>A number to decide by, with the reason for it.</summary>
/// <param name="Limit">What is declared of it: its unit, its range, what it means.</param>
/// <param name="Reason">Why it is so, as a sentence; empty until it is taken from the sheet below.</param>
public sealed record Threshold(double Value, Limit Limit, string Reason)
{
    /// <summary>As sheets write it behind the number; empty for yes and no.</summary>
    public string Unit => Limit.Unit;

    /// <summary>The number with its unit, or yes or no.</summary>
    public string Words =>
        Limit.Kind == typeof(bool)
            ? Value > 0
                ? "yes"
                : "no"
            : string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{Value:0.##} {Unit}");
}
