using System.Reflection;
using System.Text;

namespace BudClock.Core.Culture;

/// <summary>The numbers that one rule decides by: declared once, in a record that the compiler knows; sheets give the values.</summary>
/// <remarks>
/// A record with <see cref="RuleAttribute"/> whose every parameter has a <see cref="LimitAttribute"/> is found wherever it stands in
/// this assembly: there is no list to add it to.
/// </remarks>
public sealed class RuleLimits
{
    static readonly RuleLimits[] All =
    [
        .. typeof(RuleLimits)
            .Assembly.GetTypes()
            .Where(type => type.IsDefined(typeof(RuleAttribute)))
            .Select((type, number) => new RuleLimits(type, number)),
    ];

    static readonly Dictionary<string, RuleLimits> ByRule = All.ToDictionary(one => one.Rule);

    readonly ConstructorInfo make;

    RuleLimits(Type type, int number)
    {
        var rule = type.GetCustomAttribute<RuleAttribute>()!;
        (Number, Rule, Title) = (number, rule.Id, rule.Title);
        make = type.GetConstructors().Single();
        Limits = [.. make.GetParameters().Select(Declared)];
    }

    /// <summary>The rule's id, such as W1.</summary>
    public string Rule { get; }

    /// <summary>What the rule is about, as a clause.</summary>
    public string Title { get; }

    /// <summary>Its numbers, in the order in which they are declared.</summary>
    public IReadOnlyList<Limit> Limits { get; }

    /// <summary>Counts them up from 0, so that a sheet finds one without a search.</summary>
    internal int Number { get; }

    /// <summary>How many rules have limits.</summary>
    internal static int Count => All.Length;

    /// <summary>The ids of all rules that have limits.</summary>
    public static IEnumerable<string> Rules => ByRule.Keys;

    /// <summary>The limits of a rule; null where it has none.</summary>
    /// <param name="rule">The rule's id, such as W1.</param>
    public static RuleLimits? Of(string rule) => ByRule.GetValueOrDefault(rule);

    /// <summary>The declaration of a number; null where the rule has none of that name.</summary>
    /// <param name="name">As sheets write it.</param>
    public Limit? Find(string name) => Limits.FirstOrDefault(limit => limit.Name == name);

    /// <summary>The record with a sheet's values; what a sheet may leave out is null.</summary>
    /// <param name="rows">Every number that has to be there: sheets are checked for that when they are read.</param>
    /// <exception cref="KeyNotFoundException">A number is missing that has to be there.</exception>
    internal object Read(IReadOnlyDictionary<string, Threshold> rows) =>
        make.Invoke([
            .. Limits.Select(limit =>
                rows.TryGetValue(limit.Name, out var row) ? limit.Typed(row.Value)
                : limit.Optional ? null
                : throw new KeyNotFoundException($"{Rule}: {limit.Name} is missing.")
            ),
        ]);

    static Limit Declared(ParameterInfo parameter)
    {
        var limit = parameter.GetCustomAttribute<LimitAttribute>()
            ?? throw new InvalidOperationException($"{parameter.Member.DeclaringType!.Name}.{parameter.Name} declares no limit.");
        var bare = Nullable.GetUnderlyingType(parameter.ParameterType);
        return new(
            Kebab(parameter.Name!),
            limit.Unit,
            limit.Least,
            limit.Most,
            limit.Meaning,
            limit.Stricter,
            bare is not null,
            bare ?? parameter.ParameterType
        );
    }

    /// <summary>"RootLengthSmall" is written "root-length-small".</summary>
    static string Kebab(string name)
    {
        var kebab = new StringBuilder();
        foreach (var letter in name)
            kebab.Append(char.IsUpper(letter) && kebab.Length > 0 ? "-" : "").Append(char.ToLowerInvariant(letter));
        return kebab.ToString();
    }
}

/// <summary>Where a sheet finds the limits of one rule.</summary>
/// <typeparam name="T">The record of the rule's limits.</typeparam>
static class LimitsOf<T>
{
    public static readonly RuleLimits Declared = RuleLimits.Of(typeof(T).GetCustomAttribute<RuleAttribute>()?.Id ?? "")
        ?? throw new InvalidOperationException($"{typeof(T).Name} is of no rule.");
}
