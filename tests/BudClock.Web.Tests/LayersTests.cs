using ArchUnitNET.Domain;
using ArchUnitNET.Fluent.Slices;
using ArchUnitNET.Loader;
using BudClock.Web.Hosting;

namespace BudClock.Web.Tests;

/// <summary>
/// The floors of Web, from the ground up: each folder names only what stands below it, namespaces are the folders, and no file lies loose.
/// docs/architecture.md says what each is for.
/// </summary>
public class LayersTests
{
    static readonly Architecture Web = new ArchLoader().LoadAssembly(typeof(Server).Assembly).Build();

    /// <summary>Those of one line know nothing of each other.</summary>
    static readonly string[][] Floors =
    [
        ["Ground"],
        ["Standing"],
        ["Writing"],
        ["Photos", "Drawing"],
        ["Files"],
        ["Outside"],
        ["StandIns"],
        ["Demo"],
        ["Stepping"],
        ["Doorstep", "Api", "Pages"],
        ["Hosting"],
        ["CommandLine"],
    ];

    static IEnumerable<IType> Own => Web.Types.Where(type => Folder(type) is not null);

    [Fact]
    public void No_folder_is_in_a_cycle() =>
        Assert.True(SliceRuleDefinition.Slices().Matching("BudClock.Web.(*)..").Should().BeFreeOfCycles().HasNoViolations(Web));

    [Fact]
    public void Each_folder_names_only_what_stands_below_it() => Assert.Empty(Breaches(Floor));

    [Fact]
    public void A_breach_would_be_seen() => Assert.NotEmpty(Breaches(folder => -Floor(folder))); // read upside down

    static IEnumerable<string> Breaches(Func<string, int> floor) =>
        (
            from type in Own
            let mine = Folder(type)!
            from target in type.Dependencies.Select(dependency => dependency.Target).Distinct()
            let other = Folder(target)
            where other is not null && other != mine && floor(other) >= floor(mine)
            select $"{type.FullName} names {target.FullName}"
        )
            .Distinct()
            .Order();

    [Fact]
    public void Namespaces_are_the_folders_and_no_file_lies_loose()
    {
        var source = Source();
        foreach (var file in Directory.EnumerateFiles(source, "*.cs", SearchOption.AllDirectories))
        {
            var folder = Path.GetRelativePath(source, Path.GetDirectoryName(file)!).Replace('/', '.');
            if (folder.StartsWith("obj", StringComparison.Ordinal) || folder.StartsWith("bin", StringComparison.Ordinal))
                continue;
            if (folder == ".")
                Assert.Equal("Program.cs", Path.GetFileName(file));
            else
                Assert.Contains($"namespace BudClock.Web.{folder};", File.ReadLines(file));
        }
    }

    static int Floor(string folder) => Array.FindIndex(Floors, floor => floor.Contains(folder));

    /// <summary>The folder that a type of ours stands in; null for what is not ours, made by the compiler, or the program itself.</summary>
    static string? Folder(IType type) =>
        type.Namespace?.FullName is { } name && name.StartsWith("BudClock.Web.", StringComparison.Ordinal) ? name.Split('.')[2] : null;

    static string Source()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder!.FullName, "BudClock.slnx")))
            folder = folder.Parent;
        return Path.Combine(folder.FullName, "src", "BudClock.Web");
    }
}
