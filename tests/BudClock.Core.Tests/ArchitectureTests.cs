using System.Text.RegularExpressions;
using ArchUnitNET.Domain;
using ArchUnitNET.Fluent.Slices;
using ArchUnitNET.Loader;
using BudClock.Core.Advising;

namespace BudClock.Core.Tests;

/// <summary>
/// The ground floor first: each folder of Core names only what stands below it, namespaces are the folders, and Core knows nothing of
/// the rest.
/// </summary>
public partial class ArchitectureTests
{
    static readonly Architecture Core = new ArchLoader().LoadAssembly(typeof(Assessor).Assembly).Build();

    /// <summary>The folders from the ground up. A folder inside Advising stands on Advising itself.</summary>
    static readonly string[] Floors =
    [
        "Units",
        "Journal",
        "Mixing",
        "Potting",
        "Gardens",
        "Lanes",
        "Organs",
        "Culture",
        "Culture.Limits",
        "Climate",
        "Measuring",
        "Programmes",
        "States",
        "States.Habits",
        "States.LookingAgain",
        "Evidence",
        "Advising",
        "Advising.Why",
        "Advising.Why.Questions",
        "Advising.Why.Causes",
        "Advising.Watering",
        "Advising.Health",
        "Advising.Resting",
        "Advising.Waking",
        "Advising.Vessels",
        "Advising.Feeding",
        "Advising.Placing",
        "Advising.Looking",
        "Advising.Repotting",
        "Advising.Blooming",
        "Advising.Guarding",
        "Saying",
        "Feeding",
        "Round",
        "Planning",
        "Years",
        "Notes",
        "Formats",
        "Formats.Lists",
    ];

    static IEnumerable<IType> Own =>
        Core.Types.Where(type => type.Namespace?.FullName.StartsWith("BudClock.Core", StringComparison.Ordinal) == true);

    [Fact]
    public void No_folder_is_in_a_cycle() =>
        Assert.True(SliceRuleDefinition.Slices().Matching("BudClock.Core.(**)").Should().BeFreeOfCycles().HasNoViolations(Core));

    [Fact]
    public void Each_folder_names_only_what_stands_below_it()
    {
        var wrong =
            from type in Own
            let floor = Floor(type)
            from target in type.Dependencies.Select(dependency => dependency.Target).Distinct()
            where target.Namespace?.FullName.StartsWith("BudClock.Core.", StringComparison.Ordinal) == true && Floor(target) > floor
            select $"{type.FullName} names {target.FullName}";
        Assert.Empty(wrong.Distinct().Order());
    }

    [Fact]
    public void A_breach_of_the_floors_would_be_seen()
    {
        // The highest floor names the lowest: read upside down, that is a breach.
        var writer = Own.First(type => type.Name == "AdviceJson");
        Assert.Contains(writer.Dependencies, dependency =>
            dependency.Target.Namespace is not null && Floor(dependency.Target) >= 0 && Floor(dependency.Target) < Floor(writer)
        );
    }

    [Fact]
    public void Namespaces_are_the_folders()
    {
        var folders = Directory
            .EnumerateFiles(Source(), "*.cs", SearchOption.AllDirectories)
            .Where(file => !file.Contains("/obj/", StringComparison.Ordinal) && !file.Contains("/bin/", StringComparison.Ordinal));
        foreach (var file in folders)
        {
            var folder = Path.GetRelativePath(Source(), Path.GetDirectoryName(file)!).Replace('/', '.');
            Assert.Contains(File.ReadLines(file), line => line == $"namespace BudClock.Core.{folder};");
            Assert.Contains(folder, Floors);
        }
    }

    [Theory]
    [InlineData("BudClock.Data")]
    [InlineData("BudClock.Web")]
    [InlineData("Microsoft.EntityFrameworkCore")]
    [InlineData("Microsoft.AspNetCore")]
    [InlineData("Microsoft.Data.Sqlite")]
    public void Core_knows_nothing_of(string other) =>
        Assert.DoesNotContain(typeof(Assessor).Assembly.GetReferencedAssemblies(), a =>
            a.Name!.StartsWith(other, StringComparison.Ordinal)
        );

    [Fact]
    public void A_rule_asks_for_traits_and_never_for_another_rule_s_name_to_know_a_habit()
    {
        // F8 stood for "carnivore", W9 for "over a reservoir" and B2 for "forced"; these are traits now.
        var asked = Directory
            .EnumerateFiles(Path.Combine(Source(), ".."), "*.cs", SearchOption.AllDirectories)
            .Where(file => !file.Contains("/Culture/", StringComparison.Ordinal))
            .SelectMany(file => File.ReadLines(file).Select(line => (file, line)))
            .Where(pair => NamedRule().IsMatch(pair.line));
        Assert.Empty(asked.Select(pair => $"{Path.GetFileName(pair.file)}: {pair.line.Trim()}"));
    }

    [GeneratedRegex("\\.Rule\\(\"")]
    private static partial Regex NamedRule();

    static int Floor(IType type) => Array.IndexOf(Floors, type.Namespace.FullName.Replace("BudClock.Core.", "", StringComparison.Ordinal));

    static string Source() => Path.Combine(Reference.Repository(), "src", "BudClock.Core");
}
