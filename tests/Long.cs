using Xunit.v3;

namespace BudClock.Tests;

/// <summary>A test that is run by ./test --long and in CI, and left out of ./test, which is run at each step.</summary>
[AttributeUsage(AttributeTargets.Class | AttributeTargets.Method)]
sealed class LongAttribute : Attribute, ITraitAttribute
{
    public IReadOnlyCollection<KeyValuePair<string, string>> GetTraits() => [new("Set", "long")];
}
