using System.Globalization;

namespace BudClock.Core.Tests;

/// <summary>Tables computed by something other than this project; the script that made each lies beside it.</summary>
static class Reference
{
    public static IEnumerable<string[]> Rows(string file) =>
        File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Reference", file)).Skip(1).Select(line => line.Split(','));

    public static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);
}
