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

    /// <summary>A page of the docs that is printed by a test, and fails it when it was out of date.</summary>
    public static void Printed(string name, string page)
    {
        var file = Path.Combine(Repository(), "docs", name);
        var before = File.Exists(file) ? File.ReadAllText(file) : "";
        if (before != page && !Specimens.Mutating)
            File.WriteAllText(file, page);
        Assert.True(before == page, $"docs/{name} was out of date and has been printed anew: read it as a grower would, then commit it.");
    }

    public static IEnumerable<string[]> Rows(string file) =>
        File.ReadLines(Path.Combine(AppContext.BaseDirectory, "Reference", file)).Skip(1).Select(line => line.Split(','));

    public static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);
}
