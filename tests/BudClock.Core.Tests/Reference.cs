using System.Globalization;

namespace BudClock.Core.Tests;

/// <summary>Tables computed by something other than this project; the script that made each lies beside it.</summary>
static class Reference
{
    /// <summary>The folder of the whole project, for what tests print into it.</summary>
    public static string Repository()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder!.FullName, "BudClock.slnx")))
            folder = folder.Parent;
        return folder.FullName;
    }

    public static IEnumerable<string[]> Rows(string file) =>
        File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Reference", file)).Skip(1).Select(line => line.Split(','));

    public static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);
}
