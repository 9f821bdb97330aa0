using BudClock.Core.Advising;
using NetArchTest.Rules;

namespace BudClock.Core.Tests;

public class CoreStandsAloneTests
{
    [Theory]
    [InlineData("BudClock.Data")]
    [InlineData("BudClock.Web")]
    [InlineData("Microsoft.EntityFrameworkCore")]
    [InlineData("Microsoft.AspNetCore")]
    [InlineData("Microsoft.Data.Sqlite")]
    public void Core_knows_nothing_of(string other)
    {
        var found = Types.InAssembly(typeof(Assessor).Assembly).Should().NotHaveDependencyOn(other).GetResult();
        Assert.True(found.IsSuccessful, string.Join(", ", found.FailingTypeNames ?? []));
        Assert.DoesNotContain(typeof(Assessor).Assembly.GetReferencedAssemblies(), a => a.Name!.StartsWith(other, StringComparison.Ordinal));
    }
}
